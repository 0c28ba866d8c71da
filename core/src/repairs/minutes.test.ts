import { describe, expect, test } from '@jest/globals';
import { newBike } from '../bike/index.js';
import { darkShare, exposures } from '../trip/odds/index.js';
import { newLeg, newTrip } from '../trip/index.js';
import { uuid } from '../testing/make.js';
import { TROUBLES } from './known.js';
import { minutesOn, troubleOn, withBetter } from './minutes.js';
import { sharedParts } from './shared.js';
import { needsOf } from './way.js';

const bike = newBike(uuid(1), 'B');
const of = (id: string) => TROUBLES.find((t) => t.id === id)!;
const patch = of('puncture-tube').ways[0]!;
const plug = of('plug-fouled').ways[0]!;
const on = { bike, company: false, dark: 0 };

describe('minutes of a repair', () => {
  test('as written for a bike of 150 kg; 4 more for each 50 kg where it is lifted off a wheel; 5 less with a centre stand', () => {
    expect(minutesOn(patch, on)).toEqual({
      minutes: 60,
      parts: [{ what: 'the work, on a bike of 150 kg', minutes: 60 }],
    });
    const heavy = { ...bike, mass: 250_000 };
    expect(minutesOn(patch, { ...on, bike: heavy }).minutes).toBeCloseTo(68, 9);
    expect(minutesOn(patch, { ...on, bike: { ...heavy, fitted: ['centre stand' as const] } }).minutes).toBeCloseTo(
      63,
      9,
    );
    expect(minutesOn(patch, { ...on, bike: { ...bike, mass: 100_000 } }).minutes).toBe(60);
    expect(minutesOn(plug, { ...on, bike: heavy }).minutes).toBe(25);
  });
  test('a tubeless rim holds its beads: 15 more; a second pair of hands as the way says; half as long again in the dark', () => {
    const tube = of('puncture-tubeless').ways.find((w) => w.name === 'Tube in the tubeless tyre')!;
    expect(minutesOn(tube, { ...on, bike: { ...bike, tyres: 'tubeless' } }).minutes).toBeCloseTo(95, 9);
    expect(minutesOn(patch, { ...on, company: true }).minutes).toBeCloseTo(50, 9);
    expect(minutesOn(patch, { ...on, dark: 0.5 }).minutes).toBeCloseTo(75, 9);
    const all = minutesOn(patch, { bike: { ...bike, mass: 250_000 }, company: true, dark: 1 });
    expect(all.minutes).toBeCloseTo(87, 9);
    expect(all.parts.map((p) => p.minutes)).toEqual([60, 8, -10, 29]);
  });
  test('whatever helps, three tenths of the minutes stay', () => {
    expect(minutesOn({ ...patch, second: 59 }, { ...on, company: true }).minutes).toBeCloseTo(18, 9);
    expect(withBetter(patch, { need: { by: 'function', does: 'prop', count: 1 }, saves: 58 }).minutes).toBeCloseTo(
      18,
      9,
    );
  });
  test('a way with what helps asks for that too, takes less time, and stands beside the one without', () => {
    const there = troubleOn(of('puncture-tube'), on);
    const names = there.ways.map((w) => w.name);
    expect(names.slice(0, 2)).toEqual(['Patch the tube', 'Patch the tube, with an electric pump']);
    const [plain, quick] = there.ways as [typeof patch, typeof patch];
    expect(plain.minutes - quick.minutes).toBeCloseTo(8, 9);
    const asks = (w: typeof patch) => needsOf(w).functions.map((f) => f.does);
    expect(asks(quick)).toEqual([...asks(plain), 'electric air']);
    expect(there.mend).toBe(plain.minutes / 60);
    expect(new Set(names).size).toBe(names.length);
  });
  test('an exposure has the minutes of its bike, its company and its hours in the dark', () => {
    const leg = { ...newLeg(uuid(2), 'L'), km: { paved: 100, gravel: 0, track: 0 }, hours: 4, night: 1 };
    const trip = { ...newTrip(uuid(3), 'T'), legs: [leg], companions: 1 };
    expect(darkShare(trip)).toBe(0.25);
    expect(darkShare({ legs: [] })).toBe(0);
    const e = exposures({ ...bike, mass: 250_000 }, trip).find((x) => x.trouble.id === 'puncture-tube')!;
    expect(e.trouble.ways[0]!.minutes).toBeCloseTo((60 + 8 - 10) * 1.125, 9);
  });
});

test('a part that serves several troubles says which', () => {
  const shared = sharedParts(of('tube-torn-front').ways[0]!, of('tube-torn-front'), TROUBLES);
  expect(shared).toHaveLength(1);
  expect(shared[0]!.kind).toBe('front tube');
  expect(shared[0]!.also).toEqual(expect.arrayContaining(['Puncture, tubed', 'Rear tube torn beyond patching']));
  expect(shared[0]!.also).not.toContain('Front tube torn beyond patching');
});
