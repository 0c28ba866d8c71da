import { Router } from 'express';
import { z } from 'zod';
import { id, MOST_CHANGES, ROW_SCHEMAS, TABLES, type TableName } from '@necessaire/core';
import { refuse } from '../refusal.js';
import { findGarage } from '../repositories/garages.js';
import { applyChanges, type Change } from '../repositories/rows.js';
import type { Store } from '../db/store.js';
import type { Signals } from '../signals.js';
import { garageId, parse } from './validate.js';

const revision = z.int().min(0).max(2_000_000_000);
const changeSchema = z.strictObject({
  table: z.enum(TABLES as [TableName, ...TableName[]]),
  id,
  revision,
  row: z.record(z.string(), z.unknown()).nullable(),
});
const batchSchema = z.strictObject({ changes: z.array(changeSchema).min(1).max(MOST_CHANGES) });

/** Checks a row against its table's schema and its own id. */
function checked(change: z.infer<typeof changeSchema>, path: string): Change {
  if (change.row === null) return { ...change, row: null };
  const row = parse(ROW_SCHEMAS[change.table], change.row, path) as Record<string, unknown>;
  if (row['id'] !== change.id)
    throw refuse(422, 'invalid', `${path}.id`, 'the row carries another id than the change: make them the same');
  return { ...change, row };
}

const tableOf = (value: unknown): TableName => {
  const table = TABLES.find((t) => t === value);
  if (!table) throw refuse(404, 'no-table', 'table', `there is no such kind of row: ${TABLES.join(', ')}`);
  return table;
};

/** Rows of a garage: one at a time, or many all or none. */
export function rows(store: Store, signals: Signals): Router {
  const router = Router({ mergeParams: true });
  const apply = async (garage: string, changes: Change[]) => {
    const { revisions, written } = await applyChanges(store, garage, changes);
    signals.reached(garage, written.edition);
    return revisions;
  };
  const garageOf = async (params: unknown) =>
    (await findGarage(store.db, garageId((params as { garage?: string }).garage))).id;
  router.post('/changes', async (req, res) => {
    const garage = await garageOf(req.params);
    const { changes } = parse(batchSchema, req.body);
    const all = changes.map((c, i) => checked(c, `changes[${i}].row`));
    res.json({ revisions: await apply(garage, all) });
  });
  router.put('/:table/:id', async (req, res) => {
    const garage = await garageOf(req.params);
    const table = tableOf(req.params.table);
    const body = parse(z.strictObject({ revision, row: z.record(z.string(), z.unknown()) }), req.body);
    const change = checked({ ...body, table, id: parse(id, req.params.id, 'id') }, 'row');
    const [now] = await apply(garage, [change]);
    res.json({ revision: now });
  });
  router.delete('/:table/:id', async (req, res) => {
    const garage = await garageOf(req.params);
    const table = tableOf(req.params.table);
    const at = parse(z.coerce.number().pipe(revision), req.query['revision'], 'revision');
    const [now] = await apply(garage, [{ table, id: parse(id, req.params.id, 'id'), revision: at, row: null }]);
    res.json({ revision: now });
  });
  return router;
}
