import { at } from '../../ground/numbers.js';
/** What one trouble's mends cost, so many at a time: −ln P(N ≤ k) is what k mends leave of the service. */
export interface Ladder {
  /** Least mends that count, usually one. */
  from: number;
  /** Cost of k mends, whole numbers, rising; and −ln P(N ≤ k). Index 0 is `from` mends. */
  costs: readonly number[];
  left: readonly number[];
}

/**
 * How many mends of each trouble to carry, so that all suffice together at least cost: Σ −ln P(N ≤ k) ≤ −ln q. Exact: a knapsack with one
 * choice a trouble, by cost.
 * @param room −ln of the service level
 * @returns mends of each, or null when even the most do not suffice; then the most are the nearest
 */
export function leastMends(ladders: readonly Ladder[], room: number): { mends: number[]; cost: number } | null {
  const pick = greedy(ladders, room);
  if (!pick) return null;
  const costOf = (step: readonly number[]) => step.reduce((s, k, i) => s + at(at(ladders, i).costs, k), 0);
  const least = ladders.reduce((s, l) => s + at(l.costs, 0), 0);
  const unit = ladders.reduce((g, l) => l.costs.reduce((x, c) => gcd(x, c - at(l.costs, 0)), g), 0);
  const top = costOf(pick) - least;
  if (top === 0 || unit === 0) return { mends: pick.map((k, i) => k + at(ladders, i).from), cost: costOf(pick) };
  // best[c]: the least that is left when c units of cost beyond the least are spent.
  const size = Math.floor(top / unit);
  let best = new Float64Array(size + 1).fill(ladders.reduce((s, l) => s + at(l.left, 0), 0));
  const choice = ladders.map(({ costs, left }) => {
    const next = best.slice();
    const taken = new Uint8Array(size + 1);
    for (let k = 1; k < costs.length; k++) {
      const step = (at(costs, k) - at(costs, 0)) / unit;
      const gain = at(left, 0) - at(left, k);
      for (let c = step; c <= size; c++) {
        const d = at(best, c - step) - gain;
        if (d < at(next, c) - 1e-15) {
          next[c] = d;
          taken[c] = k;
        }
      }
    }
    best = next;
    return taken;
  });
  let step = best.findIndex((left) => left <= room + 1e-12);
  if (step < 0) step = size;
  const cost = least + step * unit;
  const mends = ladders.map((l) => l.from);
  for (let i = ladders.length - 1; i >= 0; i--) {
    const k = at(at(choice, i), step);
    mends[i] = at(ladders, i).from + k;
    step -= (at(at(ladders, i).costs, k) - at(at(ladders, i).costs, 0)) / unit;
  }
  return { mends, cost };
}
const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** A selection that suffices, one step after the other where a unit of cost buys the most. */
function greedy(ladders: readonly Ladder[], room: number): number[] | null {
  const step = ladders.map(() => 0);
  const left = () => step.reduce((s, k, i) => s + at(at(ladders, i).left, k), 0);
  while (left() > room + 1e-12) {
    let best = -1;
    let to = 0;
    let worth = 0;
    ladders.forEach((l, i) => {
      for (let k = at(step, i) + 1; k < l.costs.length; k++) {
        const gain = at(l.left, at(step, i)) - at(l.left, k);
        const w = gain / Math.max(1e-9, at(l.costs, k) - at(l.costs, at(step, i)));
        if (gain > 0 && w > worth) {
          worth = w;
          best = i;
          to = k;
        }
      }
    });
    if (best < 0) return null;
    step[best] = to;
  }
  return step;
}

/**
 * The price of what is left, per unit, at which the cheapest steps just suffice: a multiplier for bounds, any value of it is valid.
 * @param room what may be left, −ln of the level
 */
export function priceOfService(ladders: readonly Ladder[], room: number): number {
  const leftAt = (theta: number) =>
    ladders.reduce((s, l) => {
      let best = Infinity;
      let left = 0;
      for (let k = 0; k < l.costs.length; k++) {
        const c = at(l.costs, k) + theta * at(l.left, k);
        if (c < best) {
          best = c;
          left = at(l.left, k);
        }
      }
      return s + left;
    }, 0);
  let [low, high] = [0, 1e9];
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (leftAt(mid) <= room) high = mid;
    else low = mid;
  }
  return high;
}
