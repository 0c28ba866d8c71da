import { beforeAll, describe, expect, test } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import type { MilpAnswer, Solve } from '../../ground/milp.js';
import { fastener, owned } from '../../testing/make.js';
import { ChainFinder, reachOf } from '../chains/index.js';
import { DEFAULT_PRACTICE } from '../practice.js';
import {
  combinationSpanner,
  functional,
  openSpanner,
  ratchet,
  ringSpanner,
  socket,
  type PieceFunction,
} from '../tools/index.js';
import { lightestSet } from './lightest.js';
import { chainsBy, coverProblem } from './task.js';

let real: Solve;
beforeAll(async () => {
  real = await loadSolver();
});

const nm = (value: number) => ({ value, source: 'manual' as const });
const light = owned(combinationSpanner('10'), { mass: 40, price: 9 });
const heavy = owned(ringSpanner('8', '10'), { mass: 100, price: 4 });
const pliers = owned(functional('Pliers', ['grip'], 180, [160, 50, 18], 12));
const never = owned(functional('Clamp', ['grip'], 20, [100, 40, 20], 9), { mark: 'never' });
const pieces = [light, heavy, pliers, never];
const head = fastener({ head: { form: 'hex', size: '10' }, torque: nm(5) });
const choices = [
  {
    options: [
      { functions: [{ does: 'grip' as const, count: 1 }], cost: 3 },
      { functions: [], cost: 500 },
      { functions: [{ does: 'grip' as const, count: 1 }], cost: 2 },
    ],
  },
];
const problem = () => ({
  ...coverProblem([reachOf(head, new ChainFinder(pieces, DEFAULT_PRACTICE))], pieces),
  choices,
});
/** The solver, whose answers from a pass on are changed. */
const stopping = (from: number, change: (a: MilpAnswer) => Partial<MilpAnswer>): Solve => {
  let pass = 0;
  return (model) => {
    const answer = real(model);
    return ++pass >= from ? { ...answer, ...change(answer) } : answer;
  };
};
const least = (solve: Solve) => lightestSet(problem(), solve, 'mass', 'solver');

describe('a solver that stops before it has proven anything', () => {
  test('without stopping: the lighter spanner, pliers, and the cheapest way to be content', () => {
    expect(least(real)).toEqual({
      ...{ counts: [1, 0, 1, 0], options: [2], total: 40 + 180 + 2, proven: true, gap: 0, withinWorth: true },
    });
  });
  test('its best stands unproven, with how far it may be from the least', () => {
    const set = least(stopping(1, (a) => ({ status: 'best found', bound: a.objective / 4 })));
    expect(set).toMatchObject({ counts: [1, 0, 1, 0], total: 222, proven: false, gap: expect.closeTo(0.75, 6) });
    const nothing = least(stopping(1, () => ({ status: 'best found', bound: -Infinity })));
    expect(nothing).toMatchObject({ proven: false, gap: 1 });
    const there = least(stopping(1, (a) => ({ status: 'best found', bound: a.objective + 1e-9 })));
    expect(there.gap).toBe(0);
  });
  test('that only breaks ties any more leaves the proven answer as it is', () => {
    for (const status of ['unknown', 'infeasible'] as const)
      for (const pass of [2, 3])
        expect(least(stopping(pass, () => ({ status })))).toMatchObject({
          ...{ counts: [1, 0, 1, 0], options: [2], total: 222, proven: true },
        });
  });
  test('with nothing at all: the whole toolbox but what stays at home, proven of nothing', () => {
    expect(least(stopping(1, () => ({ status: 'unknown' })))).toEqual({
      ...{ counts: [1, 1, 1, 0], options: [2], total: 40 + 100 + 180 + 2 },
      ...{ proven: false, gap: 1, withinWorth: true },
    });
  });
  test('with no set there is: refused with what to do', () => {
    expect(() => least(stopping(1, () => ({ status: 'infeasible' })))).toThrow(/take "never" off a piece/u);
  });
});

describe('of sets that weigh the same the solver takes', () => {
  const of = (list: typeof pieces, more: object) =>
    lightestSet({ ...coverProblem([], list), ...more }, real, 'mass', 'solver');
  const taken = (list: typeof pieces, more: object) => {
    const set = of(list, more);
    return list.filter((_, i) => set.counts[i]! > 0).map((p) => p.name);
  };
  /** In either order of the toolbox, so that no first find decides. */
  const both = (list: typeof pieces, more: object) => [taken(list, more), taken([...list].reverse(), more)];
  const needs = (...does: ('grip' | 'cut')[]) => ({ functions: does.map((d) => ({ does: d, count: 1 })) });
  const one = owned(functional('Multi-tool', ['grip', 'cut'], 200, [100, 40, 20], 60));
  const grips = owned(functional('Pliers', ['grip'], 120, [160, 50, 18], 5));
  const cuts = owned(functional('Cutter', ['cut'], 80, [160, 50, 18], 5));
  const dear = owned(functional('Dear pliers', ['grip'], 120, [160, 50, 18], 30));
  test('the fewest pieces', () => {
    expect(both([one, grips, cuts], needs('grip', 'cut'))).toEqual([['Multi-tool'], ['Multi-tool']]);
  });
  test('then the cheapest', () => {
    expect(both([dear, grips], needs('grip'))).toEqual([['Pliers'], ['Pliers']]);
  });
  test('what a choice costs counts among the grams, and no piece more is taken to spare it', () => {
    const choice = {
      choices: [
        {
          options: [
            { functions: [{ does: 'grip' as const, count: 1 }], cost: 0 },
            { functions: [], cost: 120 },
          ],
        },
      ],
    };
    expect(both([grips], choice)).toEqual([[], []]);
    expect(of([grips], choice)).toMatchObject({ options: [1], total: 120, proven: true, gap: 0 });
    const dearer = {
      choices: [
        {
          options: [
            { functions: [{ does: 'grip' as const, count: 1 }], cost: 0 },
            { functions: [], cost: 121 },
          ],
        },
      ],
    };
    expect(of([grips], dearer)).toMatchObject({ counts: [1], options: [0], total: 120 });
  });
});

describe('a search that gives up', () => {
  // Seven tools that each do three of seven things, any two one thing alike: three through one thing do all.
  const does: PieceFunction[] = ['grip', 'cut', 'file', 'clamp', 'saw', 'drill', 'light'];
  const lines = ['012', '034', '056', '135', '146', '236', '245'];
  const ring = lines.map((line, i) =>
    owned(
      functional(
        `Tool ${i}`,
        [...line].map((d) => does[Number(d)]!),
        100 + i,
        [100, 40, 20],
        10,
      ),
    ),
  );
  const all = { functions: does.map((d) => ({ does: d, count: 1 })) };
  const given = { ...coverProblem([], ring), ...all };
  const LEAST = [1, 1, 1, 0, 0, 0, 0];
  const after = (solve: Solve) => lightestSet(given, solve, 'mass', 'search', null, 1);
  const nothing: Solve = (model) => ({ ...real(model), status: 'unknown' });
  test('has found a set, and knows how much lighter another may be', () => {
    const own = after(nothing);
    expect(own).toMatchObject({ counts: LEAST, total: 303, proven: false });
    // More than the lightest tool at least, and never more than what is least.
    const bound = own.total * (1 - own.gap);
    expect([bound > 100, bound < 303]).toEqual([true, true]);
  });
  test('hands both over: the solver proves it, or its bound counts as well', () => {
    expect(after(real)).toMatchObject({ counts: LEAST, total: 303, proven: true, gap: 0 });
    const { gap } = after(nothing);
    const bounded =
      (bound: number): Solve =>
      (model) => ({ ...real(model), status: 'best found', bound });
    expect(after(bounded(-Infinity)).gap).toBeCloseTo(gap, 6);
    expect(after(bounded(3000)).gap).toBeCloseTo(1 - 300 / 303, 6);
  });
  test('the solver need not look beyond what was found', () => {
    const seen: number[] = [];
    after((model) => {
      seen.push(...model.rows.map((r) => r.upper).filter((u) => u < Infinity));
      return real(model);
    });
    expect(seen[0]).toBe(3030);
  });
});

describe('the chains of a fastener among what is carried', () => {
  const ratchet_ = owned(ratchet('3/8in'));
  const socket_ = owned(socket('3/8in', '10'));
  const spanner = owned(combinationSpanner('10'), { count: 2 });
  const all = [ratchet_, socket_, spanner];
  const finder = new ChainFinder(all, DEFAULT_PRACTICE);
  const one = reachOf(head, finder);
  const both = reachOf(fastener({ ...head, far: { form: 'hex', size: '10' } }), finder);
  const names = (reach: typeof one, carried: [string, number][]) =>
    chainsBy(reach, new Map(carried))?.map((c) => c.links.map((l) => l.piece.id)) ?? null;
  test('one end: the preferred chain of those whose every piece is there', () => {
    expect(names(one, [[spanner.id, 1]])).toEqual([[spanner.id]]);
    expect(
      names(one, [
        [ratchet_.id, 1],
        [socket_.id, 1],
      ]),
    ).toEqual([[ratchet_.id, socket_.id]]);
    for (const lacking of [[], [[ratchet_.id, 1]], [[socket_.id, 1]], [[spanner.id, 0]]] as [string, number][][])
      expect(names(one, lacking)).toBeNull();
  });
  test('two ends: chains that share no copy', () => {
    expect(names(both, [[spanner.id, 1]])).toBeNull();
    expect(names(both, [[spanner.id, 2]])).toEqual([[spanner.id], [spanner.id]]);
    const mixed = names(both, [
      [spanner.id, 1],
      [ratchet_.id, 1],
      [socket_.id, 1],
    ])!;
    expect(mixed.map((c) => c.length).sort()).toEqual([1, 2]);
  });
  test('what the whole toolbox does not reach is not reached', () => {
    const not = reachOf(head, new ChainFinder([owned(openSpanner('12', '13'))], DEFAULT_PRACTICE));
    expect(chainsBy(not, new Map([[spanner.id, 9]]))).toBeNull();
  });
});
