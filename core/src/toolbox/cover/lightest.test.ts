import fc from 'fast-check';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import type { Solve } from '../../ground/milp.js';
import { fastener, owned } from '../../testing/make.js';
import { ChainFinder, reachOf } from '../chains/index.js';
import { DEFAULT_PRACTICE } from '../practice.js';
import {
  bit,
  combinationSpanner,
  functional,
  lKey,
  openSpanner,
  ratchet,
  ringSpanner,
  socket,
  type PieceFunction,
} from '../tools/index.js';
import { lightestSet } from './lightest.js';
import { coverProblem, taskDone, type CoverProblem, type FunctionNeed } from './task.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

const MODELS = [
  ratchet('1/4in'),
  socket('1/4in', '8'),
  socket('1/4in', '10'),
  bit({ form: 'key', size: '5' }),
  lKey('5'),
  combinationSpanner('10'),
  ringSpanner('8', '10'),
  openSpanner('10', '13'),
  functional('Pliers', ['grip', 'cut'], 180, [160, 50, 18], 12),
  functional('Multi-tool', ['grip', 'cut', 'file'], 230, [100, 40, 20], 60),
  functional('Clamp', ['clamp'], 120, [100, 40, 20], 9),
];
const HEADS = [
  { form: 'hex' as const, size: '8' },
  { form: 'hex' as const, size: '10' },
  { form: 'key' as const, size: '5' },
];
const need = fc.record({
  does: fc.constantFrom<PieceFunction>('grip', 'cut', 'file', 'clamp'),
  count: fc.constantFrom(1, 1, 2),
});

/** Toolboxes of a few pieces with whole weights and prices; heads, functions, choices with costs of their own, pieces that may be lost. */
const someProblem = fc
  .record({
    some: fc.subarray([...MODELS.keys()], { minLength: 3, maxLength: 6 }),
    masses: fc.array(fc.integer({ min: 5, max: 60 }), { minLength: 6, maxLength: 6 }),
    prices: fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 6, maxLength: 6 }),
    counts: fc.array(fc.constantFrom(1, 1, 2), { minLength: 6, maxLength: 6 }),
    marks: fc.array(fc.constantFrom(null, null, null, 'always' as const, 'never' as const), {
      minLength: 6,
      maxLength: 6,
    }),
    heads: fc.array(
      fc.record({ head: fc.constantFrom(...HEADS), far: fc.option(fc.constantFrom(...HEADS), { freq: 2 }) }),
      {
        minLength: 1,
        maxLength: 3,
      },
    ),
    functions: fc.array(need, { maxLength: 1 }),
    choices: fc.array(
      fc.array(fc.record({ functions: fc.array(need, { maxLength: 2 }), cost: fc.integer({ min: 0, max: 80 }) }), {
        minLength: 1,
        maxLength: 3,
      }),
      { maxLength: 2 },
    ),
    losable: fc.boolean(),
  })
  .map((q): CoverProblem => {
    const pieces = q.some.map((m, i) =>
      owned(MODELS[m]!, { mass: q.masses[i]!, price: q.prices[i]!, count: q.counts[i]!, mark: q.marks[i]! }),
    );
    const finder = new ChainFinder(pieces, DEFAULT_PRACTICE);
    const reaches = q.heads.map((h) => reachOf(fastener({ ...h, torque: { value: 5, source: 'manual' } }), finder));
    const problem = coverProblem(reaches, pieces, q.functions, () => q.losable);
    return { ...problem, choices: q.choices.map((options) => ({ options })) };
  });

type Sum = [total: number, copies: number, price: number];
const less = (a: Sum, b: Sum) => a[0] - b[0] || a[1] - b[1] || a[2] - b[2];
const able = (problem: CoverProblem, counts: readonly number[]) => (needs: readonly FunctionNeed[]) =>
  needs.every(
    (f) => problem.pieces.reduce((s, p, i) => s + (p.functions.includes(f.does) ? counts[i]! : 0), 0) >= f.count,
  );
/** Whether copies do every task, have every function and keep the marks. */
const holds = (problem: CoverProblem, counts: readonly number[]) =>
  able(problem, counts)(problem.functions) &&
  [...problem.tasks, ...problem.spared].every((t) => taskDone(t, counts)) &&
  problem.pieces.every((p, i) => (p.mark === 'never' ? counts[i] === 0 : p.mark === 'always' ? counts[i]! >= 1 : true));
const priceOf = (problem: CoverProblem, counts: readonly number[]) =>
  problem.pieces.reduce((s, p, i) => s + counts[i]! * p.price, 0);

/** Oracle: weight with options, copies and price of the least of all choices of copies worth no more than that; null where none holds. */
function leastOfAll(problem: CoverProblem, worth: number): Sum | null {
  let best: Sum | null = null;
  const counts = problem.pieces.map(() => 0);
  const every = (i: number) => {
    if (i < counts.length) {
      for (let n = 0; n <= problem.pieces[i]!.count; n++) {
        counts[i] = n;
        every(i + 1);
      }
      return;
    }
    if (!holds(problem, counts) || priceOf(problem, counts) > worth) return;
    const has = able(problem, counts);
    const options = (problem.choices ?? []).map((c) =>
      Math.min(...c.options.filter((o) => has(o.functions)).map((o) => o.cost)),
    );
    const total = problem.pieces.reduce((s, p, j) => s + counts[j]! * p.mass, 0) + options.reduce((s, o) => s + o, 0);
    if (total === Infinity) return;
    const now: Sum = [total, counts.reduce((s, n) => s + n, 0), priceOf(problem, counts)];
    if (!best || less(now, best) < 0) best = now;
  };
  every(0);
  return best;
}
const sumOf = (problem: CoverProblem, set: { counts: readonly number[]; total: number }): Sum => [
  Math.round(set.total * 10) / 10,
  set.counts.reduce((s, n) => s + n, 0),
  priceOf(problem, set.counts),
];

describe('the least set with what can be met in several ways', () => {
  for (const [by, nodes] of [
    ['search', undefined],
    ['solver', undefined],
    // A search that gives up at once hands over to the solver what it had found.
    ['search', 1],
    ['search', 3],
  ] as const)
    test(`by the ${by}${nodes ? ` with ${nodes} nodes` : ''}: what trying everything finds, ties by copies and price, each option met by what is carried`, () => {
      fc.assert(
        fc.property(someProblem, (problem) => {
          const least = leastOfAll(problem, Infinity);
          if (least === null) {
            expect(() => lightestSet(problem, solve, 'mass', by, null, nodes)).toThrow(/take "never" off/u);
            return;
          }
          const set = lightestSet(problem, solve, 'mass', by, null, nodes);
          expect(sumOf(problem, set)).toEqual(least);
          expect([set.proven, set.gap, set.withinWorth, holds(problem, set.counts)]).toEqual([true, 0, true, true]);
          const has = able(problem, set.counts);
          const chosen = (problem.choices ?? []).map((c, k) => c.options[set.options[k]!]!);
          expect(chosen.every((o) => has(o.functions))).toBe(true);
          const pieces = problem.pieces.reduce((s, p, i) => s + set.counts[i]! * p.mass, 0);
          expect(pieces + chosen.reduce((s, o) => s + o.cost, 0)).toBeCloseTo(set.total, 9);
        }),
        { numRuns: 120 },
      );
    });
  test('where both search and solver give up, what there is is told with a bound that holds', () => {
    fc.assert(
      fc.property(someProblem, fc.constantFrom('unknown' as const, 'best found' as const), (problem, status) => {
        const least = leastOfAll(problem, Infinity);
        if (least === null) return;
        const stopped: Solve = (model) => ({ ...solve(model), status, bound: -Infinity });
        const set = lightestSet(problem, stopped, 'mass', 'search', null, 1);
        expect(holds(problem, set.counts)).toBe(true);
        expect(set.total).toBeGreaterThanOrEqual(least[0] - 1e-9);
        expect([set.gap >= 0, set.gap <= 1]).toEqual([true, true]);
        // Not more than a tenth of a gram beyond the bound, to which measures are rounded.
        expect(set.total * (1 - set.gap)).toBeLessThanOrEqual(least[0] + 0.1);
        if (set.proven) expect(sumOf(problem, set)).toEqual(least);
      }),
      { numRuns: 150 },
    );
  });
  test('within what the pieces may be worth it is the least of those; where none is, the least without the limit', () => {
    fc.assert(
      fc.property(someProblem, fc.integer({ min: 10, max: 120 }), (problem, worth) => {
        const free = leastOfAll(problem, Infinity);
        fc.pre(free !== null);
        const set = lightestSet(problem, solve, 'mass', 'search', worth);
        const limited = leastOfAll(problem, worth);
        expect(set.withinWorth).toBe(limited !== null);
        expect(sumOf(problem, set)).toEqual(limited ?? free);
      }),
      { numRuns: 120 },
    );
  });
  test('where nobody has the time, everything that is not left at home: it holds, and is proven of nothing', () => {
    const tired: Solve = () => ({ status: 'unknown', values: [], objective: 0, bound: 0 }) as never;
    fc.assert(
      fc.property(someProblem, (problem) => {
        fc.pre(leastOfAll(problem, Infinity) !== null);
        const set = lightestSet(problem, tired, 'mass', 'solver');
        expect(set.counts).toEqual(problem.pieces.map((p) => (p.mark === 'never' ? 0 : p.count)));
        expect([set.proven, set.gap, holds(problem, set.counts)]).toEqual([false, 1, true]);
        const has = able(problem, set.counts);
        const options = (problem.choices ?? []).map((c) =>
          Math.min(...c.options.filter((o) => has(o.functions)).map((o) => o.cost)),
        );
        const pieces = problem.pieces.reduce((s, p, i) => s + set.counts[i]! * p.mass, 0);
        expect(set.total).toBeCloseTo(pieces + options.reduce((s, o) => s + o, 0), 9);
        // Where the search proves it, the solver is not asked.
        expect(sumOf(problem, lightestSet(problem, tired))).toEqual(leastOfAll(problem, Infinity));
      }),
      { numRuns: 60 },
    );
  });
});
