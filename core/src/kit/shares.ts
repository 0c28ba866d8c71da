import { at } from '../ground/numbers.js';
import { TOLERANCE } from './optimum/curve.js';
import type { KitProblem } from './optimum/kitProblem.js';
import type { LightestKit } from './optimum/lightest.js';

/**
 * The lightest kit over all shares of the units that sit on the bike, and how far from proven it is: one that meets the service level before one that
 * does not.
 * @param all the lightest kit of each share that was looked at
 * @param slackMass how much lighter a share that was not looked at could be at most, in the measure
 */
export function lightestOfShares<T extends Pick<LightestKit, 'served' | 'total' | 'gap' | 'proven'>>(
  all: readonly T[],
  slackMass: number,
): { best: T; proven: boolean; gap: number } {
  const best = all.reduce((a, b) =>
    (b.served && !a.served) || (b.served === a.served && b.total < a.total - 1e-9) ? b : a,
  );
  // No share of the fitted units is lighter than the lightest of each share, less what was not looked at.
  const floor = Math.min(...all.map((x) => x.total * (1 - x.gap))) - slackMass;
  const gap = best.total > 0 ? Math.max(0, (best.total - floor) / best.total) : 0;
  return { best, proven: all.every((x) => x.proven) && gap < 1e-9, gap };
}

/** A kit that saves: what it is worth, the same less the price of its grams, and what no kit of its share comes to more than. */
export interface Saving {
  proven: boolean;
  gap: number;
  value: number;
  net: number;
  bound: number;
}
/**
 * The kit that saves most over the price of its grams, over all shares, and how far from proven it is.
 * @param all the best kit of each share that was looked at
 * @param slack how much more a share that was not looked at could save at most, in the question’s value
 */
export function bestOfShares<T extends Saving>(
  all: readonly T[],
  slack: number,
): { best: T; proven: boolean; gap: number } {
  const best = all.reduce((a, b) => (b.net > a.net + 1e-9 ? b : a));
  const short = Math.max(...all.map((f) => f.bound)) + slack - best.net;
  const proven = short <= TOLERANCE && all.every((f) => f.proven);
  return { best, proven, gap: proven ? best.gap : Math.min(1, Math.max(0, short) / Math.max(1e-9, best.value)) };
}

/** What another share of the fitted units saves more at most: at each trouble that gets some of them, its mends with these. */
export function moreOfShare(problem: Pick<KitProblem, 'asks'>, other: Pick<KitProblem, 'asks'>): number {
  return other.asks.reduce((sum, o, a) => {
    let more = 0;
    for (const [kind, n] of o.fitted) {
      const extra = n - (at(problem.asks, a).fitted.get(kind) ?? 0);
      if (extra <= 0) continue;
      const uses = o.ways.flatMap((w) => w.supplies.filter((s) => s.kind === kind).map((s) => ({ w, n: s.units })));
      const units = Math.min(...uses.map((u) => u.n));
      const gain = Math.max(...uses.map((u) => u.w.gain));
      for (let j = 0; j * units < extra; j++) more += (o.tails[j] ?? 0) * gain;
    }
    return sum + more;
  }, 0);
}
