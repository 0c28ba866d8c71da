import type { Measures } from '../../bike/index.js';
import { reachOfTurn, sidesOf, SQUARE, squareTurn, type Triple, type Turn } from './turn.js';
import { TOUCH, type Pose, type Rigid } from './box.js';

interface Laid {
  pose: Pose;
  /** Along the tube; across it from its middle line; above its middle line. */
  min: Triple;
  max: Triple;
}

/**
 * Lays rigid pieces into a round tube: each as far in as it goes, then as low as the wall and the others let it lie. Null when an order
 * of the tries leads nowhere, which is no proof. Poses are given as in a box of the tube's length and diameter.
 * @param inside mm; the lesser of width and height is the diameter
 */
export function packTube(inside: Measures, pieces: readonly Rigid[]): Pose[] | null {
  const radius = Math.min(inside.width, inside.height) / 2;
  const measures = [
    (r: Rigid) => r.size.length,
    (r: Rigid) => r.size.width * r.size.height,
    (r: Rigid) => r.size.length * r.size.width * r.size.height,
    (r: Rigid) => Math.max(r.size.width, r.size.height),
  ];
  const stable = [...pieces].sort((a, b) => (a.key < b.key ? -1 : 1));
  for (const measure of measures) {
    const done = layInTube(
      inside.length,
      radius,
      [...stable].sort((a, b) => measure(b) - measure(a)),
    );
    if (done)
      return done.map(({ pose }) => ({
        ...pose,
        middle: [pose.middle[0], pose.middle[1] + inside.width / 2, pose.middle[2] + inside.height / 2],
      }));
  }
  return null;
}

function layInTube(length: number, radius: number, order: readonly Rigid[]): Laid[] | null {
  const done: Laid[] = [];
  for (const piece of order) {
    const best = bestIn(length, radius, piece, done);
    if (!best) return null;
    done.push(best);
  }
  return done;
}

function bestIn(length: number, radius: number, { key, size, upright }: Rigid, done: readonly Laid[]): Laid | null {
  if (upright) return null;
  let best: { laid: Laid; score: Triple } | null = null;
  const starts = [...new Set([0, ...done.map((d) => d.max[0])])].sort((a, b) => a - b);
  for (const order of SQUARE) {
    const turn: Turn = squareTurn(order);
    const [l, w, h] = reachOfTurn(turn, sidesOf(size));
    if (Math.hypot(w, h) > 2 * radius + TOUCH) continue;
    for (const x of starts) {
      // Farther in only ends farther out, and every later start is farther in.
      if (x + l > length + TOUCH || (best && x + l > best.score[0] + TOUCH)) break;
      const beside = done.filter((d) => d.min[0] < x + l - TOUCH && d.max[0] > x + TOUCH);
      // Just as far left and right as the wall lets its height lie in the middle, in the middle, and against each neighbour.
      const reach = Math.sqrt(Math.max(0, radius ** 2 - (h / 2) ** 2));
      const ys = new Set([-w / 2, -reach, reach - w, ...beside.flatMap((d) => [d.max[1], d.min[1] - w])]);
      for (const y of ys) {
        const across = Math.max(Math.abs(y), Math.abs(y + w));
        if (across > radius) continue;
        const wall = Math.sqrt(radius ** 2 - across ** 2);
        if (best && x + l >= best.score[0] - TOUCH && h - wall >= best.score[1]) continue;
        const over = beside.filter((d) => d.min[1] < y + w - TOUCH && d.max[1] > y + TOUCH);
        const z = Math.max(-wall, ...over.map((d) => d.max[2]));
        if (z + h > wall + TOUCH) continue;
        const score: Triple = [x + l, z + h, Math.abs(y + w / 2)];
        if (
          best &&
          !(score[0] < best.score[0] - TOUCH || (score[0] <= best.score[0] + TOUCH && score[1] < best.score[1]))
        )
          continue;
        best = {
          laid: {
            pose: { key, size, turn, middle: [x + l / 2, y + w / 2, z + h / 2] },
            min: [x, y, z],
            max: [x + l, y + w, z + h],
          },
          score,
        };
      }
    }
  }
  return best?.laid ?? null;
}
