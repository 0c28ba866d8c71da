import type { Occasion } from '../checkDone.js';
import type { ProveCase } from '../proveCase.js';
import type { CheckFact } from './facts.js';
import type { WalkPlace } from './walkPlace.js';

export { WALK, type WalkPlace } from './walkPlace.js';

/** Something to be looked at, made from what the bike, the kit and the trip are. */
export interface Check {
  /** Stays the same while it is about the same thing. */
  key: string;
  about: CheckFact;
  /** Hours of the trip that hang on it, and the troubles that these are of. */
  guards: number;
  troubles: string[];
  when: Occasion;
  /** Before leaving: so many days before the day of leaving at the latest. */
  daysBefore: number;
  /** After some km: every so many; null elsewhere. */
  everyKm: number | null;
  /** On a date: the day; null elsewhere. */
  date: string | null;
  /** Once done it is good for so many days, whatever the trip; null where every trip asks anew. */
  goodFor: number | null;
  where: WalkPlace;
  /** Whether it is about a thing of the kit: where it is overdue, what that thing is for counts as proven no more. */
  ofKit: boolean;
  own: boolean;
}

/** A check from what differs. */
export const check = (given: Pick<Check, 'key' | 'about' | 'when' | 'where'> & Partial<Check>): Check => ({
  guards: 0,
  troubles: [],
  daysBefore: 1,
  everyKm: null,
  date: null,
  goodFor: null,
  ofKit: false,
  own: false,
  ...given,
});

/** Hours at stake of some troubles on this trip, and which of them it can have. */
export function guarding(c: Pick<ProveCase, 'exposures'>, ids: readonly string[]): Pick<Check, 'guards' | 'troubles'> {
  const mine = c.exposures.filter((e) => ids.includes(e.trouble.id) && e.lambda > 0);
  return { guards: mine.reduce((s, e) => s + e.atStake, 0), troubles: mine.map((e) => e.trouble.id) };
}
