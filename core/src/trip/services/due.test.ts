import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { newBike, type Service } from '../../bike/index.js';
import { uuid } from '../../testing/make.js';
import { newLeg, newTrip, type Leg } from '../index.js';
import { dueOn, legNeeds, oilBurnt } from './due.js';

const service = (given: Partial<Service>): Service => ({
  id: uuid(9),
  name: 'Oil',
  everyKm: 1000,
  everyDays: null,
  everyHours: null,
  dust: 1,
  lastKm: 0,
  lastHours: 0,
  lastDate: null,
  uses: 'oil, mL',
  quantity: 100,
  ...given,
});
const leg = (paved: number, track = 0, days = 1): Leg => ({
  ...newLeg(uuid(3), `${paved}`),
  days,
  km: { paved, gravel: 0, track },
});
const due = (s: Service, odometer: number, ...legs: Leg[]) =>
  dueOn({ ...newBike(uuid(1), 'b'), odometer, services: [s] }, { ...newTrip(uuid(2), 't'), legs }, '2026-06-01')[0]!;

describe('what falls due', () => {
  test('by km against odometer and trip, on the leg where it does', () => {
    expect(due(service({}), 700, leg(200), leg(200))).toMatchObject({
      leftKm: 300,
      times: 1,
      leg: 1,
      overdue: false,
      quantity: 100,
    });
    expect(due(service({}), 500, leg(200), leg(200))).toMatchObject({ times: 0, leg: null, quantity: 0 });
    expect(due(service({}), 0, leg(3500))).toMatchObject({ times: 3, leg: 0, quantity: 300 });
  });
  test('overdue: once before leaving, then its interval starts anew', () => {
    expect(due(service({}), 1400, leg(900))).toMatchObject({ overdue: true, times: 1, leg: null, leftKm: -400 });
    expect(due(service({}), 1400, leg(1100))).toMatchObject({ overdue: true, times: 2, leg: null });
  });
  test('dust shortens it: a km of track wears as much as several', () => {
    expect(due(service({ dust: 0.25 }), 0, leg(0, 240)).times).toBe(0);
    expect(due(service({ dust: 0.25 }), 0, leg(0, 260)).times).toBe(1);
  });
  test('by days as well, whichever comes first', () => {
    const byDays = service({ everyKm: null, everyDays: 10, lastDate: '2026-05-28' });
    expect(due(byDays, 0, leg(10, 0, 3), leg(10, 0, 4))).toMatchObject({ times: 1, leg: 1 });
    expect(due({ ...byDays, lastDate: '2026-05-01' }, 0, leg(10))).toMatchObject({ overdue: true });
  });
  test('by hours of the engine', () => {
    const byHours = service({ everyKm: null, everyHours: 20 });
    expect(due(byHours, 0, { ...leg(10), hours: 15 }, { ...leg(10), hours: 10 })).toMatchObject({ times: 1, leg: 1 });
    expect(due(byHours, 0, { ...leg(10), hours: 65 })).toMatchObject({ times: 3, leg: 0 });
  });
  test('times are what counting from the last service gives, however the trip is cut into legs', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 3000 }),
        fc.integer({ min: 0, max: 2999 }),
        fc.array(fc.integer({ min: 1, max: 900 }), { minLength: 1, maxLength: 8 }),
        (every, gone, parts) => {
          fc.pre(gone < every);
          const total = parts.reduce((a, b) => a + b, 0);
          expect(due(service({ everyKm: every }), gone, ...parts.map((p) => leg(p))).times).toBe(
            Math.floor((gone + total) / every + 1e-9),
          );
        },
      ),
    );
  });
  test('just due is due: at its km, on its day, at its hour', () => {
    expect(due(service({}), 0, leg(1000)).times).toBe(1);
    expect(due(service({}), 0, leg(999.9)).times).toBe(0);
    const byDays = service({ everyKm: null, everyDays: 10, lastDate: '2026-06-01' });
    expect(due(byDays, 0, leg(10, 0, 10)).times).toBe(1);
    expect(due(byDays, 0, leg(10, 0, 9)).times).toBe(0);
    expect(due(byDays, 0, leg(10, 0, 35))).toMatchObject({ times: 3, leg: 0 });
    const byHours = service({ everyKm: null, everyHours: 20 });
    expect(due(byHours, 0, { ...leg(10), hours: 20 }).times).toBe(1);
    // Nothing left before leaving is overdue.
    expect(due(service({}), 1000, leg(1))).toMatchObject({ overdue: true, leftKm: 0 });
    expect(due({ ...byDays, lastDate: '2026-05-22' }, 0, leg(1)).overdue).toBe(true);
    expect(due({ ...byDays, lastDate: '2026-05-23' }, 0, leg(1)).overdue).toBe(false);
  });
  test('whichever ends first starts all of them anew', () => {
    // 10 days or 1000 km: a leg of 2000 km in 20 days is due by both at once, twice; in 40 days by days alone, four times.
    const both = service({ everyDays: 10, lastDate: '2026-06-01' });
    expect(due(both, 0, leg(2000, 0, 20)).times).toBe(2);
    expect(due(both, 0, leg(2000, 0, 40)).times).toBe(4);
    expect(due(both, 0, leg(4000, 0, 20)).times).toBe(4);
    // 500 km are gone: due after 500 km, on the fifth of ten days, and once more ten days later.
    expect(due(both, 500, leg(1000, 0, 10), leg(500, 0, 5)).times).toBe(2);
    const hours = service({ everyKm: null, everyHours: 20, everyDays: 10, lastDate: '2026-06-01' });
    expect(due(hours, 0, { ...leg(10, 0, 10), hours: 40 }).times).toBe(2);
    expect(due(hours, 0, { ...leg(10, 0, 40), hours: 40 }).times).toBe(4);
  });
  test('what is never counted, or of which nobody knows when it was done, never falls due by it', () => {
    expect(due(service({ everyKm: null }), 9e5, leg(9e5))).toMatchObject({ leftKm: null, times: 0 });
    // By days without a day: it counts from leaving.
    const unknown = service({ everyKm: null, everyDays: 10 });
    expect(due(unknown, 0, leg(10, 0, 9))).toMatchObject({ times: 0, overdue: false });
    expect(due(unknown, 0, leg(10, 0, 10)).times).toBe(1);
  });
  test('hours of the engine since it was done last; an odometer that went back counts as none', () => {
    const s = service({ everyKm: null, everyHours: 20, lastHours: 100 });
    const at = (engineHours: number, hours = 5) =>
      dueOn(
        { ...newBike(uuid(1), 'b'), engineHours, services: [s] },
        { ...newTrip(uuid(2), 't'), legs: [{ ...leg(10), hours }] },
        '2026-06-01',
      )[0]!;
    expect([at(114).times, at(115).times, at(119).times, at(120).overdue]).toEqual([0, 1, 1, true]);
    expect(at(90)).toMatchObject({ times: 0, overdue: false });
    expect(at(90, 20).times).toBe(1);
    expect(at(90).formula.hours).toEqual({ every: 20, gone: 0 });
    expect(at(113).formula.hours).toEqual({ every: 20, gone: 13 });
    expect(due(service({ lastKm: 500 }), 400, leg(999)).times).toBe(0);
    expect(due(service({ lastKm: 500 }), 400, leg(10)).leftKm).toBe(1000);
  });
  test('a service of a metre ends all the same', () => {
    expect(due(service({ everyKm: 0.001 }), 0, leg(1000)).times).toBe(501);
  });
  test('what is told of it: each interval with what is gone, null where it does not count', () => {
    const all = service({ everyHours: 20, everyDays: 10, lastDate: '2026-05-30', dust: 0.25 });
    expect(due(all, 300, leg(1)).formula).toEqual({
      code: 'due.interval',
      km: { every: 1000, gone: 300, dust: 4 },
      hours: { every: 20, gone: 0 },
      days: { every: 10, last: '2026-05-30' },
    });
    expect(due(service({ everyKm: null }), 0).formula).toEqual({
      code: 'due.interval',
      km: null,
      hours: null,
      days: null,
    });
  });
  test('overdue first, then what comes oftener, then what is nearest', () => {
    const list = [
      service({ name: 'never', everyKm: null }),
      service({ name: 'later', everyKm: 9000 }),
      service({ name: 'sooner', everyKm: 5000 }),
      service({ name: 'once', everyKm: 1500 }),
      service({ name: 'often', everyKm: 900 }),
      service({ name: 'overdue', everyKm: 500, lastKm: -600 }),
    ];
    const order = dueOn(
      {
        ...newBike(uuid(1), 'b'),
        odometer: 0,
        services: list.map((s) =>
          s.name === 'overdue' ? { ...s, everyKm: 5000, everyDays: 1, lastDate: '2026-01-01' } : s,
        ),
      },
      { ...newTrip(uuid(2), 't'), legs: [leg(1900)] },
      '2026-06-01',
    ).map((d) => d.service.name);
    expect(order).toEqual(['overdue', 'often', 'once', 'sooner', 'later', 'never']);
  });
  test('oil burnt, by consumption', () => {
    expect(
      oilBurnt({ ...newBike(uuid(1), 'b'), oilUse: 180 }, { ...newTrip(uuid(2), 't'), legs: [leg(500)] }),
    ).toBeCloseTo(90, 9);
  });
});

describe('fuel and water', () => {
  const bike = { ...newBike(uuid(1), 'b'), tank: 10, consumption: 4 };
  test('worked: ten litres at four, a seventh kept back, and what a long gap asks for', () => {
    const paved = legNeeds(bike, { ...leg(100), fuelGapKm: 250 });
    expect(paved.range).toBeCloseTo(212.5, 6);
    // 250 × 1.2 = 300 km; 87.5 km short at 4 L: 3.5 L.
    expect(paved.spareFuel).toBe(3.5);
    expect(legNeeds(bike, { ...leg(0, 100), fuelGapKm: 100 })).toMatchObject({ spareFuel: 0 });
    expect(legNeeds(bike, leg(100)).spareFuel).toBeNull();
  });
  test('water: more in the heat, a least a day', () => {
    const at = (temperature: number) => legNeeds(bike, { ...leg(100), hours: 8, temperature }).water;
    expect(at(10)).toBe(4);
    expect(at(40)).toBe(8);
    expect(legNeeds(bike, { ...leg(10), hours: 1 }).water).toBe(2);
    expect(legNeeds(bike, { ...leg(10), hours: 1, temperature: 40 }).water).toBe(4);
  });
  test('ground takes fuel by its share of the leg; the fuel weighs; all of it is told', () => {
    const mixed = { ...leg(0), km: { paved: 50, gravel: 30, track: 20 }, fuelGapKm: 250 };
    const needs = legNeeds(bike, mixed);
    // 50 + 30 · 1.1 + 20 · 1.3 = 109 of 100 km: 4.36 L, 8.5 L go 195.0 km; 300 − 195.0 = 105.0 km want 4.58 L, by half litres 5.
    const range = (8.5 / 4.36) * 100;
    expect(needs.range).toBeCloseTo(range, 9);
    expect([needs.spareFuel, needs.fuelMass]).toEqual([5, 5 * 745]);
    expect(needs.formula).toEqual({
      code: 'fuel.range',
      ...{ tank: 10, reserve: 0.15, consumption: 4, factor: 1.09, gap: 250, detour: 1.2 },
      range: expect.closeTo(range, 9),
      per100: expect.closeTo(4.36, 9),
    });
    expect(legNeeds(bike, { ...mixed, fuelGapKm: null })).toMatchObject({ spareFuel: null, fuelMass: 0 });
    // A leg without a way is as paved.
    expect(legNeeds(bike, leg(0)).formula.factor).toBe(1);
  });
  test('water follows the warmth and the hours of a day, and has a least that grows in the heat', () => {
    const water = (given: Partial<Leg>) => legNeeds(bike, { ...leg(100), ...given }).water;
    // Halfway from 15 to 35 °C: three quarters of a litre an hour.
    expect(water({ hours: 16, days: 2, temperature: 25 })).toBe(6);
    expect(water({ hours: 16, days: 0, temperature: 25 })).toBe(12);
    // Halfway from 25 to 30 °C a day wants three litres at least.
    expect([25, 27.5, 30, 31].map((temperature) => water({ hours: 0.5, days: 1, temperature }))).toEqual([2, 3, 4, 4]);
  });
});
