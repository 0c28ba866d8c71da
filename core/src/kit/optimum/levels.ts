import { at } from '../../ground/numbers.js';
import { doneWith, savedWith } from '../done.js';
import { frontier, TOLERANCE } from './curve.js';
import type { KitProblem } from './kitProblem.js';
import { stockedAt, type StockedMend } from './slots.js';
import { toolMassOf } from './tools.js';

/** One of the nested kits: what it carries, each containing the one before. */
export interface Level {
  /** Its limit, grams. */
  limit: number;
  counts: number[];
  stocked: StockedMend[];
  mass: number;
  value: number;
  /** The most that any kit of that limit saves, and so what containing the one before costs. */
  free: number;
  proven: boolean;
}

/** A problem in which what a smaller kit carries is there already: its pieces and stocks weigh nothing more. */
function grown(problem: KitProblem, level: Pick<Level, 'counts' | 'stocked'>): KitProblem {
  const base: number[][][] = [];
  level.counts.forEach((n, p) => {
    for (let c = 0; c < n; c++) base.push([[problem.items.item(p, c)]]);
  });
  const marked = [...new Map([...problem.marked, ...base].map((job) => [at(at(job, 0), 0), job])).values()];
  // Units that the smaller kit sets aside stay with the same trouble.
  const kept = new Map<number, Map<string, number>>();
  for (const { ask, way } of level.stocked)
    for (const { kind, units } of at(at(problem.asks, ask).ways, way).supplies) {
      const of = kept.get(ask) ?? new Map<string, number>();
      of.set(kind, (of.get(kind) ?? 0) + units);
      kept.set(ask, of);
    }
  return {
    ...problem,
    marked,
    asks: problem.asks.map((a, i) => {
      const mine = kept.get(i);
      if (!mine) return a;
      const fitted = new Map(a.fitted);
      for (const [kind, n] of mine) fitted.set(kind, (fitted.get(kind) ?? 0) + n);
      return { ...a, fitted };
    }),
  };
}

/** Units that mends use up, by trouble and kind. */
function unitsByAsk(problem: KitProblem, stocked: readonly StockedMend[]): Map<number, Map<string, number>> {
  const out = new Map<number, Map<string, number>>();
  for (const { ask, way } of stocked) {
    const of = out.get(ask) ?? new Map<string, number>();
    for (const { kind, units } of at(at(problem.asks, ask).ways, way).supplies)
      of.set(kind, (of.get(kind) ?? 0) + units);
    out.set(ask, of);
  }
  return out;
}
/** Grams of the units set aside, beyond what sits on the bikes. */
function stockMass(problem: KitProblem, stocked: readonly StockedMend[]): number {
  let mass = 0;
  for (const [ask, kinds] of unitsByAsk(problem, stocked))
    for (const [kind, n] of kinds)
      mass += Math.max(0, n - (at(problem.asks, ask).fitted.get(kind) ?? 0)) * problem.book.of(kind).mass;
  return mass;
}

/**
 * Mends of a kit that holds what a smaller one holds: those that the greater one does, and of the smaller one's as many as leave no unit of it behind.
 * @param now the problem in which what the smaller kit carries is there already
 * @param fresh what is stocked beside that
 */
function stockedOver(
  now: KitProblem,
  before: readonly StockedMend[],
  set: { counts: readonly number[]; available: boolean[][] },
  fresh: readonly StockedMend[],
): StockedMend[] {
  const { done } = doneWith(now, { counts: set.counts, stocked: fresh }, set.available);
  const mine = now.asks.map((ask, a) => {
    const ways = at(done, a).by.filter((way) => way >= 0 && at(ask.ways, way).supplies.length > 0);
    // What is demanded is carried also where something else does the first mend.
    for (const f of fresh) if (f.ask === a && !ways.includes(f.way)) ways.push(f.way);
    return ways;
  });
  const listed = () => mine.flatMap((ways, ask) => ways.map((way, mend): StockedMend => ({ ask, mend, way })));
  const wanted = unitsByAsk(now, before);
  for (const { ask, way } of before) {
    const has = unitsByAsk(now, listed()).get(ask);
    const of = at(at(now.asks, ask).ways, way).supplies;
    if (of.some(({ kind }) => (has?.get(kind) ?? 0) < (wanted.get(ask)?.get(kind) ?? 0))) at(mine, ask).push(way);
  }
  return listed();
}

/** Whether what a smaller kit is stocked with is counted as well as it can be: one way a trouble, and none that it could stand behind. */
function plainlyNested(problem: KitProblem, before: readonly StockedMend[], available: boolean[][]): boolean {
  return problem.asks.every((ask, a) => {
    const [way, ...others] = new Set(before.filter((s) => s.ask === a).map((s) => s.way));
    if (way === undefined) return true;
    const better = ask.ways.some(
      (w, k) => k !== way && at(available, a)[k] && w.supplies.length > 0 && w.gain > at(ask.ways, way).gain,
    );
    return others.length === 0 && !better;
  });
}

/**
 * Kits of rising limits, each the best that contains the one before: the everyday pocketful is part of the day's kit, and so on.
 * @param limits grams, rising
 * @param solves exact problems solved for each at most
 */
export function levels(problem: KitProblem, limits: readonly number[], solves = 60): Level[] {
  const out: Level[] = [];
  let before: { counts: number[]; stocked: StockedMend[]; stock: number } | null = null;
  for (const limit of limits) {
    const now: KitProblem = before ? grown(problem, before) : problem;
    // Stocks that are there already leave that much less for the rest.
    const room = Math.max(0, Math.floor(limit - (before?.stock ?? 0)));
    const curve = frontier(now, { most: room, from: room, solves });
    const set = curve.sets[at(curve.by, room)] ?? at(curve.sets, 0);
    const fresh = at(stockedAt(set.slots, [Math.max(0, Math.floor(room - set.mass + 1e-9))]), 0);
    const tools = toolMassOf(problem, set.counts);
    let stocked: StockedMend[] = before ? stockedOver(now, before.stocked, set, fresh) : fresh;
    // Where a unit cannot serve two of its ways at once, what was there before stays as it is.
    if (before && tools + stockMass(problem, stocked) > limit + 1e-9) stocked = before.stocked;
    const stock: number = stockMass(problem, stocked);
    const { value } = savedWith(problem, { counts: set.counts, stocked });
    const free = before ? frontier(problem, { most: limit, from: limit, solves }) : curve;
    const best = at(free.best, limit);
    const sure = before === null || value >= best - TOLERANCE || plainlyNested(now, before.stocked, set.available);
    out.push({
      limit,
      counts: set.counts,
      stocked,
      mass: tools + stock,
      value,
      free: Math.max(best, value),
      proven: curve.proven && free.proven && sure,
    });
    before = { counts: set.counts, stocked, stock };
  }
  return out;
}
