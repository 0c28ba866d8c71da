import fc from 'fast-check';
import { expect, test } from '@jest/globals';
import { newBike, STATIONS } from '@necessaire/core';
import { bikeGeometry } from './geometry';
import { spread } from './labels';

test('labels keep their order and never overlap, and stay inside when there is room', () => {
  const label = fc.record({ anchorX: fc.integer({ min: 0, max: 700 }), width: fc.integer({ min: 20, max: 110 }) });
  fc.assert(
    fc.property(fc.array(label, { minLength: 1, maxLength: 6 }), (list) => {
      const labels = list.map((l, i) => ({ ...l, key: String(i), text: '' }));
      const set = spread(labels, 0, 720, 8);
      const boxes = labels
        .map((l) => ({ from: set.get(l.key)! - l.width / 2, to: set.get(l.key)! + l.width / 2 }))
        .sort((a, b) => a.from - b.from);
      boxes.slice(1).forEach((b, i) => expect(b.from).toBeGreaterThanOrEqual(boxes[i]!.to + 8 - 1e-9));
      expect(boxes[0]!.from).toBeGreaterThanOrEqual(-1e-9);
      expect(boxes[boxes.length - 1]!.to).toBeLessThanOrEqual(720 + 1e-9);
    }),
  );
});

test('the drawing follows the bike’s numbers', () => {
  const bike = newBike('x', 'Bike');
  const g = bikeGeometry(bike);
  expect(g.rear.at.x - g.front.at.x).toBe(bike.wheelbase);
  expect(g.front.radius).toBeCloseTo(21 * 12.7 + 81, 9);
  expect(bikeGeometry({ ...bike, seatHeight: 800 }).top).toBeLessThan(g.top);
  for (const s of STATIONS) {
    expect(g.stations[s].x).toBeGreaterThan(g.left);
    expect(g.stations[s].x).toBeLessThan(g.right);
    expect(g.stations[s].z).toBeGreaterThan(0);
  }
});
