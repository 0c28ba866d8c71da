import { describe, expect, test } from '@jest/globals';
import { newBike } from '../../bike/index.js';
import { uuid } from '../../testing/make.js';
import { newLeg, newTrip, strandedHours, type Ride } from '../index.js';
import { countCdf, countPmf, fixed, logGamma, mendsExpected, poisson, unitsTogether } from './counts.js';
import { exposureOf, exposures, stockDemands } from './exposure.js';
import { demandPmf, poissonPmf } from './poisson.js';
import { posterior, posteriorSpread, recordOf } from './record.js';
import { allEnough, pooled, type Stock } from './stocks.js';
import { TROUBLES } from '../../repairs/index.js';

const trip = {
  ...newTrip(uuid(2), 'Trip'),
  legs: [{ ...newLeg(uuid(3), 'a'), km: { paved: 200, gravel: 500, track: 300 }, hours: 20 }],
};
const ride = (given: Partial<Ride>): Ride => ({
  id: uuid(50),
  bike: uuid(1),
  date: '2026-01-01',
  km: { paved: 0, gravel: 0, track: 0 },
  crossings: 0,
  mishaps: [],
  note: '',
  ...given,
});

describe('counts', () => {
  test('ln Γ against factorials and a half', () => {
    let f = 1;
    for (let n = 1; n < 25; n++) {
      expect(logGamma(n)).toBeCloseTo(Math.log(f), 9);
      f *= n;
    }
    expect(logGamma(0.5)).toBeCloseTo(Math.log(Math.sqrt(Math.PI)), 10);
  });
  test.each([
    [3, 2, 1.5],
    [2, 7, 0.4],
    [9, 3, 6],
  ])(
    'negative binomial with κ+n = %d, κ+E = %d, Λ = %f is the Poisson count under a gamma factor, summed directly',
    (shape, rate, planned) => {
      const law = { mean: (planned * shape) / rate, shape };
      // ∫ Poisson(k; Λ·x) · Gamma(x; shape, rate) dx by a fine sum.
      const step = 0.0002;
      for (let k = 0; k < 8; k++) {
        let sum = 0;
        for (let x = step / 2; x < 12; x += step)
          sum +=
            step *
            poissonPmf(k, planned * x) *
            Math.exp(shape * Math.log(rate) + (shape - 1) * Math.log(x) - rate * x - logGamma(shape));
        expect(countPmf(k, law)).toBeCloseTo(sum, 6);
      }
      const total = Array.from({ length: 400 }, (_, k) => countPmf(k, law));
      expect(total.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
      expect(total.reduce((s, p, k) => s + k * p, 0)).toBeCloseTo(law.mean, 6);
      expect(mendsExpected(3, law)).toBeCloseTo(
        total.reduce((s, p, k) => s + p * Math.min(k, 3), 0),
        9,
      );
    },
  );
  test('a very large shape is Poisson', () => {
    for (let k = 0; k < 6; k++) expect(countPmf(k, { mean: 1.3, shape: 1e7 })).toBeCloseTo(poissonPmf(k, 1.3), 6);
    expect(countCdf(2, poisson(0))).toBe(1);
  });
  test('units together: equals Panjer’s recursion for Poisson counts', () => {
    const demands = [
      { lambda: 0.7, units: 2 },
      { lambda: 0.3, units: 1 },
      { lambda: 1.1, units: 3 },
    ];
    const panjer = demandPmf(demands, 25);
    unitsTogether(
      demands.map((d) => ({ law: poisson(d.lambda), units: d.units })),
      25,
    ).forEach((p, n) => expect(p).toBeCloseTo(panjer[n]!, 10));
  });
});

test('a count that is sure is its mean and nothing else; of what never happens there is none', () => {
  expect([0, 1, 2, 3].map((k) => countPmf(k, fixed(2)))).toEqual([0, 0, 1, 0]);
  for (const law of [fixed(0), poisson(0), { mean: 0, shape: 3 }])
    expect([0, 1, 2].map((k) => countPmf(k, law))).toEqual([1, 0, 0]);
  expect([1, 2, 3].map((k) => mendsExpected(k, fixed(2)))).toEqual([1, 2, 2]);
});
test('that no stock runs out is the product of their chances', () => {
  const stock = (enough: number) => ({ enough }) as Stock;
  expect(allEnough([])).toBe(1);
  expect(allEnough([stock(0.9), stock(0.8), stock(0.5)])).toBeCloseTo(0.36, 12);
});

describe('the own record', () => {
  const bike = newBike(uuid(1), 'Bike');
  const tyre = TROUBLES.find((t) => t.id === 'puncture-tube')!;
  test('worked: two flats where half a one was expected', () => {
    const km = 0.5 / (tyre.rate.track / 1000);
    const record = recordOf(
      [ride({ km: { paved: 0, gravel: 0, track: km }, mishaps: [{ trouble: tyre.id, count: 2, used: '' }] })],
      bike,
      [bike],
    );
    const e = record.get(tyre.id)!;
    expect(e.events).toBe(2);
    expect(e.expected).toBeCloseTo(0.5, 9);
    expect(posterior(e)).toEqual({ factor: 4 / 2.5, shape: 4 });
    expect(posteriorSpread(e)).toBeCloseTo(2 / 2.5, 9);
    const [plain, sharpened] = [exposureOf(tyre, trip), exposureOf(tyre, trip, 1, e)];
    expect(sharpened.lambda).toBeCloseTo(plain.lambda * 1.6, 9);
    expect(sharpened.planned).toBeCloseTo(plain.lambda, 9);
    expect(sharpened.odds).toBeCloseTo(1 - (2.5 / (2.5 + plain.lambda)) ** 4, 9);
    expect(sharpened.formula).toMatchObject({ record: { factor: 1.6, events: 2, expected: expect.closeTo(0.5, 9) } });
  });
  test('crossings count beside the kilometres, ground by ground', () => {
    const drowned = TROUBLES.find((t) => t.perCrossing > 0 && t.rate.paved > 0) ?? {
      ...tyre,
      perCrossing: 0.02,
    };
    const km = { paved: 1000, gravel: 2000, track: 3000 };
    const { paved, gravel, track } = drowned.rate;
    const e = recordOf([ride({ km, crossings: 40 })], bike, [bike], [drowned]).get(drowned.id)!;
    expect(e.expected).toBeCloseTo(paved + 2 * gravel + 3 * track + 40 * drowned.perCrossing, 9);
    expect(e.expected).toBeGreaterThan(40 * drowned.perCrossing);
    const without = recordOf([ride({ km, crossings: 40 })], bike, [bike], [tyre]).get(tyre.id)!;
    expect(without.expected).toBeCloseTo(tyre.rate.paved + 2 * tyre.rate.gravel + 3 * tyre.rate.track, 9);
  });
  test('quiet kilometres lower a rate; no rides leave it', () => {
    const quiet = recordOf([ride({ km: { paved: 5000, gravel: 5000, track: 5000 } })], bike, [bike]);
    expect(posterior(quiet.get(tyre.id)!).factor).toBeLessThan(1);
    expect(recordOf([], bike, [bike]).size).toBe(0);
  });
  test('rides of a bike that cannot have a trouble say nothing of it', () => {
    const tubeless = { ...newBike(uuid(8), 'Other'), tyres: 'tubeless' as const };
    const record = recordOf([ride({ bike: tubeless.id, km: { paved: 9000, gravel: 0, track: 0 } })], bike, [
      bike,
      tubeless,
    ]);
    expect(record.has(tyre.id)).toBe(false);
    expect(record.has('clutch-lever')).toBe(true);
  });
});

describe('factors', () => {
  const bike = newBike(uuid(1), 'Bike');
  const of = (id: string, b = bike, t = trip) => exposures(b, t).find((e) => e.trouble.id === id)!;
  test('a known weak point multiplies its rate, and says so', () => {
    const weak = { ...bike, weak: [{ trouble: 'luggage', factor: 3 }] };
    expect(of('luggage', weak).lambda).toBeCloseTo(3 * of('luggage').lambda, 9);
    expect(of('luggage', weak).formula).toMatchObject({ weak: 3, record: null });
    expect(of('fuse', weak).lambda).toBeCloseTo(of('fuse').lambda, 12);
  });
  test('in the dark falls are likelier, punctures are not', () => {
    const dark = { ...trip, legs: trip.legs.map((l) => ({ ...l, night: 10 })) };
    expect(of('clutch-lever', bike, dark).lambda).toBeCloseTo(1.25 * of('clutch-lever').lambda, 9);
    expect(of('puncture-tube', bike, dark).lambda).toBeCloseTo(of('puncture-tube').lambda, 12);
  });
  test('there are at least forty troubles, each with a name of its own and rates that rise with the ground', () => {
    expect(TROUBLES.length).toBeGreaterThanOrEqual(40);
    expect(new Set(TROUBLES.map((t) => t.id)).size).toBe(TROUBLES.length);
    for (const t of TROUBLES) {
      // Thieves work where people are; everything else comes with the ground.
      if (t.id !== 'theft') expect(t.rate.track).toBeGreaterThanOrEqual(t.rate.paved);
      expect(t.holds ?? 1).toBeLessThanOrEqual(1);
    }
  });
});

describe('spares of a company', () => {
  const demand = (mean: number) => [
    { kind: 'patch', demands: [{ trouble: TROUBLES[0]!, lambda: mean, units: 1, law: poisson(mean) }] },
  ];
  test('worked: one stock of 5 at 2.4 replaces four stocks of 2 at 0.6 each', () => {
    expect(pooled(demand(0.6), 4, 0.95)).toEqual([{ kind: 'patch', alone: 8, together: 5 }]);
  });
  test('a front tube serves the rear, so one stock sees both demands; both or none by the rider’s practice', () => {
    const list = exposures(newBike(uuid(1), 'Bike'), trip);
    const kinds = (tubes: 'front' | 'both' | 'none') =>
      stockDemands(list, [], tubes)
        .filter((d) => d.kind.endsWith('tube'))
        .map((d) => [d.kind, d.demands.length]);
    expect(kinds('front')).toEqual([['front tube', 2]]);
    expect(kinds('both')).toEqual([
      ['front tube', 1],
      ['rear tube', 1],
    ]);
    expect(kinds('none')).toEqual([]);
  });
});

describe('hours stranded by what the rider says', () => {
  const leg = { helpKm: 12, signal: false, workshopKm: 200 };
  const plan = { ...trip, recovery: 'service' as const, callOut: 2, companions: 0 };
  test('a service stops at the limit of its cover', () => {
    expect(strandedHours(leg, plan).total).toBeCloseTo(3 + 2 + 4 + 4, 9);
    const beyond = strandedHours(leg, { ...plan, coverKm: 100 });
    expect(beyond.total).toBeCloseTo(3 + 2 + 5, 9);
    expect(beyond.formula).toMatchObject({ code: 'stranded.no-rescue', beyondCover: true, wait: 2, onTow: false });
    expect(strandedHours(leg, { ...plan, coverKm: 250 }).total).toBeCloseTo(13, 9);
  });
  test('speeds are the rider’s own where changed', () => {
    const slow = { ...plan, speeds: { ...plan.speeds, walking: 2 } };
    expect(strandedHours(leg, slow).total - strandedHours(leg, plan).total).toBeCloseTo(3, 9);
  });
});
