import { DEFAULT_PRACTICE, type Practice } from '../../toolbox/practice.js';
import { describe, expect, test } from '@jest/globals';
import { newBike } from '../../bike/index.js';
import { hasTraits, TROUBLES, type WayNeeds } from '../../repairs/index.js';
import { newLeg, newTrip } from '../../trip/index.js';
import { uuid } from '../../testing/make.js';
import { gainOf, practisedNeeds, practisedWays } from './ways.js';

const bike = newBike(uuid(1), 'B');
const trip = { ...newTrip(uuid(2), 'T'), legs: [newLeg(uuid(3), 'L')], companions: 0 };
const practice = (fields: Partial<Practice>): Practice => ({ ...DEFAULT_PRACTICE, ...fields });
const of = (id: string) => TROUBLES.find((t) => t.id === id)!;
const needs = (functions: WayNeeds['functions'], supplies: WayNeeds['supplies'] = []): WayNeeds => ({
  heads: [],
  functions,
  supplies,
});
const barred = (id: string, name: string, fields: Partial<Practice>, on = bike, at: typeof trip | undefined = trip) =>
  practisedWays(of(id), on, at, practice(fields)).find((w) => w.way.name === name)!.barred;

const prefers = (of: string, position: string) => ({ code: 'lack.preference', of, position });

describe('needs as the practice has them', () => {
  test('what makes the air: a pump, an electric one, cartridges two to a filling, two of them', () => {
    const asked = (air: Practice['air']) => practisedNeeds(needs([{ does: 'inflate', count: 1 }]), practice({ air }));
    expect(asked('pump')).toEqual(needs([{ does: 'inflate', count: 1 }]));
    expect(asked('electric')).toEqual(needs([{ does: 'electric air', count: 1 }]));
    expect(asked('hand')).toEqual(needs([{ does: 'hand air', count: 1 }]));
    expect(asked('two')).toEqual(needs([{ does: 'inflate', count: 2 }]));
    expect(asked('gas')).toEqual(needs([{ does: 'gas air', count: 1 }], [{ kind: 'gas cartridge', units: 2 }]));
    const both = practisedNeeds(
      needs([{ does: 'inflate', count: 1 }], [{ kind: 'gas cartridge', units: 2 }]),
      practice({ air: 'gas' }),
    );
    expect(both.supplies).toEqual([{ kind: 'gas cartridge', units: 4 }]);
  });
  test('levers: two, one and a long spanner, three; one asked for stays one', () => {
    const asked = (levers: Practice['levers'], count = 2) =>
      practisedNeeds(needs([{ does: 'lever tyre', count }]), practice({ levers })).functions[0]!.count;
    expect([asked('two'), asked('one'), asked('three'), asked('three', 1)]).toEqual([2, 1, 3, 1]);
  });
  test('the reamer is by hand or powered', () => {
    const asked = (reamer: Practice['reamer']) =>
      practisedNeeds(needs([{ does: 'ream', count: 1 }]), practice({ reamer })).functions;
    expect(asked('hand')).toEqual([{ does: 'ream', count: 1 }]);
    expect(asked('drill')).toEqual([{ does: 'drill', count: 1 }]);
  });
});

describe('ways that do not count, with the reason', () => {
  test('skill: only what the best hand of the group can do', () => {
    const skilled = (hand: Practice['hand'], skill: Practice['skill'] = 'able') => [
      barred('wheel-bearing', 'New bearing', { hand, skill }),
      barred('puncture-tube', 'Patch the tube', { hand, skill }),
      barred('puncture-tube', 'Ride on the flat, walking pace', { hand, skill }),
    ];
    const none = { code: 'lack.nobody-knows' };
    expect(skilled('anybody')).toEqual([none, none, null]);
    expect(skilled('handy')).toEqual([none, null, null]);
    expect(skilled('done')).toEqual([null, null, null]);
    expect(skilled('anybody', 'all')).toEqual([null, null, null]);
  });
  test('company and pushing', () => {
    expect(barred('chain', 'Be towed by a companion', {})).toEqual({ code: 'lack.nobody-along' });
    expect(barred('chain', 'Be towed by a companion', {}, bike, { ...trip, companions: 1 })).toBeNull();
    expect(barred('battery', 'Push it off', {})).toEqual({ code: 'lack.no-push-start' });
    expect(barred('battery', 'Push it off', {}, { ...bike, pushStarts: true })).toBeNull();
  });
  test('tubes, plugs, the spare plug, rescue', () => {
    const tube = (tubes: Practice['tubes']) => [
      barred('tube-torn-front', 'Fit a new tube', { tubes }),
      barred('tube-torn-rear', 'Fit a new tube', { tubes }),
    ];
    expect(tube('both')).toEqual([null, null]);
    expect(tube('front')).toEqual([null, prefers('tubes', 'front')]);
    expect(tube('none')).toEqual([prefers('tubes', 'none'), prefers('tubes', 'none')]);
    const tubeless = { ...bike, tyres: 'tubeless' as const };
    const plug = (plugs: Practice['plugs']) => [
      barred('puncture-tubeless', 'Plug it with strings', { plugs }, tubeless),
      barred('puncture-tubeless', 'Plug it with a pin plug', { plugs }, tubeless),
    ];
    expect(plug('strings')).toEqual([null, prefers('plugs', 'strings')]);
    expect(plug('pins')).toEqual([prefers('plugs', 'pins'), null]);
    const spare = (sparkPlug: Practice['sparkPlug'], on = bike, at = trip) =>
      barred('plug-fouled', 'New plug', { sparkPlug }, on, at);
    const no = prefers('sparkPlug', 'earned');
    expect(spare('carry')).toBeNull();
    // Where it earns its place: carburettor, two-stroke, or water on the way.
    expect(spare('earned')).toEqual(no);
    expect(spare('earned', { ...bike, fuelling: 'carburettor' })).toBeNull();
    expect(spare('earned', { ...bike, strokes: 2 })).toBeNull();
    expect(spare('earned', bike, { ...trip, legs: [{ ...trip.legs[0]!, crossings: 1 }] })).toBeNull();
    expect(barred('stuck', 'Pulley to a tree', { rescue: 'carry' })).toBeNull();
    expect(barred('stuck', 'Pulley to a tree', { rescue: 'phone' })).toEqual(prefers('rescue', 'phone'));
    expect(barred('chain', 'New joining link', { rescue: 'phone' })).toEqual(prefers('rescue', 'phone'));
    expect(barred('chain', 'Coast and push to the road', { rescue: 'phone' })).toBeNull();
  });
  test('a chain tool that is too small opens nothing', () => {
    const small = { ...bike, fit: { chain: '525', 'chain tool': '520' } };
    expect(barred('chain', 'New joining link', {}, small)).toEqual({
      ...{ code: 'sheet.chain-tool', opens: 520, chain: 525 },
    });
    expect(barred('chain', 'Coast and push to the road', {}, small)).toBeNull();
    // What needs no chain tool is done all the same.
    expect(barred('tube-torn-front', 'Fit a new tube', {}, small)).toBeNull();
  });
  test('without a trip nobody is along and no water is crossed; one leg through water is enough', () => {
    const off = (id: string, name: string) =>
      practisedWays(of(id), bike, undefined, practice({})).find((w) => w.way.name === name)?.barred;
    expect(off('chain', 'Be towed by a companion')).toEqual({ code: 'lack.nobody-along' });
    expect(off('plug-fouled', 'New plug')).toEqual(prefers('sparkPlug', 'earned'));
    const [leg] = trip.legs;
    const legs = [
      { ...leg!, crossings: 0 },
      { ...leg!, id: uuid(4), crossings: 2 },
    ];
    expect(barred('plug-fouled', 'New plug', {}, bike, { ...trip, legs })).toBeNull();
  });
  test('ways that are not done on a bike are not there', () => {
    let left = 0;
    for (const on of [
      bike,
      { ...bike, tyres: 'tubeless' as const, drive: 'shaft' as const, fuelling: 'carburettor' as const },
    ])
      for (const t of TROUBLES) {
        const there = practisedWays(t, on, trip, practice({})).map((w) => w.way.name);
        expect([t.id, there]).toEqual([t.id, t.ways.filter((w) => hasTraits(w.only, on)).map((w) => w.name)]);
        left += t.ways.length - there.length;
      }
    expect(left).toBeGreaterThan(0);
  });
});

test('what one mend saves: hours, or in money so many hours’ worth and the fetch spared as often as it holds', () => {
  const way = { ...of('chain').ways[0]!, minutes: 60, holds: 0.5, grade: 'ride-out' as const, travel: null };
  const away = { helpKm: 10, workshopKm: 40, walking: 4, towing: 25 };
  // Ten hours without: 0.5 · 0.8 · 9 h saved when it holds, half an hour lost when it does not.
  const hours = 0.5 * 0.8 * 9 - 0.5;
  const gain = (value: 'hours' | 'money', trouble = of('chain'), without = 10) =>
    gainOf(way, trouble, without, away, { value, hourEuros: 20, fetchEuros: 250 });
  expect(gain('hours')).toBeCloseTo(hours, 9);
  expect(gain('money')).toBeCloseTo(hours * 20 + 250 * 0.8 * 0.5, 9);
  // Nobody is fetched for what does not end the ride, nor where nothing is saved.
  expect(gain('money', of('chain-slack'))).toBeCloseTo(hours * 20, 9);
  expect(gain('money', of('chain'), 0.5)).toBe(0);
});
