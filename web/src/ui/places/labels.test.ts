import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { apart } from './labels';

describe('labels of places', () => {
  test('one alone stays over its mark; of two on one spot the second goes up by a line', () => {
    expect(apart([{ x: 200, y: 100, width: 80 }], 600)).toEqual([{ x: 200, y: 100, shifted: false }]);
    const two = apart(
      [
        { x: 200, y: 100, width: 80 },
        { x: 210, y: 98, width: 80 },
      ],
      600,
    );
    expect(two[0]).toEqual({ x: 200, y: 100, shifted: false });
    expect(two[1]).toMatchObject({ y: 84, shifted: true });
  });
  test('one that would lie over the mark of another goes under its own, and stays over it where there is another under it', () => {
    const tube = { left: 100, right: 200, top: 80, bottom: 100 };
    const low = { left: 110, right: 190, top: 104, bottom: 116 };
    const [over, under] = apart(
      [
        { x: 150, y: 75, width: 90, mark: tube },
        { x: 150, y: 99, width: 70, mark: low },
      ],
      600,
    );
    expect(over).toEqual({ x: 150, y: 75, shifted: false });
    expect(under).toEqual({ x: 150, y: 130, shifted: false });
    const third = { left: 100, right: 200, top: 118, bottom: 140 };
    const [, held] = apart(
      [
        { x: 150, y: 75, width: 90, mark: tube },
        { x: 150, y: 99, width: 70, mark: low },
        { x: 150, y: 113, width: 10, mark: third },
      ],
      600,
    );
    expect(held!.y).toBe(99);
    // The corner of another that only the end of a long name would touch moves nothing.
    const [roll] = apart(
      [
        { x: 531, y: 204, width: 158, mark: { left: 517, right: 545, top: 209, bottom: 226 } },
        { x: 627, y: 147, width: 53, mark: { left: 582, right: 673, top: 152, bottom: 196 } },
      ],
      800,
    );
    expect(roll).toEqual({ x: 531, y: 204, shifted: false });
  });
  test('none lies on another while there is room above, and none leaves the picture sideways', () => {
    const label = fc.record({
      x: fc.integer({ min: 0, max: 600 }),
      y: fc.integer({ min: 280, max: 420 }),
      width: fc.integer({ min: 20, max: 140 }),
    });
    fc.assert(
      fc.property(fc.array(label, { maxLength: 12 }), (labels) => {
        const put = apart(labels, 600);
        put.forEach((a, i) => {
          expect(a.x - labels[i]!.width / 2).toBeGreaterThanOrEqual(0);
          expect(a.x + labels[i]!.width / 2).toBeLessThanOrEqual(600);
          put.slice(i + 1).forEach((b, j) => {
            const wide = (labels[i]!.width + labels[i + 1 + j]!.width) / 2;
            expect(Math.abs(a.x - b.x) >= wide || Math.abs(a.y - b.y) >= 15.9).toBe(true);
          });
        });
      }),
    );
  });
});
