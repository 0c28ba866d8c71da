import { Router, text } from 'express';
import { at, MOST_BYTES, writeGarageFile } from '@necessaire/core';
import { Refusal, refuse } from '../refusal.js';
import type { Store } from '../db/store.js';
import type { FileReader } from '../reader/reader.js';
import { findGarage, readDocument } from '../repositories/garages.js';
import { insertDocument } from '../repositories/rows.js';
import { garageId } from './validate.js';

/** A whole garage as its open file: out, and in as a new garage. An import changes nothing unless all of it holds. */
export function file(store: Store, reader: FileReader): Router {
  const { db } = store;
  const router = Router({ mergeParams: true });
  const textOf = async (id: string) => writeGarageFile((await readDocument(store, await findGarage(db, id))).document);
  router.get('/', async (req, res) => {
    const id = garageId((req.params as { garage?: string }).garage);
    const content = await textOf(id);
    res
      .type('application/json')
      .set('Content-Disposition', 'attachment; filename="garage.necessaire.json"')
      .send(content);
  });
  router.put('/', text({ type: () => true, limit: MOST_BYTES }), async (req, res) => {
    const id = garageId((req.params as { garage?: string }).garage);
    const read = await reader.read(typeof req.body === 'string' ? req.body : '');
    if (!read.ok) throw new Refusal(422, at(read.faults, 0), { faults: read.faults });
    const taken = await db('garages').where({ id }).first<{ id: string } | undefined>('id');
    if (taken) {
      // The same file sent twice, because an answer was lost, is no fault.
      const same = (await textOf(id)) === writeGarageFile(read.document);
      if (!same) throw refuse(409, 'exists', 'garage', 'this id belongs to another garage: import into a new one');
    } else {
      try {
        await insertDocument(db, id, read.document);
      } catch (error) {
        // The same import came twice at once: the first one is there now.
        if ((error as { code?: string }).code !== '23505') throw error;
        if ((await textOf(id)) !== writeGarageFile(read.document))
          throw refuse(409, 'exists', 'garage', 'this id belongs to another garage: import into a new one');
      }
    }
    res.status(taken ? 200 : 201).json({ id });
  });
  return router;
}
