import { describe, expect, test } from '@jest/globals';
import { item, place, unit } from '../testing/stow.js';
import type { StowItem } from './item.js';
import { longestPiece, slotCount, usableVolume } from './place.js';
import { goesIn, heldWith, nothingHeld, roomOf, sharedRules, slotsFor, standingRules, type Held } from './rules.js';

const sized = (length: number, width: number, height: number, given: Partial<StowItem> = {}) =>
  unit(item(1, { size: { length, width, height }, volume: (length * width * height) / 1000, ...given }));
const roll = place(1, {
  kind: 'roll',
  slots: [
    { count: 2, length: 300, width: 60 },
    { count: 1, length: 150, width: 30 },
    { count: 3, length: 200, width: 60 },
  ],
});

describe('why a piece does not go in, with the figures that say so', () => {
  test('no slot: its two longer sides, and the longest and the widest slot', () => {
    expect(standingRules(roll, sized(20, 310, 70))).toEqual([
      { rule: 'slot', message: { code: 'stow.no-slot', long: 310, middle: 70, longest: 300, widest: 60 } },
    ]);
    expect(standingRules(place(1, { kind: 'roll', slots: null }), sized(100, 20, 10))).toEqual([
      { rule: 'slot', message: { code: 'stow.no-slot', long: 100, middle: 20, longest: 200, widest: 0 } },
    ]);
    expect(standingRules(roll, sized(300, 60, 60))).toEqual([]);
  });
  test('slots of a piece: those that take it, the narrowest first, then the shortest', () => {
    expect(slotsFor(roll, sized(140, 30, 10))).toEqual([1, 2, 0]);
    expect(slotsFor(roll, sized(200, 31, 10))).toEqual([2, 0]);
    expect(slotsFor(roll, sized(201, 31, 10))).toEqual([0]);
    expect(slotsFor(place(1), sized(10, 5, 5))).toEqual([]);
  });
  test('too long to tie on, too small to, or just right; a rolled tube is tied whatever its length', () => {
    const rack = place(1, { kind: 'tie-on', inside: { length: 400, width: 200, height: 200 } });
    expect(longestPiece(rack)).toBe(400);
    expect(standingRules(rack, sized(400, 50, 50))).toEqual([]);
    expect(standingRules(rack, sized(401, 50, 50))).toEqual([
      { rule: 'size', message: { code: 'stow.too-long', long: 401, longest: 400 } },
    ]);
    expect(standingRules(rack, sized(120, 50, 50))).toEqual([]);
    const small = [{ rule: 'tie', message: { code: 'stow.too-small-to-tie' } }];
    expect(standingRules(rack, sized(119, 50, 50))).toEqual(small);
    expect(standingRules(rack, sized(100, 50, 50, { kind: 'front tube' }))).toEqual([]);
    expect(standingRules(rack, sized(100, 50, 50, { kind: 'tube patch' }))).toEqual(small);
  });
  test('a bore takes what its corners leave', () => {
    const tube = place(1, { kind: 'tube', inside: { length: 300, width: 40, height: 30 } });
    expect(standingRules(tube, sized(200, 24, 18))).toEqual([]);
    expect(standingRules(tube, sized(200, 25, 18))).toEqual([
      { rule: 'size', message: { code: 'stow.bore', middle: 25, thin: 18, bore: 30 } },
    ]);
  });
  test('no angle: the sides from the longest to the shortest, and the room', () => {
    const thick = sized(90, 190, 110);
    expect(standingRules(place(1), thick)).toEqual([
      { rule: 'size', message: { code: 'stow.no-angle', sides: [190, 110, 90], inside: [200, 100, 100] } },
    ]);
    expect([goesIn(place(1), thick), goesIn(place(1), sized(190, 90, 90))]).toEqual([false, true]);
  });
});

describe('what a place holds already', () => {
  const held = (given: Partial<Held>): Held => ({ ...nothingHeld(roll), ...given });
  const said = (p: typeof roll, u: ReturnType<typeof sized>, h: Held, rough = false) => sharedRules(p, u, h, rough);
  test('slots: taken is said where all that fit are, not while one is free, nor where none fits', () => {
    const small = sized(140, 30, 10);
    expect(said(roll, small, held({ slots: [2, 1, 3] }))).toEqual([
      { rule: 'slot', message: { code: 'stow.slots-taken', count: slotCount(roll) } },
    ]);
    expect(said(roll, small, held({ slots: [1, 1, 3] }))).toEqual([]);
    expect(said(roll, sized(250, 50, 10), held({ slots: [2, 0, 0] }))).toHaveLength(1);
    expect(said(roll, sized(310, 50, 10), held({ slots: [2, 1, 3] }))).toEqual([]);
  });
  test('room: full to the millilitre is room, a millilitre more is none', () => {
    const box = place(2);
    const one = sized(100, 40, 20);
    const free = usableVolume(box) - roomOf(box, one);
    expect(said(box, one, { ...nothingHeld(box), room: free })).toEqual([]);
    expect(said(box, one, { ...nothingHeld(box), room: free + 1 })).toEqual([
      {
        rule: 'room',
        message: { code: 'stow.no-room', more: roomOf(box, one), usable: usableVolume(box), taken: free + 1 },
      },
    ]);
  });
  test('sharp beside what is pierced, either way, and neither alone; in a roll each has its slot', () => {
    const box = place(2);
    const [sharp, tube, plain] = [['sharp'], ['pierced easily'], []].map((traits) =>
      sized(100, 20, 10, { traits: traits as StowItem['traits'] }),
    ) as [ReturnType<typeof sized>, ReturnType<typeof sized>, ReturnType<typeof sized>];
    const rules = (u: ReturnType<typeof sized>, h: Partial<Held>, p = box) => said(p, u, { ...nothingHeld(p), ...h });
    expect(rules(sharp, { pierced: 1 })).toEqual([{ rule: 'sharp', message: { code: 'stow.sharp-beside' } }]);
    expect(rules(tube, { sharp: 1 })).toEqual([{ rule: 'sharp', message: { code: 'stow.pierced-beside' } }]);
    expect([rules(sharp, { sharp: 1 }), rules(tube, { pierced: 1 }), rules(plain, { sharp: 1, pierced: 1 })]).toEqual([
      [],
      [],
      [],
    ]);
    expect(rules(sharp, { pierced: 1 }, roll)).toEqual([]);
  });
  test('weight: what it bears is borne, a gram more is said with the sum; rough ground may lower it', () => {
    const box = place(2, { limit: 1000, roughLimit: 600 });
    const one = sized(100, 40, 20, { mass: 200 });
    expect(said(box, one, { ...nothingHeld(box), mass: 800 })).toEqual([]);
    expect(said(box, one, { ...nothingHeld(box), mass: 801 })).toEqual([
      { rule: 'weight', message: { code: 'stow.over-weight', mass: 1001, bears: 1000 } },
    ]);
    expect(said(box, one, { ...nothingHeld(box), mass: 500 }, true)).toEqual([
      { rule: 'weight', message: { code: 'stow.over-weight', mass: 700, bears: 600 } },
    ]);
  });
});

describe('with one more', () => {
  test('a box fills by room, grams, number and traits', () => {
    const box = place(2);
    const one = sized(100, 40, 20, { mass: 150, traits: ['sharp', 'pierced easily'] });
    const had = { ...nothingHeld(box), mass: 50, room: 10, units: 2, sharp: 1, pierced: 3 };
    expect(heldWith(box, had, one)).toEqual({
      mass: 200,
      room: 10 + roomOf(box, one),
      units: 3,
      sharp: 2,
      pierced: 4,
      slots: [],
    });
  });
  test('a roll takes the slot that is named, else the first of its size that is free, else the first of its size', () => {
    const one = sized(140, 30, 10);
    const slots = (taken: number[], slot?: number) =>
      heldWith(roll, { ...nothingHeld(roll), slots: taken }, one, slot).slots;
    expect([slots([0, 0, 0]), slots([0, 1, 0]), slots([0, 1, 3]), slots([2, 1, 3])]).toEqual([
      [0, 1, 0],
      [0, 1, 1],
      [1, 1, 3],
      [2, 2, 3],
    ]);
    expect([slots([0, 0, 0], 0), slots([0, 0, 0], 2)]).toEqual([
      [1, 0, 0],
      [0, 0, 1],
    ]);
    const wide = heldWith(roll, nothingHeld(roll), sized(310, 70, 20));
    expect([wide.slots, wide.room, wide.units]).toEqual([[0, 0, 0], 0, 1]);
  });
});
