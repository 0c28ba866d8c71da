import {
  CONDITIONS,
  EVIDENCE,
  fastenerSchema,
  FREE_ACCESS,
  newFastener,
  ROLES,
  STATION_NAMES,
  STATIONS,
  type Access,
  type Fastener,
} from '../bike/index.js';
import { faultsOf, SOURCES } from '../garage/index.js';
import { parseShape, THREADS, typeShape, USUAL_HEAD } from '../sizes/index.js';
import { readCsv, readNumber, readYes, writeCsv, type Cell, type Line } from './table.js';

/** Takes a cell into the row being made; returns what is wrong with it, or null. */
type Take = (text: string, row: Partial<Fastener>) => string | null;
interface Column {
  title: string;
  /** Field of the fastener whose schema fault belongs to this cell. */
  field: string;
  write: (f: Fastener) => string | number;
  take: Take;
}

const oneOf =
  <T extends string>(list: readonly T[], set: (row: Partial<Fastener>, value: T) => void, what: string): Take =>
  (text, row) => {
    if (text === '') return null;
    const hit = list.find((x) => x.toLowerCase() === text.toLowerCase());
    if (hit === undefined) return `no such ${what}: ${list.join(', ')}`;
    set(row, hit);
    return null;
  };
const yes =
  (set: (row: Partial<Fastener>, value: boolean) => void): Take =>
  (text, row) => {
    const value = readYes(text);
    if (value === null) return 'write yes or no';
    set(row, value);
    return null;
  };
const number = (
  set: (row: Partial<Fastener>, value: number) => void,
  [min, max]: readonly [number, number],
  whole = false,
): Take => {
  return (text, row) => {
    if (text === '') return null;
    const value = readNumber(text);
    if (Number.isNaN(value)) return 'write a plain number, such as 12.5';
    if (value < min || value > max) return `must be ${min} to ${max}`;
    if (whole && !Number.isInteger(value)) return 'must be a whole number';
    set(row, value);
    return null;
  };
};
const head =
  (key: 'head' | 'far'): Take =>
  (text, row) => {
    if (text === '') return null;
    const read = parseShape(text);
    if (!('head' in read)) return read.reason;
    row[key] = read.head;
    return null;
  };

type Measure = 'recess' | 'clearance' | 'headroom' | 'thin' | 'swing' | 'stud';
const ACCESS: { key: Measure; title: string; range: readonly [number, number] }[] = [
  { key: 'recess', title: 'sunk mm', range: [0, 5000] },
  { key: 'clearance', title: 'well mm', range: [0, 5000] },
  { key: 'headroom', title: 'room mm', range: [0, 5000] },
  { key: 'thin', title: 'thin mm', range: [0, 5000] },
  { key: 'swing', title: 'swing degrees', range: [1, 360] },
  { key: 'stud', title: 'stud mm', range: [0, 5000] },
];
const accessColumns = (end: 'access' | 'farAccess', prefix: string): Column[] => {
  const of = (row: Partial<Fastener>): Access => row[end] ?? FREE_ACCESS;
  return [
    ...ACCESS.map(({ key, title, range }): Column => ({
      title: `${prefix}${title}`,
      field: `${end}.${key}`,
      // Nought means free where free is nought, and is left empty.
      write: (f) => (f[end][key] === null || (FREE_ACCESS[key] === 0 && f[end][key] === 0) ? '' : f[end][key]!),
      take: number((row, value) => (row[end] = { ...of(row), [key]: value }), range),
    })),
    {
      title: `${prefix}approach`,
      field: `${end}.approach`,
      write: (f) => (f[end].approach === 'any' ? '' : f[end].approach),
      take: oneOf(
        ['any', 'side only', 'in line only', 'out of line'] as const,
        (row, value) => (row[end] = { ...of(row), approach: value }),
        'approach',
      ),
    },
  ];
};
const word = (value: boolean) => (value ? 'yes' : '');

/** The columns of a fastener table, in the order in which they are written. */
const COLUMNS: Column[] = [
  {
    title: 'station',
    field: 'station',
    write: (f) => f.station,
    take: (text, row) => {
      if (text === '') return null;
      const asked = text.toLowerCase();
      const hit = STATIONS.find((s) => s === asked || STATION_NAMES[s].toLowerCase() === asked);
      if (!hit) return `no such station: ${STATIONS.join(', ')}`;
      row.station = hit;
      return null;
    },
  },
  {
    title: 'name',
    field: 'name',
    write: (f) => f.name,
    take: (text, row) => {
      if (text === '') return 'give it a name';
      row.name = text;
      return null;
    },
  },
  { title: 'head', field: 'head', write: (f) => typeShape(f.head), take: head('head') },
  { title: 'far end', field: 'far', write: (f) => (f.far ? typeShape(f.far) : ''), take: head('far') },
  {
    title: 'count',
    field: 'count',
    write: (f) => f.count,
    take: number((row, value) => (row.count = value), [1, 200], true),
  },
  {
    title: 'thread',
    field: 'thread',
    write: (f) => f.thread ?? '',
    take: oneOf(THREADS, (row, value) => (row.thread = value), 'thread'),
  },
  {
    title: 'torque N·m',
    field: 'torque',
    write: (f) => f.torque?.value ?? '',
    take: number((row, value) => (row.torque = { value, source: row.torque?.source ?? 'user' }), [0, 1000]),
  },
  {
    title: 'torque from',
    field: 'torque.source',
    write: (f) => f.torque?.source ?? '',
    take: oneOf(SOURCES, (row, source) => row.torque && (row.torque = { ...row.torque, source }), 'source'),
  },
  {
    title: 'condition',
    field: 'condition',
    write: (f) => f.condition,
    take: oneOf(
      Object.keys(CONDITIONS) as (keyof typeof CONDITIONS)[],
      (row, value) => (row.condition = value),
      'condition',
    ),
  },
  ...accessColumns('access', ''),
  ...accessColumns('farAccess', 'far '),
  {
    title: 'shakes loose',
    field: 'shakesLoose',
    write: (f) => word(f.shakesLoose),
    take: yes((row, value) => (row.shakesLoose = value)),
  },
  {
    title: 'gets lost',
    field: 'getsLost',
    write: (f) => word(f.getsLost),
    take: yes((row, value) => (row.getsLost = value)),
  },
  {
    title: 'breaks',
    field: 'breaks',
    write: (f) => word(f.breaks),
    take: yes((row, value) => (row.breaks = value)),
  },
  {
    title: 'accessory',
    field: 'accessory',
    write: (f) => word(f.accessory),
    take: yes((row, value) => (row.accessory = value)),
  },
  {
    title: 'evidence',
    field: 'evidence',
    write: (f) => f.evidence,
    take: oneOf(EVIDENCE, (row, value) => (row.evidence = value), 'step of the ladder'),
  },
  {
    title: 'job in a mend',
    field: 'role',
    write: (f) => f.role ?? '',
    take: oneOf(ROLES, (row, value) => (row.role = value), 'job'),
  },
  {
    title: 'left out because',
    field: 'leftOut',
    write: (f) => f.leftOut ?? '',
    take: (text, row) => {
      row.leftOut = text === '' ? null : text;
      return null;
    },
  },
  {
    title: 'note',
    field: 'note',
    write: (f) => f.note,
    take: (text, row) => {
      row.note = text;
      return null;
    },
  },
  {
    title: 'id',
    field: 'id',
    write: (f) => f.id,
    take: (text, row) => {
      if (text !== '') row.id = text;
      return null;
    },
  },
];

/** Titles of the columns, for the documentation and for an empty table to start from. */
export const FASTENER_COLUMNS: readonly string[] = COLUMNS.map((c) => c.title);

export const writeFasteners = (fasteners: readonly Fastener[]): string =>
  writeCsv(
    FASTENER_COLUMNS,
    fasteners.map((f) => COLUMNS.map((c) => c.write(f))),
  );

/** What reading a table would do: shown before anything is written. */
export interface FastenerPreview {
  columns: string[];
  /** Columns of the file that mean nothing here. */
  unread: string[];
  lines: Line[];
  /** Rows that would be added or changed; empty as soon as one cell is at fault: all or nothing. */
  rows: Fastener[];
  added: number;
  changed: number;
  faults: number;
}

const plainTitle = (title: string) => title.toLowerCase().replace(/[^a-z0-9]+/g, '');

/**
 * Reads a fastener table against a bike. A line whose `id` is a fastener of this bike changes that one, in the columns that the file has; any
 * other line is new. Nothing is written here.
 * @param nextId makes ids for new rows
 */
export function readFasteners(
  text: string,
  bikeId: string,
  known: readonly Fastener[],
  nextId: () => string,
): { ok: true; preview: FastenerPreview } | { ok: false; message: string } {
  const read = readCsv(text);
  if (!read.ok) return read;
  const { header, lines } = read.sheet;
  const at = header.map((title) => COLUMNS.find((c) => plainTitle(c.title) === plainTitle(title)));
  if (!at.some((c) => c?.field === 'head') && !at.some((c) => c?.field === 'thread'))
    return {
      ok: false,
      message: `there is no column "head": the first line must name the columns, such as ${FASTENER_COLUMNS.slice(0, 6).join(', ')}`,
    };
  const twice = at.find((c, i) => c && at.indexOf(c) !== i);
  if (twice) return { ok: false, message: `the column "${twice.title}" occurs twice: take one out` };
  const byId = new Map(known.filter((f) => f.bikeId === bikeId).map((f) => [f.id, f]));
  const rows: Fastener[] = [];
  const out: Line[] = [];
  const seen = new Set<string>();
  let [added, changed, faults] = [0, 0, 0];
  for (const { number: line, cells: texts } of lines) {
    const draft: Partial<Fastener> = {};
    const cells: Cell[] = [];
    const idAt = at.findIndex((c) => c?.field === 'id');
    const old = byId.get(idAt >= 0 ? (texts[idAt] ?? '') : '');
    if (old) Object.assign(draft, { access: old.access, farAccess: old.farAccess, torque: old.torque });
    at.forEach((column, i) => {
      if (!column) return;
      const cell = texts[i] ?? '';
      // An empty cell of a row that is there empties the field, where the field can be empty.
      if (old && cell === '') clear(column, draft);
      cells.push({ column: column.title, text: cell, fault: column.take(cell, draft) });
    });
    const extra = texts.slice(header.length).filter((c) => c !== '');
    if (extra.length > 0)
      cells.push({ column: '(beyond the header)', text: extra.join(' '), fault: 'more cells than columns: quote it' });
    if (!draft.head && !old) {
      const usual = draft.thread ? USUAL_HEAD[draft.thread] : undefined;
      if (usual) {
        draft.head = { form: 'hex', size: usual };
        draft.evidence ??= 'assumed';
      }
    }
    const cellOf = (field: string) => {
      const column = COLUMNS.find((c) => c.field === field)!;
      const hit = cells.find((c) => c.column === column.title);
      if (hit) return hit;
      const missing: Cell = { column: column.title, text: '', fault: null };
      cells.push(missing);
      return missing;
    };
    if (!draft.head && !old && !cells.some((c) => c.column === 'head' && c.fault))
      cellOf('head').fault = 'no size: 10, 1/2in, i5, t30, ph2';
    if (draft.id && !old) {
      // A stranger's id would tie this row to another bike's: it becomes a new row.
      delete draft.id;
    }
    if (old && seen.has(old.id)) cellOf('id').fault = 'this id stands on two lines: take one out';
    if (old) seen.add(old.id);
    if (!cells.some((c) => c.fault)) {
      const row = old
        ? { ...old, ...draft, id: old.id, head: draft.head ?? old.head }
        : newFastener({ name: 'Fastener', ...draft, id: nextId(), bikeId, head: draft.head! });
      const checked = fastenerSchema.safeParse(row);
      if (checked.success) {
        rows.push(checked.data);
        if (old) changed++;
        else added++;
      } else
        for (const fault of faultsOf(checked.error)) {
          const column = COLUMNS.find((c) => fault.path.startsWith(c.field)) ?? COLUMNS[1]!;
          cellOf(column.field).fault = fault.message;
        }
    }
    faults += cells.filter((c) => c.fault).length;
    out.push({ number: line, cells });
  }
  return {
    ok: true,
    preview: {
      columns: at.filter((c) => c !== undefined).map((c) => c.title),
      unread: header.filter((_h, i) => !at[i] && header[i] !== ''),
      lines: out,
      rows: faults > 0 ? [] : rows,
      added: faults > 0 ? 0 : added,
      changed: faults > 0 ? 0 : changed,
      faults,
    },
  };
}

const FREE_FIELDS: Record<string, (draft: Partial<Fastener>) => void> = {
  far: (d) => (d.far = null),
  thread: (d) => (d.thread = null),
  torque: (d) => (d.torque = null),
  role: (d) => (d.role = null),
};
function clear(column: Column, draft: Partial<Fastener>): void {
  FREE_FIELDS[column.field]?.(draft);
  for (const end of ['access', 'farAccess'] as const)
    if (column.field.startsWith(`${end}.`)) {
      const key = column.field.slice(end.length + 1) as keyof Access;
      draft[end] = { ...(draft[end] ?? FREE_ACCESS), [key]: FREE_ACCESS[key] };
    }
}
