import { DEFAULT_PRACTICE, type Practice } from '../practice.js';
import fc from 'fast-check';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import type { Fastener } from '../../bike/index.js';
import { ChainFinder, reachOf, type Reach } from '../chains/index.js';
import { fastener, owned } from '../../testing/make.js';
import {
  adjustable,
  combinationSpanner,
  lKey,
  openSpanner,
  ratchet,
  ringSpanner,
  socket,
  tHandle,
  type Piece,
} from '../tools/index.js';
import { lightestSet } from './lightest.js';
import type { Solve } from '../../ground/milp.js';
import { coverProblem, reachedBy } from './task.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});
const nm = (value: number) => ({ value, source: 'manual' as const });
const hex = (size: string) => ({ form: 'hex' as const, size });

/** Oracle: the lightest choice of copies that does all, and still does what the toolbox can do with any one losable copy gone. */
function bruteForce(pieces: Piece[], reaches: Reach[], losable: (p: Piece) => boolean): number {
  let best = Infinity;
  const counts = pieces.map(() => 0);
  const does = (r: Reach, of: readonly number[]) => reachedBy(r, new Map(pieces.map((p, i) => [p.id, of[i]!])));
  const todo = reaches.filter((r) => r.best.length > 0);
  const less = (of: readonly number[], k: number) => of.map((n, i) => (i === k ? Math.max(0, n - 1) : n));
  // What must be done with a copy of a piece lost: whatever the whole toolbox then still does.
  const drawer = pieces.map((p) => p.count);
  const spared = pieces.flatMap((p, k) =>
    losable(p) ? todo.filter((r) => does(r, less(drawer, k))).map((r) => ({ r, k })) : [],
  );
  const go = (i: number) => {
    const mass = counts.slice(0, i).reduce((s, n, j) => s + n * pieces[j]!.mass, 0);
    if (mass >= best) return;
    if (i < pieces.length) {
      for (let n = 0; n <= pieces[i]!.count; n++) {
        counts[i] = n;
        go(i + 1);
      }
      counts[i] = 0;
      return;
    }
    if (todo.every((r) => does(r, counts)) && spared.every(({ r, k }) => does(r, less(counts, k)))) best = mass;
  };
  go(0);
  return best;
}

const MODELS = [
  ratchet('1/4in'),
  tHandle('1/4in'),
  socket('1/4in', '8'),
  socket('1/4in', '10'),
  lKey('5'),
  combinationSpanner('10'),
  ringSpanner('8', '10'),
  openSpanner('10', '13'),
  adjustable(250, 30, 370),
];
const HEADS: Fastener['head'][] = [hex('8'), hex('10'), { form: 'key', size: '5' }];

describe('a kit that bears a loss', () => {
  test.each([2, 3, 4])('of a socket used at both ends, with %i owned', (n) => {
    const pieces = [owned(tHandle('1/4in'), { count: 4 }), owned(socket('1/4in', '10'), { count: n })];
    const finder = new ChainFinder(pieces, DEFAULT_PRACTICE);
    const reaches = [reachOf(fastener({ head: hex('10'), far: hex('10'), torque: nm(5) }), finder)];
    const losable = (p: Piece) => p.kind === 'socket';
    for (const by of ['search', 'solver'] as const) {
      const set = lightestSet(coverProblem(reaches, pieces, [], losable), solve, 'mass', by);
      // Two in use, one more where the toolbox has one to lose.
      expect([by, set.counts[1], set.proven]).toEqual([by, Math.min(n, 3), true]);
    }
  });

  test('is the lightest that trying every number of copies finds, ends and holding included', () => {
    fc.assert(
      fc.property(
        fc.subarray(MODELS, { minLength: 2, maxLength: 6 }),
        fc.array(fc.constantFrom(1, 2, 3, 4), { minLength: 6, maxLength: 6 }),
        fc.array(
          fc.record({
            head: fc.constantFrom(...HEADS),
            far: fc.option(fc.constantFrom(...HEADS), { freq: 4 }),
            torque: fc.integer({ min: 2, max: 12 }),
          }),
          { minLength: 1, maxLength: 3 },
        ),
        fc.constantFrom<'all' | 'sockets' | 'none'>('all', 'sockets', 'none'),
        fc.constantFrom<Practice['adjustable']>('last', 'holds', 'freely'),
        fc.constantFrom('search' as const, 'search' as const, 'solver' as const),
        (some, counts, heads, which, adjusting, by) => {
          const pieces = some.map((m, i) => owned(m, { count: counts[i]! }));
          const finder = new ChainFinder(pieces, { ...DEFAULT_PRACTICE, adjustable: adjusting });
          const reaches = heads.map((h) => reachOf(fastener({ ...h, torque: nm(h.torque) }), finder));
          const losable = (p: Piece) => which === 'all' || (which === 'sockets' && p.kind === 'socket');
          const set = lightestSet(coverProblem(reaches, pieces, [], losable), solve, 'mass', by);
          expect({ mass: set.total, proven: set.proven }).toEqual({
            mass: bruteForce(pieces, reaches, losable),
            proven: true,
          });
        },
      ),
      { numRuns: 250, endOnFailure: true },
    );
  }, 120_000);
});
