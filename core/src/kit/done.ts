import { at } from '../ground/numbers.js';
import { gradeMeets } from '../repairs/index.js';
import { countCdf } from '../trip/odds/index.js';
import type { Ask, AskWay, KitProblem } from './optimum/kitProblem.js';
import { slotsOfAsk, type StockedMend } from './optimum/slots.js';
import { availableWays } from './optimum/tools.js';

/** What a kit is: copies of each piece of the problem, and the mends that it is stocked for. */
export interface Contents {
  counts: readonly number[];
  stocked: readonly StockedMend[];
}

/** Mends by ask as a kit does them: for each mend its way, and the way for all beyond. */
export interface Done {
  /** Way of each mend looked at, −1 for none. */
  by: number[];
  /** Way of those beyond, −1 for none. */
  beyond: number;
}

/**
 * How a kit does one ask: what it is stocked for where that is better than what weighs nothing, the best first, since an earlier mend is asked for
 * oftener.
 * @param a number of the ask
 * @param available by way: whether the tools for it are there
 */
export function doneOfAsk(ask: Ask, a: number, available: readonly boolean[], stocked: readonly StockedMend[]): Done {
  const endless = bestOf(
    ask,
    ask.ways.map((w, k) => at(available, k) && w.supplies.length === 0),
  );
  if (ask.fitted.size === 0) {
    const gain = (way: number) => (way < 0 ? 0 : at(ask.ways, way).gain);
    const by = stocked
      .map((s) => s.way)
      .filter((way) => at(available, way) && gain(way) > gain(endless))
      .sort((x, y) => gain(y) - gain(x));
    // More mends than are looked at one by one still count as covered.
    while (by.length < ask.tails.length) by.push(endless);
    return { by, beyond: endless };
  }
  const by = ask.tails.map(() => endless);
  // What sits beside the live part weighs nothing either: it is there for so many first mends.
  for (const s of slotsOfAsk(ask, a, available).slots) if (s.baseWay >= 0 && s.baseMass === 0) by[s.mend] = s.baseWay;
  for (const { mend, way } of stocked) {
    if (!available[way]) continue;
    while (by.length <= mend) by.push(endless);
    const now = at(by, mend);
    if (now < 0 || at(ask.ways, way).gain > at(ask.ways, now).gain) by[mend] = way;
  }
  return { by, beyond: endless };
}

/** How a kit does each ask. */
export function doneWith(
  problem: KitProblem,
  contents: Contents,
  known: boolean[][] | null = null,
): { available: boolean[][]; done: Done[] } {
  const available = known ?? availableWays(problem, contents.counts);
  const stocked = byAsk(problem, contents.stocked);
  return { available, done: problem.asks.map((ask, a) => doneOfAsk(ask, a, at(available, a), at(stocked, a))) };
}
/** Stocked mends by ask. */
export function byAsk(problem: KitProblem, stocked: readonly StockedMend[]): StockedMend[][] {
  const out: StockedMend[][] = problem.asks.map(() => []);
  for (const s of stocked) at(out, s.ask).push(s);
  return out;
}
/**
 * The way of an ask that saves most among those allowed.
 * @param allowed by way
 * @returns number of the way, from 0; −1 where none saves anything
 */
export function bestOf(ask: Ask, allowed: readonly boolean[]): number {
  let best = -1;
  ask.ways.forEach((w, k) => {
    if (allowed[k] && w.gain > 0 && (best < 0 || w.gain > at(ask.ways, best).gain)) best = k;
  });
  return best;
}

/**
 * What an ask saves, in a measure of its ways.
 * @param of what one way saves, in hours or in the question’s own measure
 */
export function savedBy(ask: Ask, { by, beyond }: Done, of: (w: AskWay) => number): number {
  const each = ask.tails.reduce((s, p, j) => s + (at(by, j) >= 0 ? p * of(at(ask.ways, at(by, j))) : 0), 0);
  return each + (beyond >= 0 ? ask.rest * of(at(ask.ways, beyond)) : 0);
}

/** Hours, and the question's value, that a kit saves over all asks. */
export function savedWith(problem: KitProblem, contents: Contents): { hours: number; value: number } {
  const { done } = doneWith(problem, contents);
  let [hours, value] = [0, 0];
  problem.asks.forEach((a, i) => {
    hours += savedBy(a, at(done, i), (w) => w.hours);
    value += savedBy(a, at(done, i), (w) => w.gain);
  });
  return { hours, value };
}

/** Whether a way gets a rider home by own means: as good as ride-out, and it holds at least sometimes. Calling for help does not. */
export const reachesHome = (w: Pick<AskWay, 'grade' | 'way'>): boolean =>
  gradeMeets(w.grade, 'ride-out') && w.way.holds > 0;

/** Mends that are done with what sits beside the live part, besides those stocked for. */
export function fittedMends(
  problem: KitProblem,
  done: readonly Done[],
  stocked: readonly StockedMend[],
): StockedMend[] {
  const known = new Set(stocked.map((s) => `${s.ask} ${s.mend}`));
  return problem.asks.flatMap((ask, a) =>
    ask.fitted.size === 0
      ? []
      : at(done, a).by.flatMap((way, mend) =>
          way >= 0 && at(ask.ways, way).supplies.length > 0 && !known.has(`${a} ${mend}`)
            ? [{ ask: a, mend, way }]
            : [],
        ),
  );
}

/** Mends at ride-out or better in a row from the first; Infinity when nothing is used up. */
export function homeMends(ask: Ask, { by, beyond }: Done): number {
  const good = (w: number) => w >= 0 && reachesHome(at(ask.ways, w));
  const first = by.findIndex((w) => !good(w));
  if (first >= 0) return first;
  return good(beyond) ? Infinity : by.length;
}

/** Chance of getting home by own means with a kit. */
export function homeWith(problem: KitProblem, contents: Contents): number {
  const { done } = doneWith(problem, contents);
  return problem.asks.reduce((p, a, i) => {
    if (!a.exposure.trouble.stops) return p;
    const mends = homeMends(a, at(done, i));
    return mends === Infinity ? p : p * countCdf(mends, a.law);
  }, 1);
}

/**
 * Mends that given supplies allow: set aside one by one where the next mend saves the most, then bettered as long as giving one mend of a way up
 * lets the others save more. Whoever rides may still share them better.
 * @param counts copies by piece
 * @param supplies units by kind
 */
export function stockedBy(
  problem: KitProblem,
  counts: readonly number[],
  supplies: ReadonlyMap<string, number>,
): StockedMend[] {
  const available = availableWays(problem, counts);
  const given = new Set<string>();
  let best = setAside(problem, available, supplies, given);
  for (let better = true; better;) {
    better = false;
    for (const m of best.mends) {
      const without = new Set([...given, keyOfMend(m)]);
      const tried = setAside(problem, available, supplies, without);
      if (tried.worth <= best.worth + 1e-9) continue;
      given.add(keyOfMend(m));
      best = tried;
      better = true;
      break;
    }
  }
  return best.mends;
}
const keyOfMend = ({ ask, mend, way }: StockedMend) => `${ask} ${mend} ${way}`;

/** The greedy round of `stockedBy`, with some mends of some ways given up. */
function setAside(
  problem: KitProblem,
  available: readonly (readonly boolean[])[],
  supplies: ReadonlyMap<string, number>,
  given: ReadonlySet<string>,
): { mends: StockedMend[]; worth: number } {
  const left = new Map(supplies);
  // What sits beside a live part is used before what is packed: it is that trouble's alone.
  const beside = problem.asks.map((a) => new Map(a.fitted));
  const taken = problem.asks.map(() => 0);
  const mends: StockedMend[] = [];
  let worthAll = 0;
  for (;;) {
    let best: { mend: StockedMend; worth: number } | null = null;
    problem.asks.forEach((a, ask) => {
      const mend = at(taken, ask);
      const p = a.tails[mend];
      if (p === undefined) return;
      const endless = bestOf(
        a,
        a.ways.map((w, k) => at(at(available, ask), k) && w.supplies.length === 0),
      );
      a.ways.forEach((w, way) => {
        if (!at(available, ask)[way] || w.supplies.length === 0 || given.has(keyOfMend({ ask, mend, way }))) return;
        const there = (kind: string) => (left.get(kind) ?? 0) + (at(beside, ask).get(kind) ?? 0);
        if (w.supplies.some((s) => there(s.kind) < s.units)) return;
        const worth = p * (w.gain - (endless >= 0 ? at(a.ways, endless).gain : 0));
        if (worth > 1e-12 && (!best || worth > best.worth)) best = { mend: { ask, mend, way }, worth };
      });
    });
    const b = best as { mend: StockedMend; worth: number } | null;
    if (!b) return { mends, worth: worthAll };
    for (const { kind, units } of at(at(problem.asks, b.mend.ask).ways, b.mend.way).supplies) {
      const fitted = at(beside, b.mend.ask).get(kind) ?? 0;
      at(beside, b.mend.ask).set(kind, Math.max(0, fitted - units));
      left.set(kind, (left.get(kind) ?? 0) - Math.max(0, units - fitted));
    }
    taken[b.mend.ask] = at(taken, b.mend.ask) + 1;
    worthAll += b.worth;
    mends.push(b.mend);
  }
}
