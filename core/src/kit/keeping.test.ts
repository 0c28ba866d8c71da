import { expect, test } from '@jest/globals';
import { compareKits, keptOf, listOf, withFigures } from './keeping.js';
import { writeKit } from './packingCsv.js';
import { owned } from '../testing/make.js';
import { functional } from '../toolbox/tools/index.js';
import type { Kit } from './kit.js';
import type { CurvePoint } from './points.js';

const lamp = owned(functional('Lamp', ['light'], 50, [10, 10, 10], 30));
const line = (pieceId: string, name: string, count: number, mass: number) => ({ pieceId, name, count, mass });
const spare = (kind: string, name: string, quantity: number, mass: number) => ({ kind, name, quantity, mass });
const given = { id: 'k', name: 'Kept', bikeId: 'b', tripId: 't', made: '2026-12-01T08:00:00.000Z' };

test('a kit written down: its pieces, what of its spares is packed, and its figures of now', () => {
  const kit = {
    pieces: [{ piece: lamp, count: 2 }],
    spares: [
      { kind: 'fuse', name: 'fuse', quantity: 3, fitted: 1, mass: 4 },
      { kind: 'clutch lever', name: 'clutch lever', quantity: 1, fitted: 1, mass: 0 },
    ],
    mass: 104,
    bulk: 7,
    price: 33,
    reached: ['a', 'b'],
    saved: 5,
    atStake: 2,
    home: 0.9,
  } as unknown as Kit;
  expect(keptOf(kit, { ...given, chosen: 9 })).toEqual({
    ...given,
    frozen: false,
    pieces: [line(lamp.id, 'Lamp', 2, 50)],
    supplies: [spare('fuse', 'fuse', 2, 4)],
    figures: { mass: 104, bulk: 7, price: 33, reached: 2, chosen: 9, saved: 5, atStake: 2, home: 0.9 },
    note: '',
  });
});
test('a list of one’s own, and its figures once they are worked out', () => {
  const list = listOf({ pieces: [{ piece: lamp, count: 3 }], supplies: [{ kind: 'fuse', quantity: 4 }] }, given);
  expect(list.pieces).toEqual([line(lamp.id, 'Lamp', 3, 50)]);
  expect(list.supplies).toEqual([{ kind: 'fuse', name: expect.any(String), quantity: 4, mass: expect.any(Number) }]);
  const one = listOf({ pieces: [], supplies: [{ kind: 'fuse', quantity: 1 }] }, given).supplies[0]!;
  expect(list.supplies[0]!.mass).toBeCloseTo(4 * one.mass, 12);
  expect(list.figures.mass).toBe(0);
  const point = { mass: 42, bulk: 3, price: 8, reached: 5, hours: 7, home: 0.8 } as CurvePoint;
  expect(withFigures(list, point, 20, 6).figures).toEqual({
    mass: 42,
    bulk: 3,
    price: 8,
    reached: 5,
    chosen: 6,
    saved: 7,
    atStake: 13,
    home: 0.8,
  });
  expect(withFigures(list, point, 7 - 1e-9, 6).figures.atStake).toBe(0);
});
test('side by side: the heaviest difference first, then by name; then what both have', () => {
  const a = {
    pieces: [line('1', 'Spanner', 1, 90), line('2', 'Lamp', 2, 50), line('3', 'Key', 1, 10), line('5', 'Bit', 1, 10)],
    supplies: [spare('patch', 'Patches', 4, 8)],
  };
  const b = {
    pieces: [line('2', 'Lamp', 4, 50), line('1', 'Spanner', 1, 90), line('4', 'Saw', 1, 200)],
    supplies: [spare('patch', 'Patches', 1, 2), spare('fuse', 'Fuses', 2, 3)],
  };
  const row = (name: string, inFirst: number, inSecond: number, mass: number) => ({ name, inFirst, inSecond, mass });
  expect(compareKits(a, b)).toEqual({
    different: [
      row('Saw', 0, 1, 200),
      row('Lamp', 2, 4, 50),
      row('Bit', 1, 0, 10),
      row('Key', 1, 0, 10),
      row('Patches', 4, 1, 2),
      row('Fuses', 0, 2, 1.5),
    ],
    same: [row('Spanner', 1, 1, 90)],
  });
  expect(compareKits(a, a).same.map((d) => d.name)).toEqual(['Bit', 'Key', 'Lamp', 'Patches', 'Spanner']);
  // A tool and a spare are two things, whatever they are called.
  const tool = { pieces: [line('fuse', 'Fuse', 1, 5)], supplies: [] };
  expect(compareKits(tool, { pieces: [], supplies: [spare('fuse', 'Fuse', 1, 5)] }).different).toHaveLength(2);
});
test('as a table: one line a thing, to be ticked', () => {
  const text = writeKit({
    pieces: [line('1', 'Spanner', 2, 90)],
    supplies: [spare('patch', 'Patches', 3, 10)],
  });
  expect(text.replace('\ufeff', '').trim().split('\r\n')).toEqual([
    'what,kind,number,grams of one,grams,packed',
    'Spanner,tool,2,90,180,',
    'Patches,spare,3,3.3,10,',
  ]);
});
