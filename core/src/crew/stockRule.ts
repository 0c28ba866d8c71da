import { at } from '../ground/numbers.js';
import { unitsTogether, type CountLaw } from '../trip/odds/index.js';
import type { Ask, KitProblem } from '../kit/optimum/kitProblem.js';
import { stocksFor, type StockDemand } from '../trip/odds/index.js';
import type { GroupDemand, Group } from './groups.js';

/** Units of a stock that anybody would carry at most. */
const MOST = 400;

/** A trouble's count on some of the legs. */
export function lawOn(ask: Ask, legs: readonly boolean[]): CountLaw {
  const share = ask.exposure.byLeg.reduce((s, x, i) => s + (legs[i] ? x : 0), 0);
  const all = ask.exposure.byLeg.length === 0 || share >= 1 - 1e-12;
  return all ? ask.law : { mean: ask.law.mean * share, shape: ask.law.shape };
}

/** One that draws on a stock: how often, and so many units each time. */
export interface Draw {
  law: CountLaw;
  units: number;
}

/**
 * Least units that suffice at a level for the compound demand of all that draw on the stock.
 * @param level chance that they suffice, 0 to 1
 * @example four draws of one unit with Λ = 0.6 each, at 0.95: 5
 */
export function leastUnits(draws: readonly Draw[], level: number): number {
  if (draws.length === 0) return 0;
  const expected = draws.reduce((s, d) => s + d.law.mean * d.units, 0);
  const upTo = Math.min(MOST, Math.ceil(expected * 2 + 30));
  let sum = 0;
  const pmf = unitsTogether(draws, upTo);
  for (let n = 0; n <= upTo; n++) {
    sum += pmf[n] ?? 0;
    if (sum >= level - 1e-12) return n;
  }
  return upTo;
}

/** The option that a trouble takes before anything is known of the rest: the best grade, of these the one that uses up least. */
function preferred(problem: KitProblem, d: GroupDemand): GroupDemand['options'][number] | undefined {
  const mass = (o: GroupDemand['options'][number]) =>
    o.supplies.reduce((s, x) => s + x.units * problem.book.of(x.kind).mass, 0);
  return [...d.options].sort((a, b) => mass(a) - mass(b))[0];
}

/**
 * The level that each stock must reach by itself, so that all of them together reach the trip's service level: shared out so that a gram buys most
 * where every trouble takes its usual way. A stock that none of these uses is asked for the whole level.
 */
export function levelsOf(problem: KitProblem, group: Group): (kind: string) => number {
  const known = LEVELS.get(group);
  if (known) return known;
  const made = levelsFor(problem, group);
  LEVELS.set(group, made);
  return made;
}
/** A group's levels follow from its demands alone, so that they are worked out once. */
const LEVELS = new WeakMap<Group, (kind: string) => number>();

function levelsFor(problem: KitProblem, group: Group): (kind: string) => number {
  const demands = new Map<string, StockDemand>();
  for (const d of group.demands) {
    const ask = at(problem.asks, d.ask);
    const law = lawOn(ask, group.legs);
    for (const { kind, units } of preferred(problem, d)?.supplies ?? []) {
      const known = demands.get(kind) ?? { kind, demands: [] };
      known.demands.push({ trouble: ask.exposure.trouble, lambda: law.mean, units, law });
      demands.set(kind, known);
    }
  }
  const { service } = problem.question;
  const levels = new Map(
    stocksFor([...demands.values()], service, problem.book).map((s) => [s.kind, Math.min(s.enough, 0.999)]),
  );
  return (kind) => levels.get(kind) ?? service;
}
