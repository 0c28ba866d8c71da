import { Router } from 'express';
import type { Knex } from 'knex';
import { signalSchema } from '@necessaire/core';
import { findGarage } from '../repositories/garages.js';
import { Signals } from '../signals.js';
import { garageId, parse } from './validate.js';

/** A comment now and then keeps what stands between from closing a quiet stream. */
const QUIET_MS = 15_000;

/** Instruments of a garage: a calliper or scale posts its lines, pages hear them as server-sent events. Nothing is stored. */
export function instruments(db: Knex, signals: Signals): Router {
  const router = Router({ mergeParams: true });
  const garageOf = async (params: unknown) =>
    (await findGarage(db, garageId((params as { garage?: string }).garage))).id;
  router.post('/', async (req, res) => {
    const garage = await garageOf(req.params);
    const signal = parse(signalSchema, req.body);
    await db.raw('select pg_notify(?, ?)', Signals.payload(garage, signal));
    res.status(202).json({ taken: signal.seq });
  });
  router.get('/', async (req, res) => {
    const garage = await garageOf(req.params);
    const stop = await signals.listen(garage, {
      hear: (signal) => res.write(`data: ${JSON.stringify(signal)}\n\n`),
      end: () => res.end(),
    });
    const quiet = setInterval(() => res.write(': quiet\n\n'), QUIET_MS);
    res.on('close', () => {
      clearInterval(quiet);
      stop();
    });
    res.set({ 'Content-Type': 'text/event-stream', 'X-Accel-Buffering': 'no' });
    res.flushHeaders();
    res.write('retry: 1000\n\n');
  });
  return router;
}
