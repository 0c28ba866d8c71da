import { describe, expect, test } from '@jest/globals';
import type { CheckDue, DrillOffer, ProofTold } from '@necessaire/core';
import { clockText, hoursText, minutesText, raises, readyWhy, whenText } from './prove';

describe('how Prove speaks', () => {
  test('minutes and hours as one says them', () => {
    expect([0, 0.4, 1, 59.6, 99, 100, 150].map(minutesText)).toEqual([
      '0 min',
      '24 s',
      '1 min',
      '60 min',
      '99 min',
      '1.7 h',
      '2.5 h',
    ]);
    expect([0.25, 0.99, 1, 14.26].map(hoursText)).toEqual(['15 min', '59 min', '1.0 h', '14.3 h']);
    expect([0, 7.9, 247, 3750].map(clockText)).toEqual(['0:00', '0:07', '4:07', '1:02:30']);
  });
  const check = (more: Partial<CheckDue>) =>
    ({ when: 'before leaving', due: null, inKm: null, everyKm: null, daysBefore: 1, ...more }) as CheckDue;
  const km = (v: number) => `${v} km`;
  test('when a check is due', () => {
    expect(whenText(check({}), km)).toBe('the day before leaving');
    expect(whenText(check({ daysBefore: 7 }), km)).toBe('7 days before leaving');
    expect(whenText(check({ due: '2026-06-18' }), km)).toBe('2026-06-18');
    expect(whenText(check({ when: 'each evening', due: '2026-06-18' }), km)).toBe('each evening');
    expect(whenText(check({ when: 'after some km', everyKm: 100 }), km)).toBe('after 100 km');
    expect(whenText(check({ when: 'after some km', inKm: 12 }), km)).toBe('in 12 km');
    expect(whenText(check({ when: 'after some km', inKm: -5 }), km)).toBe('5 km overdue');
  });
  const offer = (name: string, proves: number, minutes: number) =>
    ({ troubleId: name, name, proves, minutes }) as DrillOffer;
  const told = (offers: DrillOffer[], atStake = 10): ProofTold => ({
    checks: [],
    offers,
    ready: { share: 0.25, atStake, saved: 8, proven: 2.5, troubles: [] },
  });
  test('what raises readiness fastest: by the hours proven for each minute', () => {
    expect(raises(told([offer('A', 2, 60), offer('B', 1, 15), offer('C', 0, 1)]))).toEqual({
      troubleId: 'B',
      name: 'B',
      share: 0.1,
      minutes: 15,
    });
    expect(raises(told([offer('C', 0, 1)]))).toBeNull();
    expect(raises(told([offer('A', 2, 60)], 0))).toBeNull();
  });
  test('readiness says what it is made of, and nothing where nothing is known', () => {
    const why = readyWhy(told([offer('B', 1, 15)]));
    expect(why.value).toBe('25 %');
    expect(why.inputs.map((i) => i.value)).toEqual(['10.0 h', '8.0 h', '2.5 h', '+10 %']);
    expect(readyWhy(null).value).toBe('–');
    expect(readyWhy(null).inputs).toEqual([]);
  });
});
