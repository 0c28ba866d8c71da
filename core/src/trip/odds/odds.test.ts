import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { newBike } from '../../bike/index.js';
import { newLeg, newTrip, strandedHours, type Trip } from '../index.js';
import { fastener, uuid } from '../../testing/make.js';
import { exposureOf, exposures, lostByThread, stockDemands } from './exposure.js';
import { demandPmf, expectedMends, poissonCdf, poissonPmf, poissonQuantile } from './poisson.js';
import { allEnough, stocksFor } from './stocks.js';
import { SUPPLIES, supplyKind } from '../../repairs/supplies/index.js';
import { appliesTo, TROUBLES } from '../../repairs/index.js';
import { catalogue, FUNCTIONS } from '../../toolbox/tools/index.js';

const trip = (fields: Partial<Trip> = {}): Trip => ({
  ...newTrip(uuid(1), 'Test'),
  legs: [{ ...newLeg(uuid(2), 'Leg'), km: { paved: 1000, gravel: 0, track: 0 } }],
  ...fields,
});
const bike = newBike(uuid(3), 'Test bike');

describe('Poisson', () => {
  test.each([
    [0.1, 0, 1, 1],
    [0.3, 1, 1, 2],
    [0.7, 2, 2, 3],
    [1.2, 3, 3, 4],
    [2.4, 4, 5, 7],
  ])('stock at Λ = %p', (lambda, q90, q95, q99) => {
    expect([0.9, 0.95, 0.99].map((q) => poissonQuantile(q, lambda))).toEqual([q90, q95, q99]);
  });
  test('pooling: one stock of 5 at 2.4 replaces four of 2 at 0.6', () => {
    expect(poissonQuantile(0.95, 2.4)).toBe(5);
    expect(poissonQuantile(0.95, 0.6)).toBe(2);
  });
  test('expected mends for Λ = 1.2: 0.70, 1.04, 1.16', () => {
    expect([1, 2, 3].map((k) => expectedMends(k, 1.2).toFixed(2))).toEqual(['0.70', '1.04', '1.16']);
    expect(expectedMends(200, 1.2)).toBeCloseTo(1.2, 9);
  });
  test('large means do not underflow', () => {
    expect(poissonCdf(1000, 1000)).toBeGreaterThan(0.5);
    expect(poissonPmf(0, 0)).toBe(1);
    expect(poissonQuantile(0.5, 900)).toBeGreaterThan(880);
    expect(() => poissonQuantile(1, 2)).toThrow(RangeError);
  });
  test('demand of several troubles on one stock against convolution of each', () => {
    const demand = fc.record({
      lambda: fc.double({ min: 0.01, max: 4, noNaN: true }),
      units: fc.integer({ min: 1, max: 4 }),
    });
    fc.assert(
      fc.property(fc.array(demand, { minLength: 1, maxLength: 4 }), (demands) => {
        const N = 24;
        let pmf = [1, ...Array.from({ length: N }, () => 0)];
        for (const { lambda, units } of demands) {
          const next = pmf.map(() => 0);
          for (let n = 0; n <= N; n++)
            for (let k = 0; k * units <= n; k++) next[n]! += pmf[n - k * units]! * poissonPmf(k, lambda);
          pmf = next;
        }
        demandPmf(demands, N).forEach((p, n) => expect(p).toBeCloseTo(pmf[n]!, 9));
      }),
    );
  });
});

describe('exposure', () => {
  const puncture = TROUBLES.find((t) => t.id === 'puncture-tube')!;
  test('rates by ground and factors add up', () => {
    const t = trip({
      legs: [{ ...newLeg(uuid(2), 'a'), km: { paved: 100, gravel: 200, track: 300 } }],
      factors: { age: 2, load: 1, care: 0.5 },
    });
    const e = exposureOf(puncture, t);
    expect(e.lambda).toBeCloseTo(0.0425 * 0.1 + 0.102 * 0.2 + 0.255 * 0.3, 12);
    expect(e.odds).toBeCloseTo(1 - Math.exp(-e.lambda), 12);
    // The best way holds on 95 of 100; on the others its hour is lost on top.
    const { mend, holds } = puncture;
    expect(e.atStake).toBeCloseTo(e.lambda * (holds * (e.without - mend) - (1 - holds) * mend), 9);
  });
  test('hours are weighted by where it happens; crossings drown engines', () => {
    const near = { ...newLeg(uuid(4), 'near'), km: { paved: 0, gravel: 0, track: 100 }, signal: true, workshopKm: 10 };
    const far = {
      ...newLeg(uuid(5), 'far'),
      km: { paved: 0, gravel: 0, track: 300 },
      signal: false,
      helpKm: 40,
      workshopKm: 200,
      crossings: 5,
    };
    const t = trip({ legs: [near, far] });
    const [hn, hf] = [strandedHours(near, t).total, strandedHours(far, t).total];
    expect(exposureOf(puncture, t).without).toBeCloseTo((hn + 3 * hf) / 4, 9);
    const drowned = exposureOf(
      TROUBLES.find((x) => x.id === 'drowned')!,
      t,
    );
    expect(drowned.lambda).toBeCloseTo(0.05, 12);
    expect(drowned.without).toBeCloseTo(hf, 9);
  });
  test('a trip with no legs asks for nothing', () => {
    expect(exposures(bike, trip({ legs: [] })).every((e) => e.lambda === 0 && e.atStake === 0)).toBe(true);
  });
  test('tubed and tubeless, chain and shaft', () => {
    const ids = (b: typeof bike) => TROUBLES.filter((t) => appliesTo(t, b)).map((t) => t.id);
    expect(ids(bike)).toContain('chain');
    expect(ids({ ...bike, tyres: 'tubeless', drive: 'shaft', cooling: 'air' })).not.toEqual(
      expect.arrayContaining(['chain']),
    );
    expect(ids({ ...bike, tyres: 'tubeless' })).toContain('puncture-tubeless');
  });
  test('the table: at least a dozen for each bike, every supply known, every function found in the catalogue', () => {
    const does = new Set(catalogue().flatMap((p) => p.functions));
    expect(
      TROUBLES.filter((t) => appliesTo(t, { ...bike, tyres: 'tubeless', drive: 'shaft', cooling: 'air' })).length,
    ).toBeGreaterThanOrEqual(12);
    expect(new Set(TROUBLES.map((t) => t.id)).size).toBe(TROUBLES.length);
    for (const t of TROUBLES) {
      for (const { kind } of t.supplies) if (kind !== 'bolt') expect(supplyKind(kind).mass).toBeGreaterThan(0);
      for (const f of t.functions) expect(FUNCTIONS).toContain(f.does);
      for (const f of t.functions) if (f.does !== 'brush') expect(does).toContain(f.does);
      // Thieves work where people are; everything else comes with the ground.
      if (t.id !== 'theft') expect(t.rate.track).toBeGreaterThanOrEqual(t.rate.paved);
    }
    expect(new Set(SUPPLIES.map((s) => s.kind)).size).toBe(SUPPLIES.length);
  });
});

describe('lost bolts follow the bike’s own threads', () => {
  test('count and how often they shake loose', () => {
    const list = [
      fastener({ head: { form: 'hex', size: '10' }, thread: 'M6', count: 4, shakesLoose: true }),
      fastener({ head: { form: 'hex', size: '13' }, thread: 'M8', count: 5 }),
      fastener({ head: { form: 'hex', size: '17' }, count: 5 }),
      fastener({ head: { form: 'clip', size: '' }, count: 50 }),
    ];
    expect(lostByThread(list)).toEqual([
      { thread: 'M6', share: 20 / 30 },
      { thread: 'M8', share: 5 / 30 },
      { thread: 'M10', share: 5 / 30 },
    ]);
    expect(lostByThread([])).toEqual([]);
    const demands = stockDemands(exposures(bike, trip()), list);
    const lost = TROUBLES.find((t) => t.id === 'fastener-lost')!;
    const m6 = demands.find((d) => d.kind === 'bolt M6')!.demands.find((d) => d.trouble.id === lost.id)!;
    expect(m6.lambda).toBeCloseTo((0.03 * 20) / 30, 12);
  });
});

describe('stocks', () => {
  const level = fc.double({ min: 0.5, max: 0.99, noNaN: true });
  const km = fc.integer({ min: 10, max: 3000 });
  test('together they reach the kit’s level, and none could be dropped by itself', () => {
    fc.assert(
      fc.property(level, km, km, (q, gravel, track) => {
        const t = trip({ legs: [{ ...newLeg(uuid(2), 'a'), km: { paved: 0, gravel, track }, crossings: 3 }] });
        const demands = stockDemands(exposures(bike, t), [
          fastener({ head: { form: 'hex', size: '10' }, thread: 'M6' }),
        ]);
        const stocks = stocksFor(demands, q);
        expect(allEnough(stocks)).toBeGreaterThanOrEqual(q);
        for (const s of stocks) {
          const pmf = demandPmf(demands.find((d) => d.kind === s.kind)!.demands, s.quantity);
          expect(s.enough).toBeCloseTo(
            pmf.reduce((a, b) => a + b, 0),
            9,
          );
          expect(s.mass).toBe(s.quantity * supplyKind(s.kind).mass);
        }
      }),
      { numRuns: 60 },
    );
  });
  test('one q per piece is not a kit’s q', () => {
    expect(0.95 ** 30).toBeCloseTo(0.21, 2);
    const demands = stockDemands(
      exposures(bike, trip({ legs: [{ ...newLeg(uuid(2), 'a'), km: { paved: 0, gravel: 0, track: 800 } }] })),
      [],
    );
    const pieces = stocksFor(demands, 0.95);
    expect(Math.min(...pieces.map((s) => s.enough))).toBeGreaterThan(0.95);
  });
  test('patches are carried by whole mends', () => {
    const demands = stockDemands(
      exposures(bike, trip({ legs: [{ ...newLeg(uuid(2), 'a'), km: { paved: 0, gravel: 0, track: 3000 } }] })),
      [],
    );
    expect(stocksFor(demands, 0.95).find((s) => s.kind === 'patch')!.quantity % 2).toBe(0);
  });
});

describe('hours stranded', () => {
  const leg = { ...newLeg(uuid(2), 'a'), helpKm: 20, workshopKm: 100 };
  const hours = (fields: Partial<Trip>, signal: boolean) => strandedHours({ ...leg, signal }, trip(fields)).total;
  test('a call, a walk, or a companion who rides', () => {
    expect(hours({ recovery: 'service', callOut: 2 }, true)).toBeCloseTo(0.3 + 2 + 2 + 2, 9);
    expect(hours({ recovery: 'service', callOut: 2 }, false)).toBeCloseTo(5 + 2 + 2 + 2, 9);
    expect(hours({ recovery: 'service', callOut: 2, companions: 1 }, false)).toBeCloseTo(20 / 30 + 6, 9);
  });
  test('nobody comes: on tow behind a companion, or hitching', () => {
    expect(hours({ recovery: 'nobody', companions: 1 }, true)).toBeCloseTo(0.3 + 4, 9);
    expect(hours({ recovery: 'nobody' }, true)).toBeCloseTo(0.3 + 2 + 2.5, 9);
  });
});

test('where a gram buys most: of two spares wanted as often the light one is carried first', () => {
  const of = (kind: string) => ({
    kind,
    demands: [{ trouble: TROUBLES[0]!, lambda: 0.1, units: 1, law: { mean: 0.1, shape: null } }],
  });
  // e^−0.1 each: 0.905² = 0.819 is too little, 0.905 · 0.995 = 0.901 is enough with one of either.
  const stocks = stocksFor([of('brake pads'), of('fuse')], 0.9);
  expect(stocks.map((s) => [s.kind, s.quantity])).toEqual([
    ['brake pads', 0],
    ['fuse', 1],
  ]);
});
