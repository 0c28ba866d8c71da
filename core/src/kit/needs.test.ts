import { expect, test } from '@jest/globals';
import { needsOf, TROUBLES, type Trouble } from '../repairs/index.js';
import { certain, type Exposure } from '../trip/odds/index.js';
import { anyFunctionNeeds, functionNeeds, WORTH_CARRYING } from './needs.js';

const flat = TROUBLES.find((t) => t.id === 'puncture-tube')!;
const seen = (trouble: Trouble, odds: number): Exposure => ({
  ...certain(trouble, 1, { code: 'count.due', services: [] }),
  odds,
});

test('troubles count from two trips in a hundred', () => {
  expect(WORTH_CARRYING).toBe(0.02);
  for (const needs of [functionNeeds, anyFunctionNeeds]) {
    expect(needs([seen(flat, 0.02)]).length).toBeGreaterThan(0);
    expect(needs([seen(flat, 0.0199)])).toEqual([]);
  }
});
test('of each function the greatest count, by name', () => {
  const with_ = (id: string, functions: Trouble['functions']): Trouble => ({ ...flat, id, functions });
  const list = [
    seen(with_('a', [{ does: 'lever tyre', count: 2 }]), 1),
    seen(
      with_('b', [
        { does: 'light', count: 1 },
        { does: 'lever tyre', count: 3 },
      ]),
      1,
    ),
    seen(with_('c', [{ does: 'lever tyre', count: 1 }]), 1),
  ];
  expect(functionNeeds(list)).toEqual([
    { does: 'lever tyre', count: 3 },
    { does: 'light', count: 1 },
  ]);
});
test('any way counts for what is looked for, but those that somebody else goes', () => {
  const own = flat.ways.filter((w) => !w.helped).flatMap((w) => needsOf(w).functions.map((f) => f.does));
  expect(anyFunctionNeeds([seen(flat, 1)]).map((f) => f.does)).toEqual([...new Set(own)].sort());
  const helped = { ...flat, ways: flat.ways.map((w) => ({ ...w, helped: true })) };
  expect(anyFunctionNeeds([seen(helped, 1)])).toEqual([]);
});
