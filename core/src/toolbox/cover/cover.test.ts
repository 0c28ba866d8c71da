import { DEFAULT_PRACTICE } from '../practice.js';
import fc from 'fast-check';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import type { Fastener } from '../../bike/index.js';
import { ChainFinder, reachOf, type Reach } from '../chains/index.js';
import {
  adapter,
  adjustable,
  bit,
  combinationSpanner,
  extension,
  functional,
  lKey,
  openSpanner,
  ratchet,
  ringSpanner,
  socket,
  tHandle,
  type Piece,
} from '../tools/index.js';
import { fastener, owned } from '../../testing/make.js';
import { lightestSet } from './lightest.js';
import type { Solve } from '../../ground/milp.js';
import { coverProblem, reachedBy, type FunctionNeed } from './task.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});
const nm = (value: number) => ({ value, source: 'manual' as const });

/** Oracle: every choice of copies, judged by the chains themselves; ties by copies, then price. */
function bruteForce(pieces: Piece[], reaches: Reach[], functions: FunctionNeed[]) {
  let best: { mass: number; copies: number; price: number } | null = null;
  const counts = pieces.map(() => 0);
  const todo = reaches.filter((r) => r.best.length > 0);
  const go = (i: number) => {
    if (i < pieces.length) {
      const { mark, count } = pieces[i]!;
      for (let n = mark === 'always' ? 1 : 0; n <= (mark === 'never' ? 0 : count); n++) {
        counts[i] = n;
        go(i + 1);
      }
      return;
    }
    const total = (of: (p: Piece) => number) => pieces.reduce((s, p, j) => s + counts[j]! * of(p), 0);
    const now = { mass: total((p) => p.mass), copies: total(() => 1), price: total((p) => Math.round(p.price * 10)) };
    if (
      best &&
      (now.mass > best.mass ||
        (now.mass === best.mass &&
          (now.copies > best.copies || (now.copies === best.copies && now.price >= best.price))))
    )
      return;
    const carried = new Map(pieces.map((p, j) => [p.id, counts[j]!]));
    const able = (f: FunctionNeed) =>
      pieces.reduce((s, p, j) => s + (p.functions.includes(f.does) ? counts[j]! : 0), 0);
    if (functions.every((f) => able(f) >= f.count) && todo.every((r) => reachedBy(r, carried))) best = now;
  };
  go(0);
  return best as { mass: number; copies: number; price: number } | null;
}

const MODELS = [
  ratchet('1/4in'),
  ratchet('3/8in'),
  tHandle('1/4in'),
  adapter('3/8in', '1/4in'),
  extension('1/4in', 50),
  socket('1/4in', '8'),
  socket('1/4in', '10'),
  socket('3/8in', '10'),
  socket('3/8in', '13'),
  socket('1/4in', '1/4in'),
  bit({ form: 'key', size: '5' }),
  lKey('5'),
  combinationSpanner('10'),
  combinationSpanner('13'),
  ringSpanner('8', '10'),
  openSpanner('10', '13'),
  adjustable(250, 30, 370),
  functional('Pliers', ['grip', 'cut'], 180, [160, 50, 18], 12),
  functional('Multi-tool', ['grip', 'cut', 'file'], 230, [100, 40, 20], 60),
];
const HEADS: Fastener['head'][] = [
  { form: 'hex', size: '8' },
  { form: 'hex', size: '10' },
  { form: 'hex', size: '13' },
  { form: 'key', size: '5' },
];

describe('the lightest set', () => {
  test('is the one that trying everything finds, ties broken by copies and price', () => {
    fc.assert(
      fc.property(
        fc.subarray(MODELS, { minLength: 4, maxLength: 11 }),
        fc.array(
          fc.record({
            head: fc.constantFrom(...HEADS),
            far: fc.option(fc.constantFrom(...HEADS), { freq: 2 }),
            torque: fc.integer({ min: 2, max: 30 }),
          }),
          { minLength: 1, maxLength: 6 },
        ),
        fc.array(fc.constantFrom(1, 1, 2), { minLength: 11, maxLength: 11 }),
        fc.array(fc.constantFrom(null, null, null, null, 'always' as const), { minLength: 11, maxLength: 11 }),
        fc.boolean(),
        (some, heads, counts, marks, cutting) => {
          const pieces = some.map((m, i) => owned(m, { count: counts[i]!, mark: marks[i]! }));
          const finder = new ChainFinder(pieces, DEFAULT_PRACTICE);
          const reaches = heads.map((h) => reachOf(fastener({ ...h, torque: nm(h.torque) }), finder));
          const problem = coverProblem(reaches, pieces, cutting ? [{ does: 'cut', count: 1 }] : []);
          const set = lightestSet(problem, solve);
          const expected = bruteForce(pieces, reaches, problem.functions)!;
          const sum = (of: (p: Piece) => number) => pieces.reduce((s, p, i) => s + set.counts[i]! * of(p), 0);
          expect({ mass: set.total, copies: sum(() => 1), price: sum((p) => Math.round(p.price * 10)) }).toEqual(
            expected,
          );
          expect(set.proven).toBe(true);
          const carried = new Map(pieces.map((p, i) => [p.id, set.counts[i]!]));
          for (const r of reaches) if (r.best.length > 0) expect(reachedBy(r, carried)).toBe(true);
        },
      ),
      { numRuns: 120 },
    );
  }, 120_000);

  test('a piece marked never is left, and when it is needed the marks are refused', () => {
    const pieces = [owned(combinationSpanner('10')), owned(ringSpanner('8', '10'), { mark: 'never' })];
    const reaches = [reachOf(fastener({ head: HEADS[1]!, torque: nm(10) }), new ChainFinder(pieces, DEFAULT_PRACTICE))];
    expect(lightestSet(coverProblem(reaches, pieces), solve).counts).toEqual([1, 0]);
    const only = [{ ...pieces[1]! }];
    const stuck = [reachOf(fastener({ head: HEADS[1]!, torque: nm(10) }), new ChainFinder(only, DEFAULT_PRACTICE))];
    expect(() => lightestSet(coverProblem(stuck, only), solve)).toThrow(/take "never" off/);
  });

  test('price and bulk may be made least instead', () => {
    const dear = owned(combinationSpanner('10'), { mass: 10, price: 50 });
    const cheap = owned(ringSpanner('8', '10'), { mass: 90, price: 1 });
    const reaches = [
      reachOf(fastener({ head: HEADS[1]!, torque: nm(10) }), new ChainFinder([dear, cheap], DEFAULT_PRACTICE)),
    ];
    const problem = coverProblem(reaches, [dear, cheap]);
    expect(lightestSet(problem, solve).counts).toEqual([1, 0]);
    expect(lightestSet(problem, solve, 'price').counts).toEqual([0, 1]);
    expect(lightestSet(problem, solve, 'bulk').total).toBeGreaterThan(0);
  });

  test('equal fasteners become one task', () => {
    const pieces = [owned(combinationSpanner('10'))];
    const finder = new ChainFinder(pieces, DEFAULT_PRACTICE);
    const reaches = [1, 2, 3].map(() => reachOf(fastener({ head: HEADS[1]!, torque: nm(10) }), finder));
    expect(coverProblem(reaches, pieces).tasks).toHaveLength(1);
  });
});
