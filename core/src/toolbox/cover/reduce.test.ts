import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { inMeasure } from './lightest.js';
import { reduced, share, type Jobs } from './reduce.js';

/** Items far apart, so that sets of them are several words long. */
const FAR = 40;
const costs = (given: Record<number, number>) => Array.from({ length: FAR + 1 }, (_, i) => given[i] ?? 10);
const plain = ({ jobs, pairs }: Jobs) => ({
  jobs: jobs.map((j) => j.map((a) => a.items)),
  pairs: pairs.map(({ near, far }) => [near.map((a) => a.items), far.map((a) => a.items)]),
});
const of = (
  jobs: number[][][],
  given: Record<number, number> = {},
  pairs: { near: number[][]; far: number[][] }[] = [],
) => plain(reduced({ jobs, pairs }, costs(given)));

describe('fewer items and jobs', () => {
  test('an alternative that contains another falls away, whatever order it is written in', () => {
    expect(of([[[1, 2], [FAR, 1], [FAR], [FAR, FAR]]], { [FAR]: 100 }).jobs).toEqual([[[FAR], [1, 2]]]);
    expect(of([[[3], []]]).jobs).toEqual([[[]]]);
  });
  test('a job that another implies falls away', () => {
    expect(of([[[0], [FAR]], [[0]]]).jobs).toEqual([[[0]]]);
    expect(of([[[0, 1]], [[1, FAR], [0]]]).jobs).toEqual([[[0, 1]]]);
    // Neither implies the other.
    expect(
      of([
        [[0], [1]],
        [[1], [FAR]],
        [[0], [FAR]],
      ]).jobs,
    ).toHaveLength(3);
  });
  test('what a cheaper item does everywhere it does alone', () => {
    expect(of([[[0], [FAR]]], { [FAR]: 5 }).jobs).toEqual([[[FAR]]]);
    expect(of([[[0], [FAR]]], { 0: 5 }).jobs).toEqual([[[0]]]);
    // The dear one is needed beside it where the cheap one does not do.
    expect(of([[[0], [FAR]], [[0]]], { [FAR]: 5 }).jobs).toEqual([[[0]]]);
    expect(
      of(
        [
          [
            [0, 2],
            [FAR, 2],
          ],
          [
            [0, 3],
            [FAR, 3],
          ],
        ],
        { [FAR]: 5 },
      ).jobs,
    ).toEqual([[[2, FAR]], [[3, FAR]]]);
  });
  test('a pair whose ends can share nothing is two jobs; one whose ends can is a pair', () => {
    expect(of([], {}, [{ near: [[0]], far: [[FAR]] }])).toEqual({ jobs: [[[0]], [[FAR]]], pairs: [] });
    expect(of([], {}, [{ near: [[FAR]], far: [[FAR], [1]] }])).toEqual({ jobs: [], pairs: [[[[FAR]], [[FAR], [1]]]] });
  });
  test('the cheapest choice costs the same, by trying all', () => {
    const ITEMS = [0, 5, 13, 31, 32, 33, 64, 70];
    const job = fc.array(fc.uniqueArray(fc.constantFrom(...ITEMS), { minLength: 1, maxLength: 3 }), {
      minLength: 1,
      maxLength: 4,
    });
    const cheapest = (jobs: number[][][], pairs: { near: number[][]; far: number[][] }[], cost: readonly number[]) => {
      let best = Infinity;
      for (let mask = 0; mask < 1 << ITEMS.length; mask++) {
        const taken = new Set(ITEMS.filter((_, i) => mask & (1 << i)));
        const done = (a: readonly number[]) => a.every((i) => taken.has(i));
        if (!jobs.every((j) => j.some(done))) continue;
        const apart = (a: number[], b: number[]) => !a.some((i) => b.includes(i));
        if (!pairs.every(({ near, far }) => near.some((a) => done(a) && far.some((b) => done(b) && apart(a, b)))))
          continue;
        best = Math.min(
          best,
          [...taken].reduce((s, i) => s + cost[i]!, 0),
        );
      }
      return best;
    };
    fc.assert(
      fc.property(
        fc.array(job, { maxLength: 5 }),
        fc.array(fc.record({ near: job, far: job }), { maxLength: 2 }),
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 71, maxLength: 71 }),
        (jobs, pairs, cost) => {
          const less = reduced({ jobs, pairs }, cost);
          const now = plain(less);
          const after = cheapest(
            now.jobs,
            now.pairs.map(([near, far]) => ({ near: near!, far: far! })),
            cost,
          );
          expect(after).toBe(cheapest(jobs, pairs, cost));
          // Bits say the same as items.
          const all = [...less.jobs.flat(), ...less.pairs.flatMap((p) => [...p.near, ...p.far])];
          const wrong = all.filter((x) =>
            all.some((y) => share(x.bits, y.bits) !== x.items.some((i) => y.items.includes(i))),
          );
          expect(wrong).toEqual([]);
        },
      ),
      { numRuns: 200, endOnFailure: true },
    );
  });
});

test('what a thing counts: grams, euros, millilitres, and the blend of them', () => {
  const thing = { mass: 100, price: 12, size: { length: 100, width: 50, height: 20 } };
  expect((['mass', 'price', 'bulk', 'blend'] as const).map((m) => inMeasure(m, thing))).toEqual([
    100,
    12,
    100,
    // 100 g, a tenth of a litre at 150 g a litre, 12 euros at 2 g a euro.
    100 + 15 + 24,
  ]);
});
