import { Router } from 'express';
import type { Knex } from 'knex';
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
import { garageId, parse } from './validate.js';

const create = z.strictObject({ id, garage: garageSchema });
const update = z.strictObject({ revision: z.int().min(1), garage: garageSchema });

/** Garages: list, create, read whole, rename, delete and bring back. */
export function garages(db: Knex): Router {
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
      res.json({ ...record, ...(await readDocument(db, record)) });
    })
    .put('/:garage', async (req, res) => {
      const body = parse(update, req.body);
      res.json(await updateGarage(db, garageId(req.params.garage), body.revision, body.garage));
    })
    .delete('/:garage', async (req, res) => {
      res.json(await setDeleted(db, garageId(req.params.garage), true));
    })
    .post('/:garage/restore', async (req, res) => {
      res.json(await setDeleted(db, garageId(req.params.garage), false));
    });
}
