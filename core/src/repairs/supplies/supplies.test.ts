import { describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { compareFits, fitLinesOf, FIT_LINES, FIT_SLOTS, fitVerdict, sameFit } from './fitSheet.js';
import { SUPPLY_KINDS } from './kinds.js';
import { goodUntil, newSupply, stockOf, whyNot } from './supply.js';
import { uuid } from '../../testing/make.js';

const [dual, tourer] = demoGarage('lightest').bikes as [
  ReturnType<typeof demoGarage>['bikes'][number],
  ReturnType<typeof demoGarage>['bikes'][number],
];
const supply = (fields: object) => newSupply({ id: uuid(1), kind: 'chain link', quantity: 2, ...fields });

describe('the fit sheet', () => {
  test('has a line for each slot, asks only for what a bike has, and decides known kinds', () => {
    expect(FIT_LINES.map((l) => l.slot)).toEqual([...FIT_SLOTS]);
    expect(fitLinesOf(tourer).map((l) => l.slot)).not.toContain('chain');
    expect(fitLinesOf(dual).map((l) => l.slot)).toContain('chain');
    for (const l of FIT_LINES) for (const kind of l.decides) expect(SUPPLY_KINDS).toContain(kind);
  });
  test('readings that differ in spaces, signs and case are the same', () => {
    expect(sameFit('80/100-21, straight', '80/100-21  STRAIGHT')).toBe(true);
    expect(sameFit('20 × 42 × 12', '20 x 42 x 12')).toBe(true);
    expect(sameFit('520, clip', '525, clip')).toBe(false);
  });
  test('a spare fits, is for another bike, or nobody wrote enough down', () => {
    expect(fitVerdict(supply({ fits: '520, 112, clip' }), dual)).toBe('fits');
    expect(fitVerdict(supply({ fits: '525' }), dual)).toBe('another');
    expect(fitVerdict(supply({ fits: '' }), dual)).toBe('not known');
    expect(fitVerdict(supply({ kind: 'cable tie', fits: '' }), dual)).toBe('fits');
    // Two lines decide pads; with one of them read, another reading may be the other's.
    const pads = { ...dual, fit: { ...dual.fit, 'pads front': 'round' } };
    expect(fitVerdict(supply({ kind: 'brake pads', fits: 'square' }), pads)).toBe('not known');
    expect(
      fitVerdict(supply({ kind: 'brake pads', fits: 'square' }), {
        ...pads,
        fit: { ...pads.fit, 'pads rear': 'long' },
      }),
    ).toBe('another');
  });
  test('over a crew it says which spare serves all', () => {
    const same = Object.fromEntries(compareFits([dual, tourer]).map((c) => [c.line.slot, c.same]));
    expect(same['valve']).toBe(true);
    expect(same['fuses']).toBe(false);
    expect(same['chain']).toBe(false);
  });
});

describe('how long supplies keep', () => {
  test('from the day they were bought or opened, whichever ends first; months of unequal length', () => {
    expect(goodUntil({ kind: 'patch', bought: '2024-01-31', opened: null })).toBe('2027-01-31');
    expect(goodUntil({ kind: 'patch', bought: '2024-01-31', opened: '2024-08-31' })).toBe('2025-02-28');
    expect(goodUntil({ kind: 'patch', bought: null, opened: null })).toBeNull();
    expect(goodUntil({ kind: 'cable tie', bought: '1999-01-01', opened: null })).toBeNull();
  });
  test('what does not count says why, and fitted ones count for their bike alone', () => {
    expect(whyNot(supply({ condition: 'spent' }), dual, null)).toEqual({ code: 'supply.spent' });
    expect(whyNot(supply({ kind: 'patch', bought: '2020-01-01' }), dual, '2026-11-25')).toEqual({
      ...{ code: 'supply.past-date', until: '2023-01-01' },
    });
    expect(whyNot(supply({ mark: 'never' }), dual, null)).toEqual({ code: 'supply.stays-home' });
    expect(whyNot(supply({ fittedOn: uuid(77) }), dual, null)).toEqual({ code: 'supply.other-bike' });
    expect(whyNot(supply({ kind: 'patch', bought: '2020-01-01' }), dual, null)).toBeNull();
    expect(whyNot(supply({ fits: '525' }), dual, null)).toEqual({
      ...{ code: 'supply.made-for', fits: '525' },
      because: [{ code: 'supply.differs', what: 'size', there: 525, here: 520 }],
    });
    expect(whyNot(supply({ condition: 'used, known good' }), dual, null)).toBeNull();
    const list = [supply({}), supply({ fittedOn: dual.id, quantity: 1 }), supply({ condition: 'spent' })];
    const of = (b: typeof dual) => [
      stockOf(list, b, null).owned.get('chain link'),
      stockOf(list, b, null).fitted.get('chain link'),
    ];
    expect(of(dual)).toEqual([2, 1]);
    expect(of(tourer)).toEqual([undefined, undefined]);
  });
});
