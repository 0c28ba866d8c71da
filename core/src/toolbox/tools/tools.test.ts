import { describe, expect, test } from '@jest/globals';
import { FORM_SIZES, millimetres } from '../../ground/sizes/index.js';
import { uuid } from '../../testing/make.js';
import {
  bit,
  bitSocket,
  catalogue,
  combinationSpanner,
  foldingSet,
  lKey,
  ratchet,
  socket,
  tyreLever,
} from '../kinds/index.js';
import { setModels, toolSets } from './sets.js';
import { asBought, asCheap, asOffered, offeredPieces } from './offer.js';
import { boxVolume, newPiece, pieceSchema } from './piece.js';
import { trusted, usablePieces } from './usable.js';
import {
  adjustableBears,
  DRIVE_LIMIT,
  openBears,
  ringBears,
  shapeBears,
  socketMass,
  socketWidth,
  spannerArm,
  spannerMass,
} from './proportions.js';

describe('proportions of generic pieces', () => {
  test('a larger size of a form bears no less than a smaller one, and a hexagon that is gone over as much as a ring', () => {
    for (const form of ['hex', 'key', 'lobe', 'lobe-pin', 'lobe-out', 'ph', 'jis', 'square'] as const) {
      const sizes = (FORM_SIZES[form] ?? []).toSorted((a, b) => millimetres(a) - millimetres(b));
      const bears = sizes.map((size) => shapeBears(form, size));
      expect([form, bears]).toEqual([form, bears.toSorted((a, b) => a - b)]);
      expect(sizes.length).toBeGreaterThan(3);
    }
    expect(['10', '17'].map((s) => shapeBears('hex', s))).toEqual(['10', '17'].map((s) => ringBears(Number(s))));
    expect(['0', '1', '4'].map((s) => shapeBears('ph', s))).toEqual([2, 4, 20]);
  });
  test.each([
    [10, 140, 42],
    [17, 224, 145],
    [24, 308, 309],
    [32, 404, 571],
  ])('combination spanner %p: arm %p mm, %p g', (s, arm, mass) => {
    expect(spannerArm(s)).toBe(arm);
    expect(spannerMass(s)).toBe(mass);
  });
  test.each([
    [10, 60],
    [17, 173],
    [24, 346],
  ])('a ring of %p bears %p N·m, an open end half, an adjustable a third', (s, bears) => {
    expect(ringBears(s)).toBe(bears);
    expect(Math.abs(openBears(s) - bears / 2)).toBeLessThanOrEqual(0.5);
    expect(Math.abs(adjustableBears(s) - bears / 3)).toBeLessThanOrEqual(0.5);
  });
  test.each([
    ['1/4in', 8, 13],
    ['1/4in', 10, 15],
    ['1/4in', 13, 23],
    ['3/8in', 12, 32],
    ['3/8in', 17, 55],
    ['1/2in', 24, 140],
    ['1/2in', 32, 230],
  ])('socket %s of %p weighs %p g', (drive, s, mass) => {
    expect(socketMass(drive, s, false)).toBe(mass);
    expect(socketMass(drive, s, true)).toBe(Math.round(mass * 1.7));
  });
  test('a socket grows with its size and is never thinner than its drive', () => {
    for (const drive of Object.keys(DRIVE_LIMIT))
      for (let s = 8; s < 24; s++) expect(socketWidth(drive, s + 1)).toBeGreaterThanOrEqual(socketWidth(drive, s));
    expect(socketWidth('1/2in', 10)).toBe(22);
  });
});

describe('limits', () => {
  test('a small drive limits what hangs on it, a shank what is in it', () => {
    expect(ratchet('1/4in').modes[0]!.bears).toBe(30);
    expect(socket('1/4in', '14').modes[0]!.bears).toBe(30);
    expect(socket('3/8in', '19').modes[0]!.bears).toBe(100);
    expect(bit({ form: 'key', size: '6' }).modes[0]!.bears).toBe(32);
    expect(bit({ form: 'lobe', size: '40' }).modes[0]!.bears).toBe(35);
    expect(bitSocket('3/8in', { form: 'lobe', size: '40' }).modes[0]!.bears).toBe(60);
  });
  test('an L-key turns by either leg: long arm and short reach, or the other way', () => {
    const [far, near] = lKey('6').modes;
    const arm = (m: typeof far) => (m!.offer.by === 'hand' ? m!.offer.arm : 0);
    expect(arm(far)).toBe(90);
    expect(far!.length).toBe(arm(near));
    expect(near!.length).toBe(arm(far));
  });
  test('a folding set has a mode a blade; a lever with a ring turns and levers', () => {
    expect(
      foldingSet([
        { form: 'key', size: '4' },
        { form: 'key', size: '5' },
      ]).modes,
    ).toHaveLength(2);
    const lever = tyreLever('27', true);
    expect(lever.functions).toContain('lever tyre');
    expect(lever.mass).toBe(190);
    expect(tyreLever(null, true)).toMatchObject({ mass: 95, modes: [] });
  });
});

describe('the catalogue', () => {
  const all = catalogue();
  test('holds valid pieces of distinct names', () => {
    all.forEach((model, i) => {
      const piece = newPiece(model, { id: uuid(i) });
      expect(pieceSchema.safeParse(piece).error?.issues ?? []).toEqual([]);
    });
    expect(new Set(all.map((m) => m.name)).size).toBe(all.length);
    expect(all.length).toBeGreaterThan(600);
  });
  test('every piece weighs something, takes room, and does something', () => {
    for (const m of all) {
      expect(m.mass).toBeGreaterThan(0);
      expect(boxVolume(m)).toBeGreaterThan(0);
      expect(m.modes.length + m.functions.length).toBeGreaterThan(0);
      // Nothing is denser than steel in its own box.
      expect(m.mass / boxVolume(m)).toBeLessThan(8);
    }
  });
  test('a bigger spanner is longer, heavier and stronger', () => {
    const sizes = ['8', '10', '13', '17', '24', '32'];
    const row = sizes.map((s) => combinationSpanner(s));
    row.slice(1).forEach((m, i) => {
      expect(m.mass).toBeGreaterThan(row[i]!.mass);
      expect(m.size.length).toBeGreaterThan(row[i]!.size.length);
      expect(m.modes[0]!.bears).toBeGreaterThan(row[i]!.modes[0]!.bears);
      expect(millimetres(m.modes[0]!.turns.size)).toBeGreaterThan(millimetres(row[i]!.modes[0]!.turns.size));
    });
  });
  test('sets hold pieces that there are, for less than one by one', () => {
    const sets = toolSets();
    expect(sets.length).toBeGreaterThanOrEqual(25);
    expect(new Set(sets.map((s) => s.name)).size).toBe(sets.length);
    for (const set of sets) {
      const models = setModels(set);
      expect(models.length).toBe(set.holds.length);
      if (set.supplied) {
        expect([set.price, ...models.map((m) => m.price)].every((p) => p === 0)).toBe(true);
        continue;
      }
      expect(set.price).toBeLessThan(models.reduce((s, m) => s + m.price, 0));
      expect(set.price).toBeGreaterThan(0);
    }
  });
});

describe('what a piece is trusted with', () => {
  const spanner = (fields: object) =>
    trusted(newPiece(combinationSpanner('17'), { id: uuid(1), ...fields })).modes[0]!.bears;
  test('a worn one four fifths of its torque, a cheap one three, both together just under half', () => {
    const [whole, worn, cheap, both] = [
      spanner({}),
      spanner({ condition: 'worn' }),
      spanner({ quality: 'cheap' }),
      spanner({ condition: 'worn', quality: 'cheap' }),
    ];
    expect([worn, cheap, both]).toEqual([0.8, 0.6, 0.48].map((share) => Math.round(whole * share * 10) / 10));
  });
  test('what is broken, or another bike’s, is none of a kit', () => {
    const pieces = [
      newPiece(combinationSpanner('17'), { id: uuid(1) }),
      newPiece(combinationSpanner('17'), { id: uuid(2), condition: 'broken' }),
      newPiece(combinationSpanner('17'), { id: uuid(3), onlyBike: uuid(9) }),
      newPiece(combinationSpanner('17'), { id: uuid(4), onlyBike: uuid(8), mark: 'never' }),
    ];
    expect(usablePieces(pieces, uuid(8)).map((p) => p.id)).toEqual([uuid(1), uuid(4)]);
  });
});

describe('what can be bought', () => {
  const models = catalogue();
  test.each([
    ['good', models.length, 0],
    ['cheap', 0, models.length],
    ['by-torque', models.length, models.length],
  ] as const)('%s: %s good pieces and %s cheap ones, two of each, under ids of their own', (quality, good, cheap) => {
    const offered = offeredPieces(quality);
    expect(offered.filter((p) => p.quality === 'good').map((p) => p.name)).toEqual(
      models.slice(0, good).map((m) => m.name),
    );
    expect(offered.filter((p) => p.quality === 'cheap').map((p) => p.name)).toEqual(
      models.slice(0, cheap).map((m) => `${m.name}, cheap`),
    );
    expect(new Set(offered.map((p) => p.id)).size).toBe(good + cheap);
    expect(offered.filter((p) => p.count !== 2)).toEqual([]);
    // Made once.
    expect(offeredPieces(quality)).toBe(offered);
  });
  test('a cheap one costs two fifths, weighs the same', () => {
    const model = models.find((m) => m.price > 9)!;
    expect(asCheap({ ...model, price: 12.34 }, 3)).toMatchObject({
      id: 'offered-cheap-3',
      price: 4.9,
      mass: model.mass,
      size: model.size,
      quality: 'cheap',
    });
    expect(asOffered(model, 3)).toMatchObject({ id: 'offered-3', price: model.price, quality: 'good' });
  });
});

test('the volume of a piece’s own box, mL', () => {
  expect(boxVolume({ size: { length: 100, width: 50, height: 20 } })).toBe(100);
});
test('what is bought comes as it is from the shop: offered it is judged, once owned it is judged like any other', () => {
  const offered = offeredPieces('cheap');
  expect(offered.length).toBeGreaterThan(50);
  for (const piece of offered) expect(trusted(asBought(piece))).toEqual(piece);
  const own = newPiece(combinationSpanner('17'), { id: uuid(1) });
  expect(asBought(own)).toBe(own);
});
