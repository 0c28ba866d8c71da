import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { newBike } from '../bike/index.js';
import { TRAITS, type Trait } from '../tools/index.js';
import { uuid } from '../testing/make.js';
import { assign } from './assign.js';
import { longestPiece, placeSchema, usableVolume, type Place } from './place.js';
import { brokenRules, EMPTY, loaded, type StowItem } from './rules.js';
import { usualPlaces } from './usual.js';

const bike = newBike(uuid(1), 'Test');
const place = (n: number, given: Partial<Place> = {}): Place => ({
  id: uuid(n),
  bikeId: bike.id,
  name: `Place ${n}`,
  kind: 'box',
  inside: { length: 200, width: 100, height: 100 },
  fill: 0.65,
  taken: 0,
  limit: 2000,
  at: { x: 900, y: 0, z: 800 },
  tier: 'one zip',
  stays: true,
  lockable: false,
  dry: true,
  hot: false,
  wiring: false,
  slots: null,
  note: '',
  ...given,
});
const item = (n: number, given: Partial<StowItem> = {}): StowItem => ({
  key: `piece ${n}`,
  name: `Item ${n}`,
  kind: 'other',
  mass: 200,
  size: { length: 100, width: 40, height: 20 },
  volume: 80,
  traits: [],
  uses: 0,
  ...given,
});
const rules = (p: Place, i: StowItem) => brokenRules(p, i, EMPTY).map((b) => b.rule);

describe('rules of a place', () => {
  test('the longest piece lies on a box’s diagonal, not in a tube', () => {
    expect(longestPiece(place(1))).toBeCloseTo(Math.hypot(200, 100, 100), 9);
    expect(rules(place(1), item(1, { size: { length: 240, width: 20, height: 10 } }))).toEqual([]);
    expect(rules(place(1), item(1, { size: { length: 250, width: 20, height: 10 } }))).toEqual(['size']);
    expect(rules(place(1, { kind: 'tube' }), item(1, { size: { length: 201, width: 20, height: 10 } }))).toEqual([
      'size',
    ]);
    expect(rules(place(1), item(1, { size: { length: 110, width: 105, height: 10 } }))).toEqual(['size']);
    expect(rules(place(1), item(1, { size: { length: 110, width: 105, height: 10 }, traits: ['soft'] }))).toEqual([]);
  });
  test('room, less what clothes take, and what the mount bears', () => {
    expect(usableVolume(place(1))).toBeCloseTo(1300, 6);
    expect(usableVolume(place(1, { taken: 1 }))).toBeCloseTo(300, 6);
    expect(usableVolume(place(1, { kind: 'tube' }))).toBeCloseTo((Math.PI / 4) * 2000 * 0.65, 6);
    expect(rules(place(1, { taken: 1 }), item(1, { volume: 301 }))).toEqual(['room']);
    expect(rules(place(1, { limit: 199 }), item(1))).toEqual(['weight']);
    expect(brokenRules(place(1, { limit: 300 }), item(2), loaded(EMPTY, item(1))).map((b) => b.rule)).toEqual([
      'weight',
    ]);
  });
  test.each<[Partial<Place>, Trait, string]>([
    [{ kind: 'body' }, 'sharp', 'body'],
    [{ kind: 'body' }, 'hard', 'body'],
    [{ wiring: true }, 'conductive', 'wiring'],
    [{ hot: true }, 'melts', 'heat'],
    [{ hot: true }, 'pressurised', 'heat'],
  ])('%p refuses %s', (given, trait, rule) => {
    expect(rules(place(1, given), item(1, { traits: [trait] }))).toEqual([rule]);
  });
  test('a roll takes one item a slot, wrapped even next to wiring', () => {
    const roll = place(1, { kind: 'roll', wiring: true, slots: { count: 1, width: 45, length: 200 } });
    expect(rules(roll, item(1, { traits: ['conductive'] }))).toEqual([]);
    expect(rules(roll, item(1, { size: { length: 100, width: 46, height: 45.5 } }))).toEqual(['slot']);
    expect(brokenRules(roll, item(2), loaded(EMPTY, item(1))).map((b) => b.rule)).toEqual(['slot']);
  });
  test('what is small cannot be tied on', () => {
    expect(rules(place(1, { kind: 'tie-on', inside: { length: 400, width: 100, height: 50 } }), item(1))).toEqual([
      'tie',
    ]);
  });
  test('the usual places are valid places', () => {
    for (const p of usualPlaces(bike))
      expect(placeSchema.safeParse({ ...p, id: uuid(1), bikeId: bike.id }).success).toBe(true);
  });
});

const anyItem = (n: number) =>
  fc
    .record({
      mass: fc.integer({ min: 2, max: 900 }),
      length: fc.integer({ min: 20, max: 420 }),
      width: fc.integer({ min: 5, max: 120 }),
      height: fc.integer({ min: 3, max: 70 }),
      traits: fc.subarray([...TRAITS], { maxLength: 3 }),
      uses: fc.double({ min: 0, max: 1, noNaN: true }),
    })
    .map(({ length, width, height, ...rest }) =>
      item(n, { ...rest, size: { length, width, height }, volume: (length * width * height) / 1000 }),
    );
const items = fc
  .integer({ min: 1, max: 30 })
  .chain((n) => fc.tuple(...Array.from({ length: n }, (_, i) => anyItem(i))));
const places = usualPlaces(bike).map((p, i) => ({ ...p, id: uuid(100 + i), bikeId: bike.id }));

describe('the assignment', () => {
  test('hard rules hold wherever it puts things, and what is loose truly fits nowhere', () => {
    fc.assert(
      fc.property(items, (list) => {
        const packing = assign(list, places, [], bike);
        expect(packing.stowed.map((s) => s.item.key).sort()).toEqual(list.map((i) => i.key).sort());
        for (const p of places) {
          const here = packing.stowed.filter((s) => s.placeId === p.id);
          // Independent recount: rule by rule from the raw items.
          const mass = here.reduce((s, h) => s + h.item.mass, 0);
          const volume = here.reduce((s, h) => s + h.item.volume, 0);
          expect(mass).toBeLessThanOrEqual(p.limit);
          if (p.kind === 'roll') expect(here.length).toBeLessThanOrEqual(p.slots!.count);
          else expect(volume).toBeLessThanOrEqual(usableVolume(p) + 1e-6);
          for (const { item: i } of here) {
            expect(Math.max(i.size.length, i.size.width, i.size.height)).toBeLessThanOrEqual(longestPiece(p) + 1e-9);
            if (p.kind === 'body') expect(i.traits).not.toEqual(expect.arrayContaining(['sharp']));
          }
          const { load } = packing.loads.find((l) => l.placeId === p.id)!;
          expect(load.items).toBe(here.length);
          expect(load.mass).toBeCloseTo(mass, 6);
        }
        for (const s of packing.stowed)
          if (s.placeId === null) {
            expect(s.broken).toHaveLength(places.length);
            for (const p of places)
              expect(
                brokenRules(p, s.item, packing.loads.find((l) => l.placeId === p.id)!.load).length,
              ).toBeGreaterThan(0);
          }
      }),
      { numRuns: 150 },
    );
  });
  test('a pin holds, and the rule that it breaks is named', () => {
    const bag = place(1, { kind: 'body', at: { x: 900, y: 0, z: 1200 } });
    const box = place(2, { lockable: true });
    const hard = item(1, { traits: ['hard'] });
    expect(assign([hard], [bag, box], [], bike).stowed[0]).toMatchObject({ placeId: box.id, pinned: false });
    const pinned = assign([hard], [bag, box], [{ id: uuid(9), bikeId: bike.id, placeId: bag.id, item: hard.key }], bike)
      .stowed[0]!;
    expect(pinned).toMatchObject({ placeId: bag.id, pinned: true });
    expect(pinned.broken[0]!.rules[0]!.rule).toBe('body');
  });
  test('low before high, both sides before one, and the middle is Σ m·r / Σ m', () => {
    const low = place(1, { at: { x: 800, y: 0, z: 400 } });
    const high = place(2, { at: { x: 800, y: 0, z: 1000 } });
    expect(assign([item(1)], [high, low], [], bike).stowed[0]!.placeId).toBe(low.id);
    const left = place(3, {
      at: { x: 700, y: 300, z: 500 },
      limit: 5000,
      inside: { length: 400, width: 300, height: 200 },
    });
    const right = place(4, {
      at: { x: 900, y: -300, z: 500 },
      limit: 5000,
      inside: { length: 400, width: 300, height: 200 },
    });
    const even = assign([item(1, { mass: 2000 }), item(2, { mass: 2000 })], [left, right], [], bike);
    expect(even.side).toBeCloseTo(0, 9);
    expect(even.centre).toEqual({ x: 800, y: 0, z: 500 });
  });
  test('no places at all: everything is loose without a reason to name', () => {
    const packing = assign([item(1)], [], [], bike);
    expect(packing.stowed[0]).toMatchObject({ placeId: null, broken: [] });
    expect(packing.centre).toBeNull();
  });
});
