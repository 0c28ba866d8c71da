import fc from 'fast-check';
import { expect, test } from '@jest/globals';
import { Matrix } from '../ground/numbers.js';
import { groupCost } from './groupCost.js';
import type { StowProblem } from './stowProblem.js';

/** Prices of units in places, loose last; what another place costs the group; places that were begun. */
const prices = (most: number) =>
  fc.integer({ min: 1, max: 4 }).chain((places) =>
    fc.record({
      places: fc.constant(places),
      rows: fc.array(fc.array(fc.integer({ min: 0, max: 40 }), { minLength: places + 1, maxLength: places + 1 }), {
        minLength: 1,
        maxLength: most,
      }),
      more: fc.integer({ min: 0, max: 30 }),
      begun: fc.uniqueArray(fc.integer({ min: 0, max: places - 1 }), { maxLength: 2 }),
    }),
  );
type Prices = typeof prices extends (n: number) => fc.Arbitrary<infer T> ? T : never;

const asked = ({ places, rows, more }: Prices, begun: readonly number[], key = 0) => {
  const p = {
    places: Array.from({ length: places }, () => ({})),
    loose: places,
    spread: { at: () => more },
  } as unknown as StowProblem;
  const adjusted = Matrix.of(rows);
  const cheapest = Matrix.of(rows.map((r) => r.slice(0, places)));
  return groupCost(p, key, [...rows.keys()], { adjusted, cheapest, binAt: cheapest }, new Set(begun));
};
/** What a choice costs: places, −1 for loose; each place beyond the first costs more, or each that was not begun. */
const costOf = (
  { places, rows, more }: Prices,
  at: readonly number[],
  begun: readonly number[],
  held = true,
): number => {
  const open = new Set(at.filter((k) => k >= 0 && !begun.includes(k)));
  const extra = begun.length > 0 ? open.size : Math.max(0, open.size - 1);
  return at.reduce((s, k, i) => s + rows[i]![k < 0 ? places : k]!, held ? extra * more : 0);
};
const everyChoice = ({ places, rows }: Prices): number[][] =>
  rows.reduce<number[][]>(
    (all) => all.flatMap((had) => Array.from({ length: places + 1 }, (_, k) => [...had, k === places ? -1 : k])),
    [[]],
  );
const least = (
  c: Prices,
  begun: readonly number[],
  keep: (at: readonly number[]) => boolean = () => true,
  held = true,
) =>
  Math.min(
    ...everyChoice(c)
      .filter(keep)
      .map((at) => costOf(c, at, begun, held)),
  );

test('two units of a group: the least is the least of every choice, with either of them forced too', () => {
  fc.assert(
    fc.property(prices(2), (c) => {
      const found = asked(c, []);
      expect(found.least).toBe(least(c, []));
      expect(costOf(c, found.at, [])).toBe(found.least);
      for (const i of c.rows.keys())
        for (let k = 0; k < c.places; k++) expect(found.forced(i, k)).toBe(least(c, [], (at) => at[i] === k));
    }),
  );
});
test('more units: never more than the least of every choice, and that of one or two places exactly', () => {
  fc.assert(
    fc.property(prices(4), (c) => {
      const found = asked(c, []);
      const wide = least(c, [], () => true, false) + 2 * c.more;
      const few = least(c, [], (at) => new Set(at.filter((k) => k >= 0)).size <= 2);
      expect(found.least).toBe(Math.min(few, wide));
      expect(found.least).toBeLessThanOrEqual(least(c, []));
      if (few < wide) expect(costOf(c, found.at, [])).toBe(few);
      for (const i of c.rows.keys())
        for (let k = 0; k < c.places; k++)
          expect(found.forced(i, k)).toBeLessThanOrEqual(least(c, [], (at) => at[i] === k));
    }),
  );
});
test('beside places that were begun: those are free, each other costs more, and one of them is counted', () => {
  fc.assert(
    fc.property(prices(3), (c) => {
      fc.pre(c.begun.length > 0);
      const found = asked(c, c.begun);
      const free = least(c, c.begun, (at) => at.every((k) => k < 0 || c.begun.includes(k)));
      const wide = least(c, c.begun, () => true, false) + c.more;
      expect(found.least).toBe(c.more === 0 ? wide : Math.min(free, wide));
      expect(found.least).toBeLessThanOrEqual(least(c, c.begun));
      if (c.rows.length === 1 && c.more > 0) expect(costOf(c, found.at, c.begun)).toBe(found.least);
      for (const i of c.rows.keys())
        for (let k = 0; k < c.places; k++)
          expect(found.forced(i, k)).toBeLessThanOrEqual(least(c, c.begun, (at) => at[i] === k));
    }),
  );
});
test('units of no group go where each is cheapest', () => {
  fc.assert(
    fc.property(prices(3), (c) => {
      const found = asked(c, c.begun, -1);
      expect(found.least).toBe(least(c, [], () => true, false));
      expect(costOf(c, found.at, [], false)).toBe(found.least);
      for (const i of c.rows.keys())
        for (let k = 0; k < c.places; k++) expect(found.forced(i, k)).toBe(least(c, [], (at) => at[i] === k, false));
    }),
  );
});
