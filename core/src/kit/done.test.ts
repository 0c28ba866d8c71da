import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { figure } from '../testing/figure.js';
import { bareAsk, bareProblem, bareWay, unitsOfKind } from '../testing/smallKits.js';
import type { Ask, AskWay, KitProblem } from './optimum/kitProblem.js';
import { doneOfAsk, stockedBy } from './done.js';

const problemOf = (asks: Ask[]): KitProblem => ({ ...bareProblem([]), asks });
const patch = (gain: number, units = 1) => bareWay({ supplies: [unitsOfKind('patch', units)], gain });
const fuse = (gain: number, units = 1) => bareWay({ supplies: [unitsOfKind('fuse', units)], gain });
const has = (patches: number, fuses = 0) =>
  new Map([
    ['patch', patches],
    ['fuse', fuses],
  ]);
const told = (asks: Ask[], supplies: ReadonlyMap<string, number>) =>
  stockedBy(problemOf(asks), [], supplies)
    .map((m) => `${m.ask} ${m.mend} ${m.way}`)
    .sort();
const falling = (chances: readonly number[]) => [...chances].sort((a, b) => b - a);
const worthOf = (asks: readonly Ask[], mends: ReturnType<typeof stockedBy>) =>
  mends.reduce((s, m) => {
    const { tails, ways } = asks[m.ask]!;
    const free = Math.max(0, ...ways.filter((w) => w.supplies.length === 0).map((w) => w.gain));
    return s + tails[m.mend]! * (ways[m.way]!.gain - free);
  }, 0);

/** Every way of setting supplies aside, repair by repair: the most that they save beyond what needs none. */
function bruteForce(asks: readonly Ask[], supplies: ReadonlyMap<string, number>): number {
  let best = 0;
  const go = (a: number, j: number, left: Map<string, number>, worth: number) => {
    best = Math.max(best, worth);
    const ask = asks[a];
    if (!ask) return;
    go(a + 1, 0, left, worth);
    const p = ask.tails[j];
    if (p === undefined) return;
    const free = Math.max(0, ...ask.ways.filter((w) => w.supplies.length === 0).map((w) => w.gain));
    for (const w of ask.ways) {
      if (w.supplies.length === 0 || w.supplies.some((s) => (left.get(s.kind) ?? 0) < s.units)) continue;
      const less = new Map(left);
      for (const s of w.supplies) less.set(s.kind, less.get(s.kind)! - s.units);
      go(a, j + 1, less, worth + p * (w.gain - free));
    }
  };
  go(0, 0, new Map(supplies), 0);
  return best;
}

describe('how a kit does one trouble', () => {
  const free = bareWay({ gain: 3 });
  const two = bareWay({ gain: 2 });
  const none = bareWay({ gain: 0 });
  const [good, poor] = [patch(9), fuse(5)];
  const stocked = (...list: [mend: number, way: number][]) => list.map(([mend, way]) => ({ ask: 0, mend, way }));
  const done = (
    ways: AskWay[],
    list: ReturnType<typeof stocked>,
    more: Partial<Ask> = {},
    available = ways.map(() => true),
  ) => doneOfAsk(bareAsk('a', [0.5, 0.3, 0.1], ways, more), 0, available, list);
  test('by what is set aside, the best first, then by the best of what needs nothing', () => {
    expect(done([free, good, poor, two], stocked([0, 2], [1, 1]))).toEqual({ by: [1, 2, 0], beyond: 0 });
    expect(done([two, free], [])).toEqual({ by: [1, 1, 1], beyond: 1 });
    expect(done([none, good], [])).toEqual({ by: [-1, -1, -1], beyond: -1 });
    expect(done([none, good], stocked([0, 1], [1, 1], [2, 1], [3, 1]))).toEqual({ by: [1, 1, 1, 1], beyond: -1 });
  });
  test('what saves no more than what needs nothing is not used up', () => {
    expect(done([free, patch(3)], stocked([0, 1]))).toEqual({ by: [0, 0, 0], beyond: 0 });
    expect(done([free, patch(2)], stocked([0, 1]))).toEqual({ by: [0, 0, 0], beyond: 0 });
  });
  test('what the tools do not allow is not gone', () => {
    expect(done([free, good, two], stocked([0, 1]), {}, [false, false, true])).toEqual({ by: [2, 2, 2], beyond: 2 });
  });
  const onBike = { fitted: new Map([['fuse', 1]]) };
  test('a unit on the bike does the first repair, what is packed the one that it is for', () => {
    expect(done([fuse(5)], [], onBike)).toEqual({ by: [0, -1, -1], beyond: -1 });
    expect(done([fuse(5), two], [], onBike)).toEqual({ by: [0, 1, 1], beyond: 1 });
    expect(done([fuse(5), two], stocked([1, 0]), onBike)).toEqual({ by: [0, 0, 1], beyond: 1 });
    expect(done([fuse(5), good], stocked([0, 1]), onBike)).toEqual({ by: [1, -1, -1], beyond: -1 });
    expect(done([fuse(5), patch(4)], stocked([0, 1]), onBike)).toEqual({ by: [0, -1, -1], beyond: -1 });
    expect(done([two, fuse(5)], stocked([4, 1]), onBike)).toEqual({ by: [1, 0, 0, 0, 1], beyond: 0 });
    expect(done([fuse(5), good], stocked([0, 1]), onBike, [true, false])).toEqual({ by: [0, -1, -1], beyond: -1 });
    // It saves less than what needs nothing: then it stays where it is.
    expect(done([fuse(1), two], [], onBike)).toEqual({ by: [1, 1, 1], beyond: 1 });
  });
  test('what is demanded and weighs something is not there by itself', () => {
    const demanded = { ...onBike, must: 'proper' as const };
    expect(done([patch(5)], [], demanded)).toEqual({ by: [-1, -1, -1], beyond: -1 });
    expect(done([patch(5)], stocked([0, 0]), demanded)).toEqual({ by: [0, -1, -1], beyond: -1 });
  });
});

describe('what given supplies are set aside for', () => {
  test('first what saves most: the first flat of one trouble, then the first of another', () => {
    const asks = [bareAsk('often', [0.5, 0.2], [patch(10)]), bareAsk('seldom', [0.3], [patch(10)])];
    expect(told(asks, has(1))).toEqual(['0 0 0']);
    expect(told(asks, has(2))).toEqual(['0 0 0', '1 0 0']);
    expect(told(asks, has(9))).toEqual(['0 0 0', '0 1 0', '1 0 0']);
    expect(told(asks, has(0))).toEqual([]);
  });
  test('a way that needs nothing is gone without setting anything aside, where it saves as much', () => {
    const free = bareWay({ gain: 6 });
    expect(told([bareAsk('a', [0.5], [patch(6), free])], has(1))).toEqual([]);
    // Both save more than what needs nothing: what counts is how much more.
    const asks = [bareAsk('a', [0.5], [patch(10), free]), bareAsk('b', [0.5], [patch(5)])];
    expect(told(asks, has(1))).toEqual(['1 0 0']);
  });
  test('a way that takes two units is not gone with one', () => {
    expect(told([bareAsk('a', [0.5], [patch(10, 2)])], has(1))).toEqual([]);
    expect(told([bareAsk('a', [0.5], [patch(10, 2)])], has(2))).toEqual(['0 0 0']);
    expect(told([bareAsk('a', [0.5, 0.4], [patch(10, 2)])], has(3))).toEqual(['0 0 0']);
  });
  test('what the tools do not allow is not gone', () => {
    const asks = [bareAsk('a', [0.5], [{ ...patch(10), requires: [0] }])];
    const problem: KitProblem = {
      ...problemOf(asks),
      requirements: [{ label: 'light', by: { does: 'light', count: 1 }, sets: [], loose: false }],
    };
    expect(stockedBy(problem, [], has(1))).toEqual([]);
  });
  test('a unit on the bike does the first repair beside what is packed, and no other', () => {
    const onBike = { fitted: new Map([['fuse', 1]]) };
    expect(told([bareAsk('a', [0.5, 0.2], [fuse(10)], onBike)], has(0))).toEqual(['0 0 0']);
    expect(told([bareAsk('a', [0.5, 0.2], [fuse(10, 2)], onBike)], has(0, 1))).toEqual(['0 0 0']);
    expect(told([bareAsk('a', [0.5, 0.2], [fuse(10)], onBike)], has(0, 1))).toEqual(['0 0 0', '0 1 0']);
    // It is that trouble's alone: another has what is packed.
    const asks = [bareAsk('a', [0.5, 0.2], [fuse(10)], onBike), bareAsk('b', [0.3], [fuse(10)])];
    expect(told(asks, has(0))).toEqual(['0 0 0']);
    expect(told(asks, has(0, 1))).toEqual(['0 0 0', '1 0 0']);
    // As many as there are: three of them do three repairs.
    const three = { fitted: new Map([['fuse', 3]]) };
    expect(told([bareAsk('a', [0.5, 0.3, 0.2, 0.1], [fuse(10)], three)], has(0))).toHaveLength(3);
    expect(told([bareAsk('a', [0.5, 0.3, 0.2, 0.1], [fuse(10)], three)], has(0, 1))).toHaveLength(4);
  });
  test('one trouble gives a way up where that leaves more to the others', () => {
    // The patch saves the first a little more than the fuse would; the second has nothing but the patch.
    const asks = [bareAsk('a', [0.5], [patch(10), fuse(9)]), bareAsk('b', [0.5], [patch(8)])];
    expect(told(asks, has(1, 1))).toEqual(['0 0 1', '1 0 0']);
  });
  test('where each trouble has one way with one unit, nothing could be shared better', () => {
    const asks = fc.array(
      fc.record({
        gain: figure(0.1, 9),
        tails: fc.array(figure(0.01, 1), { minLength: 1, maxLength: 3 }),
        fuse: fc.boolean(),
      }),
      { minLength: 1, maxLength: 4 },
    );
    fc.assert(
      fc.property(asks, fc.nat({ max: 4 }), fc.nat({ max: 4 }), (given, patches, fuses) => {
        const list = given.map((g, i) => bareAsk(`${i}`, falling(g.tails), [g.fuse ? fuse(g.gain) : patch(g.gain)]));
        const mends = stockedBy(problemOf(list), [], has(patches, fuses));
        expect(worthOf(list, mends)).toBeCloseTo(bruteForce(list, has(patches, fuses)), 9);
      }),
      { numRuns: 40 },
    );
  });
  test('whatever the ways take: no more than there is, in a row from the first, and nothing left that would still do', () => {
    const oneWay: fc.Arbitrary<AskWay> = fc
      .record({ kinds: fc.integer({ min: 0, max: 3 }), units: fc.integer({ min: 1, max: 2 }), gain: figure(0, 9) })
      .map(({ kinds, units, gain }) =>
        bareWay({
          gain,
          supplies: ['patch', 'fuse'].filter((_, i) => kinds & (1 << i)).map((kind) => unitsOfKind(kind, units)),
        }),
      );
    const asks = fc.array(
      fc.record({
        tails: fc.array(figure(0.01, 1), { minLength: 1, maxLength: 2 }),
        ways: fc.array(oneWay, { minLength: 1, maxLength: 3 }),
      }),
      { minLength: 1, maxLength: 3 },
    );
    fc.assert(
      fc.property(asks, fc.nat({ max: 4 }), fc.nat({ max: 4 }), (given, patches, fuses) => {
        const list = given.map((g, i) => bareAsk(`${i}`, falling(g.tails), g.ways));
        const there = has(patches, fuses);
        const mends = stockedBy(problemOf(list), [], there);
        const left = new Map(there);
        for (const m of mends)
          for (const s of list[m.ask]!.ways[m.way]!.supplies) left.set(s.kind, left.get(s.kind)! - s.units);
        expect(Math.min(...left.values())).toBeGreaterThanOrEqual(0);
        expect(worthOf(list, mends)).toBeLessThanOrEqual(bruteForce(list, there) + 1e-9);
        list.forEach((ask, a) => {
          const numbers = mends.filter((m) => m.ask === a).map((m) => m.mend);
          expect([...numbers].sort()).toEqual(numbers.map((_, i) => i));
          expect(numbers.length).toBeLessThanOrEqual(ask.tails.length);
        });
        // What is left of both kinds together does for no single repair of one unit that still comes: a way may have been given up for another.
        const singles = mends.length === 0 ? list.flatMap((a) => a.ways.map((w) => ({ a, w }))) : [];
        for (const { a, w } of singles) {
          const free = Math.max(0, ...a.ways.filter((x) => x.supplies.length === 0).map((x) => x.gain));
          if (w.supplies.length > 0 && w.gain > free + 1e-6)
            expect(w.supplies.some((s) => (there.get(s.kind) ?? 0) < s.units)).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });
});
