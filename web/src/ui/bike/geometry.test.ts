import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newBike, STATIONS, type Bike } from '@necessaire/core';
import { demoGarage } from '@necessaire/demo';
import { bikeGeometry, type Point } from './geometry';
import { Pen } from './pen';
import { wheel } from './wheel';

const plain = newBike('00000000-0000-4000-8000-000000000001', 'Plain');
/** Bikes as riders measure them: from a small trail bike to a long tourer. */
const bikes = fc.record({
  wheelbase: fc.integer({ min: 1200, max: 1700 }),
  seatHeight: fc.integer({ min: 740, max: 970 }),
  mass: fc.integer({ min: 95_000, max: 280_000 }),
  tyreFront: fc.constantFrom('80/100-21', '90/90-21', '110/80-19', '3.00-21'),
  tyreRear: fc.constantFrom('110/100-18', '140/80-17', '150/70-17', '4.60-17'),
  engine: fc.constantFrom<Bike['engine']>('single', 'parallel twin', 'flat twin'),
});
const all = (g: ReturnType<typeof bikeGeometry>): Point[] => [
  ...[g.front.at, g.rear.at, ...g.head, g.bars, g.pivot, g.crank.at, g.cylinderTop, g.seat.nose, g.seat.tail, g.tail],
  ...[...g.silencer, ...g.shock, g.peg, g.lamp],
  ...Object.values(g.stations),
];

describe('the side view follows the bike’s own numbers', () => {
  test('both wheels stand on the ground, as far apart as they are', () => {
    fc.assert(
      fc.property(bikes, (fields) => {
        const g = bikeGeometry({ ...plain, ...fields });
        expect([g.front.at.z, g.rear.at.z]).toEqual([g.front.radius, g.rear.radius]);
        expect(g.rear.at.x - g.front.at.x).toBe(fields.wheelbase);
        for (const w of [g.front, g.rear]) expect(w.rim).toBeLessThan(w.radius);
      }),
      { seed: 5 },
    );
  });
  test('nothing lies below the ground or outside the picture, and every station has its place', () => {
    fc.assert(
      fc.property(bikes, (fields) => {
        const g = bikeGeometry({ ...plain, ...fields });
        for (const p of all(g)) {
          expect(p.z).toBeGreaterThan(0);
          expect(p.z).toBeLessThan(g.top);
          expect(p.x).toBeGreaterThan(g.left);
          expect(p.x).toBeLessThan(g.right);
        }
        expect(Object.keys(g.stations).sort()).toEqual([...STATIONS].sort());
      }),
      { seed: 5 },
    );
  });
  test('a higher seat lifts seat and bars by as much, and moves no wheel', () => {
    const low = bikeGeometry({ ...plain, seatHeight: 800 });
    const high = bikeGeometry({ ...plain, seatHeight: 850 });
    expect([high.seat.nose.z - low.seat.nose.z, high.bars.z - low.bars.z]).toEqual([50, 50]);
    expect([high.front, high.rear]).toEqual([low.front, low.rear]);
  });
  test('a flat engine has its cylinder at the crank’s height, an upright one above it', () => {
    const flat = bikeGeometry({ ...plain, engine: 'flat twin' });
    const single = bikeGeometry({ ...plain, engine: 'single' });
    expect(Math.abs(flat.cylinderTop.z - flat.crank.at.z)).toBeLessThan(50);
    expect(single.cylinderTop.z - single.crank.at.z).toBeGreaterThan(200);
  });
  test('a wheel has spokes of wire or arms that are cast, a drum or a disc with holes', () => {
    const [bike] = demoGarage().bikes;
    const of = bikeGeometry(bike!).front;
    const marks = (how: Parameters<typeof wheel>[2]) => {
      const pen = new Pen({ s: 0.2, ox: 0, ground: 400 });
      wheel(pen, of, how);
      return JSON.stringify(pen);
    };
    const base = { knobs: true, wire: true, disc: 130, drum: false };
    const four = [base, { ...base, wire: false }, { ...base, knobs: false }, { ...base, drum: true }].map(marks);
    expect(new Set(four).size).toBe(4);
    expect(four.some((m) => m.includes('NaN'))).toBe(false);
  });
});
