import type { Knex } from 'knex';
import { MOST_ROWS, sameJson, TABLES, type GarageDocument, type TableName } from '@necessaire/core';
import { refuse } from '../errors.js';
import { stale } from './garages.js';

/** One change: a row written against the revision it was read at (0 for a new one), or deleted when `row` is null. */
export interface Change {
  table: TableName;
  id: string;
  revision: number;
  row: Record<string, unknown> | null;
}
/** Rows in one statement. */
const CHUNK = 500;

interface Stored {
  revision: number;
  body: unknown;
  deleted_at: Date | null;
}

/**
 * Applies changes all or none, in one transaction. Repeating the same request changes nothing more. A deleted row comes back by writing it again.
 * @returns the new revision of each row, in the order of the changes
 * @throws Refusal 409 `stale` with both versions, 422 `dangling` when a row hangs on one that is not there, 422 `too-many`
 */
export async function applyChanges(db: Knex, garageId: string, changes: readonly Change[]): Promise<number[]> {
  return db.transaction(async (tx) => {
    // Locking the garage serialises its writers, so that limits and references are judged on what is really there.
    await tx('garages').where({ id: garageId }).forUpdate();
    const stored = await storedRows(tx, garageId, changes);
    const batch: Batch = { inserts: new Map(), updates: [] };
    const revisions = changes.map((change, i) => judge(change, stored, batch, `changes[${i}]`));
    await write(tx, garageId, batch);
    await checkReferences(tx, garageId);
    await checkCounts(tx, garageId, new Set(changes.map((c) => c.table)));
    return revisions;
  });
}

const keyOf = (c: Pick<Change, 'table' | 'id'>) => `${c.table} ${c.id}`;
interface Batch {
  inserts: Map<string, Change>;
  updates: { change: Change; revision: number }[];
}

/** What is stored of the rows to be changed, by table and id, in few questions however many there are. */
async function storedRows(tx: Knex, garageId: string, changes: readonly Change[]): Promise<Map<string, Stored>> {
  const found = new Map<string, Stored>();
  for (const table of new Set(changes.map((c) => c.table))) {
    const ids = changes.filter((c) => c.table === table).map((c) => c.id);
    for (let i = 0; i < ids.length; i += CHUNK) {
      const rows: (Stored & { id: string })[] = await tx(table)
        .select('id', 'revision', 'body', 'deleted_at')
        .where({ garage_id: garageId })
        .whereIn('id', ids.slice(i, i + CHUNK));
      for (const row of rows) found.set(keyOf({ table, id: row.id }), row);
    }
  }
  return found;
}

/**
 * Judges one change against what is stored, changes before it included, and puts it into the batch.
 * @returns the row's new revision
 */
function judge(change: Change, stored: Map<string, Stored>, batch: Batch, path: string): number {
  const { row } = change;
  const key = keyOf(change);
  const found = stored.get(key);
  if (!found) {
    if (row === null) return 0;
    if (change.revision !== 0) throw refuse(404, 'no-row', path, 'this row is not in the garage any more: reload');
    batch.inserts.set(key, change);
    stored.set(key, { revision: 1, body: row, deleted_at: null });
    return 1;
  }
  const alreadySo = row === null ? found.deleted_at !== null : found.deleted_at === null && sameJson(found.body, row);
  if (alreadySo) return found.revision;
  if (found.revision !== change.revision) throw stale(path, row, found.deleted_at ? null : found.body, found.revision);
  const revision = found.revision + 1;
  stored.set(key, { revision, body: row ?? found.body, deleted_at: row === null ? new Date(0) : null });
  batch.updates.push({ change, revision });
  return revision;
}

async function write(tx: Knex, garageId: string, { inserts, updates }: Batch): Promise<void> {
  const fresh = [...inserts.values()];
  for (const table of new Set(fresh.map((c) => c.table))) {
    const rows = fresh
      .filter((c) => c.table === table)
      .map(({ id, row }) => ({ garage_id: garageId, id, body: JSON.stringify(row) }));
    for (let i = 0; i < rows.length; i += CHUNK) await tx(table).insert(rows.slice(i, i + CHUNK));
  }
  for (const table of new Set(updates.map((u) => u.change.table)))
    for (const part of chunks(lastOf(updates.filter((u) => u.change.table === table)))) {
      const values = part.map(() => '(?::uuid, ?::jsonb, ?::integer)').join(', ');
      await tx.raw(
        `update ?? as t
         set body = coalesce(v.body, t.body), revision = v.revision, deleted_at = case when v.body is null then now() end
         from (values ${values}) as v (id, body, revision)
         where t.garage_id = ? and t.id = v.id`,
        [
          table,
          ...part.flatMap(({ change, revision }) => [
            change.id,
            change.row === null ? null : JSON.stringify(change.row),
            revision,
          ]),
          garageId,
        ] as string[],
      );
    }
}

/** The last change of each row: one statement may touch a row once. */
const lastOf = (updates: Batch['updates']): Batch['updates'] => [
  ...new Map(updates.map((u) => [u.change.id, u])).values(),
];
function chunks<T>(list: readonly T[]): T[][] {
  return Array.from({ length: Math.ceil(list.length / CHUNK) }, (_, i) => list.slice(i * CHUNK, (i + 1) * CHUNK));
}

/** Live rows may hang on live bikes and places only. Keys alone would let a row hang on a deleted one. */
async function checkReferences(tx: Knex, garageId: string): Promise<void> {
  for (const table of ['fasteners', 'places', 'pins'] as const) {
    const orphan = await tx(`${table} as r`)
      .leftJoin('bikes as b', (on) => on.on('b.garage_id', 'r.garage_id').andOn('b.id', 'r.bike_id'))
      .where('r.garage_id', garageId)
      .whereNull('r.deleted_at')
      .where((w) => w.whereNull('b.id').orWhereNotNull('b.deleted_at'))
      .first<{ id: string } | undefined>('r.id');
    if (orphan)
      throw refuse(
        422,
        'dangling',
        `${table} ${orphan.id}`,
        'its bike is not in this garage: delete or move it together with the bike',
      );
  }
  const pin = await tx('pins as r')
    .leftJoin('places as p', (on) =>
      on.on('p.garage_id', 'r.garage_id').andOn('p.id', 'r.place_id').andOn('p.bike_id', 'r.bike_id'),
    )
    .where('r.garage_id', garageId)
    .whereNull('r.deleted_at')
    .where((w) => w.whereNull('p.id').orWhereNotNull('p.deleted_at'))
    .first<{ id: string } | undefined>('r.id');
  if (pin)
    throw refuse(422, 'dangling', `pins ${pin.id}`, 'its place is not on this bike: delete it together with the place');
}

async function checkCounts(tx: Knex, garageId: string, tables: ReadonlySet<TableName>): Promise<void> {
  for (const table of tables) {
    const [row] = await tx(table)
      .where({ garage_id: garageId })
      .whereNull('deleted_at')
      .count<{ count: string }[]>('*');
    if (Number(row?.count) > MOST_ROWS[table])
      throw refuse(422, 'too-many', table, `a garage holds up to ${MOST_ROWS[table]} ${table}: delete some first`);
  }
}

/** Writes a whole document into a new garage, all or nothing. */
export async function insertDocument(db: Knex, garageId: string, doc: GarageDocument): Promise<void> {
  await db.transaction(async (tx) => {
    await tx('garages').insert({ id: garageId, body: JSON.stringify(doc.garage) });
    for (const table of TABLES)
      for (let i = 0; i < doc[table].length; i += CHUNK)
        await tx(table).insert(
          doc[table].slice(i, i + CHUNK).map((row) => ({
            garage_id: garageId,
            id: row.id,
            body: JSON.stringify(row),
          })),
        );
  });
}
