import { long } from '../../testing/long.js';
import type { Solve } from '../../ground/milp.js';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import fc from 'fast-check';
import { kitCase, savedWith } from '../index.js';
import { countCdf, poisson } from '../../trip/odds/index.js';
import { smallGarage } from '../../testing/smallGarage.js';
import { runs } from '../../testing/thorough.js';
import { bruteForce, MOST, small } from '../../testing/smallKits.js';
import { supplyKind } from '../../repairs/supplies/index.js';
import { frontier, TOLERANCE } from './curve.js';
import { levels } from './levels.js';
import { mostUnder, type Most } from './kitMilp.js';
import type { Ask } from './kitProblem.js';
import { leastMends, priceOfService } from './service.js';
import { massOfMends, stockedAt } from './slots.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

describe('the frontier', () => {
  long('is, for every limit, what trying everything gives; it rises, and its bound holds', () => {
    fc.assert(
      fc.property(small, (problem) => {
        const curve = frontier(problem, { most: MOST });
        const best = bruteForce(problem);
        expect(curve.proven).toBe(true);
        const right = (m: number) =>
          Math.abs(curve.best[m]! - best[m]!) <= TOLERANCE &&
          curve.bound[m]! >= best[m]! - 1e-9 &&
          (m === 0 || curve.best[m]! >= curve.best[m - 1]! - 1e-12);
        expect(Array.from({ length: MOST + 1 }, (_, m) => m).filter((m) => !right(m))).toEqual([]);
      }),
      runs(64, 16),
    );
  });
  test('cut short, its band still holds the truth', () => {
    fc.assert(
      fc.property(small, fc.integer({ min: 1, max: 8 }), (problem, solves) => {
        const curve = frontier(problem, { most: MOST, solves });
        const best = bruteForce(problem);
        for (let m = 0; m <= MOST; m += 13) {
          expect(curve.best[m]!).toBeLessThanOrEqual(best[m]! + 1e-9);
          expect(curve.bound[m]!).toBeGreaterThanOrEqual(best[m]! - 1e-9);
        }
      }),
      runs(100, 25),
    );
  });
  test('what it says that a kit saves is what the kit saves, looked at by itself; and it weighs no more', () => {
    fc.assert(
      fc.property(small, fc.integer({ min: 0, max: MOST }), (problem, limit) => {
        const curve = frontier(problem, { most: MOST });
        const set = curve.sets[curve.by[limit]!]!;
        const stocked = stockedAt(set.slots, [Math.floor(limit - set.mass)])[0]!;
        const mass = set.mass + stocked.reduce((s, x) => s + problem.asks[x.ask]!.ways[x.way]!.mass, 0);
        expect(mass).toBeLessThanOrEqual(limit + 1e-9);
        expect(savedWith(problem, { counts: set.counts, stocked }).value).toBeCloseTo(curve.best[limit]!, 9);
      }),
      runs(64, 16),
    );
  });
  test('agrees with the general solver on the whole programme', () => {
    fc.assert(
      fc.property(small, fc.integer({ min: 0, max: MOST }), (problem, mass) => {
        const given = { ...problem, question: { ...problem.question, mass } };
        const found = mostUnder(given, solve) as Most;
        expect(found.proven).toBe(true);
        expect(found.value).toBeCloseTo(frontier(problem, { most: MOST }).best[mass]!, 2);
      }),
      runs(100, 25),
    );
  });
  test('nested kits: each holds the one before, none beats the free one of its limit, the first is free', () => {
    fc.assert(
      fc.property(small, (problem) => {
        const all = levels(problem, [80, 250, 500, 900]);
        const units = (l: (typeof all)[number]) => {
          const n = new Map<string, number>();
          for (const s of l.stocked)
            for (const u of problem.asks[s.ask]!.ways[s.way]!.supplies) n.set(u.kind, (n.get(u.kind) ?? 0) + u.units);
          return n;
        };
        const best = bruteForce(problem);
        all.forEach((l, i) => {
          expect(l.mass).toBeLessThanOrEqual(l.limit + 1e-9);
          // Weighed again from the units themselves: pieces, and per trouble and kind what all its mends use.
          const pieces = l.counts.reduce((sum, n, p) => sum + n * problem.pieces[p]!.mass, 0);
          const stocks = [...units(l)].reduce((sum, [kind, n]) => sum + n * supplyKind(kind).mass, 0);
          expect(l.mass).toBeCloseTo(pieces + stocks, 6);
          expect(l.value).toBeLessThanOrEqual(best[l.limit]! + 1e-9);
          expect(Math.abs(l.free - best[l.limit]!)).toBeLessThanOrEqual(TOLERANCE);
          // What it is said to save is what its contents save, never less than those of the smaller one.
          expect(savedWith(problem, l).value).toBeCloseTo(l.value, 9);
          expect(l.value).toBeGreaterThanOrEqual((all[i - 1]?.value ?? 0) - 1e-9);
          if (i === 0) return expect(l.value).toBeCloseTo(l.free, 9);
          l.counts.forEach((c, p) => expect(c).toBeGreaterThanOrEqual(all[i - 1]!.counts[p]!));
          for (const [kind, n] of units(all[i - 1]!)) expect(units(l).get(kind)).toBeGreaterThanOrEqual(n);
        });
      }),
      runs(100, 25),
    );
  });
});

describe('the demo', () => {
  long('the frontier meets the general solver under one limit; the general solver is never above its bound', () => {
    const doc = smallGarage(demoGarage());
    const { problem } = kitCase(doc, { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id });
    const mass = 650;
    const curve = frontier(problem, { most: mass, from: mass, solves: 600 });
    const found = mostUnder({ ...problem, question: { ...problem.question, mass } }, solve) as Most;
    expect([curve.proven, found.proven]).toEqual([true, true]);
    expect(found.value).toBeLessThanOrEqual(curve.bound[mass]! + 2e-3);
    expect(curve.best[mass]!).toBeCloseTo(found.value, 2);
    expect(curve.best[mass]!).toBeGreaterThanOrEqual(found.value - 2e-3);
  });
});

describe('mends to carry for a service level', () => {
  const ladder = fc
    .record({
      mean: fc.double({ min: 0.01, max: 2, noNaN: true }),
      unit: fc.integer({ min: 1, max: 40 }),
      top: fc.integer({ min: 1, max: 5 }),
    })
    .map(({ mean, unit, top }) => {
      const ks = Array.from({ length: top }, (_, i) => i + 1);
      return {
        from: 1,
        costs: ks.map((k) => k * unit * 10),
        left: ks.map((k) => -Math.log(countCdf(k, poisson(mean)))),
      };
    });
  test('the cheapest selection that suffices, by trying all', () => {
    fc.assert(
      fc.property(
        fc.array(ladder, { minLength: 1, maxLength: 5 }),
        fc.double({ min: 0.5, max: 0.99, noNaN: true }),
        (ladders, q) => {
          const room = -Math.log(q);
          let best = Infinity;
          const go = (i: number, cost: number, left: number) => {
            if (i === ladders.length) {
              if (left <= room + 1e-12) best = Math.min(best, cost);
              return;
            }
            ladders[i]!.costs.forEach((c, k) => go(i + 1, cost + c, left + ladders[i]!.left[k]!));
          };
          go(0, 0, 0);
          const found = leastMends(ladders, room);
          expect(found === null).toBe(best === Infinity);
          if (!found) return;
          expect(found.cost).toBe(best);
          const left = found.mends.reduce((s, k, i) => s + ladders[i]!.left[k - 1]!, 0);
          expect(left).toBeLessThanOrEqual(room + 1e-9);
          // Any price on what is left bounds it from below.
          const theta = priceOfService(ladders, room);
          const bound = ladders.reduce(
            (s, l) => s + Math.min(...l.costs.map((c, k) => c + theta * l.left[k]!)),
            -theta * room,
          );
          expect(bound).toBeLessThanOrEqual(best + 1e-6);
        },
      ),
      { numRuns: 200 },
    );
  });
  test('units beside the live part weigh nothing', () => {
    const ask = { fitted: new Map([['fuse', 3]]) } as unknown as Ask;
    const w = { supplies: [{ kind: 'fuse', units: 2, grams: 2 }] } as Ask['ways'][number];
    expect([1, 2, 3].map((n) => massOfMends(ask, w, n))).toEqual([0, 2, 6]);
  });
});
