import fc from 'fast-check';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import type { Solve } from '../../ground/milp.js';
import { TROUBLES, way } from '../../repairs/index.js';
import { supplyKind } from '../../repairs/supplies/index.js';
import { figure } from '../../testing/figure.js';
import { owned } from '../../testing/make.js';
import { bareProblem } from '../../testing/smallKits.js';
import { THOROUGH } from '../../testing/thorough.js';
import { inMeasure } from '../../toolbox/cover/index.js';
import { DEFAULT_PRACTICE, type Measure } from '../../toolbox/practice.js';
import { functional, type PieceFunction } from '../../toolbox/tools/index.js';
import { certain, countCdf, poisson } from '../../trip/odds/index.js';
import { tailsOf, type Ask, type KitProblem } from './kitProblem.js';
import { choicesOf, lightestJoint } from './lightest.js';
import { priceOfService } from './service.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

const DOES: readonly PieceFunction[] = ['lever tyre', 'pry', 'grip'];
const KINDS = ['patch', 'fuse', 'clutch lever'] as const;
const plain = way('a way', 'proper', 0, 1, ['Do it']);

interface GivenWay {
  needs: number[];
  kind: number | null;
  units: number;
}
interface Given {
  pieces: { mass: number; does: number[]; count: number; always?: boolean }[];
  asks: { mean: number; fitted: number; ways: GivenWay[] }[];
  service: number;
  /** What is to be least; grams unless it says otherwise. */
  least?: Measure;
}
/** What something counts of what is to be least: a price of its own that has nothing to do with its grams. */
const counts = (given: Given, p: Given['pieces'][number]) =>
  given.least === 'price' ? priceOf(p) : given.least === 'bulk' ? 1 : p.mass;
const priceOf = (p: { mass: number }) => (p.mass * 7) % 40;
const spareCounts = (given: Given, kind: (typeof KINDS)[number]) =>
  Math.round(10 * inMeasure(given.least ?? 'mass', supplyKind(kind))) / 10;
/** Copies that a function is needed in, at most those that there are. */
const needsOf = (given: Given, w: GivenWay) =>
  DOES.flatMap((does, f) => {
    const able = given.pieces.reduce((n, p) => n + (p.does.includes(f) ? p.count : 0), 0);
    const count = Math.min(w.needs[f]!, able);
    return count > 0 ? [{ does, count }] : [];
  });

/** Tools that have functions, and troubles whose ways ask for them and use things up: nothing hangs on a head. */
function problemOf(given: Given): KitProblem {
  const pieces = given.pieces.map((p, i) =>
    owned(
      functional(
        `Piece ${i}`,
        p.does.map((f) => DOES[f]!),
        p.mass,
        [10, 10, 10],
        priceOf(p),
      ),
      { count: p.count, mark: p.always ? 'always' : null },
    ),
  );
  const practice = { ...DEFAULT_PRACTICE, least: given.least ?? ('mass' as const) };
  const requirements: KitProblem['requirements'] = [];
  const requirement = (by: { does: PieceFunction; count: number }) => {
    const known = requirements.findIndex((r) => 'does' in r.by && r.by.does === by.does && r.by.count === by.count);
    return known >= 0 ? known : requirements.push({ label: by.does, by, sets: [], loose: false }) - 1;
  };
  const exposure = certain(TROUBLES[0]!, 1, { code: 'count.due', services: [] });
  return {
    ...bareProblem(pieces, given.service, practice),
    asks: given.asks.map(({ mean, fitted, ways }, i): Ask => {
      const law = poisson(mean);
      return {
        key: `ask ${i}`,
        name: `ask ${i}`,
        bikeId: '',
        exposure,
        law,
        ...tailsOf(law),
        barred: [],
        fitted: new Map([[KINDS[0], fitted]]),
        must: null,
        ways: ways.map((w) => {
          const kind = w.kind === null ? null : KINDS[w.kind]!;
          const supplies = kind === null ? [] : [{ kind, units: w.units, grams: supplyKind(kind).mass }];
          return {
            way: plain,
            grade: 'proper' as const,
            requires: needsOf(given, w).map(requirement),
            supplies,
            mass: supplies.reduce((s, x) => s + x.grams * x.units, 0),
            gain: 1,
            hours: 1,
            time: 0,
          };
        }),
      };
    }),
    requirements,
  };
}

/** Every choice of ways, every set of tools for it, every number of mends: the least. */
function bruteForce(given: Given): number {
  const most = 14;
  const room = -Math.log(given.service) + 1e-12;
  const tools = (needs: { does: PieceFunction; count: number }[]): number => {
    let best = Infinity;
    const go = (i: number, mass: number, has: number[]) => {
      const p = given.pieces[i];
      if (!p) {
        if (needs.every((n) => has[DOES.indexOf(n.does)]! >= n.count)) best = Math.min(best, mass);
        return;
      }
      for (let n = p.always ? 1 : 0; n <= p.count; n++)
        go(
          i + 1,
          mass + n * counts(given, p),
          has.map((h, f) => h + (p.does.includes(f) ? n : 0)),
        );
    };
    go(
      0,
      0,
      DOES.map(() => 0),
    );
    return best;
  };
  const stocks = (chosen: GivenWay[]): number => {
    let best = Infinity;
    const go = (i: number, mass: number, left: number) => {
      if (left > room || mass >= best) return;
      const w = chosen[i];
      if (!w) {
        best = mass;
        return;
      }
      if (w.kind === null) return go(i + 1, mass, left);
      const { mean, fitted } = given.asks[i]!;
      const there = w.kind === 0 ? fitted : 0;
      for (let k = 1; k <= most; k++) {
        const grams = Math.max(0, k * w.units - there) * spareCounts(given, KINDS[w.kind]!);
        go(i + 1, mass + grams, left - Math.log(countCdf(k, poisson(mean))));
      }
    };
    go(0, 0, 0);
    return best;
  };
  let best = Infinity;
  const choose = (i: number, chosen: GivenWay[]) => {
    const ask = given.asks[i];
    if (!ask) best = Math.min(best, tools(chosen.flatMap((w) => needsOf(given, w))) + stocks(chosen));
    else for (const w of ask.ways) choose(i + 1, [...chosen, w]);
  };
  choose(0, []);
  return best;
}

const given: fc.Arbitrary<Given> = fc.record({
  pieces: fc.array(
    fc.record({
      mass: fc.integer({ min: 1, max: 120 }),
      does: fc.uniqueArray(fc.integer({ min: 0, max: 2 }), { minLength: 1, maxLength: 2 }),
      count: fc.integer({ min: 1, max: 2 }),
      always: fc.boolean(),
    }),
    { minLength: 1, maxLength: 5 },
  ),
  asks: fc.array(
    fc.record({
      mean: figure(0.05, 1.5),
      fitted: fc.integer({ min: 0, max: 3 }),
      ways: fc.array(
        fc.record({
          needs: fc.array(fc.integer({ min: 0, max: 2 }), { minLength: 3, maxLength: 3 }),
          kind: fc.option(fc.integer({ min: 0, max: 2 })),
          units: fc.integer({ min: 1, max: 2 }),
        }),
        { minLength: 1, maxLength: 3 },
      ),
    }),
    { minLength: 1, maxLength: 3 },
  ),
  service: figure(0.3, 0.99),
  least: fc.constantFrom<Measure>('mass', 'mass', 'price', 'bulk'),
});

describe('the lightest kit', () => {
  test('weighs what the lightest of all choices of ways, tools and stocks weighs, and is what it says', () => {
    fc.assert(
      fc.property(given, (g) => {
        const problem = problemOf(g);
        const found = lightestJoint(problem, solve);
        expect([found.proven, found.gap, found.served]).toEqual([true, 0, true]);
        expect(found.total).toBeCloseTo(bruteForce(g), 6);
        // Weighed again from its parts; and its tools do what its ways ask for.
        let mass = found.set.counts.reduce((s, n, p) => s + n * counts(g, g.pieces[p]!), 0);
        let level = 1;
        for (const { ask, way: k, mends } of found.ways) {
          const a = problem.asks[ask]!;
          for (const { does, count } of needsOf(g, g.asks[ask]!.ways[k]!)) {
            const have = found.set.counts.reduce(
              (s, n, p) => s + (problem.pieces[p]!.functions.includes(does) ? n : 0),
              0,
            );
            expect(have).toBeGreaterThanOrEqual(count);
          }
          const { supplies } = a.ways[k]!;
          expect(mends === Infinity).toBe(supplies.length === 0);
          expect(found.stocked.filter((s) => s.ask === ask && s.way === k)).toHaveLength(supplies.length ? mends : 0);
          if (supplies.length === 0) continue;
          level *= countCdf(mends, a.law);
          for (const s of supplies)
            mass +=
              Math.max(0, s.units * mends - (a.fitted.get(s.kind) ?? 0)) *
              spareCounts(g, s.kind as (typeof KINDS)[number]);
        }
        expect(level).toBeGreaterThanOrEqual(g.service - 1e-9);
        expect(mass).toBeCloseTo(found.total, 6);
      }),
      { numRuns: THOROUGH ? 3000 : 250, endOnFailure: true },
    );
  });
  test('a way that never runs out is not given up for one whose first mend only sits on the bike', () => {
    // Two patches sit on the bike, one mend’s worth. To be served at 95 in 100 takes four mends: six patches more, 36 g, beside pliers of 27 g. A second
    // lever of 10 g does as well without any patch.
    const g: Given = {
      pieces: [
        { mass: 27, does: [2], count: 1 },
        { mass: 10, does: [0], count: 1 },
      ],
      asks: [
        {
          mean: 1.5,
          fitted: 2,
          ways: [
            { needs: [0, 0, 1], kind: 0, units: 2 },
            { needs: [1, 0, 1], kind: null, units: 1 },
          ],
        },
      ],
      service: 0.95,
    };
    expect(lightestJoint(problemOf(g), solve)).toMatchObject({
      total: 37,
      ways: [{ ask: 0, way: 1, mends: Infinity }],
    });
  });
  test('a level that no stock gives is said, with as much as is counted', () => {
    const g: Given = {
      pieces: [{ mass: 50, does: [0], count: 1 }],
      asks: [{ mean: 0.5, fitted: 0, ways: [{ needs: [1, 0, 0], kind: 1, units: 1 }] }],
      service: 1,
    };
    const found = lightestJoint(problemOf(g), solve);
    expect(found.served).toBe(false);
    expect(found.ways).toEqual([{ ask: 0, way: 0, mends: expect.any(Number) }]);
    expect(found.total).toBeCloseTo(50 + 2 * found.ways[0]!.mends, 6);
    // Where another way never runs out, the level is given by it, whatever it weighs more.
    const either = {
      ...g,
      asks: [{ ...g.asks[0]!, ways: [...g.asks[0]!.ways, { needs: [1, 0, 0], kind: null, units: 1 }] }],
    };
    expect(lightestJoint(problemOf(either), solve)).toMatchObject({ served: true, total: 50 });
  });
  test('marks that leave no set are refused', () => {
    const g: Given = {
      pieces: [{ mass: 50, does: [0], count: 1 }],
      asks: [{ mean: 0.5, fitted: 0, ways: [{ needs: [1, 0, 0], kind: null, units: 1 }] }],
      service: 0.9,
    };
    const problem = problemOf(g);
    const pieces = problem.pieces.map((p) => ({ ...p, mark: 'never' as const }));
    expect(() => lightestJoint({ ...problem, pieces, tools: { ...problem.tools, pieces } }, solve)).toThrow(RangeError);
  });
});

test('choices for other sets of tools: what one way asks for is fixed, of several each has its grams', () => {
  const problem = problemOf({
    pieces: [{ mass: 50, does: [0, 1], count: 2 }],
    asks: [
      { mean: 0.05, fitted: 0, ways: [{ needs: [2, 0, 0], kind: null, units: 1 }] },
      { mean: 0.05, fitted: 0, ways: [{ needs: [1, 1, 0], kind: null, units: 1 }] },
      {
        mean: 0.05,
        fitted: 1,
        ways: [
          { needs: [0, 1, 0], kind: 1, units: 2 },
          { needs: [0, 0, 0], kind: 2, units: 1 },
          { needs: [0, 2, 0], kind: 0, units: 2 },
        ],
      },
    ],
    // One mend of each is more than enough: the service costs nothing.
    service: 0.5,
  });
  const { functions, choices } = choicesOf(problem);
  expect(functions).toEqual([
    { does: 'lever tyre', count: 2 },
    { does: 'pry', count: 1 },
  ]);
  // Two fuses of 2 g; a lever of 120 g; of two patches of 6 g one sits on the bike.
  expect(choices.map((c) => c.options.map((o) => [o.functions, Math.round(o.cost * 10) / 10]))).toEqual([
    [
      [[{ does: 'pry', count: 1 }], 4],
      [[], 120],
    ],
  ]);
});

test('of ways that ask for the same tools and use the same up one is left; what costs more at some level is not', () => {
  const ask = (ways: GivenWay[]) =>
    choicesOf(
      problemOf({
        pieces: [{ mass: 50, does: [0, 1], count: 2 }],
        asks: [{ mean: 0.05, fitted: 0, ways }],
        service: 0.5,
      }),
    ).choices.map((c) => c.options.length);
  const fuse = { needs: [1, 0, 0], kind: 1, units: 1 };
  expect(ask([fuse, { ...fuse }])).toEqual([]);
  expect(ask([fuse, { ...fuse, units: 2 }])).toEqual([]);
  expect(ask([{ ...fuse, needs: [2, 0, 0] }, fuse])).toEqual([]);
  expect(ask([fuse, { needs: [0, 0, 0], kind: 2, units: 1 }])).toEqual([2]);
  expect(ask([fuse, { needs: [0, 1, 0], kind: 1, units: 1 }])).toEqual([2]);
});
test('a choice is priced with what its stock leaves of the service, at the price that the cheapest ways set', () => {
  const [mean, service] = [0.6, 0.97];
  const problem = problemOf({
    pieces: [{ mass: 50, does: [0], count: 1 }],
    asks: [
      {
        mean,
        fitted: 0,
        ways: [
          { needs: [0, 0, 0], kind: 0, units: 1 },
          { needs: [1, 0, 0], kind: 1, units: 1 },
        ],
      },
    ],
    service,
  });
  const ladder = (grams: number) => {
    const ks = Array.from({ length: 12 }, (_, i) => i + 1);
    return {
      from: 1,
      costs: ks.map((k) => k * grams * 10),
      left: ks.map((k) => -Math.log(countCdf(k, poisson(mean)))),
    };
  };
  // Fuses are the cheaper: 2 g against 6 g.
  const theta = priceOfService([ladder(2)], -Math.log(service));
  expect(theta).toBeGreaterThan(100);
  const costs = choicesOf(problem).choices[0]!.options.map((o) => o.cost);
  [ladder(6), ladder(2)].forEach((l, i) =>
    expect(costs[i]).toBeCloseTo(Math.min(...l.costs.map((c, k) => c + theta * l.left[k]!)) / 10, 6),
  );
});
