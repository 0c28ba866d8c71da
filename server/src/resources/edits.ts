import type { RequestHandler } from 'express';
import { MOST_CHANGES, requestSchema, type EditOutcome, type News, type Reply } from '@necessaire/core';
import type { Store } from '../db/store.js';
import { refuse } from '../refusal.js';
import { newsSince, receiveEdit } from '../repositories/edits.js';
import type { Written } from '../repositories/writes.js';
import { findGarage } from '../repositories/garages.js';
import type { Signals } from '../signals.js';
import { garageId, parse } from './validate.js';

/** The exchange of docs/sync.md: edits in, what became of each out, and the news since the edition that the page knows. */
export const edits =
  (store: Store, signals: Signals): RequestHandler =>
  async (req, res) => {
    const garage = garageId(req.params['garage']);
    const { since, edits: list } = parse(requestSchema, req.body);
    if (list.reduce((n, e) => n + e.changes.length, 0) > MOST_CHANGES)
      throw refuse(422, 'too-many', 'edits', `send at most ${MOST_CHANGES} changes at a time`);
    const outcomes: EditOutcome[] = [];
    const written: Written[] = [];
    for (const edit of list) {
      const done = await receiveEdit(store, garage, edit);
      outcomes.push(done.outcome);
      if (done.written) {
        written.push(done.written);
        signals.reached(garage, done.written.edition);
      }
    }
    const reply: Reply = { outcomes, ...(await newsFor(store, garage, since, list.length > 0, written)) };
    // Never asked for again, so no tag is worked out for it.
    res.setHeader('Content-Type', 'application/json; charset=utf-8');
    res.end(JSON.stringify(reply));
  };

/** Where nobody else wrote in between, what was just written is all the news there is. */
async function newsFor(
  store: Store,
  garage: string,
  since: number | null,
  sent: boolean,
  written: readonly Written[],
): Promise<{ edition: number; news: News[] }> {
  const last = written.at(-1);
  if (since === null) {
    if (!sent) await findGarage(store.db, garage);
    return { edition: last?.edition ?? 0, news: [] };
  }
  if (last && written.every((w, i) => w.edition === since + 1 + i))
    return { edition: last.edition, news: written.flatMap((w) => w.rows) };
  return newsSince(store, garage, since);
}
