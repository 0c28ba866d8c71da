import { Router } from 'express';
import type { Store } from '../db/store.js';
import { newsSince } from '../repositories/edits.js';
import type { Signals } from '../signals.js';
import { stream } from './stream.js';
import { garageId } from './validate.js';

/** The edition that a garage has reached, as it grows: whoever hears a greater one than it knows asks for the news. */
export function events(store: Store, signals: Signals): Router {
  const router = Router({ mergeParams: true });
  router.get('/', async (req, res) => {
    const garage = garageId((req.params as { garage?: string }).garage);
    const editionNow = async () => (await newsSince(store, garage, Number.MAX_SAFE_INTEGER)).edition;
    await editionNow();
    const told = (write: (text: string) => void) => ({
      reached: (edition: number) => write(`data: ${edition}\n\n`),
    });
    // What was written before the stream was open is told first.
    if (await stream(req, res, signals, garage, told)) res.write(`data: ${await editionNow()}\n\n`);
  });
  return router;
}
