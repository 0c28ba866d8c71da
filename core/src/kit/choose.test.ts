import fc from 'fast-check';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import type { Solve } from '../ground/milp.js';
import { owned } from '../testing/make.js';
import { lampAndSpares, small, unitsOfKind } from '../testing/smallKits.js';
import { functional, type Piece } from '../toolbox/tools/index.js';
import { contentsAt, contentsOfKept, kitFor, type KitHint } from './choose.js';
import { savedWith } from './done.js';
import { frontier, type Curve } from './optimum/curve.js';
import type { KitProblem } from './optimum/kitProblem.js';
import { lightestJoint } from './optimum/lightest.js';
import { priceOfGram, worthItsWeight } from './optimum/worth.js';
import { measuresOf } from './points.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});
const none: ReadonlyMap<string, number> = new Map();
const asked = (problem: KitProblem, question: Partial<KitProblem['question']>): KitProblem => ({
  ...problem,
  question: { ...problem.question, ...question },
});
const lamp = owned(functional('Lamp', ['light'], 50, [10, 10, 10], 30));
const simple = (pieces: readonly Piece[] = [lamp]): KitProblem => lampAndSpares(pieces);
const [patch, fuse] = ['patch', 'fuse'].map((kind) => unitsOfKind(kind, 1).grams) as [number, number];
const ALL = 50 + 2 * patch + fuse;

describe('a kept kit', () => {
  const kept = (count: number, pieceId = lamp.id) => ({
    pieces: [{ pieceId, name: 'Lamp', count, mass: 50 }],
    supplies: [{ kind: 'patch', name: 'Tube patches', quantity: 1, mass: patch }],
  });
  test('holds what is still owned of it, as often as it is there, and its spares where they save most', () => {
    expect(contentsOfKept(simple(), kept(1))).toEqual({
      counts: [1],
      stocked: [{ ask: 1, mend: 0, way: 0 }],
      supplies: new Map([['patch', 1]]),
    });
    expect(contentsOfKept(simple(), kept(4)).counts).toEqual([1]);
    expect(contentsOfKept(simple(), kept(1, 'sold')).counts).toEqual([0]);
  });
  test('is told as it is, whatever is asked', () => {
    const list = { ...kept(1), id: 'k', name: 'Mine', bikeId: 'b', tripId: null, made: '', frozen: false, note: '' };
    const kit = kitFor(asked(simple(), { ask: 'most', mass: 0 }), solve, none, { ...list, figures: {} as never });
    expect(kit).toMatchObject({ as: 'kept', keptName: 'Mine', proven: true, gap: 0, served: true });
    expect(kit.mass).toBeCloseTo(50 + patch, 9);
    expect(kit.saved).toBeCloseTo(0.5 * 4 + 0.6 * 2, 9);
  });
});

describe('the most under a limit', () => {
  const most = (mass: number, hint: KitHint | null = null, problem = simple(), curve: Curve | null = null) =>
    kitFor(asked(problem, { ask: 'most', mass }), solve, none, null, curve, hint);
  const hint = (more: Partial<KitHint> = {}): KitHint => ({
    limit: 200,
    bound: 0.5,
    pieces: [],
    stocked: [{ ask: 2, mend: 0, way: 0 }],
    asks: ['dark', 'flat', 'blown'],
    ...more,
  });
  const best = 0.5 * 4 + 0.9 * 2 + 0.4;
  test('is all that fits, proven', () => {
    expect(most(200)).toMatchObject({ as: 'most', proven: true, gap: 0, saved: expect.closeTo(best, 9) });
    expect(most(ALL + 1).mass).toBeCloseTo(ALL, 9);
    expect(most(60.9).saved).toBeCloseTo(most(60).saved, 12);
  });
  test('out of a curve that reaches so far; of one that ends before, anew', () => {
    const problem = simple();
    const curve = frontier(problem, { most: 200 });
    const poor: Curve = { ...curve, best: curve.best.map(() => 0.25), bound: curve.bound.map(() => 0.25) };
    expect(most(200, null, problem, curve).saved).toBeCloseTo(best, 9);
    // What the curve says is taken as it is: no second search.
    expect(most(200, null, problem, { ...poor, most: 200 })).toMatchObject({ proven: true, gap: 0 });
    expect(most(200, null, problem, { ...poor, most: 199 }).saved).toBeCloseTo(best, 9);
    const open = { ...curve, bound: curve.bound.map((b) => b + best / 2) };
    expect(most(200, null, problem, open)).toMatchObject({ proven: false, gap: expect.closeTo(0.5, 9) });
  });
  test('is what a search elsewhere found, where that is of the same question and holds', () => {
    const taken = most(200, hint());
    expect(taken.saved).toBeCloseTo(0.4, 9);
    expect(taken).toMatchObject({ proven: false, gap: expect.closeTo((0.5 - 0.4) / 0.4, 9) });
    expect(most(200, hint({ bound: 0.4 }))).toMatchObject({ proven: true, gap: 0 });
    // Less than it saves itself is no bound.
    expect(most(200, hint({ bound: 0.1 }))).toMatchObject({ proven: true, gap: 0 });
    expect(most(200, hint({ pieces: [[lamp.id, 1]] })).saved).toBeCloseTo(2 + 0.4, 9);
    expect(most(200, hint({ pieces: [['sold', 1]] })).saved).toBeCloseTo(0.4, 9);
  });
  test.each([
    ['of another limit', hint({ limit: 201 })],
    ['of other troubles', hint({ asks: ['dark', 'flat', 'torn'] })],
    ['of fewer troubles', hint({ asks: ['dark', 'flat'] })],
    ['with more of a piece than there is', hint({ pieces: [[lamp.id, 2]] })],
    ['of a way that is no more', hint({ stocked: [{ ask: 2, mend: 0, way: 1 }] })],
    ['of a trouble that is no more', hint({ stocked: [{ ask: 3, mend: 0, way: 0 }] })],
    [
      'that is too heavy',
      hint({
        pieces: [[lamp.id, 1]],
        stocked: Array.from({ length: Math.ceil(200 / patch) }, (_, mend) => ({ ask: 1, mend, way: 0 })),
      }),
    ],
  ])('is not one %s', (_, no) => {
    expect(most(200, no).saved).toBeCloseTo(best, 9);
  });
  test('is not one with what is marked to stay, or without what is demanded', () => {
    const never = simple([{ ...lamp, mark: 'never' }]);
    const given = { ...hint(), pieces: [[lamp.id, 1]] as [string, number][] };
    expect(most(200, given, { ...never, requirements: [{ ...never.requirements[0]!, sets: [] }] }).pieces).toEqual([]);
    const demanded: KitProblem = { ...simple(), required: [0] };
    expect(most(200, hint(), demanded).saved).toBeCloseTo(best, 9);
    expect(most(200, { ...hint(), pieces: [[lamp.id, 1]] }, demanded).saved).toBeCloseTo(2 + 0.4, 9);
  });
  test('carries what is always packed, in a hint too', () => {
    const box = owned(functional('Box', [], patch, [10, 10, 10], 0), { mark: 'always' });
    const problem: KitProblem = { ...simple([lamp, box]), always: [{ piece: 1, kind: 'patch', units: 1 }] };
    const kit = most(200, hint(), problem);
    expect(kit.mass).toBeCloseTo(patch + fuse, 6);
  });
  test('keeps to room, money and worth: what breaks one of them is chosen again', () => {
    const within = (limits: Partial<KitProblem['question']>, worth: number | null = null) => {
      const base = simple();
      const problem = { ...base, practice: { ...base.practice, worth } };
      return kitFor(asked(problem, { ask: 'most', mass: 200, ...limits }), solve, none);
    };
    const all = within({});
    expect(within({ price: 29 }).pieces).toEqual([]);
    expect(within({ price: 29 }).saved).toBeCloseTo(0.9 * 2 + 0.4, 6);
    expect(within({ price: all.price })).toMatchObject({ proven: true, saved: expect.closeTo(best, 6) });
    expect(within({ bulk: all.bulk }).saved).toBeCloseTo(best, 6);
    const tight = within({ bulk: all.bulk - 0.01 });
    expect(tight.bulk).toBeLessThan(all.bulk);
    expect(tight.saved).toBeLessThan(best);
    expect(within({}, 29)).toMatchObject({ withinWorth: true, pieces: [] });
    expect(within({}, 30)).toMatchObject({ withinWorth: true, saved: expect.closeTo(best, 6) });
  });
  test('is not proven where another share of what sits on the bike could save more', () => {
    const other: KitProblem = {
      ...simple(),
      asks: simple().asks.map((a) => (a.key === 'flat' ? { ...a, fitted: new Map([['patch', 1]]) } : a)),
    };
    const kit = most(200, null, { ...simple(), others: [other, simple()] });
    expect(kit).toMatchObject({ proven: false, gap: expect.closeTo((0.6 * 2) / best, 6) });
    expect(most(200, null, { ...simple(), slack: 0.1 })).toMatchObject({ gap: expect.closeTo(0.1 / best, 6) });
  });
  test('below what is demanded: the lightest that does it', () => {
    const demanded: KitProblem = { ...simple(), required: [0] };
    const curve = frontier(demanded, { most: 200 });
    expect(measuresOf(demanded, contentsAt(curve, 10)).mass).toBe(50);
    expect(contentsAt(curve, 200).counts).toEqual([1]);
    expect(contentsAt(curve, 50 + fuse).stocked).toEqual([{ ask: 2, mend: 0, way: 0 }]);
    // Of several that do it the lightest, and none that does not.
    const [set] = curve.sets;
    const sets = [
      { ...set!, mass: 10, counts: [7], allowed: false },
      { ...set!, mass: 90, counts: [8], allowed: true },
      { ...set!, mass: 60, counts: [9], allowed: true },
    ];
    const by = curve.by.map(() => -1);
    expect(contentsAt({ ...curve, sets, by }, 10).counts).toEqual([9]);
    expect(contentsAt({ ...curve, sets: sets.slice(0, 1), by }, 10).counts).toEqual([7]);
    expect(contentsAt({ ...curve, sets, by }, 10_000).counts).toEqual([9]);
  });
});

describe('over all shares of what sits on the bike', () => {
  const pairs = fc
    .tuple(small, fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 9, maxLength: 9 }))
    .map(([p, factors]): KitProblem => {
      const other = {
        ...p,
        asks: p.asks.map((a, i) => ({
          ...a,
          ways: a.ways.map((w, k) => ({ ...w, gain: (w.gain * factors[3 * i + k]!) / 2 })),
        })),
      };
      return { ...p, others: [other] };
    });
  const net = (p: KitProblem, c: { counts: readonly number[]; stocked: readonly never[] }) =>
    savedWith(p, c).value - priceOfGram(p) * measuresOf(p, c).mass;
  test('what is worth its weight is the best of each, the first where they are equal', () => {
    fc.assert(
      fc.property(pairs, fc.integer({ min: 1, max: 90 }), (given, knee) => {
        const problem = { ...asked(given, { ask: 'worth', knee }), others: [asked(given.others[0]!, { knee })] };
        const kit = kitFor(problem, solve, none);
        const price = priceOfGram(problem);
        const each = [problem, ...problem.others].map((p) => net(p, worthItsWeight(p) as never));
        expect(kit.value - price * kit.mass).toBeCloseTo(Math.max(...each), 2);
        expect(kit).toMatchObject({ as: 'worth', proven: true, served: true });
      }),
      { numRuns: 12 },
    );
  });
  test('the lightest is the lightest of each', () => {
    const kits = fc.tuple(
      fc.array(fc.integer({ min: 5, max: 300 }), { minLength: 2, maxLength: 2 }),
      fc.integer({ min: 0, max: 2 }),
    );
    fc.assert(
      fc.property(kits, ([masses, on]) => {
        const problem = simple(masses.map((m) => owned(functional('Lamp', ['light'], m, [10, 10, 10], 1))));
        const share = (n: number): KitProblem => ({
          ...asked(problem, { ask: 'lightest', likely: 0, service: 0.5 }),
          asks: problem.asks.map((a) => (a.key === 'flat' ? { ...a, fitted: new Map([['patch', n]]) } : a)),
          fitted: new Map([['', new Map([['patch', n]])]]),
        });
        const kit = kitFor({ ...share(0), others: [share(on)] }, solve, none);
        const totals = [share(0), share(on)].map((p) => lightestJoint(p, solve).total);
        expect(kit.as).toBe('lightest');
        expect(kit.mass).toBeCloseTo(Math.min(...totals), 1);
        expect(kit.proven).toBe(true);
      }),
      { numRuns: 6 },
    );
  });
});
