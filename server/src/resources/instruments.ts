import { Router } from 'express';
import type { Knex } from 'knex';
import { signalSchema } from '@necessaire/core';
import { findGarage } from '../repositories/garages.js';
import type { Signals } from '../signals.js';
import { stream } from './stream.js';
import { garageId, parse } from './validate.js';

/** Instruments of a garage: a calliper or scale posts its lines, pages hear them as server-sent events. Nothing is stored. */
export function instruments(db: Knex, signals: Signals): Router {
  const router = Router({ mergeParams: true });
  const garageOf = async (params: unknown) =>
    (await findGarage(db, garageId((params as { garage?: string }).garage))).id;
  router.post('/', async (req, res) => {
    const garage = await garageOf(req.params);
    const signal = parse(signalSchema, req.body);
    await signals.signal(garage, signal);
    res.status(202).json({ taken: signal.seq });
  });
  router.get('/', async (req, res) => {
    const garage = await garageOf(req.params);
    await stream(req, res, signals, garage, (write) => ({
      hear: (signal) => write(`data: ${JSON.stringify(signal)}\n\n`),
    }));
  });
  return router;
}
