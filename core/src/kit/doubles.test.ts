import { describe, expect, test } from '@jest/globals';
import { DOUBLES_FROM_DAYS } from '../toolbox/practice.js';
import { owned } from '../testing/make.js';
import { combinationSpanner, ratchet, socket } from '../toolbox/tools/index.js';
import { getsLostOrBreaks, losableIn } from './doubles.js';

describe('what gets lost or breaks', () => {
  test('bits; sockets up to 10 mm; ratchets that are cheap or worn', () => {
    const lost = (p: Parameters<typeof getsLostOrBreaks>[0]) => getsLostOrBreaks(p);
    expect(lost(owned(combinationSpanner('10'), { kind: 'bit' }))).toBe(true);
    expect(['8', '10', '11'].map((size) => lost(owned(socket('1/4in', size))))).toEqual([true, true, false]);
    const one = owned(ratchet('1/4in'));
    expect(lost(one)).toBe(false);
    expect(lost({ ...one, quality: 'cheap' })).toBe(true);
    expect(lost({ ...one, condition: 'worn' })).toBe(true);
    expect(lost(owned(combinationSpanner('10'), { quality: 'cheap', condition: 'worn' }))).toBe(false);
  });
  test('counts from two days on, by the rider’s practice', () => {
    const small = owned(socket('1/4in', '8'));
    const spanner = owned(combinationSpanner('10'));
    const of = (doubles: Parameters<typeof losableIn>[0], days: number) =>
      [small, spanner].map(losableIn(doubles, days));
    expect(DOUBLES_FROM_DAYS).toBe(2);
    expect(of('none', 9)).toEqual([false, false]);
    expect(of('losable', 2)).toEqual([true, false]);
    expect(of('losable', 1)).toEqual([false, false]);
    expect(of('all', 2)).toEqual([true, true]);
    expect(of('all', 1)).toEqual([false, false]);
  });
});
