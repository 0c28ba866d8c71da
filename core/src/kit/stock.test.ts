import { expect, test } from '@jest/globals';
import { supplyKind } from '../repairs/supplies/index.js';
import { bareAsk, bareProblem, bareWay, unitsOfKind } from '../testing/smallKits.js';
import type { KitProblem } from './optimum/kitProblem.js';
import { alwaysOf, fittedOf, stockMass, stockOfKit, unitsOf } from './stock.js';

const ways = [
  bareWay({ supplies: [unitsOfKind('patch', 2)] }),
  bareWay({ supplies: [unitsOfKind('patch', 1), unitsOfKind('fuse', 3)] }),
];
const problem: KitProblem = {
  ...bareProblem([]),
  asks: [bareAsk('a', [0.5, 0.2], ways), bareAsk('b', [0.5], ways)],
  fitted: new Map([
    ['one bike', new Map([['fuse', 2]])],
    [
      'another',
      new Map([
        ['fuse', 1],
        ['clutch lever', 1],
      ]),
    ],
  ]),
  always: [
    { piece: 0, kind: 'patch', units: 4 },
    { piece: 1, kind: 'patch', units: 2 },
    { piece: 2, kind: 'fuse', units: 1 },
  ],
};
const stocked = [
  { ask: 0, mend: 0, way: 0 },
  { ask: 0, mend: 1, way: 1 },
  { ask: 1, mend: 0, way: 1 },
];

test('units of all repairs that a kit is stocked for, kind by kind', () => {
  expect([...unitsOf(problem, stocked)]).toEqual([
    ['patch', 4],
    ['fuse', 6],
  ]);
  expect(unitsOf(problem, []).size).toBe(0);
});
test('units on the bikes and those always packed add up by kind', () => {
  expect([...fittedOf(problem)]).toEqual([
    ['fuse', 3],
    ['clutch lever', 1],
  ]);
  expect([...alwaysOf(problem)]).toEqual([
    ['patch', 6],
    ['fuse', 1],
  ]);
});
test('what sits on the bike weighs nothing, the rest does', () => {
  const units = (fuses: number) => new Map([['fuse', fuses]]);
  const one = supplyKind('fuse').mass;
  expect(stockMass(problem, units(3))).toBe(0);
  expect(stockMass(problem, units(2))).toBe(0);
  expect(stockMass(problem, units(5))).toBeCloseTo(2 * one, 12);
  expect(stockMass(problem, new Map([...units(5), ['patch', 2]]))).toBeCloseTo(
    2 * one + 2 * supplyKind('patch').mass,
    12,
  );
});
test('a kept list has what it says and what sits on the bikes; any other kit what its repairs use up', () => {
  expect([...stockOfKit(problem, {}, stocked)]).toEqual([
    ['patch', 4],
    ['fuse', 6],
  ]);
  const listed = new Map([
    ['fuse', 1],
    ['patch', 8],
  ]);
  expect([...stockOfKit(problem, { supplies: listed }, stocked)]).toEqual([
    ['fuse', 4],
    ['patch', 8],
    ['clutch lever', 1],
  ]);
  // What the list says stays as it was written.
  expect(listed.get('fuse')).toBe(1);
});
