import {
  under,
  judge,
  keyOf,
  TABLES,
  undoing,
  type Body,
  type Change,
  type GarageDocument,
  type Row,
  type TableName,
} from '@necessaire/core';

/** One row before and after an edit; null where it was not there. */
export interface RowChange {
  table: TableName;
  id: string;
  before: Row | null;
  after: Row | null;
}

/** Number of each row in the order in which rows were first made: the server's order, which a row that comes back takes up again. */
export type RowOrder = Map<string, number>;

/** Rows of the store were read by their schemas when they came: here they are only put together again. */
const readAs = <T>(body: Body): T => body as unknown as T;

/** What a page knows of a garage at the server, as it is opened: rows in their order, each with its revision. */
export function openedOf(
  known: { edition: number; rows: ReadonlyMap<string, { revision: number; row: Body | null }> },
  garageId: string,
  order: ReadonlyMap<string, number>,
): { document: GarageDocument; revisions: Record<TableName, Record<string, number>>; revision: number } | null {
  const own = known.rows.get(keyOf({ table: 'garage', id: garageId }));
  if (!own?.row) return null;
  const rows = Object.fromEntries(TABLES.map((t) => [t, [] as Row[]])) as Record<TableName, Row[]>;
  const revisions = Object.fromEntries(TABLES.map((t) => [t, {}])) as Record<TableName, Record<string, number>>;
  for (const [key, { revision, row }] of known.rows) {
    const at = key.indexOf(' ');
    const table = key.slice(0, at) as TableName;
    if (row === null || !(table in rows)) continue;
    const known = readAs<Row>(row);
    rows[table].push(known);
    revisions[table][known.id] = revision;
  }
  const place = (id: string) => order.get(id) ?? Number.MAX_SAFE_INTEGER;
  for (const table of TABLES) rows[table].sort((a, b) => place(a.id) - place(b.id));
  return {
    document: readAs<GarageDocument>({ garage: own.row, ...rows }),
    revisions,
    revision: own.revision,
  };
}

/** The document with rows as they are now, null for none. Rows keep their place; new ones go to the end and are entered into the order. */
export function withRows(
  doc: GarageDocument,
  rows: readonly { table: TableName; id: string; row: Row | null }[],
  order: RowOrder = new Map(),
): GarageDocument {
  const next = { ...doc };
  for (const table of new Set(rows.map((r) => r.table))) {
    // The last of several changes to one row counts.
    const changes = new Map(rows.filter((r) => r.table === table).map((r) => [r.id, r.row]));
    const out: Row[] = [];
    for (const row of next[table] as Row[]) {
      const after = changes.get(row.id);
      if (after === undefined) out.push(row);
      else if (after !== null) out.push(after);
      changes.delete(row.id);
    }
    let back = false;
    for (const [id, after] of changes) {
      if (after === null) continue;
      if (order.has(id)) back = true;
      else order.set(id, order.size);
      out.push(after);
    }
    // A row that comes back takes up its old place.
    const at = (r: Row) => order.get(r.id) ?? Infinity;
    (next[table] as Row[]) = back ? out.sort((a, b) => at(a) - at(b)) : out;
  }
  return next;
}

/** Rows by `keyOf` as an undo or redo would leave them, or the change that stands in its way because somebody else changed the same since. */
export type Replayed =
  | { ok: true; rows: Map<string, { change: Change; before: Body | null; after: Body | null }> }
  | { ok: false; change: Change; fields: string[] };

/**
 * Undoes, or does again, what an edit did: its own fields only, over whatever else became of the rows since.
 * @param shown the rows as they are now, by `keyOf`
 */
export function replayed(changes: readonly Change[], back: boolean, shown: ReadonlyMap<string, Body | null>): Replayed {
  const rows = new Map<string, { change: Change; before: Body | null; after: Body | null }>();
  for (const change of back ? [...changes].reverse().map(undoing) : changes) {
    const key = keyOf(change);
    const before = shown.get(key) ?? null;
    const now = rows.has(key) ? under(rows, key).after : before;
    // No revision is like another here: what was made on a row is looked at by its values.
    const said = judge(
      { ...change, ...('base' in change ? { base: -1 } : {}) } as Change,
      now && { revision: 0, row: now, deleted: false },
    );
    if (said.is === 'clash') return { ok: false, change, fields: said.fields };
    if (said.is === 'write') rows.set(key, { change, before, after: said.row });
  }
  return { ok: true, rows };
}
