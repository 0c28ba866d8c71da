import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { answerFor, proveCaseOf, type Answer } from '../answer/index.js';
import type { GarageDocument } from '../garage/index.js';
import type { Drill } from '../repairs/index.js';
import type { ProveCase } from '../prove/index.js';
import { uuid } from './make.js';

/** Day of all tests of proof. */
export const TODAY = '2026-06-01';

/** The demo's first bike and trip with the kit worked out for them; nothing was practised yet. */
export async function demoCase(): Promise<{ doc: GarageDocument; answer: Answer; c: ProveCase }> {
  const doc = demoGarage();
  const question = { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id, today: TODAY };
  const answer = answerFor(doc, question, await loadSolver());
  return { doc, answer, c: proveCaseOf(doc, question, answer, TODAY) };
}

/** A drill of a case that is done, by the rider, today. */
export const doneDrill = (c: ProveCase, trouble: string, way: string, more: Partial<Drill> = {}): Drill => ({
  id: uuid(500),
  bikeId: c.bike.id,
  tripId: c.trip?.id ?? null,
  trouble,
  way,
  wheel: null,
  who: 'me',
  started: `${TODAY}T08:00:00.000Z`,
  ended: `${TODAY}T09:00:00.000Z`,
  state: 'done',
  real: false,
  dry: false,
  dark: false,
  planned: 50,
  step: 1,
  since: null,
  seconds: [3000],
  stuck: [],
  tools: [],
  turned: [],
  note: '',
  ...more,
});
