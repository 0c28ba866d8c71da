import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import fc from 'fast-check';
import { DEFAULT_PRACTICE } from '../chains/index.js';
import type { Solve } from '../cover/index.js';
import { kitCase, savedWith } from '../kit/index.js';
import { way } from '../mends/index.js';
import { certain, countCdf, poisson } from '../odds/index.js';
import { TROUBLES } from '../mends/index.js';
import { supplyKind } from '../supplies/index.js';
import { owned } from '../testing/make.js';
import { functional } from '../tools/index.js';
import { newKitQuestion } from '../trip/index.js';
import { frontier, TOLERANCE } from './curve.js';
import { Items } from './items.js';
import { levels } from './levels.js';
import { mostUnder } from './milp.js';
import { tailsOf, type Ask, type KitProblem } from './problem.js';
import { leastMends, priceOfService } from './service.js';
import { massOfMends, stockedAt } from './slots.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

const KINDS = ['patch', 'fuse', 'clutch lever', 'engine oil'];
const plain = way('a way', 'proper', 0, 1, ['Do it']);

/** Small problems of every shape: pieces, sets of them that ways hang on, troubles with ways that use things up. */
const small: fc.Arbitrary<KitProblem> = fc
  .record({
    masses: fc.array(fc.integer({ min: 5, max: 300 }), { minLength: 2, maxLength: 6 }),
    requirements: fc.array(fc.array(fc.integer({ min: 1, max: 63 }), { minLength: 1, maxLength: 3 }), {
      minLength: 1,
      maxLength: 4,
    }),
    asks: fc.array(
      fc.record({
        mean: fc.double({ min: 0.05, max: 1.5, noNaN: true }),
        ways: fc.array(
          fc.record({
            requires: fc.integer({ min: 0, max: 15 }),
            kind: fc.option(fc.integer({ min: 0, max: 3 })),
            units: fc.integer({ min: 1, max: 2 }),
            gain: fc.double({ min: 0, max: 9, noNaN: true }),
          }),
          { minLength: 1, maxLength: 3 },
        ),
      }),
      { minLength: 1, maxLength: 3 },
    ),
  })
  .map(({ masses, requirements, asks }): KitProblem => {
    const pieces = masses.map((mass, i) => owned(functional(`Piece ${i}`, [], mass, [10, 10, 10], 1)));
    const items = new Items(pieces);
    const sets = requirements.map((list) =>
      list.map((bits) => masses.flatMap((_, i) => (bits & (1 << i) ? [i] : []))).filter((s) => s.length > 0),
    );
    const exposure = certain(TROUBLES[0]!, 1, '');
    return {
      tools: {
        reaches: [],
        pieces,
        functions: [],
        choices: [],
        losable: () => false,
        practice: DEFAULT_PRACTICE,
        offered: new Set(),
      },
      pieces,
      items,
      requirements: sets.map((s, i) => ({
        label: `requirement ${i}`,
        by: { head: { fasteners: [], ends: [], lost: null }, fasteners: [], any: true },
        sets: s,
        loose: false,
      })),
      asks: asks.map((a, i): Ask => {
        const law = poisson(a.mean);
        const { tails, rest } = tailsOf(law);
        // Two mends looked at one by one keep the oracle's work small; what is beyond is left as it is.
        const beyond = tails.slice(2).reduce((x, y) => x + y, rest);
        return {
          key: `ask ${i}`,
          name: `ask ${i}`,
          bikeId: '',
          exposure,
          law,
          tails: tails.slice(0, 2),
          rest: beyond,
          barred: [],
          fitted: new Map(),
          ways: a.ways.map((w) => {
            const supplies = w.kind === null ? [] : [{ kind: KINDS[w.kind]!, units: w.units }];
            return {
              way: plain,
              grade: 'proper' as const,
              requires: sets.map((_, r) => r).filter((r) => w.requires & (1 << r)),
              supplies,
              mass: supplies.reduce((s, x) => s + supplyKind(x.kind).mass * x.units, 0),
              bulk: 0,
              price: 0,
              gain: w.gain,
              hours: w.gain,
            };
          }),
        };
      }),
      marked: [],
      question: { ...newKitQuestion(), service: 0.9 },
      practice: DEFAULT_PRACTICE,
      prevention: [],
    };
  });

const MOST = 900;
/** Every selection of pieces with every selection of stocked mends: the most for each limit. */
function bruteForce(problem: KitProblem): number[] {
  const best = new Array<number>(MOST + 1).fill(0);
  const n = problem.pieces.length;
  for (let bits = 0; bits < 2 ** n; bits++) {
    const mass = problem.pieces.reduce((s, p, i) => s + (bits & (1 << i) ? p.mass : 0), 0);
    if (mass > MOST) continue;
    const has = (set: readonly number[]) => set.every((i) => bits & (1 << i));
    const met = problem.requirements.map((r) => r.sets.some(has));
    let states = new Map<number, number>([[mass, 0]]);
    for (const ask of problem.asks) {
      const ways = ask.ways.filter((w) => w.requires.every((r) => met[r]));
      const free = Math.max(0, ...ways.filter((w) => w.supplies.length === 0).map((w) => w.gain));
      for (const p of [...ask.tails, ask.rest]) {
        const next = new Map<number, number>();
        const put = (m: number, v: number) => {
          if (m <= MOST && v > (next.get(m) ?? -1)) next.set(m, v);
        };
        for (const [m, v] of states) {
          put(m, v + p * free);
          if (p !== ask.rest) for (const w of ways) if (w.supplies.length > 0) put(m + w.mass, v + p * w.gain);
        }
        states = next;
      }
    }
    for (const [m, v] of states) best[m] = Math.max(best[m]!, v);
  }
  for (let m = 1; m <= MOST; m++) best[m] = Math.max(best[m]!, best[m - 1]!);
  return best;
}

describe('the frontier', () => {
  test('is, for every limit, what trying everything gives; it rises, and its bound holds', () => {
    fc.assert(
      fc.property(small, (problem) => {
        const curve = frontier(problem, { most: MOST });
        const best = bruteForce(problem);
        expect(curve.proven).toBe(true);
        for (let m = 0; m <= MOST; m++) {
          expect(Math.abs(curve.best[m]! - best[m]!)).toBeLessThanOrEqual(TOLERANCE);
          expect(curve.bound[m]!).toBeGreaterThanOrEqual(best[m]! - 1e-9);
          if (m > 0) expect(curve.best[m]!).toBeGreaterThanOrEqual(curve.best[m - 1]! - 1e-12);
        }
      }),
      { numRuns: 16, endOnFailure: true },
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
      { numRuns: 25, endOnFailure: true },
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
      { numRuns: 16, endOnFailure: true },
    );
  });
  test('agrees with the general solver on the whole programme', () => {
    fc.assert(
      fc.property(small, fc.integer({ min: 0, max: MOST }), (problem, mass) => {
        const given = { ...problem, question: { ...problem.question, mass } };
        const found = mostUnder(given, solve);
        expect(found.proven).toBe(true);
        expect(found.value).toBeCloseTo(frontier(problem, { most: MOST }).best[mass]!, 2);
      }),
      { numRuns: 25, endOnFailure: true },
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
          expect(savedWith(problem, l).value).toBeGreaterThanOrEqual(l.value - 1e-9);
          if (i === 0) return expect(l.value).toBeCloseTo(l.free, 9);
          l.counts.forEach((c, p) => expect(c).toBeGreaterThanOrEqual(all[i - 1]!.counts[p]!));
          for (const [kind, n] of units(all[i - 1]!)) expect(units(l).get(kind)).toBeGreaterThanOrEqual(n);
        });
      }),
      { numRuns: 25, endOnFailure: true },
    );
  });
});

describe('the demo', () => {
  test('the frontier meets the general solver under one limit; the general solver is never above its bound', () => {
    const doc = demoGarage();
    const { problem } = kitCase(doc, { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id });
    const mass = 650;
    const curve = frontier(problem, { most: mass, from: mass, solves: 120 });
    const found = mostUnder({ ...problem, question: { ...problem.question, mass } }, solve);
    expect(found.value).toBeLessThanOrEqual(curve.bound[mass]! + 2e-3);
    if (found.proven) expect(curve.best[mass]!).toBeCloseTo(found.value, 2);
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
    const w = { supplies: [{ kind: 'fuse', units: 2 }] } as Ask['ways'][number];
    expect([1, 2, 3].map((n) => massOfMends(ask, w, n))).toEqual([0, 2, 6]);
  });
});
