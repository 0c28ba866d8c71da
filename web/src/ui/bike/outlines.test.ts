import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { BRAKES, DRIVES, ENGINES, FITTINGS, newBike, STARTERS, type Bike } from '@necessaire/core';
import { bikeOutlines } from './outlines';

const SCALE = { s: 0.3, ox: 120, ground: 400 };
const bike = newBike('x', 'Bike');
const draw = (b: Partial<Bike> = {}) => bikeOutlines({ ...bike, ...b }, SCALE);
const inks = (b: Partial<Bike>) => draw(b).strokes.map((s) => s.ink);
const text = (b: Partial<Bike>) => JSON.stringify(draw(b).strokes);

const anyBike = fc.record({
  wheelbase: fc.integer({ min: 1200, max: 1700 }),
  seatHeight: fc.integer({ min: 650, max: 1000 }),
  tank: fc.integer({ min: 3, max: 40 }),
  mass: fc.integer({ min: 80_000, max: 300_000 }),
  tyreFront: fc.constantFrom('90/90-21', '110/80-19', '120/70-17', '80/100-21'),
  tyreRear: fc.constantFrom('130/80-18', '150/70-17', '110/100-18'),
  drive: fc.constantFrom(...DRIVES),
  engine: fc.constantFrom(...ENGINES),
  cooling: fc.constantFrom('air' as const, 'liquid' as const),
  wheels: fc.constantFrom('spoked' as const, 'cast' as const),
  brakeFront: fc.constantFrom(...BRAKES),
  brakeRear: fc.constantFrom('disc' as const, 'drum' as const),
  starter: fc.constantFrom(...STARTERS),
  seat: fc.constantFrom('flat' as const, 'stepped' as const),
  fitted: fc.subarray([...FITTINGS]),
});

describe('the drawn bike', () => {
  test('every stroke of every bike is finite and lies within the drawing', () => {
    fc.assert(
      fc.property(anyBike, (b) => {
        const { geometry: g, strokes } = draw(b);
        expect(strokes.length).toBeGreaterThan(40);
        const [left, right] = [SCALE.ox + (g.left - 60) * SCALE.s, SCALE.ox + (g.right + 120) * SCALE.s];
        const [low, high] = [SCALE.ground + 4, SCALE.ground - (g.top + 90) * SCALE.s];
        const inside = (x: number, y: number) => x > left && x < right && y < low && y > high;
        const broken = strokes.filter(
          ({ d, width }) =>
            !/^M-?\d/.test(d) ||
            /NaN|Infinity|undefined/.test(d) ||
            !(width === undefined || width > 0) ||
            // Absolute points only; arcs are relative and begin at one.
            [...d.replace(/a[^MZ]*/g, '').matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].some(
              ([, x, y]) => !inside(Number(x), Number(y)),
            ),
        );
        expect(broken).toEqual([]);
      }),
      { numRuns: 12 },
    );
  });
  test('what is fitted is drawn, one thing at a time', () => {
    const plain = draw().strokes.length;
    for (const fitting of FITTINGS) {
      // Heated grips, a socket and a guard before the radiator do not show from this side.
      if (['heated grips', 'power socket', 'radiator guard'].includes(fitting)) continue;
      expect(text({ fitted: [fitting] })).not.toBe(text({}));
      if (fitting !== 'screen') expect(draw({ fitted: [fitting] }).strokes.length).toBeGreaterThan(plain);
    }
  });
  test('the bike’s own numbers and traits show', () => {
    expect(inks({ drive: 'chain' })).toContain('chain');
    expect(inks({ drive: 'belt' })).toContain('belt');
    expect(inks({ drive: 'shaft' })).not.toContain('chain');
    for (const other of [
      { engine: 'v-twin' },
      { engine: 'flat twin' },
      { engine: 'parallel twin' },
      { cooling: 'air' },
      { wheels: 'cast' },
      { brakeFront: 'drum' },
      { brakeRear: 'drum' },
      { starter: 'kick' },
      { seat: 'stepped' },
      { tank: 22 },
      { seatHeight: 780 },
      { wheelbase: 1600 },
      { tyreFront: '110/80-19' },
    ] as Partial<Bike>[])
      expect(text(other)).not.toBe(text({}));
  });
});
