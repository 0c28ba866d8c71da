import type { Pose } from './box.js';
import { at } from '../../ground/numbers.js';
import { AXES, sidesOf, triple, type Axis, type Triple } from './turn.js';

/** A point of the picture, mm. */
export type ShadowPoint = [number, number];

/** The eight corners of a laid piece, mm. */
export function cornersOf(pose: Pose): Triple[] {
  const sides = sidesOf(pose.size);
  return [0, 1, 2, 3, 4, 5, 6, 7].map((bits) => {
    const local = triple((i) => (bits & (1 << i) ? sides[i] / 2 : -sides[i] / 2));
    return triple((axis) => pose.middle[axis] + AXES.reduce<number>((s, i) => s + pose.turn[axis][i] * local[i], 0));
  });
}

/**
 * Outline of a laid piece seen along one axis: the hull of its corners, counter-clockwise in the plane of the other two.
 * @param across axes of the picture, such as [0, 1] for a look from above
 */
export function shadow(pose: Pose, across: readonly [Axis, Axis]): ShadowPoint[] {
  const points = cornersOf(pose)
    .map((c): ShadowPoint => [c[across[0]], c[across[1]]])
    .sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const turn = (o: ShadowPoint, a: ShadowPoint, b: ShadowPoint) =>
    (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
  const half = (list: readonly ShadowPoint[]) => {
    const out: ShadowPoint[] = [];
    for (const p of list) {
      while (out.length >= 2 && turn(at(out, out.length - 2), at(out, out.length - 1), p) <= 1e-9) out.pop();
      out.push(p);
    }
    return out.slice(0, -1);
  };
  return [...half(points), ...half([...points].reverse())];
}
