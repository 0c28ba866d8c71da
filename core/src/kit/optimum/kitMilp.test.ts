import fc from 'fast-check';
import { beforeAll, expect, test } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import type { Solve } from '../../ground/milp.js';
import { supplyKind } from '../../repairs/supplies/index.js';
import { THOROUGH } from '../../testing/thorough.js';
import { small } from '../../testing/smallKits.js';
import { BAG_FILL, boxVolume } from '../../toolbox/tools/index.js';
import { measuresOf } from '../points.js';
import type { KitProblem } from './kitProblem.js';
import { mostUnder, type Most } from './kitMilp.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

/** Grams, mL and euros. */
type Measures = readonly [mass: number, bulk: number, price: number];
const plus = (a: Measures, b: Measures): Measures => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
const times = (a: Measures, n: number): Measures => [a[0] * n, a[1] * n, a[2] * n];

/** Every set of pieces with every stock of every mend: the most that one within all limits saves, less the price of its grams. */
function bruteForce(problem: KitProblem, limits: Measures, perGram: number): number {
  let best = -Infinity;
  const within = (m: Measures) => m.every((x, i) => x <= limits[i]! + 1e-9);
  for (let bits = 0; bits < 2 ** problem.pieces.length; bits++) {
    const has = (i: number) => (bits & (1 << i)) !== 0;
    const tools = problem.pieces.reduce<Measures>(
      (s, p, i) => (has(i) ? plus(s, [p.mass, boxVolume(p) / BAG_FILL, p.price]) : s),
      [0, 0, 0],
    );
    if (!within(tools)) continue;
    const met = problem.requirements.map((r) => r.sets.some((s) => s.every(has)));
    const go = (a: number, j: number, m: Measures, value: number) => {
      if (!within(m)) return;
      const ask = problem.asks[a];
      if (!ask) {
        best = Math.max(best, value - perGram * m[0]);
        return;
      }
      const ways = ask.ways.filter((w) => w.requires.every((r) => met[r]));
      const free = Math.max(0, ...ways.filter((w) => w.supplies.length === 0).map((w) => w.gain));
      const p = ask.tails[j];
      if (p === undefined) return go(a + 1, 0, m, value + ask.rest * free);
      go(a, j + 1, m, value + p * free);
      for (const w of ways) {
        const [s] = w.supplies;
        if (!s) continue;
        const kind = supplyKind(s.kind);
        const there = ask.fitted.get(s.kind) ?? 0;
        const more = Math.max(0, s.units * (j + 1) - there) - Math.max(0, s.units * j - there);
        go(a, j + 1, plus(m, times([kind.mass, boxVolume(kind) / BAG_FILL, kind.price], more)), value + p * w.gain);
      }
    };
    go(0, 0, tools, 0);
  }
  return best;
}

const sized = fc
  .record({
    problem: small,
    sizes: fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 6, maxLength: 6 }),
    prices: fc.array(fc.integer({ min: 0, max: 30 }), { minLength: 6, maxLength: 6 }),
    fitted: fc.integer({ min: 0, max: 3 }),
  })
  .map(({ problem, sizes, prices, fitted }): KitProblem => {
    const kind = problem.asks[0]!.ways.flatMap((w) => w.supplies)[0]?.kind ?? 'fuse';
    const pieces = problem.pieces.map((p, i) => ({
      ...p,
      size: { length: sizes[i]!, width: 20, height: 20 },
      price: prices[i]!,
    }));
    // What sits on the bike is one trouble’s: the first’s.
    const asks = problem.asks.map((a, i) => (i === 0 ? { ...a, fitted: new Map([[kind, fitted]]) } : a));
    return { ...problem, pieces, asks, fitted: new Map([['', new Map([[kind, fitted]])]]) };
  });
const limit = (max: number) => fc.integer({ min: 0, max });

test('the most under limits of mass, room and price is what trying every kit finds; what sits on the bike counts in none of them', () => {
  fc.assert(
    fc.property(sized, limit(900), limit(250), limit(40), fc.boolean(), (given, mass, bulk, price, priced) => {
      const problem = { ...given, question: { ...given.question, mass, bulk, price } };
      const perGram = priced ? 0.01 : 0;
      const found = mostUnder(problem, solve, priced ? perGram : null) as Most;
      const best = bruteForce(problem, [priced ? Infinity : mass, bulk, price], perGram);
      expect(found.proven).toBe(true);
      expect(found.value).toBeCloseTo(best, 2);
      const m = measuresOf(problem, found);
      expect(m.bulk).toBeLessThanOrEqual(bulk + 1e-6);
      expect(m.price).toBeLessThanOrEqual(price + 1e-6);
      if (!priced) expect(m.mass).toBeLessThanOrEqual(mass + 1e-6);
    }),
    { numRuns: THOROUGH ? 1000 : 120, endOnFailure: true },
  );
});
test('a bottle that sits on the bike is used where there is room and money for nothing', () => {
  fc.assert(
    fc.property(small, (given) => {
      const oil = supplyKind('engine oil');
      const first = given.asks[0]!;
      const way = {
        ...first.ways[0]!,
        requires: [],
        supplies: [{ kind: 'engine oil', units: 1, grams: oil.mass }],
        mass: oil.mass,
        gain: 3,
      };
      const problem: KitProblem = {
        ...given,
        asks: [{ ...first, ways: [way], fitted: new Map([['engine oil', 1]]) }],
        fitted: new Map([['', new Map([['engine oil', 1]])]]),
        question: { ...given.question, mass: 0, bulk: 0, price: 0 },
      };
      expect(mostUnder(problem, solve)).toMatchObject({ value: expect.closeTo(3 * first.tails[0]!, 3), proven: true });
    }),
    { numRuns: 5 },
  );
});
test('what the tools may be worth binds the tools alone, and nothing within the limits is said to be nothing', () => {
  fc.assert(
    fc.property(sized, limit(60), (given, worth) => {
      const problem = {
        ...given,
        question: { ...given.question, mass: 900 },
        practice: { ...given.practice, worth },
      };
      const found = mostUnder(problem, solve) as Most;
      const tools = found.counts.reduce((s, n, p) => s + n * problem.pieces[p]!.price, 0);
      expect(tools).toBeLessThanOrEqual(worth + 1e-9);
      const marked = problem.pieces.map((p) => ({ ...p, mark: 'always' as const, price: worth + 1 }));
      expect(mostUnder({ ...problem, pieces: marked }, solve)).toBe('infeasible');
    }),
    { numRuns: 40, endOnFailure: true },
  );
});
