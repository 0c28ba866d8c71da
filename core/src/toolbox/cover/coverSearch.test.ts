import fc from 'fast-check';
import { expect, test } from '@jest/globals';
import { runs } from '../../testing/thorough.js';
import { cheapestCover, type CoverSearch } from './coverSearch.js';

/** Oracle: every set of items. */
function bruteForce({ costs, jobs, pairs = [] }: CoverSearch): number {
  let best = Infinity;
  for (let mask = 0; mask < 1 << costs.length; mask++) {
    const whole = (a: readonly number[]) => a.every((i) => mask & (1 << i));
    if (!jobs.every((job) => job.some(whole))) continue;
    const apart = (a: number[], b: number[]) => !a.some((i) => b.includes(i));
    if (!pairs.every(({ near, far }) => near.some((a) => whole(a) && far.some((b) => whole(b) && apart(a, b)))))
      continue;
    best = Math.min(
      best,
      costs.reduce((s, c, i) => (mask & (1 << i) ? s + c : s), 0),
    );
  }
  return best;
}
const cost = ({ costs }: CoverSearch, taken: boolean[]) => costs.reduce((s, c, i) => (taken[i] ? s + c : s), 0);

const alternatives = (n: number, most: number) =>
  fc.array(fc.uniqueArray(fc.integer({ min: 0, max: n - 1 }), { minLength: 1, maxLength: 4 }), {
    minLength: 1,
    maxLength: most,
  });
const costsOf = (n: number) => fc.array(fc.integer({ min: 1, max: 60 }), { minLength: n, maxLength: n });
const problem = fc
  .integer({ min: 1, max: 12 })
  .chain((n) => fc.record({ costs: costsOf(n), jobs: fc.array(alternatives(n, 7), { maxLength: 9 }) }));
const withPairs = fc.integer({ min: 2, max: 11 }).chain((n) =>
  fc.record({
    costs: costsOf(n),
    jobs: fc.array(alternatives(n, 5), { maxLength: 4 }),
    pairs: fc.array(fc.record({ near: alternatives(n, 5), far: alternatives(n, 5) }), { minLength: 1, maxLength: 4 }),
  }),
);

test('the cheapest cover is the one that trying every set finds, and it covers', () => {
  fc.assert(
    fc.property(problem, (p) => {
      const found = cheapestCover(p);
      if (found === null || found === 'infeasible') throw new Error(String(found));
      expect(found.cost).toBe(bruteForce(p));
      expect(cost(p, found.taken)).toBe(found.cost);
      expect(p.jobs.every((job) => job.some((a) => a.every((i) => found.taken[i])))).toBe(true);
    }),
    runs(1500, 300),
  );
});

test('the two ends of a pair share nothing, and the cheapest cover is still the one that trying every set finds', () => {
  fc.assert(
    fc.property(withPairs, (p) => {
      const found = cheapestCover(p);
      const best = bruteForce(p);
      if (found === null) throw new Error('given up');
      expect(found === 'infeasible' ? Infinity : found.cost).toBe(best);
      if (found !== 'infeasible') expect(cost(p, found.taken)).toBe(best);
    }),
    runs(2500, 500),
  );
});

test('more items never cost more, fewer jobs never cost more, doubled costs double', () => {
  fc.assert(
    fc.property(problem, (p) => {
      const value = (q: CoverSearch) => {
        const found = cheapestCover(q);
        return found && found !== 'infeasible' ? found.cost : Number.NaN;
      };
      const base = value(p);
      expect(value({ ...p, jobs: p.jobs.slice(1) })).toBeLessThanOrEqual(base);
      expect(value({ ...p, costs: p.costs.map((c) => 2 * c) })).toBe(2 * base);
      const extra = p.costs.length;
      const jobs = p.jobs.map((job) => [...job, [extra]]);
      expect(value({ costs: [...p.costs, 5], jobs })).toBe(Math.min(base, p.jobs.length > 0 ? 5 : 0));
    }),
    runs(300, 100),
  );
});

test('a kit that is made better while the bound has already ruled its items out still comes to an end', () => {
  const costs = [55, 43, 31, 6, 58, 52, 48];
  const jobs = [
    [[0], [5], [6, 3, 5, 4], [0, 1, 3, 4], [2, 6, 1]],
    [
      [5, 0],
      [4, 3],
      [2, 3],
    ],
    [[1, 3], [4]],
    [[5], [1, 3], [6, 1, 0, 2], [2]],
    [[1], [4, 0, 5]],
  ];
  const found = cheapestCover({ costs, jobs });
  expect(found !== null && found !== 'infeasible' && found.cost).toBe(bruteForce({ costs, jobs }));
});

test('a job without alternatives cannot be done; a search that is cut short says so', () => {
  expect(cheapestCover({ costs: [1], jobs: [[]] })).toBe('infeasible');
  const triangle = {
    costs: [3, 2, 2],
    jobs: [
      [[0], [1]],
      [[0], [2]],
      [[1], [2]],
    ],
  };
  expect(cheapestCover(triangle, 0)).toBeNull();
  expect(cheapestCover(triangle)).toMatchObject({ cost: 4, proven: true, bound: 4 });
  expect(cheapestCover({ costs: [3], jobs: [] })).toMatchObject({ cost: 0, taken: [false] });
});
