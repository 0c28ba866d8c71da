import { describe, expect, test } from '@jest/globals';
import { TROUBLES } from '../repairs/index.js';
import { bareAsk } from '../testing/smallKits.js';
import { newKitQuestion, type KitQuestion } from '../trip/index.js';
import { certain } from '../trip/odds/index.js';
import { betterWith, type Tried } from './withMeasures.js';

/** A trouble that comes so often, and costs so many hours each time. */
const loses = (mean: number, without: number, stops = false) =>
  bareAsk('a', [], [], {
    law: { mean, shape: Infinity },
    exposure: {
      ...certain({ ...TROUBLES[0]!, stops }, 1, { code: 'count.due', services: [] }),
      without,
    },
  });
const tried = (
  as: Tried['kit']['as'],
  { mass = 0, value = 0, saved = 0, served = true, asks = [loses(1, 10)], question = {} as Partial<KitQuestion> } = {},
): Tried => ({
  kit: { as, mass, value, saved, served },
  problem: { asks, question: { ...newKitQuestion(), ...question, service: 0.9 } },
});
/** Whether the first is better than the second, and the second than the first. */
const both = (a: Tried, b: Tried) => [betterWith(a, b), betterWith(b, a)];

describe('of the lightest kits', () => {
  test('the lighter; of equal grams the one that saves more; of two alike neither', () => {
    expect(both(tried('lightest', { mass: 90 }), tried('lightest', { mass: 91 }))).toEqual([true, false]);
    expect(both(tried('lightest', { mass: 90, saved: 2 }), tried('lightest', { mass: 90, saved: 1 }))).toEqual([
      true,
      false,
    ]);
    expect(both(tried('lightest', { mass: 90, saved: 1 }), tried('lightest', { mass: 91, saved: 2 }))).toEqual([
      true,
      false,
    ]);
    expect(both(tried('lightest', { mass: 90 }), tried('lightest', { mass: 90 }))).toEqual([false, false]);
    // Grams that differ by rounding alone are the same.
    const [a, b] = [tried('lightest', { mass: 90 + 1e-10, saved: 2 }), tried('lightest', { mass: 90, saved: 1 })];
    expect(both(a, b)).toEqual([true, false]);
  });
  test('first one that meets the service level, however heavy', () => {
    const heavy = tried('lightest', { mass: 900 });
    expect(both(heavy, tried('lightest', { mass: 9, served: false }))).toEqual([true, false]);
  });
});

describe('of the others', () => {
  test('what leaves less lost: fewer troubles count as much as hours saved', () => {
    const none = tried('most', { value: 4 });
    const fewer = tried('most', { value: 3, asks: [loses(0.5, 10)] });
    expect(both(fewer, none)).toEqual([true, false]);
    expect(both(tried('most', { value: 4 }), none)).toEqual([false, false]);
    expect(both(tried('most', { value: 4 + 1e-10 }), none)).toEqual([false, false]);
    // 5 h left of 10 h against 6 h left of 20 h.
    expect(both(tried('most', { value: 5 }), tried('most', { value: 14, asks: [loses(2, 10)] }))).toEqual([
      true,
      false,
    ]);
  });
  test('within the limit, or no heavier than what is there already', () => {
    const question = { mass: 500 };
    const light = tried('most', { mass: 400, value: 1, question });
    expect(betterWith(tried('most', { mass: 500, value: 2, question }), light)).toBe(true);
    expect(betterWith(tried('most', { mass: 501, value: 2, question }), light)).toBe(false);
    const over = tried('most', { mass: 700, value: 1, question });
    expect(betterWith(tried('most', { mass: 700, value: 2, question }), over)).toBe(true);
    expect(betterWith(tried('most', { mass: 701, value: 2, question }), over)).toBe(false);
  });
  test('where grams have a price, that counts, and no limit does', () => {
    // 6 min for 100 g: 500 g cost half an hour.
    const question = { knee: 6, mass: 10 };
    const of = (mass: number, value: number) => tried('worth', { mass, value, question });
    expect(both(of(600, 2.51), of(100, 2))).toEqual([true, false]);
    expect(both(of(600, 2.49), of(100, 2))).toEqual([false, true]);
  });
  test('in money an hour costs what the rider says, and being fetched where the trouble ends the ride', () => {
    const question = { value: 'money', hourEuros: 20, fetchEuros: 300, mass: 500 } as const;
    const of = (value: number, asks = [loses(1, 10)]) => tried('most', { value, asks, question });
    // 10 h at 20 euros, and 300 more for each time that one is fetched.
    expect(both(of(0, [loses(0.5, 10)]), of(99))).toEqual([true, false]);
    expect(both(of(0, [loses(0.5, 10)]), of(101))).toEqual([false, true]);
    expect(both(of(0, [loses(0.5, 10, true)]), of(249, [loses(1, 10, true)]))).toEqual([true, false]);
    expect(both(of(0, [loses(0.5, 10, true)]), of(251, [loses(1, 10, true)]))).toEqual([false, true]);
  });
});
