import { sameJson, type Garage, type GarageDocument, type Row, type TableName } from '@necessaire/core';

/** One row before and after an edit; null where it was not there. */
export interface RowChange {
  table: TableName;
  id: string;
  before: Row | null;
  after: Row | null;
}
/** One edit as the rider sees it: a label for undo, the rows, and the garage's own fields where they changed. */
export interface Edit {
  label: string;
  rows: RowChange[];
  garage?: { before: Garage; after: Garage };
}

export const inverse = (edit: Edit): Edit => ({
  label: edit.label,
  rows: [...edit.rows].reverse().map((c) => ({ ...c, before: c.after, after: c.before })),
  ...(edit.garage ? { garage: { before: edit.garage.after, after: edit.garage.before } } : {}),
});

/** Number of each row in the order in which rows were first made: the server's order, which a row that comes back takes up again. */
export type RowOrder = Map<string, number>;

/** The document with an edit applied. Rows keep their place; new ones go to the end and are entered into the order. */
export function applied(doc: GarageDocument, edit: Edit, order: RowOrder = new Map()): GarageDocument {
  const next = { ...doc };
  if (edit.garage) next.garage = edit.garage.after;
  for (const table of new Set(edit.rows.map((r) => r.table))) {
    // The last of several changes to one row counts.
    const changes = new Map(edit.rows.filter((r) => r.table === table).map((r) => [r.id, r.after]));
    const rows: Row[] = [];
    for (const row of next[table] as Row[]) {
      const after = changes.get(row.id);
      if (after === undefined) rows.push(row);
      else if (after !== null) rows.push(after);
      changes.delete(row.id);
    }
    let back = false;
    for (const [id, after] of changes) {
      if (after === null) continue;
      if (order.has(id)) back = true;
      else order.set(id, order.size);
      rows.push(after);
    }
    // A row that comes back takes up its old place.
    const at = (r: Row) => order.get(r.id) ?? Infinity;
    (next[table] as Row[]) = back ? rows.sort((a, b) => at(a) - at(b)) : rows;
  }
  return next;
}

/**
 * Joins two versions of a row, or of the garage's own fields, that were both made from `base`: a field changed by one side only is taken from it.
 * @returns the joined version, or null when both changed the same field to different values
 */
export function merged<T extends object>(base: T, mine: T, theirs: T): T | null {
  const out: T = { ...theirs };
  for (const key of Object.keys(mine) as (keyof T)[]) {
    const [b, m, t] = [base[key], mine[key], theirs[key]];
    if (sameJson(m, b)) continue;
    if (!sameJson(t, b) && !sameJson(t, m)) return null;
    out[key] = m;
  }
  return out;
}
