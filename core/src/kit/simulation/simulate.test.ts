import { DEFAULT_PRACTICE } from '../../toolbox/practice.js';
import { describe, expect, test } from '@jest/globals';
import { newBike } from '../../bike/index.js';
import { countCdf, exposures, mendsExpected, type Exposure } from '../../trip/odds/index.js';
import { uuid } from '../../testing/make.js';
import { newLeg, newTrip, strandedHours } from '../../trip/index.js';
import { practisedWays } from '../optimum/index.js';
import { GRADE_WORTH, gradeMeets } from '../../repairs/index.js';
import { asRidden, NO_MEANS, simulate, type Means } from './simulate.js';

const trip = {
  ...newTrip(uuid(2), 'Trip'),
  legs: [
    { ...newLeg(uuid(3), 'a'), km: { paved: 300, gravel: 400, track: 300 }, crossings: 6 },
    { ...newLeg(uuid(4), 'b'), km: { paved: 0, gravel: 0, track: 800 }, helpKm: 60, signal: false, workshopKm: 250 },
  ],
};
const bike = newBike(uuid(1), 'Bike');
const list = exposures(bike, trip);
/** The first way of each of some troubles, with a stock. */
const kitWith = (ids: readonly string[], stock: [string, number][] = []): Means => ({
  name: 'kit',
  stock: new Map(stock),
  ways: new Map(
    ids.map((id) => {
      const { way, needs } = practisedWays(one(id).trouble, bike, trip, { ...DEFAULT_PRACTICE, tubes: 'both' })[0]!;
      const home = gradeMeets(way.grade, 'ride-out');
      const worth = GRADE_WORTH[way.grade];
      return [
        id,
        [{ name: way.name, hours: way.minutes / 60, worth, supplies: needs.supplies, holds: way.holds, home }],
      ];
    }),
  ),
});
const one = (id: string): Exposure => list.find((e) => e.trouble.id === id)!;
const RUNS = 40_000;
/** Five standard errors: a right program fails once in a million. */
const within = (value: number, expected: number, error: number) =>
  expect(Math.abs(value - expected)).toBeLessThanOrEqual(5 * error + 1e-9);

describe('trips ridden many times over agree with the closed form where there is one', () => {
  test('home by own means: product over troubles of P(N ≤ mends), stocks unshared and mends that hold', () => {
    const some = [one('clutch-lever'), one('tube-torn-front'), one('chain'), one('battery')];
    const kit = kitWith(
      ['clutch-lever', 'tube-torn-front', 'battery'],
      [
        ['clutch lever', 1],
        ['front tube', 2],
      ],
    );
    const [ridden] = simulate(trip, asRidden(some), [kit], RUNS, 7, true);
    const expected = countCdf(1, some[0]!.law) * countCdf(2, some[1]!.law) * countCdf(0, some[2]!.law);
    within(ridden!.home, expected, ridden!.homeError);
  });
  test('hours lost with nothing: expected counts times hours stranded, leg by leg', () => {
    const [ridden] = simulate(trip, asRidden(list), [NO_MEANS], RUNS, 8);
    const hours = list.reduce(
      (s, e) =>
        s +
        e.byLeg.reduce(
          (t, share, i) =>
            t + e.lambda * share * (e.trouble.stops ? strandedHours(trip.legs[i]!, trip).total : e.trouble.nuisance),
          0,
        ),
      0,
    );
    within(ridden!.hours, hours, ridden!.hoursError);
    within(
      ridden!.home,
      Math.exp(-list.filter((e) => e.trouble.stops).reduce((s, e) => s + e.lambda, 0)),
      ridden!.homeError,
    );
  });
  test('hours with a stock: Σ P(N ≥ j) mends save what the mend itself does not take', () => {
    const e = one('tube-torn-rear');
    const kit = kitWith([e.trouble.id], [['rear tube', 1]]);
    const [ridden] = simulate(trip, asRidden([e]), [kit], RUNS, 9, true);
    const mended = mendsExpected(1, e.law);
    const stranded = e.byLeg.reduce((s, share, i) => s + share * strandedHours(trip.legs[i]!, trip).total, 0);
    within(ridden!.hours, mended * e.trouble.mend + (e.lambda - mended) * stranded, ridden!.hoursError);
  });
  test('with an own record the counts are negative binomial', () => {
    const record = new Map([['tube-torn-rear', { events: 3, expected: 0.4 }]]);
    const e = exposures(bike, trip, record).find((x) => x.trouble.id === 'tube-torn-rear')!;
    expect(e.law.shape).toBe(5);
    const kit = kitWith([e.trouble.id], [['rear tube', 1]]);
    const [ridden] = simulate(trip, asRidden([e]), [kit], RUNS, 10, true);
    within(ridden!.home, countCdf(1, e.law), ridden!.homeError);
  });
  test('mends that do not hold strand as often as they say', () => {
    const e = one('radiator');
    const kit = kitWith(
      ['radiator'],
      [
        ['metal putty', 99],
        ['coolant', 99],
        ['cleaner', 99],
      ],
    );
    const [ridden] = simulate(trip, asRidden([e]), [kit], RUNS, 11);
    within(ridden!.home, Math.exp(-e.lambda * (1 - e.trouble.holds!)), ridden!.homeError);
  });
  test('two kits ride the same trips; the same seed, the same trips; stopped, it gives what it has', () => {
    const kit = kitWith(list.filter((e) => e.trouble.supplies.length === 0).map((e) => e.trouble.id));
    const [a, b] = simulate(trip, asRidden(list), [kit, NO_MEANS], 3000, 12);
    expect(simulate(trip, asRidden(list), [kit, NO_MEANS], 3000, 12)).toEqual([a, b]);
    expect(a!.home).toBeGreaterThan(b!.home);
    expect(a!.spread.reduce((x, y) => x + y, 0)).toBeCloseTo(1, 9);
    const [cut] = simulate(trip, asRidden(list), [NO_MEANS], 20_000, 12, false, (share) => share < 0.4);
    expect(cut!.runs).toBe(10_000);
  });
});
