import { Router } from 'express';
import { z } from 'zod';
import { garageSchema, id } from '@necessaire/core';
import {
  createGarage,
  findGarage,
  listGarages,
  readDocument,
  setDeleted,
  updateGarage,
} from '../repositories/garages.js';
import type { Store } from '../db/store.js';
import type { Signals } from '../signals.js';
import { garageId, parse } from './validate.js';

const revision = z.int().max(2_000_000_000);
const create = z.strictObject({ id, garage: garageSchema });
const update = z.strictObject({ revision: revision.min(1), garage: garageSchema });

/** Garages: list, create, read whole, rename, delete and bring back. */
export function garages(store: Store, signals: Signals): Router {
  const { db } = store;
  return Router()
    .get('/', async (_req, res) => {
      res.json({ garages: await listGarages(db) });
    })
    .post('/', async (req, res) => {
      const body = parse(create, req.body);
      res.status(201).json(await createGarage(db, body.id, body.garage));
    })
    .get('/:garage', async (req, res) => {
      const record = await findGarage(db, garageId(req.params.garage));
      res.json({ ...record, ...(await readDocument(store, record)) });
    })
    .put('/:garage', async (req, res) => {
      const body = parse(update, req.body);
      const id = garageId(req.params.garage);
      const { record, written } = await updateGarage(store, id, body.revision, body.garage);
      if (written) signals.reached(id, written.edition);
      res.json(record);
    })
    .delete('/:garage', async (req, res) => {
      res.json(await setDeleted(db, garageId(req.params.garage), true));
    })
    .post('/:garage/restore', async (req, res) => {
      res.json(await setDeleted(db, garageId(req.params.garage), false));
    });
}
