import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { apart, beside } from './labels';

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

describe('names beside a bike seen from behind', () => {
  const size = { width: 680, height: 300 };
  const mark = (x: number, y: number) => ({
    x,
    y,
    width: 120,
    mark: { left: x - 20, right: x + 20, top: y - 8, bottom: y + 8 },
  });
  test('a name stands on the side of its mark, those in the middle where there are fewer, in the order of their heights', () => {
    const put = beside([mark(300, 200), mark(340, 100), mark(380, 202), mark(341, 104)], size, 340, 90);
    expect(put.map((l) => l.anchor)).toEqual(['end', 'start', 'start', 'end']);
    expect(put[0]).toEqual({ x: 234, y: 205, anchor: 'end', from: { x: 280, y: 200 }, fits: true });
    expect(put[1]).toEqual({ x: 446, y: 105, anchor: 'start', from: { x: 360, y: 100 }, fits: true });
  });
  test('a column that is too narrow for a name says so', () => {
    const [left, right] = beside([mark(60, 100), mark(140, 100)], { width: 240, height: 200 }, 100, 50);
    expect([left!.fits, right!.fits]).toEqual([false, false]);
    expect(beside([{ ...mark(60, 100), width: 30 }], { width: 240, height: 200 }, 100, 50)[0]!.fits).toBe(true);
  });
  test('however the marks lie, no two names share a line, none lies over a mark or out of the picture, and lines of a side do not cross', () => {
    const any = fc.record({ x: fc.integer({ min: 270, max: 410 }), y: fc.integer({ min: 10, max: 290 }) });
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 12 }), (marks) => {
        const put = beside(
          marks.map(({ x, y }) => mark(x, y)),
          size,
          340,
          90,
        );
        const wrong = put.flatMap((a, i) => [
          ...(a.anchor === 'end' ? (a.x <= 250 ? [] : ['over']) : a.x >= 430 ? [] : ['over']),
          ...(a.y <= size.height - 14 ? [] : ['below']),
          ...put.flatMap((b, k) =>
            k === i || b.anchor !== a.anchor
              ? []
              : Math.abs(a.y - b.y) < 17.9 || (a.from.y < b.from.y && a.y > b.y)
                ? [`${i} ${k}`]
                : [],
          ),
        ]);
        expect(wrong).toEqual([]);
      }),
    );
  });
});
