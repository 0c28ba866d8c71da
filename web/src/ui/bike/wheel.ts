import { q, type Point, type Wheel } from './geometry';
import type { Pen } from './pen';

const around = (c: Point, r: number, a: number): Point => q(c.x + r * Math.cos(a), c.z + r * Math.sin(a));

/** Tread: blocks that stand out from the carcass, or a closed rib with slanted grooves. */
function tyre(pen: Pen, { at, radius, rim }: Wheel, knobs: boolean): void {
  const n = Math.round((2 * Math.PI * radius) / 62);
  if (knobs) {
    const ring: Point[] = [];
    for (let i = 0; i < n; i++)
      for (const [share, r] of [
        [0.04, radius - 15],
        [0.12, radius],
        [0.56, radius],
        [0.64, radius - 15],
      ] as const)
        ring.push(around(at, r, ((i + share) / n) * 2 * Math.PI));
    pen.put('tone', pen.poly(...ring));
    pen.put('hair', pen.circle(at, radius - 34));
  } else {
    pen.put('tone', pen.circle(at, radius));
    const grooves = Array.from({ length: n }, (_, i) => {
      const a = (i / n) * 2 * Math.PI;
      return pen.line(around(at, radius - 3, a), around(at, radius - 26, a + 0.05));
    });
    pen.put('soft', grooves.join(''));
  }
  pen.put('plate', pen.circle(at, rim + 12));
  pen.put('line', pen.circle(at, rim - 12));
}

function spokes(pen: Pen, { at, rim }: Wheel): void {
  const lines = Array.from({ length: 36 }, (_, i) => {
    const a = (i / 36) * 2 * Math.PI;
    // Wire spokes cross: each leaves the hub ahead of or behind its place at the rim.
    return pen.line(around(at, 42, a + (i % 2 ? 0.62 : -0.62)), around(at, rim - 12, a));
  });
  pen.put('hair', lines.join(''));
}
function castSpokes(pen: Pen, { at, rim }: Wheel): void {
  const arms = Array.from({ length: 10 }, (_, i) => {
    const a = (i / 10) * 2 * Math.PI + (i % 2 ? 0.13 : -0.13);
    return pen.line(around(at, 46, a), around(at, rim - 14, a + (i % 2 ? -0.1 : 0.1)));
  });
  pen.put('soft', arms.join(''));
}

/** A wheel with tyre, rim, spokes, and brake. */
export function wheel(pen: Pen, of: Wheel, how: { knobs: boolean; wire: boolean; disc: number; drum: boolean }): void {
  const { at } = of;
  tyre(pen, of, how.knobs);
  if (how.wire) spokes(pen, of);
  else castSpokes(pen, of);
  if (how.drum) {
    pen.put('plate', pen.circle(at, 88));
    pen.put('hair', pen.circle(at, 70));
  } else {
    pen.put('plate', `${pen.circle(at, how.disc)}${pen.circle(at, how.disc - 34)}`);
    const holes = Array.from({ length: 20 }, (_, i) =>
      pen.circle(around(at, how.disc - 17, (i / 20) * 2 * Math.PI + (i % 2) * 0.07), 4.5),
    );
    pen.put('hair', holes.join(''));
    const carriers = Array.from({ length: 6 }, (_, i) => {
      const a = (i / 6) * 2 * Math.PI + 0.3;
      return pen.line(around(at, 44, a), around(at, how.disc - 34, a + 0.12));
    });
    pen.put('line', carriers.join(''));
  }
  pen.put('plate', pen.circle(at, 46));
  pen.put('plate', pen.circle(at, 19));
}
