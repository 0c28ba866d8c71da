import fc from 'fast-check';
import { expect, test } from '@jest/globals';
import { leastSets } from './items.js';

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
