import fc from 'fast-check';
import { expect, test } from '@jest/globals';
import { owned } from '../../testing/make.js';
import { combinationSpanner } from '../../toolbox/tools/index.js';
import { Items, leastSets, setsOfFunction } from './items.js';

test('of sets that contain another the other alone is left, each once', () => {
  expect(leastSets([[1, 2], [1], [2, 3], [1, 2], [2, 3, 4]])).toEqual([[1], [2, 3]]);
  expect(leastSets([[1], []])).toEqual([[]]);
  expect(leastSets([])).toEqual([]);
  const sets = fc.array(
    fc.uniqueArray(fc.integer({ min: 0, max: 5 }), { maxLength: 4 }).map((s) => s.sort()),
    { maxLength: 12 },
  );
  fc.assert(
    fc.property(sets, (all) => {
      const inside = (a: readonly number[], b: readonly number[]) => a.every((i) => b.includes(i));
      const least = leastSets(all);
      for (const s of all) expect(least.some((k) => inside(k, s))).toBe(true);
      for (const k of least) {
        expect(all.map(String)).toContain(String(k));
        expect(least.filter((o) => inside(o, k))).toEqual([k]);
      }
    }),
  );
});

test('a count of a function is made up of the copies of those that have it, in every way', () => {
  const counted = fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 1, maxLength: 4 });
  fc.assert(
    fc.property(counted, fc.integer({ min: 0, max: 4 }), (counts, wanted) => {
      const items = new Items(counts.map((count) => owned(combinationSpanner('10'), { count })));
      const able = counts.map((_, p) => p).filter((p) => p !== 1);
      // Oracle: every number of copies of each, those that make up the count.
      let all: number[][] = [[]];
      for (const p of able)
        all = all.flatMap((had) => Array.from({ length: (counts[p] ?? 0) + 1 }, (_, n) => [...had, n]));
      const sets = all
        .filter((ns) => ns.reduce((a, b) => a + b, 0) === wanted)
        .map((ns) => ns.flatMap((n, i) => Array.from({ length: n }, (_, c) => items.item(able[i]!, c))));
      const listed = (of: number[][]) => of.map((s) => [...s].sort((a, b) => a - b).join()).sort();
      expect(listed(setsOfFunction(able, wanted, items))).toEqual(listed(sets));
    }),
  );
});
test('ways to make up a count are cut short where there are too many', () => {
  const items = new Items(Array.from({ length: 6 }, () => owned(combinationSpanner('10'))));
  const able = [0, 1, 2, 3, 4, 5];
  expect(setsOfFunction(able, 3, items)).toHaveLength(20);
  expect([7, 1].map((most) => setsOfFunction(able, 3, items, most).length)).toEqual([7, 1]);
});
