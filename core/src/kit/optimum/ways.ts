import { HANDS, type Practice } from '../../toolbox/practice.js';
import { WAY_SWITCHES, type WaySwitch } from '../../toolbox/waySwitches.js';
import type { Bike } from '../../bike/index.js';
import {
  GRADE_WORTH,
  hasTraits,
  needsOf,
  savedByWay,
  type Away,
  type Trouble,
  type Way,
  type WayNeeds,
} from '../../repairs/index.js';
import { chainToolTooSmall } from '../../repairs/supplies/index.js';
import type { LackFact } from '../lacks.js';
import type { KitQuestion, Trip } from '../../trip/index.js';

/** A way as the rider's practice has it, or why it does not count. */
export interface PractisedWay {
  way: Way;
  needs: WayNeeds;
  /** Why it does not count on this bike and trip; null when it does. */
  barred: LackFact | null;
}

const SWITCHED = Object.entries(WAY_SWITCHES) as [keyof typeof WAY_SWITCHES, WaySwitch][];

/** A way's needs as the switches of practice change them. */
export function practisedNeeds(needs: WayNeeds, practice: Practice): WayNeeds {
  const functions: WayNeeds['functions'] = [];
  const units = new Map<string, number>();
  const use = (supplies: readonly WayNeeds['supplies'][number][]) => {
    for (const s of supplies) units.set(s.kind, (units.get(s.kind) ?? 0) + s.units);
  };
  use(needs.supplies);
  for (const asked of needs.functions) {
    const instead = first(SWITCHED, ([of, { changes }]) => changes(asked, practice[of]));
    functions.push(instead ? { does: instead.does, count: instead.count } : asked);
    use(instead?.uses ?? []);
  }
  return { heads: needs.heads, functions, supplies: [...units].map(([kind, n]) => ({ kind, units: n })) };
}
/** What is had of the first that has it. */
function first<T, R>(all: readonly T[], of: (one: T) => R | null): R | null {
  for (const one of all) {
    const had = of(one);
    if (had !== null) return had;
  }
  return null;
}

/** The ways of a trouble on a bike and trip, each with its needs under the rider's practice, or why it does not count. */
export function practisedWays(
  trouble: Trouble,
  bike: Bike,
  trip: Trip | undefined,
  practice: Practice,
): PractisedWay[] {
  const tooSmall = chainToolTooSmall(bike);
  const crosses = trip?.legs.some((l) => l.crossings > 0) ?? false;
  return trouble.ways
    .filter((w) => hasTraits(w.only, bike))
    .map((way) => {
      const needs = practisedNeeds(needsOf(way, bike), practice);
      const barred = (): LackFact | null => {
        if (way.when.includes('company') && (trip?.companions ?? 0) === 0) return { code: 'lack.nobody-along' };
        if (way.when.includes('pushes') && !bike.pushStarts) return { code: 'lack.no-push-start' };
        if (practice.skill === 'able' && way.skill > HANDS.indexOf(practice.hand) + 1)
          return { code: 'lack.nobody-knows' };
        if (tooSmall && needs.functions.some((f) => f.does === 'open chain')) return tooSmall;
        const judged = { ...needs, heads: needs.heads.length, stops: trouble.stops, bike, crosses };
        const by = SWITCHED.find(([of, { bars }]) => bars(judged, practice[of]));
        return by ? { code: 'lack.preference', of: by[0], position: practice[by[0]] } : null;
      };
      return { way, needs, barred: barred() };
    });
}

/**
 * What one mend saves: hours, or in money so many hours' worth and the fetch spared as often as the mend holds.
 * @param without hours stranded without a repair
 */
export function gainOf(
  way: Way,
  trouble: Trouble,
  without: number,
  away: Away,
  question: Pick<KitQuestion, 'value' | 'hourEuros' | 'fetchEuros'>,
): number {
  const hours = savedByWay(way, without, away);
  if (question.value === 'hours') return hours;
  const fetched = trouble.stops && hours > 0 ? question.fetchEuros * GRADE_WORTH[way.grade] * way.holds : 0;
  return hours * question.hourEuros + fetched;
}
