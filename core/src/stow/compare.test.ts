import { describe, expect, test } from '@jest/globals';
import { newBike } from '../bike/index.js';
import { uuid } from '../testing/make.js';
import { input, item as stowItem } from '../testing/stow.js';
import { assign } from './assign.js';
import { comparePackings, keptItems, packingFigures } from './compare.js';
import type { StowItem } from './item.js';
import { packingSchema, type KeptPacking } from './keptPacking.js';
import { placeLibrary } from './usual.js';
import type { Place } from './place.js';

const bike = { ...newBike(uuid(1), 'Test'), fitted: ['side racks' as const] };
const places = placeLibrary(bike)
  .filter((p) => p.name.includes('pannier') || p.name === 'Tank bag')
  .map((p, i): Place => ({ ...p, id: uuid(10 + i), bikeId: bike.id, taken: 0, takenMass: 0 }));
const item = (n: number, mass: number) =>
  stowItem(n, { mass, size: { length: 100, width: 40, height: 30 }, volume: 120 });
const packed = (items: StowItem[], where: Record<string, string>) =>
  assign(
    input(
      items,
      places,
      Object.entries(where).map(([key, name]) => [key, places.find((p) => p.name === name)!.id]),
      { bike },
    ),
  );
const keep = (packing: ReturnType<typeof packed>): KeptPacking => ({
  id: uuid(90),
  bikeId: bike.id,
  name: 'Then',
  made: '2026-05-01T08:00:00.000Z',
  items: keptItems(packing, places),
  figures: packingFigures(packing),
  note: '',
});

describe('two packings', () => {
  const before = packed([item(1, 4000), item(2, 2000)], { 'piece 1': 'Left pannier', 'piece 2': 'Right pannier' });
  test('what is kept can be written down, and nothing differs from itself', () => {
    const kept = keep(before);
    expect(packingSchema.safeParse(kept).error).toBeUndefined();
    expect(comparePackings(before, places, kept)).toEqual({
      moved: [],
      ...{ higher: 0, further: 0, mass: 0, side: 0, front: 0, back: 0, minutes: 0, broken: 0 },
    });
  });
  test('a move by hand: two kilos from the right pannier into the tank bag', () => {
    const after = packed([item(1, 4000), item(2, 2000)], { 'piece 1': 'Left pannier', 'piece 2': 'Tank bag' });
    const d = comparePackings(after, places, keep(before));
    expect(d.moved).toEqual([
      { key: 'piece 2', name: 'Item 2', from: 'Right pannier', to: 'Tank bag', change: 'moved' },
    ]);
    // 2 kg leave y = −330 mm: 0.66 kg·m less on the right.
    expect(d.side).toBeCloseTo(0.66, 9);
    // The middle of all goes by 2 kg times the way over the whole mass.
    const [from, to] = ['Right pannier', 'Tank bag'].map((n) => places.find((p) => p.name === n)!.at);
    expect(d.higher).toBeCloseTo((2000 * (to!.z - from!.z)) / after.load.packed.mass, 9);
    expect(d.further).toBeCloseTo((2000 * (to!.x - from!.x)) / after.load.packed.mass, 9);
    expect(d.front).toBeCloseTo((2000 * (from!.x - to!.x)) / bike.wheelbase, 6);
  });
  test('what is new, what is gone, and what became loose', () => {
    const after = packed([item(1, 4000), item(3, 12_000)], { 'piece 1': 'Left pannier' });
    const d = comparePackings(after, places, keep(before));
    expect(d.moved).toEqual([
      { key: 'piece 3', name: 'Item 3', from: null, to: null, change: 'new' },
      { key: 'piece 2', name: 'Item 2', from: 'Right pannier', to: null, change: 'gone' },
    ]);
    expect(d.broken).toBe(1);
  });
});
