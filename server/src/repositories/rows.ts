import type { Knex } from 'knex';
import { present, keyOf, sameJson, TABLES, type Body, type GarageDocument, type TableName } from '@necessaire/core';
import type { Store } from '../db/store.js';
import { refuse } from '../refusal.js';
import { writeRows } from './edits.js';
import type { StoredRows, Write, Written } from './writes.js';
import { stale } from './garages.js';

/** One change: a row written against the revision it was read at (0 for a new one), or deleted when `row` is null. */
export interface Change {
  table: TableName;
  id: string;
  revision: number;
  row: Body | null;
}
/** Rows in one statement. */
const CHUNK = 500;

/**
 * Applies changes all or none, in one transaction. Repeating the same request changes nothing more. A deleted row comes back by writing it again.
 * @returns the new revision of each row, in the order of the changes, and what was written
 * @throws Refusal 409 `stale` with both versions, 422 `dangling` when a row hangs on one that is not there, 422 `too-many`
 */
export async function applyChanges(
  store: Store,
  garageId: string,
  changes: readonly Change[],
): Promise<{ revisions: number[]; written: Written }> {
  let revisions: number[] = [];
  const written = await writeRows(store, garageId, changes, (found) => {
    const writes = new Map<string, Write>();
    revisions = changes.map((change, i) => judge(change, found, writes, `changes[${i}]`));
    return [...writes.values()];
  });
  return { revisions, written };
}

/**
 * Judges one change against what is stored, changes before it included.
 * @returns the row's new revision
 */
function judge(change: Change, found: StoredRows, writes: Map<string, Write>, path: string): number {
  const { row, table, id } = change;
  const key = keyOf(change);
  const now = found.get(key);
  if (!now && row === null) return 0;
  if (!now && change.revision !== 0)
    throw refuse(404, 'no-row', path, 'this row is not in the garage any more: reload');
  const alreadySo = now && (row === null ? now.deleted : !now.deleted && sameJson(now.row, row));
  if (alreadySo) return now.revision;
  if (now && now.revision !== change.revision) throw stale(path, row, now.deleted ? null : now.row, now.revision);
  const before = writes.get(key);
  const write: Write = {
    table,
    id,
    revision: before?.revision ?? (now?.revision ?? 0) + 1,
    row: row ?? present(now).row,
    gone: row === null,
    fresh: row !== null && (before?.fresh ?? (!now || now.deleted)),
  };
  writes.set(key, write);
  found.set(key, { revision: write.revision, row: write.row, deleted: write.gone });
  return write.revision;
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
