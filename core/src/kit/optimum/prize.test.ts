import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { bruteForce, demanding, MOST, small } from '../../testing/smallKits.js';
import { runs } from '../../testing/thorough.js';
import { massOfMends } from './slots.js';
import type { KitProblem } from './kitProblem.js';
import { PrizeProblem } from './prize.js';

/** Every set of pieces, each mend by what earns most: the most that (saved − λ·grams) comes to. Nothing is demanded. */
function mostAt(
  problem: KitProblem,
  lambda: number,
  forced: { in: readonly number[]; out: readonly number[] },
): number {
  let most = -Infinity;
  for (let bits = 0; bits < 2 ** problem.pieces.length; bits++) {
    const has = (i: number) => (bits & (1 << i)) !== 0;
    if (!forced.in.every(has) || forced.out.some(has)) continue;
    const met = problem.requirements.map((r) => r.sets.some((s) => s.every(has)));
    let worth = problem.pieces.reduce((s, p, i) => s - (has(i) ? lambda * p.mass : 0), 0);
    for (const ask of problem.asks) {
      const ways = ask.ways.filter((w) => w.requires.every((r) => met[r]));
      const free = Math.max(0, ...ways.filter((w) => w.supplies.length === 0).map((w) => w.gain));
      worth += ask.rest * free;
      ask.tails.forEach((p, j) => {
        const grams = (w: (typeof ways)[number]) => massOfMends(ask, w, j + 1) - massOfMends(ask, w, j);
        worth += Math.max(0, ...ways.map((w) => p * w.gain - lambda * grams(w)));
      });
    }
    most = Math.max(most, worth);
  }
  return most;
}
const lambda = fc.oneof(
  fc.double({ min: 0.001, max: 0.02, noNaN: true }),
  fc.double({ min: 0.02, max: 0.2, noNaN: true }),
);
/** For each piece whether it is in, out, or as it comes. */
const fate = fc.array(fc.constantFrom('in', 'out', 'any', 'any'), { minLength: 6, maxLength: 6 });

describe('the best kit at a price of a gram', () => {
  test('is what trying every set finds, with pieces that must be in or out', () => {
    fc.assert(
      fc.property(small, lambda, fate, fc.integer({ min: 0, max: 3 }), (given, price, fates, fitted) => {
        const problem = {
          ...given,
          asks: given.asks.map((a) => ({ ...a, fitted: new Map([['patch', fitted]]) })),
        };
        const these = (f: string) => problem.pieces.map((_, i) => i).filter((i) => fates[i] === f);
        const forced = { in: these('in'), out: these('out') };
        const found = new PrizeProblem(problem).solve(price, forced);
        if (found === null || found === 'infeasible') throw new Error(String(found));
        const most = mostAt(problem, price, forced);
        expect(found.proven).toBe(true);
        // Prizes are whole thousandths of a gram.
        expect(Math.abs(found.bound - most)).toBeLessThan(0.02 * price);
        expect(found.bound).toBeGreaterThanOrEqual(most - 1e-9);
        expect(Math.abs(found.value - price * found.mass - most)).toBeLessThan(0.02 * price);
        for (const i of forced.in) expect(found.counts[i]).toBe(1);
        for (const i of forced.out) expect(found.counts[i]).toBe(0);
      }),
      { numRuns: 300, endOnFailure: true },
    );
  });
  test('bounds every kit that does what is demanded', () => {
    fc.assert(
      fc.property(demanding, lambda, (problem, price) => {
        const found = new PrizeProblem(problem).solve(price);
        const best = bruteForce(problem);
        if (found === 'infeasible') {
          expect(best.every((v) => v < 0)).toBe(true);
          return;
        }
        best.forEach((saved, grams) => {
          if (saved >= 0 && found!.bound < saved - price * grams - 1e-6) throw new Error(`${grams} g save ${saved} h`);
        });
        expect(found!.bound).toBeGreaterThanOrEqual(found!.value - price * found!.mass - 1e-6);
        if (found!.mass <= MOST) expect(best[Math.ceil(found!.mass)]!).toBeGreaterThanOrEqual(found!.value - 1e-9);
      }),
      runs(2000, 150),
    );
  });
  test('what must be in and is out as well cannot be', () => {
    fc.assert(
      fc.property(small, lambda, (given, price) => {
        const problem = { ...given, marked: [[[0]]] };
        expect(new PrizeProblem(problem).solve(price, { in: [], out: [0] })).toBe('infeasible');
        const found = new PrizeProblem(problem).solve(price);
        expect(found !== null && found !== 'infeasible' && found.counts[0]).toBe(1);
      }),
      { numRuns: 20 },
    );
  });
});
