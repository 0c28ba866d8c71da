import { describe, expect, test } from '@jest/globals';
import { fixed, poisson, countPmf, type CountLaw } from '../../trip/odds/index.js';
import { certain } from '../../trip/odds/exposure.js';
import { uuid } from '../../testing/make.js';
import { TROUBLES, type Trouble } from '../../repairs/index.js';
import { newLeg, newTrip, strandedHours } from '../../trip/index.js';
import type { RiddenWay } from '../index.js';
import { NO_MEANS, simulate, SPREAD, type Means, type Ridden } from './simulate.js';

/** One leg on which whoever is stranded is out for just eight hours: one to call, two to wait, five back. */
const trip = {
  ...newTrip(uuid(2), 'Trip'),
  recovery: 'nobody' as const,
  companions: 0,
  legs: [{ ...newLeg(uuid(3), 'a'), signal: true, workshopKm: 200 }],
};
trip.speeds = { ...trip.speeds, callWithSignal: 1, hitchWait: 2, hitching: 40 };

const law = (mean: number): CountLaw => fixed(mean);
const ridden = (more: Partial<Trouble>, of: CountLaw): Ridden => {
  const trouble = { ...TROUBLES[0]!, ...more };
  return { key: 'it', exposure: certain(trouble, of.mean, { code: 'count.due', services: [] }), law: of };
};
const stops = (of: CountLaw) => ridden({ stops: true, nuisance: 0 }, of);
const annoys = (hours: number, of: CountLaw) => ridden({ stops: false, nuisance: hours }, of);
const way = (more: Partial<RiddenWay> = {}): RiddenWay => ({
  ...{ name: 'It', hours: 2, worth: 1, supplies: [], holds: 1, home: true },
  ...more,
});
const means = (ways: RiddenWay[], stock: [string, number][] = []): Means => ({
  ...{ name: 'kit', stock: new Map(stock), ways: new Map([['it', ways]]) },
});
const ride = (what: Ridden, kit: Means = NO_MEANS, runs = 50) => simulate(trip, [what], [kit], runs, 5)[0]!;

describe('what is sure to come so often gives the same on every trip', () => {
  test('eight hours out are a night, a minute less is none', () => {
    expect(strandedHours(trip.legs[0]!, trip).total).toBe(8);
    expect(ride(stops(law(2)))).toMatchObject({
      ...{ name: 'nothing', runs: 50, home: 0, homeError: 0, nightOut: 1, hours: 16, hoursError: 0 },
      quantiles: { half: 16, nine: 16, most: 16 },
      spread: [0, 0, 0, 0, 1, 0],
    });
    const shorter = { ...trip, speeds: { ...trip.speeds, hitchWait: 2 - 1 / 60 } };
    expect(simulate(shorter, [stops(law(1))], [NO_MEANS], 50, 5)[0]!.nightOut).toBe(0);
  });
  test('what only annoys costs its hours, and everybody gets home', () => {
    expect(ride(annoys(1, law(3)))).toMatchObject({ home: 1, nightOut: 0, hours: 3, spread: [0, 0, 1, 0, 0, 0] });
    expect(ride(annoys(1, law(0)))).toMatchObject({ home: 1, hours: 0, spread: [1, 0, 0, 0, 0, 0] });
  });
  test('a mend saves the share of the hours that it is worth', () => {
    expect(ride(stops(law(1)), means([way()]))).toMatchObject({ home: 1, nightOut: 0, hours: 2 });
    expect(ride(stops(law(1)), means([way({ worth: 0.5 })]))).toMatchObject({ hours: 5 });
  });
  test('a mend to the road leaves whoever was stopped to be fetched, and nobody else', () => {
    expect(ride(stops(law(1)), means([way({ home: false })]))).toMatchObject({ home: 0, nightOut: 0, hours: 2 });
    expect(ride(annoys(3, law(1)), means([way({ home: false })]))).toMatchObject({ home: 1, hours: 2 });
  });
  test('a mend that takes as long as being fetched is not begun', () => {
    expect(ride(stops(law(1)), means([way({ hours: 8 })]))).toMatchObject({ home: 0, hours: 8 });
    expect(ride(stops(law(1)), means([way({ hours: 7.5 })]))).toMatchObject({ home: 1, hours: 7.5 });
    expect(ride(stops(law(1)), means([way({ hours: 8 }), way({ hours: 3 })]))).toMatchObject({ hours: 3 });
  });
  test('one that never holds costs its own hours on top, and what it used', () => {
    const never = way({ holds: 0, supplies: [{ kind: 'tie', units: 1 }] });
    expect(ride(stops(law(1)), means([never], [['tie', 1]]))).toMatchObject({ home: 0, nightOut: 1, hours: 10 });
    // The second time there is nothing left to try it with.
    expect(ride(stops(law(2)), means([never], [['tie', 1]]))).toMatchObject({ hours: 18 });
    expect(ride(annoys(3, law(1)), means([never], [['tie', 1]]))).toMatchObject({ home: 1, hours: 5 });
  });
  test('stocks are as full at the start of each trip, and what no kit has is not there', () => {
    const tie = way({ supplies: [{ kind: 'tie', units: 2 }] });
    expect(ride(stops(law(2)), means([tie], [['tie', 3]]))).toMatchObject({ home: 0, hours: 10 });
    expect(ride(stops(law(2)), means([tie], [['tie', 4]]))).toMatchObject({ home: 1, hours: 4 });
    expect(ride(stops(law(1)), means([way({ supplies: [{ kind: 'none', units: 1 }] })], [['tie', 9]]))).toMatchObject({
      ...{ home: 0, hours: 8 },
    });
  });
});

describe('of what comes by chance', () => {
  const runs = 20_000;
  test('of several that want the last spare each is as likely to come first, whatever their laws are', () => {
    // One spare, three that are sure to come: a mend of one, of three and of five hours; the others are out for eight each.
    const named = (key: string, of: CountLaw): Ridden => ({ ...stops(of), key });
    const kit: Means = {
      ...{ name: 'kit', stock: new Map([['tie', 1]]) },
      ways: new Map(
        [1, 3, 5].map((hours, i) => [`it ${i}`, [way({ hours, supplies: [{ kind: 'tie', units: 1 }] })]] as const),
      ),
    };
    const all = [0, 1, 2].map((i) => named(`it ${i}`, law(1)));
    const rode = simulate(trip, all, [kit], runs, 11)[0]!;
    expect(rode.hours).toBeGreaterThan(16 + 3 - 5 * rode.hoursError);
    expect(rode.hours).toBeLessThan(16 + 3 + 5 * rode.hoursError);
    // A third of the trips each: so the spread of a mean of three hours is that of 1, 3 and 5.
    expect(rode.hoursError * Math.sqrt(runs)).toBeCloseTo(Math.sqrt(8 / 3), 1);
    // Whatever comes by chance is no sooner either: where both come, the sure one is first half of the time.
    const mixed = simulate(trip, [named('it 0', poisson(0.05)), named('it 2', law(1))], [kit], runs, 12)[0]!;
    const second = 0.05 * (8 + (1 - 5) / 2);
    expect(Math.abs(mixed.hours - (5 + second))).toBeLessThan(5 * mixed.hoursError + 0.01);
  });
  test('an own record makes counts differ more from trip to trip, and their mean no other', () => {
    const counted = (of: CountLaw) => simulate(trip, [annoys(1, of)], [NO_MEANS], runs, 13)[0]!;
    const [plain, own] = [counted(poisson(2)), counted({ mean: 2, shape: 3 })];
    for (const c of [plain, own]) expect(Math.abs(c.hours - 2)).toBeLessThan(5 * c.hoursError);
    // Variance of a Poisson is its mean; of a negative binomial its mean and mean²/shape.
    expect((own.hoursError / plain.hoursError) ** 2).toBeCloseTo((2 + 4 / 3) / 2, 1);
  });
  test('the quantiles, the spread and the errors are those of its law', () => {
    const p = (n: number) => countPmf(n, poisson(1));
    const s = ride(annoys(1, poisson(1)), NO_MEANS, runs);
    // P(N ≤ 1) = 0.74, P(N ≤ 2) = 0.92, P(N ≤ 4) = 0.996.
    expect(s.quantiles).toEqual({ half: 1, nine: 2, most: 4 });
    const shares = [p(0), p(1), p(2) + p(3), [4, 5, 6, 7, 8].reduce((sum, n) => sum + p(n), 0)];
    shares.forEach((share, i) => expect(Math.abs(s.spread[i]! - share)).toBeLessThan(5 * Math.sqrt(share / runs)));
    expect(s.spread).toHaveLength(SPREAD.length);
    expect(Math.abs(s.hours - 1)).toBeLessThan(5 * s.hoursError);
    expect(s.hoursError).toBeCloseTo(1 / Math.sqrt(runs), 3);
  });
  test('whoever is stopped is fetched, and out at night, as often as it comes', () => {
    const s = ride(stops(poisson(0.5)), NO_MEANS, runs);
    expect(s.nightOut).toBeCloseTo(1 - s.home, 12);
    expect(Math.abs(s.home - Math.exp(-0.5))).toBeLessThan(5 * s.homeError);
    expect(s.homeError).toBeCloseTo(Math.sqrt((s.home * (1 - s.home)) / runs), 12);
  });
});
