import { describe, expect, test } from '@jest/globals';
import { TROUBLES, type Trouble } from '../../repairs/index.js';
import { uuid } from '../../testing/make.js';
import { newLeg, newTrip, strandedHours, type Leg, type Trip } from '../index.js';
import { countCdf, fixed } from './counts.js';
import { certain, darkShare, exposureOf, legLambda } from './exposure.js';
import { demandPmf } from './poisson.js';

const leg = (n: number, fields: Partial<Leg>): Leg => ({ ...newLeg(uuid(n), `Leg ${n}`), ...fields });
const near = leg(1, {
  km: { paved: 300, gravel: 100, track: 0 },
  crossings: 0,
  hours: 6,
  night: 0,
  helpKm: 5,
  workshopKm: 40,
  signal: true,
});
const far = leg(2, {
  km: { paved: 0, gravel: 200, track: 50 },
  crossings: 3,
  hours: 10,
  night: 5,
  helpKm: 60,
  workshopKm: 150,
  signal: false,
});
const trip: Trip = {
  ...newTrip(uuid(9), 'Two legs'),
  legs: [near, far],
  factors: { age: 1.5, load: 1, care: 0.8 },
};
const some = TROUBLES.find((t) => t.stops)!;
const trouble = (given: Partial<Trouble>): Trouble =>
  ({
    ...some,
    rate: { paved: 0.1, gravel: 0.4, track: 2 },
    perCrossing: 0,
    byFall: false,
    stops: true,
    ...given,
  }) as Trouble;
/** 1.5 × 1 × 0.8. */
const FACTOR = 1.2;
// Per leg: (0.1·300 + 0.4·100)/1000 and (0.4·200 + 2·50)/1000.
const [NEAR, FAR] = [0.07 * FACTOR, 0.18 * FACTOR];

describe('one trouble over two legs, by hand', () => {
  test('rates by ground, crossings, the factors of the trip', () => {
    expect(legLambda(trouble({}), near, trip)).toBeCloseTo(NEAR, 12);
    expect(legLambda(trouble({}), far, trip)).toBeCloseTo(FAR, 12);
    expect(legLambda(trouble({ perCrossing: 0.02 }), far, trip)).toBeCloseTo(FAR + 0.02 * 3 * FACTOR, 12);
    expect(legLambda(trouble({ perCrossing: 0.02 }), near, trip)).toBeCloseTo(NEAR, 12);
  });
  test('the dark makes falls half as likely again, by the share of the hours; crossings are not ridden faster for it', () => {
    const fall = trouble({ byFall: true });
    expect(legLambda(fall, near, trip)).toBeCloseTo(NEAR, 12);
    expect(legLambda(fall, far, trip)).toBeCloseTo(FAR * 1.25, 12);
    expect(legLambda(fall, { ...far, night: 40 }, trip)).toBeCloseTo(FAR * 1.5, 12);
    expect(legLambda(fall, { ...far, hours: 0 }, trip)).toBeCloseTo(FAR, 12);
    expect(legLambda({ ...fall, perCrossing: 0.02 } as Trouble, far, trip)).toBeCloseTo(
      (0.18 * 1.25 + 0.06) * FACTOR,
      12,
    );
    expect(legLambda(trouble({}), { ...far, night: 40 }, trip)).toBeCloseTo(FAR, 12);
  });
  test('what it costs where it happens is averaged by how likely it is there', () => {
    const e = exposureOf(trouble({}), trip);
    const all = NEAR + FAR;
    expect(e.lambda).toBeCloseTo(all, 12);
    expect(e.byLeg[0]).toBeCloseTo(NEAR / all, 12);
    expect(e.byLeg[1]).toBeCloseTo(FAR / all, 12);
    expect(e.odds).toBeCloseTo(1 - Math.exp(-all), 12);
    const mean = (a: number, b: number) => (NEAR * a + FAR * b) / all;
    expect(e.away.helpKm).toBeCloseTo(mean(5, 60), 9);
    expect(e.away.workshopKm).toBeCloseTo(mean(40, 150), 9);
    expect([e.away.walking, e.away.towing]).toEqual([trip.speeds.walking, trip.speeds.towing]);
    expect(e.without).toBeCloseTo(mean(strandedHours(near, trip).total, strandedHours(far, trip).total), 9);
    // What only annoys costs the same everywhere.
    expect(exposureOf(trouble({ stops: false, nuisance: 0.7 }), trip).without).toBe(0.7);
  });
  test('weak points and the own record multiply it, and are said', () => {
    const plain = exposureOf(trouble({}), trip);
    const weak = exposureOf(trouble({}), trip, 3);
    expect(weak.lambda).toBeCloseTo(3 * plain.lambda, 12);
    expect(weak.planned).toBeCloseTo(weak.lambda, 12);
    const own = exposureOf(trouble({}), trip, 1, { events: 4, expected: 1 });
    expect(own.lambda).toBeCloseTo(plain.lambda * 2, 12);
    expect(own.planned).toBeCloseTo(plain.lambda, 12);
    expect(weak.formula).toMatchObject({ code: 'count.lambda', weak: 3, record: null });
    expect(plain.formula).toMatchObject({ weak: 1, lambda: plain.lambda });
    expect(own.formula).toMatchObject({ weak: 1, record: { factor: 2, events: 4, expected: 1 } });
  });
  test('the formula names the grounds that count, and no other', () => {
    const made = (t: Trouble, on = trip) => {
      const { formula } = exposureOf(t, on);
      if (formula.code !== 'count.lambda') throw new Error('not counted by rate');
      return formula;
    };
    const grounds = (t: Trouble, on = trip) => made(t, on).ridden.map((r) => r.on);
    expect(grounds(trouble({}))).toEqual(['paved', 'gravel', 'track']);
    expect(made(trouble({})).ridden[1]).toMatchObject({ km: 300, on: 'gravel' });
    expect(grounds(trouble({ rate: { paved: 0, gravel: 0.4, track: 2 } }))).toEqual(['gravel', 'track']);
    const flat = { ...trip, legs: [near] };
    expect(grounds(trouble({}), flat)).toEqual(['paved', 'gravel']);
    expect(made(trouble({ perCrossing: 0.02 })).crossings).toEqual({ rate: 0.02, times: 3 });
    expect(made(trouble({ perCrossing: 0.02 }), flat).crossings).toBeNull();
    expect(made(trouble({})).crossings).toBeNull();
    expect(grounds(trouble({ rate: { paved: 0, gravel: 0, track: 0 } }))).toEqual([]);
    expect(made(trouble({})).factor).toBeCloseTo(1.2, 9);
    expect(made(trouble({})).lambda).toBeCloseTo(0.3, 9);
  });
  test('what never happens has no share anywhere, and no share is no number', () => {
    const none = exposureOf(trouble({ rate: { paved: 0, gravel: 0, track: 0 } }), trip);
    expect(none).toMatchObject({ lambda: 0, odds: 0, byLeg: [0, 0], without: 0, atStake: 0 });
    expect([none.away.helpKm, none.away.workshopKm]).toEqual([0, 0]);
  });
  test('what is sure to come comes so many times', () => {
    const why = { code: 'count.due' as const, services: [] };
    const due = certain(trouble({ nuisance: 2 }), 3, why);
    expect(due).toMatchObject({ formula: why, lambda: 3, planned: 3, odds: 1, without: 2, law: fixed(3) });
    expect(certain(trouble({}), 0, why)).toMatchObject({ odds: 0, atStake: 0, byLeg: [] });
    // A way of 20 minutes that always holds saves the rest of two hours, each time.
    const [way] = TROUBLES[0]!.ways;
    const ways = [{ ...way!, minutes: 20, holds: 1, grade: 'proper' as const, travel: null }];
    expect(certain(trouble({ nuisance: 2, ways }), 3, why).atStake).toBeCloseTo(3 * (2 - 20 / 60), 12);
  });
});

test('the share ridden in the dark: hours of all legs together, never above all of them', () => {
  expect(darkShare(trip)).toBeCloseTo(5 / 16, 12);
  expect(darkShare({ legs: [{ ...near, night: 12 }] })).toBe(1);
  expect(darkShare({ legs: [{ ...near, hours: 0, night: 2 }] })).toBe(0);
  expect(darkShare({ legs: [] })).toBe(0);
});

test('a stock that is asked for a thousand times still adds up; what takes nothing is no demand', () => {
  const many = demandPmf([{ lambda: 900, units: 1 }], 1200);
  expect(many.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 6);
  expect(many.reduce((s, p, n) => s + n * p, 0)).toBeCloseTo(900, 3);
  const free = demandPmf(
    [
      { lambda: 3, units: 0 },
      { lambda: 1, units: 1 },
    ],
    6,
  );
  expect(free.every(Number.isFinite)).toBe(true);
  expect(countCdf(400, { mean: 30, shape: 2 })).toBeLessThanOrEqual(1);
  expect(countCdf(0, { mean: 1, shape: null })).toBeCloseTo(Math.exp(-1), 12);
  expect(countCdf(1, { mean: 1, shape: null })).toBeCloseTo(2 * Math.exp(-1), 12);
});
