import { at } from '../../ground/numbers.js';
import { frontier } from './curve.js';
import type { KitProblem } from './kitProblem.js';
import { massOfMends, stockedAt, type StockedMend } from './slots.js';

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

/** Grams of the units set aside, beyond what sits on the bikes. */
function stockMass(problem: KitProblem, stocked: readonly StockedMend[]): number {
  const mends = new Map<string, { ask: number; way: number; n: number }>();
  for (const { ask, way } of stocked) {
    const key = `${ask} ${way}`;
    const known = mends.get(key);
    if (known) known.n++;
    else mends.set(key, { ask, way, n: 1 });
  }
  let mass = 0;
  for (const { ask, way, n } of mends.values())
    mass += massOfMends(at(problem.asks, ask), at(at(problem.asks, ask).ways, way), n);
  return mass;
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
    // A better way for a mend that is stocked already stands beside the old one's units.
    const stocked: StockedMend[] = [...(before?.stocked ?? []), ...fresh];
    // Weighed all together: a second mend of one way needs its own units beside those of the first.
    const stock: number = stockMass(problem, stocked);
    const free = before ? frontier(problem, { most: limit, from: limit, solves }) : curve;
    out.push({
      limit,
      counts: set.counts,
      stocked,
      mass: set.mass + stock,
      value: at(curve.best, room),
      free: at(free.best, limit),
      proven: curve.proven && free.proven,
    });
    before = { counts: set.counts, stocked, stock };
  }
  return out;
}
