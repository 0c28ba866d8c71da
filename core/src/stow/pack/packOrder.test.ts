import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { drawsFrom, shuffled } from '../../prove/draws.js';
import { runs } from '../../testing/thorough.js';
import { fitsTurned, packBox, packTube, sidesOf, type Pose, type Rigid } from './index.js';
import { slanted } from './turn.js';

const piece = (key: string, length: number, width: number, height: number): Rigid => ({
  key,
  size: { length, width, height },
  upright: false,
});
const byKey = (poses: Pose[] | null) => poses && [...poses].sort((a, b) => (a.key < b.key ? -1 : 1));
/** Some pieces from a seed, several of a size among them. */
function some(seed: number, most: number, side: number): Rigid[] {
  const draw = drawsFrom(seed);
  const between = (from: number, to: number) => Math.round(from + draw() * (to - from));
  return Array.from({ length: between(3, most) }, (_, i) => {
    const twin = draw() < 0.3;
    const size = twin ? ([60, 30, 20] as const) : ([between(10, side), between(8, 60), between(4, 40)] as const);
    return piece(`p${String(i).padStart(2, '0')}`, ...size);
  });
}

describe('how pieces are laid', () => {
  test('hangs on the pieces, not on the order in which they are named', () => {
    fc.assert(
      fc.property(fc.nat(), fc.nat(), (seed, order) => {
        const list = some(seed, 7, 120);
        const other = shuffled(list, order);
        const box = { length: 150, width: 90, height: 60 };
        expect(byKey(packBox(box, other, 3))).toEqual(byKey(packBox(box, list, 3)));
        const tube = { length: 260, width: 90, height: 90 };
        expect(byKey(packTube(tube, other))).toEqual(byKey(packTube(tube, list)));
      }),
      runs(400, 80),
    );
  });
  test('as many loads go into boxes and tubes as did, of three hundred each', () => {
    let [boxes, tubes] = [0, 0];
    for (let seed = 0; seed < 300; seed++) {
      const draw = drawsFrom(seed + 10_000);
      const list = some(seed, 10, 140);
      const room = list.reduce((s, p) => s + p.size.length * p.size.width * p.size.height, 0) / (0.45 + 0.4 * draw());
      const [width, height] = [70 + 40 * draw(), 45 + 20 * draw()];
      if (packBox({ length: room / (width * height), width, height }, list, 3)) boxes++;
      const bore = 70 + 40 * draw();
      const length = (room / (Math.PI * (bore / 2) ** 2)) * 1.9;
      if (packTube({ length, width: bore, height: bore }, list)) tubes++;
    }
    // How good the packing is: a better one packs more, a worse one fewer.
    expect(boxes).toBeGreaterThanOrEqual(103);
    expect(tubes).toBeGreaterThanOrEqual(220);
  });
  test('each lies against a wall or another one, along, across and in height', () => {
    const box = { length: 150, width: 90, height: 60 };
    const walls = sidesOf(box);
    let packed = 0;
    for (let seed = 0; seed < 60; seed++) {
      const laid = packBox(box, some(seed, 7, 120), 3);
      if (!laid) continue;
      packed++;
      const spans = laid.map((p) =>
        p.turn.map((row, axis) => {
          const half = row.reduce((s, x, i) => s + Math.abs(x) * sidesOf(p.size)[i]!, 0) / 2;
          return [p.middle[axis]! - half, p.middle[axis]! + half] as const;
        }),
      );
      const near = (a: number, b: number) => Math.abs(a - b) < 1e-3;
      const free = spans.flatMap((span, k) =>
        span.filter(
          ([from, to], axis) =>
            !near(from, 0) &&
            !near(to, walls[axis]!) &&
            !spans.some((o, n) => n !== k && (near(o[axis]![1], from) || near(o[axis]![0], to))),
        ),
      );
      expect([seed, free]).toEqual([seed, []]);
    }
    expect(packed).toBeGreaterThan(20);
  });
});

describe('slanted', () => {
  const rod = { length: 150, width: 10, height: 10 };
  test.each([
    ['flat', { length: 120, width: 120, height: 12 }],
    ['lengthwise, standing', { length: 120, width: 12, height: 120 }],
    ['crosswise, standing', { length: 12, width: 120, height: 120 }],
  ])('in each plane of a box: %s', (_, box) => {
    expect(fitsTurned(rod, box)).not.toBeNull();
    expect(slanted(sidesOf(rod), sidesOf(box)).length).toBeGreaterThan(0);
    expect(packBox(box, [{ key: 'rod', size: rod, upright: false }])).toHaveLength(1);
    expect(packBox(box, [{ key: 'rod', size: rod, upright: true }])).toBeNull();
  });
});
