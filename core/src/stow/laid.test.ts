import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { item, place, unit } from '../testing/stow.js';
import { LaidMemory, mustBeLaid } from './laid.js';
import { PLACE_KINDS, pinSchema, placeSchema } from './place.js';

const hard = (n: number, length: number, width: number, height: number, traits: ('soft' | 'upright')[] = []) =>
  unit(item(n, { size: { length, width, height }, volume: (length * width * height) / 1000, traits }));
const box = (length: number, width: number, height: number) => place(1, { inside: { length, width, height } });
/** Two of them have room in a box of 100 × 60 × 20 mm, and cross in it nowhere. */
const stick = (n: number) => hard(n, 70, 35, 18);
const flat = box(100, 60, 20);
const keys = (units: ReturnType<typeof unit>[]) => units.map((u) => u.host.key);

describe('laying things beside each other', () => {
  test('is asked of boxes, tubes and what is worn alone', () => {
    expect(PLACE_KINDS.filter((kind) => mustBeLaid(place(1, { kind })))).toEqual(['box', 'tube', 'body']);
    const roll = place(1, { kind: 'roll', inside: { length: 1, width: 1, height: 1 }, slots: [] });
    expect(new LaidMemory().lay(roll, [stick(1)])).toEqual({ poses: [] });
  });
  test('each rigid thing has a pose; soft goods take the room that is left', () => {
    const soft = hard(2, 900, 900, 900, ['soft']);
    expect(new LaidMemory().lay(flat, [stick(1), soft])!.poses.map((p) => p.key)).toEqual(['piece 1']);
    expect(new LaidMemory().lay(flat, [stick(1), stick(2)])).toBeNull();
  });
  test('a tube is round where a box has corners', () => {
    const square = hard(1, 200, 38, 38);
    const inside = { length: 250, width: 40, height: 40 };
    const memory = new LaidMemory();
    expect(memory.lay(place(1, { kind: 'box', inside }), [square])).not.toBeNull();
    expect(memory.lay(place(1, { kind: 'tube', inside }), [square])).toBeNull();
    expect(memory.lay(place(1, { kind: 'body', inside }), [square])).not.toBeNull();
  });
  test('what must stand does', () => {
    const low = box(200, 200, 50);
    expect(new LaidMemory().lay(low, [hard(1, 100, 30, 30)])).not.toBeNull();
    expect(new LaidMemory().lay(low, [hard(1, 100, 30, 30, ['upright'])])).toBeNull();
  });
});

describe('what was laid before', () => {
  test('is known again for the same things in any order, and for nothing else', () => {
    const memory = new LaidMemory();
    const wide = box(200, 120, 60);
    const [a, b] = [stick(1), stick(2)];
    const known = memory.lay(wide, [a, b]);
    expect(known).not.toBeNull();
    expect(memory.lay(wide, [b, a])).toBe(known);
    expect(memory.lay(place(7, { inside: wide.inside }), [a, b])).toBe(known);
    for (const other of [
      memory.lay(box(210, 120, 60), [a, b]),
      memory.lay(place(1, { kind: 'body', inside: wide.inside }), [a, b]),
      memory.lay(wide, [a, stick(3)]),
      memory.lay(wide, [a, hard(2, 70, 35, 17)]),
      memory.lay(wide, [a, b], 3),
    ]) {
      expect(other).not.toBeNull();
      expect(other).not.toBe(known);
    }
  });
  test('is let go after six hundred others, no sooner', () => {
    const memory = new LaidMemory();
    const lay = (n: number) => memory.lay(box(200 + n, 120, 60), [stick(1)]);
    const known = lay(0);
    for (let n = 1; n <= 600; n++) lay(n);
    expect(lay(0)).toBe(known);
    lay(601);
    const again = lay(0);
    expect(again).not.toBe(known);
    expect(again).toEqual(known);
  });
});

describe('why things do not lie together', () => {
  test('the largest as far as the first that no longer goes in; soft goods are no reason', () => {
    const small = [hard(3, 10, 8, 6), hard(4, 9, 8, 6)];
    const soft = hard(5, 90, 50, 15, ['soft']);
    const memory = new LaidMemory();
    expect(keys(memory.stubborn(flat, [...small, stick(1), soft, stick(2)], false))).toEqual(['piece 1', 'piece 2']);
    expect(keys(memory.stubborn(flat, [...small, stick(1), soft, stick(2)], true))).toEqual(['piece 1', 'piece 2']);
  });
  test('looked at thoroughly, none can be spared; what is too large by itself is the reason alone', () => {
    const memory = new LaidMemory();
    // By volume a plate that goes in comes first: it is no reason.
    const plate = hard(6, 90, 50, 2);
    const long = hard(7, 70, 36, 19);
    expect(keys(memory.stubborn(flat, [plate, long, stick(8)], true)).sort()).toEqual(['piece 7', 'piece 8']);
    expect(keys(memory.stubborn(flat, [stick(1), hard(2, 300, 60, 20)], true))).toEqual(['piece 2']);
  });
  test('whatever the things: they do not go in, and thoroughly looked at any one less do', () => {
    const some = fc.array(
      fc.tuple(fc.integer({ min: 20, max: 95 }), fc.integer({ min: 10, max: 58 }), fc.integer({ min: 4, max: 19 })),
      { minLength: 2, maxLength: 7 },
    );
    let looked = 0;
    fc.assert(
      fc.property(some, (sizes) => {
        const memory = new LaidMemory();
        const units = sizes.map(([l, w, h], i) => hard(i, l, w, h));
        if (memory.lay(flat, units) !== null) return;
        looked++;
        const byVolume = [...units].sort((a, b) => b.host.volume - a.host.volume);
        const quick = memory.stubborn(flat, units, false);
        expect(memory.lay(flat, quick)).toBeNull();
        expect(quick.map((u) => u.host.volume)).toEqual(byVolume.slice(0, quick.length).map((u) => u.host.volume));
        // All but the last of them go in, or a longer look laid fewer.
        if (quick.length < units.length) expect(memory.lay(flat, quick.slice(0, -1), 3)).not.toBeNull();
        const few = memory.stubborn(flat, units, true);
        expect(few.length).toBeGreaterThan(0);
        expect(memory.lay(flat, few, few === quick ? 12 : 3)).toBeNull();
        if (few.length > 1)
          for (const u of few)
            expect(
              memory.lay(
                flat,
                few.filter((x) => x !== u),
                3,
              ),
            ).not.toBeNull();
      }),
      { numRuns: 60 },
    );
    expect(looked).toBeGreaterThan(10);
  });
});

test('a place and a pin as they are stored', () => {
  expect(placeSchema.safeParse(place(1)).success).toBe(true);
  for (const wrong of [
    { fill: 0.09 },
    { fill: 1.01 },
    { taken: -1 },
    { taken: 201 },
    { limit: -1 },
    { at: { x: -3001, y: 0, z: 0 } },
    { at: { x: 0, y: 0, z: 4001 } },
    { opening: 121 },
    { opening: -1 },
    { slots: [] },
    { slots: [{ count: 0, width: 20, length: 200 }] },
    { slots: [{ count: 61, width: 20, length: 200 }] },
    { slots: [{ count: 1.5, width: 20, length: 200 }] },
    { more: 1 },
  ])
    expect([wrong, placeSchema.safeParse({ ...place(1), ...wrong }).success]).toEqual([wrong, false]);
  const slots = (n: number) => Array.from({ length: n }, () => ({ count: 60, width: 20, length: 200 }));
  expect([1, 12, 13].map((n) => placeSchema.safeParse({ ...place(1), slots: slots(n) }).success)).toEqual([
    true,
    true,
    false,
  ]);
  const pin = (given: string) =>
    pinSchema.safeParse({ id: place(1).id, bikeId: place(2).id, placeId: place(3).id, item: given });
  expect(['', 'x', 'x'.repeat(120), 'x'.repeat(121)].map((i) => pin(i).success)).toEqual([false, true, true, false]);
  expect(pin('piece 1').data).toEqual({ id: place(1).id, bikeId: place(2).id, placeId: place(3).id, item: 'piece 1' });
});
