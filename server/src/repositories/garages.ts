import type { Knex } from 'knex';
import {
  under,
  emptyDocument,
  garageSchema,
  keyOf,
  ROW_SCHEMAS,
  sameJson,
  TABLES,
  type Garage,
  type GarageDocument,
  type TableName,
} from '@necessaire/core';
import type { Store } from '../db/store.js';
import { refuse } from '../refusal.js';
import { writeRows } from './edits.js';
import type { Written } from './writes.js';

export interface GarageRecord {
  id: string;
  revision: number;
  garage: Garage;
  deleted: boolean;
}
interface GarageRow {
  id: string;
  revision: number;
  body: unknown;
  deleted_at: Date | null;
}

const asRecord = (row: GarageRow): GarageRecord => ({
  id: row.id,
  revision: row.revision,
  garage: garageSchema.parse(row.body),
  deleted: row.deleted_at !== null,
});

/** All garages, the oldest first; deleted ones too, so that a delete can be undone after a reload. */
export async function listGarages(db: Knex): Promise<GarageRecord[]> {
  const rows = await db<GarageRow>('garages').orderBy([{ column: 'created_at' }, { column: 'id' }]);
  return rows.map(asRecord);
}

/** One garage. @throws Refusal 404 when it is not there or was deleted */
export async function findGarage(db: Knex, id: string, evenDeleted = false): Promise<GarageRecord> {
  const row = await db<GarageRow>('garages').where({ id }).first();
  if (!row || (row.deleted_at && !evenDeleted))
    throw refuse(404, 'no-garage', 'garage', 'there is no such garage: open one from the list');
  return asRecord(row);
}

/** Creates a garage, or answers the same again for the same request. @throws Refusal 409 when the id is taken by another */
export async function createGarage(db: Knex, id: string, garage: Garage): Promise<GarageRecord> {
  await db('garages')
    .insert({ id, body: JSON.stringify(garage) })
    .onConflict('id')
    .ignore();
  const found = await findGarage(db, id, true);
  if (!sameJson(found.garage, garage))
    throw refuse(409, 'exists', 'id', 'this id belongs to another garage: make a new one');
  return found;
}

/** Writes a garage's name and practice against the revision that it was read at. @throws Refusal 409 with both versions */
export async function updateGarage(
  store: Store,
  id: string,
  revision: number,
  garage: Garage,
): Promise<{ record: GarageRecord; written: Written | null }> {
  const found = await findGarage(store.db, id);
  if (sameJson(found.garage, garage)) return { record: found, written: null };
  const written = await writeRows(store, id, [{ table: 'garage', id }], (rows) => {
    const now = under(rows, keyOf({ table: 'garage', id }));
    if (now.revision !== revision) throw stale('garage', garage, now.row, now.revision);
    return [{ table: 'garage', id, revision: revision + 1, row: garage, gone: false, fresh: false }];
  });
  return { record: { ...found, garage, revision: revision + 1 }, written };
}

/** Deletes a garage, or brings it back. Doing either twice changes nothing. */
export async function setDeleted(db: Knex, id: string, deleted: boolean): Promise<GarageRecord> {
  const found = await findGarage(db, id, true);
  if (found.deleted !== deleted)
    await db('garages')
      .where({ id })
      .update({ deleted_at: deleted ? db.fn.now() : null });
  return { ...found, deleted };
}

/** A stale write: both versions go back, so that the rider can choose. */
export const stale = (path: string, mine: unknown, theirs: unknown, revision: number) =>
  refuse(409, 'stale', path, 'this was changed elsewhere meanwhile: take theirs, or write yours over it', {
    mine,
    theirs,
    revision,
  });

export interface StoredDocument {
  document: GarageDocument;
  revisions: Record<TableName, Record<string, number>>;
  /** Edition of the garage that this is. */
  edition: number;
}

/** A whole garage in the order in which its rows were made, with the revision of each row. */
export async function readDocument({ db, safe }: Store, record: GarageRecord): Promise<StoredDocument> {
  const document = emptyDocument(record.garage);
  const revisions = {} as StoredDocument['revisions'];
  let edition = 0;
  await db.transaction(
    async (tx) => {
      // With its edition, the garage's own fields of the same moment.
      const own = await tx('garages').where({ id: record.id }).first<{ edition: string; body: unknown } | undefined>();
      edition = Number(own?.edition ?? 0);
      if (own) document.garage = garageSchema.parse(own.body);
      for (const table of TABLES) {
        const rows: { id: string; revision: number; body: unknown }[] = await tx(table)
          .select('id', 'revision', 'body')
          .where({ garage_id: record.id })
          .whereNull('deleted_at')
          .orderBy('seq');
        const schema = ROW_SCHEMAS[table];
        (document[table] as unknown[]) = rows.map((r) => schema.parse(r.body));
        revisions[table] = Object.fromEntries(rows.map((r) => [r.id, r.revision]));
      }
    },
    // One snapshot: a change made meanwhile is seen whole or not at all.
    { isolationLevel: 'repeatable read', readOnly: true },
  );
  // Nobody is told of what a power cut could still take back.
  await safe();
  return { document, revisions, edition };
}
