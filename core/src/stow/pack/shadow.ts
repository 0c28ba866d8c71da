import type { Pose } from './box.js';
import { sidesOf, type Triple } from './turn.js';

/** The eight corners of a laid piece, mm. */
export function cornersOf(pose: Pose): Triple[] {
  const half = sidesOf(pose.size).map((s) => s / 2);
  return [0, 1, 2, 3, 4, 5, 6, 7].map((bits) => {
    const local = half.map((h, i) => (bits & (1 << i) ? h : -h));
    return pose.turn.map(
      (row, axis) => pose.middle[axis]! + row.reduce((s, t, i) => s + t * local[i]!, 0),
    ) as unknown as Triple;
  });
}

/**
 * Outline of a laid piece seen along one axis: the hull of its corners, counter-clockwise in the plane of the other two.
 * @param across axes of the picture, such as [0, 1] for a look from above
 */
export function shadow(pose: Pose, across: readonly [number, number]): [number, number][] {
  const points = cornersOf(pose)
    .map((c): [number, number] => [c[across[0]]!, c[across[1]]!])
    .sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const turn = (o: number[], a: number[], b: number[]) =>
    (a[0]! - o[0]!) * (b[1]! - o[1]!) - (a[1]! - o[1]!) * (b[0]! - o[0]!);
  const half = (list: [number, number][]) => {
    const out: [number, number][] = [];
    for (const p of list) {
      while (out.length >= 2 && turn(out[out.length - 2]!, out[out.length - 1]!, p) <= 1e-9) out.pop();
      out.push(p);
    }
    return out.slice(0, -1);
  };
  return [...half(points), ...half([...points].reverse())];
}
