import { long } from '../testing/long.js';
import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { newBike } from '../bike/index.js';
import { newLeg, newTrip } from '../trip/index.js';
import { exposures, ridersOf } from '../trip/odds/index.js';
import { uuid } from '../testing/make.js';
import { countsAsTime, drillMinutes, drillSchema, type Drill } from './drill.js';
import { learned, pacesOf, paceFrom, PLAN_WEIGHT, quickest, TIME_SHAPE } from './ownMinutes.js';
import { minutesOn, paced, troubleOn } from './minutes.js';
import { TROUBLES } from './known.js';
import { wayKey } from './pace.js';

const drill = (n: number, minutes: number, more: Partial<Drill> = {}): Drill =>
  drillSchema.parse({
    id: uuid(n),
    bikeId: uuid(1),
    tripId: null,
    trouble: 'puncture-tube',
    way: 'New tube',
    wheel: null,
    who: 'me',
    started: `2026-0${n}-01T10:00:00Z`,
    ended: `2026-0${n}-01T12:00:00Z`,
    state: 'done',
    real: false,
    dry: false,
    dark: false,
    planned: 60,
    step: 2,
    since: null,
    seconds: [minutes * 30, minutes * 30],
    stuck: [],
    tools: [],
    turned: [],
    note: '',
    ...more,
  });
const key = wayKey('puncture-tube', 'New tube');

describe('own minutes', () => {
  test('without own times the planning value stands', () => {
    const pace = paceFrom([]);
    expect(pace.times).toBe(0);
    expect(pace.factor).toBe(1);
    expect(pace.after).toBeCloseTo(2 ** -0.32, 12);
  });
  test('planned 60, took 84: (1 + 1.4) ÷ 2 is the pace, and the second time takes a fifth less', () => {
    const pace = paceFrom([84 / 60]);
    expect(pace.factor).toBeCloseTo(1.2 * 2 ** -0.32, 12);
    expect(60 * pace.factor).toBeCloseTo(57.7, 1);
    // The third time 51 is joined with what the first two said, each at its own place on the curve.
    const third = paceFrom([1.4, 1.1, 51 / 60]);
    const f = (1 + 1.4 + 1.1 / 2 ** -0.32 + 0.85 / 3 ** -0.32) / 4;
    expect(third.factor).toBeCloseTo(f * 4 ** -0.32, 12);
  });
  test('the curve falls to the eighth time, and no further', () => {
    expect(learned(1)).toBe(1);
    expect(learned(2)).toBeCloseTo(0.801, 3);
    expect(learned(8)).toBeCloseTo(0.514, 3);
    expect(learned(9)).toBe(learned(8));
    expect(learned(500)).toBe(learned(8));
    expect(learned(0)).toBe(1);
  });
  long('whoever keeps to the curve keeps the planned pace, however often', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 30 }), fc.double({ min: 0.3, max: 4, noNaN: true }), (n, f) => {
        const ratios = Array.from({ length: n }, (_, i) => f * learned(i + 1));
        const pace = paceFrom(ratios);
        // Between the plan and the own pace, ever nearer to the latter.
        const at = pace.factor / learned(n + 1);
        expect(Math.abs(at - (PLAN_WEIGHT + n * f) / (PLAN_WEIGHT + n))).toBeLessThan(1e-9);
      }),
    );
  });
  long('slower times make it slower, and the range holds the mean', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.2, max: 5, noNaN: true }), { minLength: 1, maxLength: 12 }),
        fc.nat(),
        (ratios, at) => {
          const slower = ratios.map((r, i) => (i === at % ratios.length ? r * 1.5 : r));
          const [a, b] = [paceFrom(ratios), paceFrom(slower)];
          expect(b.factor).toBeGreaterThan(a.factor);
          expect(a.low).toBeLessThan(a.factor);
          expect(a.high).toBeGreaterThan(a.factor);
          expect(a.after).toBeLessThanOrEqual(a.factor + 1e-12);
        },
      ),
    );
  });
  test('the range narrows with times, and four of five simulated next times lie in it', () => {
    const wide = (n: number) => {
      const p = paceFrom(Array.from({ length: n }, (_, i) => learned(i + 1)));
      return (p.high - p.low) / p.factor;
    };
    expect(wide(5)).toBeLessThan(wide(1));
    expect(wide(1)).toBeLessThan(wide(0));
    const random = xoroshiro128plus(7);
    const draw = () => ((random.next() >>> 0) + 0.5) / 2 ** 32;
    /** Gamma of a whole shape: a sum of exponentials. */
    const gamma = (shape: number) => Array.from({ length: shape }, () => -Math.log(draw())).reduce((a, b) => a + b, 0);
    const ratios = [1.4, 0.9];
    const pace = paceFrom(ratios);
    const sum = PLAN_WEIGHT + 1.4 + 0.9 / learned(2);
    const shape = TIME_SHAPE * 3 + 1;
    const next = Array.from(
      { length: 20_000 },
      () => ((TIME_SHAPE * sum) / gamma(shape)) * (gamma(TIME_SHAPE) / TIME_SHAPE) * learned(3),
    );
    const share = next.filter((t) => t >= pace.low && t <= pace.high).length / next.length;
    expect(share).toBeCloseTo(0.8, 1);
    expect(Math.abs(share - 0.8)).toBeLessThan(0.012);
    expect(next.reduce((a, b) => a + b, 0) / next.length).toBeCloseTo(pace.factor, 1);
    expect(next.filter((t) => t < pace.low).length / next.length).toBeCloseTo(0.1, 1);
  });
});

describe('what counts as a time', () => {
  test('finished and really done; a dry run and one given up do not', () => {
    const of = (more: Partial<Drill> = {}) => countsAsTime(drill(1, 84, more));
    expect(of()).toBe(true);
    expect(of({ dry: true })).toBe(false);
    for (const state of ['running', 'paused', 'given up'] as const) expect(of({ state })).toBe(false);
    // Of sixty planned minutes under six are no work.
    expect([of({ seconds: [360] }), of({ seconds: [359] })]).toEqual([true, false]);
    expect(drillMinutes(drill(1, 84))).toBe(84);
  });
  test('by whoever did it, in the order of the days, the dark taken out', () => {
    const list = [
      drill(3, 51),
      drill(1, 84),
      drill(2, 20, { state: 'given up' }),
      drill(4, 30, { dry: true }),
      drill(5, 70, { who: uuid(9) }),
    ];
    expect(pacesOf(list, 'me').get(key)).toEqual(paceFrom([84 / 60, 51 / 60]));
    expect(pacesOf(list, uuid(9)).get(key)).toEqual(paceFrom([70 / 60]));
    expect(pacesOf(list, uuid(8)).size).toBe(0);
    expect(pacesOf([drill(1, 90, { dark: true })], 'me').get(key)?.factor).toBeCloseTo(paceFrom([1]).factor, 12);
    expect(pacesOf([drill(1, 90, { planned: 0 })], 'me').size).toBe(0);
  });
  test('of several riders the quicker one by own times decides; who never did it decides nothing', () => {
    const list = [drill(1, 84), drill(2, 45, { who: uuid(9) })];
    const both = quickest(list, new Set(['me', uuid(9), uuid(10)]));
    expect(both.get(key)).toBe(paceFrom([45 / 60]).factor);
    expect(quickest(list, new Set(['me'])).get(key)).toBe(paceFrom([84 / 60]).factor);
    expect(quickest(list, new Set([uuid(10)])).size).toBe(0);
  });
});

describe('own times in the minutes of a repair', () => {
  const bike = { ...newBike(uuid(1), 'Bike'), mass: 200_000 };
  const puncture = TROUBLES.find((t) => t.id === 'puncture-tube')!;
  const way = puncture.ways[0]!;
  test('scale the work by day, and the dark comes on top', () => {
    const at = { bike, company: false, dark: 0.5 };
    const plain = minutesOn(way, { ...at, dark: 0 }).minutes;
    const own = minutesOn(way, at, 0.8);
    expect(own.minutes).toBeCloseTo(plain * 0.8 * 1.25, 9);
    expect(own.parts.find((p) => p.what === 'your own times')?.minutes).toBeCloseTo(-0.2 * plain, 9);
    expect(own.parts.reduce((s, p) => s + p.minutes, 0)).toBeCloseTo(own.minutes, 9);
    expect(minutesOn(way, at).parts.some((p) => p.what === 'your own times')).toBe(false);
  });
  test('move each way of theirs, and what it goes quicker with, but no other', () => {
    const on = { bike, company: false, dark: 0 };
    const before = troubleOn(puncture, on);
    const after = troubleOn(puncture, { ...on, own: new Map([[wayKey(puncture.id, way.name), 0.5]]) });
    before.ways.forEach((w, i) => {
      const mine = w.name === way.name || w.name.startsWith(`${way.name}, with `);
      expect([w.name, after.ways[i]!.minutes]).toEqual([w.name, mine ? w.minutes * 0.5 : w.minutes]);
    });
    expect(before.ways.some((w) => w.helped && w.name.startsWith(way.name))).toBe(true);
    expect(after.mend).toBeCloseTo(before.mend / 2, 9);
  });
  test('make the hours at stake of the trip larger where one is quicker', () => {
    const trip = { ...newTrip(uuid(2), 'Trip'), legs: [newLeg(uuid(3), 'Leg')] };
    const of = (factor: number) =>
      exposures(bike, trip, new Map(), [puncture], new Map([[wayKey(puncture.id, way.name), factor]]))[0]!;
    expect(of(0.5).atStake).toBeGreaterThan(of(1).atStake);
    expect(of(1).atStake).toBe(exposures(bike, trip, new Map(), [puncture])[0]!.atStake);
  });
  test('hold for work that falls due as well', () => {
    const oil = TROUBLES.find((t) => t.id === 'service-oil')!;
    const own = new Map([[wayKey(oil.id, oil.ways[0]!.name), 0.5]]);
    expect(paced(oil, own).ways[0]!.minutes).toBe(oil.ways[0]!.minutes / 2);
    expect(paced(oil, own).mend).toBe(oil.mend / 2);
    expect(paced(oil, new Map())).toBe(oil);
  });
  test('are those of the rider and of the trip’s own crew', () => {
    const crews = [
      { tripId: uuid(2), members: [{ who: 'me' }, { who: uuid(9) }] },
      { tripId: uuid(5), members: [{ who: uuid(8) }] },
    ];
    expect([...ridersOf({ crews }, uuid(2))]).toEqual(['me', uuid(9)]);
    expect([...ridersOf({}, uuid(2))]).toEqual(['me']);
  });
});
