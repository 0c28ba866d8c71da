import { describe, expect, test } from '@jest/globals';
import {
  cartridgeRise,
  cartridgeMass,
  cartridgesFor,
  electricPump,
  filling,
  freeAir,
  handPump,
  OUTSIDE,
  TRAVEL_PUMP,
  tyreVolume,
} from './air.js';
import { gaugeSchema } from './gauge.js';
import { supplyKind } from '../../repairs/supplies/index.js';

test('a gauge is one for tyres: from 20 to 900 kPa on both', () => {
  const reads = (shows: number, good: number) => gaugeSchema.safeParse({ shows, good, on: '2026-05-01' }).success;
  expect([reads(20, 900), reads(900, 20)]).toEqual([true, true]);
  expect([reads(19.9, 200), reads(200, 19.9), reads(900.1, 200), reads(200, 900.1)]).toEqual([
    false,
    false,
    false,
    false,
  ]);
});

describe('air against the worked values', () => {
  test.each([
    ['90/90-21', 11.05, 80.2, 21.8],
    ['120/90-18', 18.07, 49.0, 35.7],
    ['140/80-18', 22.02, 40.2, 43.5],
    ['150/70-17', 20.86, 42.5, 41.2],
  ])('%s holds %f L, a cartridge raises it by %f kPa, 200 kPa take %f L', (mark, litres, rise, air) => {
    expect(tyreVolume(mark)).toBeCloseTo(litres, 1);
    expect(cartridgeRise(16, tyreVolume(mark))).toBeCloseTo(rise, 0);
    expect(freeAir(200, tyreVolume(mark))).toBeCloseTo(air, 0);
  });
  test('whole cartridges, more of them in the cold; none for no rise', () => {
    expect(cartridgesFor(200, 16, 11.05)).toBe(3);
    // The shelf's cartridge and the sheet's weigh the same; half as much gas again weighs half as much again.
    expect(cartridgeMass(16)).toBe(supplyKind('gas cartridge').mass);
    expect(cartridgeMass(24)).toBe(87);
    expect(cartridgesFor(200, 16, 11.05, -20)).toBeGreaterThan(3);
    expect(cartridgesFor(0, 16, 11.05)).toBe(0);
    expect(cartridgesFor(cartridgeRise(16, 11) * 0.9, 16, 11)).toBe(1);
  });
  test('a hand pump: strokes by the free air, slower as it gets hard', () => {
    const { strokes, minutes } = handPump(0, 200, 11.05, 90);
    expect(strokes).toBe(Math.ceil((11.05 * 200) / (OUTSIDE * 0.09 * 0.7)));
    // Forty strokes a minute to begin with, each bar makes them 15 % slower: over 0 to 2 bar 15 % on average.
    expect(minutes).toBeCloseTo((((11.05 * 200) / (101.3 * 0.09 * 0.7)) * 1.15) / 40, 9);
    // From 1 to 3 bar it is 30 % on average: summed over small steps it comes to the same.
    let steps = 0;
    for (let i = 0; i < 2000; i++) {
      const bar = 1 + (i + 0.5) / 1000;
      steps += ((10 * 0.1) / (101.3 * 0.12 * 0.7)) * ((1 + 0.15 * bar) / 40);
    }
    expect(handPump(100, 300, 10, 120).minutes).toBeCloseTo(steps, 6);
    expect(handPump(200, 200, 11, 90)).toEqual({ strokes: 0, minutes: 0 });
  });
  test('an electric pump: the closed form equals the sum over small steps; it stalls', () => {
    const litres = 18.07;
    let minutes = 0;
    const step = 0.01;
    for (let i = 0; i < 12_000; i++) {
      const p = 100 + (i + 0.5) * step;
      minutes += (litres * step) / (OUTSIDE * TRAVEL_PUMP.flow * (1 - p / TRAVEL_PUMP.stall));
    }
    const pump = electricPump(100, 220, litres);
    expect(pump.minutes).toBeCloseTo(minutes, 4);
    expect(pump.ampereHours).toBeCloseTo((minutes / 60) * 7, 4);
    expect(electricPump(0, 700, litres)).toEqual({ minutes: Infinity, ampereHours: Infinity, rests: true });
    expect(electricPump(0, 701, litres).minutes).toBe(Infinity);
    expect(electricPump(0, 699.9, litres).minutes).toBeLessThan(Infinity);
    expect(electricPump(200, 200, litres)).toEqual({ minutes: 0, ampereHours: 0, rests: false });
    expect(electricPump(220, 200, litres).minutes).toBe(0);
    // A rest is wanted beyond ten minutes, not at them.
    const ten = { ...TRAVEL_PUMP, flow: (TRAVEL_PUMP.flow * pump.minutes) / 10 };
    const at = electricPump(100, 220, litres, ten);
    expect(at.minutes).toBeCloseTo(10, 9);
    expect(electricPump(100, 220, litres, { ...ten, flow: ten.flow * 1.001 }).rests).toBe(false);
    expect(electricPump(100, 220, litres, { ...ten, flow: ten.flow * 0.999 }).rests).toBe(true);
    expect(electricPump(0, 250, 60).rests).toBe(true);
  });
  test.each([
    ['3.00-21', '80/100-21'],
    ['4.60-18', '120/90-18'],
    ['MT90-16', '130/90-16'],
  ])('%s is about %s', (mark, metric) => {
    expect(tyreVolume(mark)).toBeCloseTo(tyreVolume(metric), 6);
  });
  test('all sources side by side', () => {
    const by = filling('90/90-21', 120, 200);
    expect(by).toMatchObject({ cartridges: 2, rests: false });
    const litres = tyreVolume('90/90-21');
    expect(by.freeAir).toBeCloseTo((litres * 80) / 101.3, 9);
    expect([by.strokes, by.handMinutes]).toEqual(Object.values(handPump(120, 200, litres, 90)));
    expect(by.electricMinutes).toBe(electricPump(120, 200, litres).minutes);
    // What is said of stroke, cartridge and cold is taken, not the usual.
    const said = filling('90/90-21', 0, 200, { stroke: 45, cartridge: 8, celsius: -30 });
    expect(said.strokes).toBe(handPump(0, 200, litres, 45).strokes);
    expect(said.cartridges).toBe(cartridgesFor(200, 8, litres, -30));
    expect(said.cartridges).toBeGreaterThan(filling('90/90-21', 0, 200, { cartridge: 8 }).cartridges);
  });
});
