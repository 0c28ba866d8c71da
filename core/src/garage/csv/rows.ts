import { at } from '../../ground/numbers.js';
import { faultsOf } from '../../ground/faults.js';
import type { z } from 'zod';
import { readCsv, readNumber, readYes, type Cell, type Line } from '../../ground/csv/table.js';

/** Takes a cell into the row being made; returns what is wrong with it, or null. */
export type Take<T> = (text: string, row: Partial<T>) => string | null;
export interface Column<T> {
  title: string;
  /** Field of the row whose schema fault belongs to this cell. */
  field: string;
  write: (row: T) => string | number;
  take: Take<T>;
}

/**
 * Takes a cell that is one of a list, whatever its letters’ case; an empty one says nothing.
 * @param what that is listed, for the refusal
 */
export const oneOf =
  <T, V extends string>(list: readonly V[], set: (row: Partial<T>, value: V) => void, what: string): Take<T> =>
  (text, row) => {
    if (text === '') return null;
    const hit = list.find((x) => x.toLowerCase() === text.toLowerCase());
    if (hit === undefined) return `no such ${what}: ${list.join(', ')}`;
    set(row, hit);
    return null;
  };
/** Takes a cell that says yes or no. */
export const yes =
  <T>(set: (row: Partial<T>, value: boolean) => void): Take<T> =>
  (text, row) => {
    const value = readYes(text);
    if (value === null) return 'write yes or no';
    set(row, value);
    return null;
  };
/**
 * Takes a cell that is a number within limits, in the column’s own unit; an empty one says nothing.
 * @param whole whether it must be whole
 */
export const number =
  <T>(set: (row: Partial<T>, value: number) => void, [min, max]: readonly [number, number], whole = false): Take<T> =>
  (text, row) => {
    if (text === '') return null;
    const value = readNumber(text);
    if (Number.isNaN(value)) return 'write a plain number, such as 12.5';
    if (value < min || value > max) return `must be ${min} to ${max}`;
    if (whole && !Number.isInteger(value)) return 'must be a whole number';
    set(row, value);
    return null;
  };

/** What reading a table would do: shown before anything is written. */
export interface Preview<T> {
  columns: string[];
  /** Columns of the file that mean nothing here. */
  unread: string[];
  lines: Line[];
  /** Rows that would be added or changed; empty as soon as one cell is at fault: all or nothing. */
  rows: T[];
  added: number;
  changed: number;
  faults: number;
}

/** How a table's lines become rows of one kind. */
export interface RowKind<T extends { id: string }> {
  columns: readonly Column<T>[];
  schema: z.ZodType<T>;
  /** Rows that a line may change, by its `id`. */
  known: readonly T[];
  /** What the columns lack, in words; null when they do. */
  lacks: (fields: ReadonlySet<string>) => string | null;
  /** What a line starts from. */
  start: (old: T | undefined) => Partial<T>;
  /** An empty cell of a row that is there empties the field, where the field can be empty and its column does not see to that itself. */
  clear?: (field: string, draft: Partial<T>) => void;
  /** The row from what the cells said; null when a fault was named. */
  finish: (
    draft: Partial<T>,
    old: T | undefined,
    cells: { fault: (field: string, message: string) => void },
  ) => T | null;
}

const plainTitle = (title: string) => title.toLowerCase().replace(/[^a-z0-9]+/g, '');

/** Reads a table into rows of one kind. Nothing is written here; a fault in any cell keeps all rows out. */
export function readRows<T extends { id: string }>(
  text: string,
  kind: RowKind<T>,
): { ok: true; preview: Preview<T> } | { ok: false; message: string } {
  const read = readCsv(text);
  if (!read.ok) return read;
  const { header, lines } = read.sheet;
  const columns = header.map((title) => kind.columns.find((c) => plainTitle(c.title) === plainTitle(title)));
  const lacks = kind.lacks(new Set(columns.flatMap((c) => (c ? [c.field] : []))));
  if (lacks) return { ok: false, message: lacks };
  const twice = columns.find((c, i) => c && columns.indexOf(c) !== i);
  if (twice) return { ok: false, message: `the column "${twice.title}" occurs twice: take one out` };
  const byId = new Map(kind.known.map((row) => [row.id, row]));
  const idAt = columns.findIndex((c) => c?.field === 'id');
  const rows: T[] = [];
  const out: Line[] = [];
  const seen = new Set<string>();
  let [added, changed, faults] = [0, 0, 0];
  for (const { number: line, cells: texts } of lines) {
    const cells: Cell[] = [];
    // A stranger's id would tie this line to another's row: it becomes a new one.
    const old = byId.get(idAt >= 0 ? (texts[idAt] ?? '') : '');
    const draft = kind.start(old);
    columns.forEach((column, i) => {
      if (!column) return;
      const cell = texts[i] ?? '';
      if (old && cell === '') kind.clear?.(column.field, draft);
      cells.push({ column: column.title, text: cell, fault: column.take(cell, draft) });
    });
    delete draft.id;
    const extra = texts.slice(header.length).filter((c) => c !== '');
    if (extra.length > 0)
      cells.push({ column: '(beyond the header)', text: extra.join(' '), fault: 'more cells than columns: quote it' });
    const fault = (field: string, message: string) => {
      const column = kind.columns.find((c) => field.startsWith(c.field)) ?? at(kind.columns, 1);
      const hit = cells.find((c) => c.column === column.title);
      if (hit) hit.fault ??= message;
      else cells.push({ column: column.title, text: '', fault: message });
    };
    if (old && seen.has(old.id)) fault('id', 'this id stands on two lines: take one out');
    if (old) seen.add(old.id);
    const made = kind.finish(draft, old, { fault });
    if (made && !cells.some((c) => c.fault)) {
      const checked = kind.schema.safeParse(made);
      if (checked.success) {
        rows.push(checked.data);
        if (old) changed++;
        else added++;
      } else for (const f of faultsOf(checked.error)) fault(f.path, f.message);
    }
    faults += cells.filter((c) => c.fault).length;
    out.push({ number: line, cells });
  }
  return {
    ok: true,
    preview: {
      columns: columns.filter((c) => c !== undefined).map((c) => c.title),
      unread: header.filter((_h, i) => !columns[i] && header[i] !== ''),
      lines: out,
      rows: faults > 0 ? [] : rows,
      added: faults > 0 ? 0 : added,
      changed: faults > 0 ? 0 : changed,
      faults,
    },
  };
}
