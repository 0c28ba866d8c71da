import { describe, expect, test } from '@jest/globals';
import { newFastener } from '@necessaire/core';
import { accessWords, counted, massText, percent, subWords, toneOf, weightStep } from './words';
import { clockOf, dayOf } from './day';

const fastener = newFastener({
  id: '00000000-0000-4000-8000-000000000001',
  bikeId: '00000000-0000-4000-8000-000000000002',
  head: { form: 'hex', size: '13' },
});

/** Nothing in the way. */
const open = fastener.access;

describe('words of the screens', () => {
  test('a mass in grams under a kilogram, else in kilograms, in the units on show', () => {
    expect([0, 86, 999, 1000, 2345].map((g) => massText('metric', g))).toEqual([
      '0 g',
      '86 g',
      '999 g',
      '1.00 kg',
      '2.35 kg',
    ]);
    expect(massText('inch', 86)).toBe('3.0 oz');
    expect(massText('inch', 2268)).toBe('5.00 lb');
    expect([weightStep('metric'), weightStep('inch')]).toEqual(['100 g', '4 oz']);
  });
  test('counts and shares', () => {
    expect([0, 1, 2].map((n) => counted(n, 'day'))).toEqual(['0 days', '1 day', '2 days']);
    expect(counted(2, 'copy', 'copies')).toBe('2 copies');
    expect([percent(0.123), percent(0.123, 1)]).toEqual(['12 %', '12.3 %']);
  });
  test('what stands in the way, each in its unit; nothing where it is open', () => {
    expect(accessWords(open, 'metric')).toEqual([]);
    const tight = { ...open, recess: 60, clearance: 24, headroom: 40, thin: 5, swing: 30 };
    expect(accessWords(tight, 'metric')).toEqual(['sunk 60 mm', 'well 24 mm', 'room 40 mm', 'thin 5 mm', 'swing 30°']);
    expect(accessWords(tight, 'inch')[0]).toBe('sunk 2.36 in');
  });
  test('the second line of a row says the far end, and what it is known for', () => {
    const f = {
      ...fastener,
      far: { form: 'hex' as const, size: '12' },
      shakesLoose: true,
      getsLost: true,
      breaks: true,
      accessory: true,
      thread: 'M8',
      condition: 'rusted' as const,
      farAccess: { ...open, thin: 5 },
    };
    expect(subWords(f, 'metric')).toBe(
      'far end hex 12 · far end thin 5 mm · shakes loose · gets lost · breaks · rusted · accessory · M8',
    );
    expect(subWords({ ...fastener, thread: null, condition: 'dirty' }, 'metric')).toBe('');
  });
  test('the colour of evidence: what was tried counts as proven', () => {
    expect((['assumed', 'measured', 'tried', 'proven'] as const).map((evidence) => toneOf({ evidence }))).toEqual([
      'assumed',
      'measured',
      'proven',
      'proven',
    ]);
  });
  test('days and hours are the rider’s own clock’s', () => {
    const late = new Date(2026, 5, 1, 23, 50);
    expect(dayOf(late)).toBe('2026-06-01');
    expect(dayOf(late.toISOString())).toBe('2026-06-01');
    expect(clockOf(late.toISOString())).toMatch(/50/u);
  });
});
