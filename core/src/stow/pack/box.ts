import type { Measures } from '../../bike/index.js';
import {
  AXES,
  reachOfTurn,
  sidesOf,
  slanted,
  SQUARE,
  squareTurn,
  triple,
  type Axis,
  type Order,
  type Triple,
  type Turn,
} from './turn.js';

/** A rigid piece as its own box. */
export interface Rigid {
  key: string;
  size: Measures;
  /** Stands on its end: its length goes upwards. */
  upright: boolean;
}
/** Where a piece lies: its middle in mm from the box's near left floor corner, and how it is turned. */
export interface Pose {
  key: string;
  size: Measures;
  middle: Triple;
  turn: Turn;
}
/** How far pieces may overlap before it counts, mm: rounding, no more. */
export const TOUCH = 1e-6;

interface Laid {
  pose: Pose;
  min: Triple;
  max: Triple;
  square: boolean;
}
const laid = (key: string, size: Measures, turn: Turn, min: Triple, square: boolean): Laid => {
  const reach = reachOfTurn(turn, sidesOf(size));
  return {
    pose: { key, size, turn, middle: triple((i) => min[i] + reach[i] / 2) },
    min,
    max: triple((i) => min[i] + reach[i]),
    square,
  };
};
const dot = (a: Triple, b: Triple) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Triple, b: Triple): Triple => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const column = (turn: Turn, i: Axis): Triple => triple((axis) => turn[axis][i]);

/** Whether two turned boxes share room: they do unless some axis of the fifteen parts them (separating axes). */
export function overlap(a: Pose, b: Pose): boolean {
  const axesOf = (p: Pose) => triple((i) => column(p.turn, i));
  const [A, B] = [axesOf(a), axesOf(b)];
  const between: Triple = triple((i) => b.middle[i] - a.middle[i]);
  const half = (p: Pose, axes: readonly [Triple, Triple, Triple], along: Triple) => {
    const sides = sidesOf(p.size);
    return AXES.reduce<number>((s, i) => s + (sides[i] / 2) * Math.abs(dot(axes[i], along)), 0);
  };
  const axes = [...A, ...B, ...A.flatMap((x) => B.map((y) => cross(x, y)))];
  return axes.every((axis) => {
    const size = Math.hypot(...axis);
    if (size < 1e-9) return true;
    const apart = Math.abs(dot(between, axis)) - half(a, A, axis) - half(b, B, axis);
    return apart < -TOUCH * size;
  });
}
/** A corner to lay against: the piece grows away from it in these directions. */
interface Corner {
  at: Triple;
  grow: Triple;
}

/** Ways in which pieces may lie in one try: any square one, those with the longest side along one axis, or a single one. */
type Way = (sides: Triple, order: Order) => boolean;
const ANY: Way = () => true;
const WAYS: readonly Way[] = [
  ANY,
  ...AXES.map(
    (axis): Way =>
      (sides, order) =>
        sides[order[axis]] === Math.max(...sides),
  ),
  ...SQUARE.map(
    (only): Way =>
      (_, order) =>
        order === only,
  ),
];

/** Lays pieces in the order given, each where it ends lowest, then farthest to the back and the left. Null at the first that goes nowhere. */
function layInOrder(box: Triple, order: readonly Rigid[], upFirst: Order, way: Way): Pose[] | null {
  const done: Laid[] = [];
  const corners: Corner[] = [];
  for (const x of [1, -1])
    for (const y of [1, -1])
      for (const z of [1, -1]) {
        const grow: Triple = [x, y, z];
        corners.push({ at: triple((i) => (grow[i] > 0 ? 0 : box[i])), grow });
      }
  const [first, second, third] = upFirst;
  for (const { key, size, upright } of order) {
    const sides = sidesOf(size);
    let best: { laid: Laid; corner: Corner; score: Triple } | null = null;
    const consider = (turn: Turn, reach: Triple, corner: Corner, square: boolean) => {
      const { at, grow } = corner;
      const x = grow[0] > 0 ? at[0] : at[0] - reach[0];
      const y = grow[1] > 0 ? at[1] : at[1] - reach[1];
      const z = grow[2] > 0 ? at[2] : at[2] - reach[2];
      if (x < -TOUCH || y < -TOUCH || z < -TOUCH) return;
      if (x + reach[0] > box[0] + TOUCH || y + reach[1] > box[1] + TOUCH || z + reach[2] > box[2] + TOUCH) return;
      const min: Triple = [x, y, z];
      const ends = (axis: Axis) => (grow[axis] > 0 ? min[axis] + reach[axis] : box[axis] - min[axis]);
      const score: Triple = [ends(first), ends(second), ends(third)];
      if (best && !before(score, best.score)) return;
      const max: Triple = [x + reach[0], y + reach[1], z + reach[2]];
      const apart = (d: Laid) =>
        max[0] <= d.min[0] + TOUCH ||
        d.max[0] <= min[0] + TOUCH ||
        max[1] <= d.min[1] + TOUCH ||
        d.max[1] <= min[1] + TOUCH ||
        max[2] <= d.min[2] + TOUCH ||
        d.max[2] <= min[2] + TOUCH;
      for (const d of done)
        if (!apart(d) && ((square && d.square) || overlap(laid(key, size, turn, min, square).pose, d.pose))) return;
      best = { laid: laid(key, size, turn, min, square), corner, score };
    };
    const free = SQUARE.filter((o) => !upright || o[2] === 0);
    const wanted = free.filter((o) => way(sides, o));
    for (const o of wanted.length > 0 ? wanted : free) {
      const turn = squareTurn(o);
      const reach = reachOfTurn(turn, sides);
      for (const corner of corners) consider(turn, reach, corner, true);
    }
    if (!best && !upright)
      for (const turn of slanted(sides, box)) {
        const reach = reachOfTurn(turn, sides);
        for (const corner of corners) consider(turn, reach, corner, false);
      }
    if (!best) return null;
    const { laid: put, corner } = best as { laid: Laid; corner: Corner };
    done.push(put);
    // New corners where it ends, each slid back to what is behind it.
    for (const axis of AXES) {
      const at: Triple = triple((i) => (corner.grow[i] > 0 === (i === axis) ? put.max[i] : put.min[i]));
      for (const slide of AXES) {
        if (slide === axis) continue;
        corners.push({ at: slid(at, slide, corner.grow, done, box), grow: corner.grow });
      }
    }
  }
  return done.map((d) => d.pose);
}
const before = (a: Triple, b: Triple) => (a[0] !== b[0] ? a[0] < b[0] : a[1] !== b[1] ? a[1] < b[1] : a[2] < b[2]);

/** A corner moved along one axis, against its growth, until something square stops it. */
function slid(at: Triple, axis: Axis, grow: Triple, done: readonly Laid[], box: Triple): Triple {
  const others = AXES.filter((i) => i !== axis);
  const up = grow[axis] > 0;
  let to = up ? 0 : box[axis];
  for (const d of done) {
    // A thin ray just inside the corner.
    const hit = others.every((i) => {
      const p = at[i] + grow[i] * 0.01;
      return p > d.min[i] && p < d.max[i];
    });
    if (!hit) continue;
    if (up && d.max[axis] <= at[axis] + TOUCH) to = Math.max(to, d.max[axis]);
    if (!up && d.min[axis] >= at[axis] - TOUCH) to = Math.min(to, d.min[axis]);
  }
  return triple((i) => (i === axis ? to : at[i]));
}

const volume = (r: Rigid) => r.size.length * r.size.width * r.size.height;
const longest = (r: Rigid) => Math.max(r.size.length, r.size.width, r.size.height);
const flattest = ({ size: { length, width, height } }: Rigid) =>
  Math.max(length * width, length * height, width * height);

/** Orders in which pieces are tried, the most hopeful first, then shuffled ones from a fixed seed. */
function* orders(pieces: readonly Rigid[], tries: number): Generator<Rigid[]> {
  const stable = [...pieces].sort((a, b) => (a.key < b.key ? -1 : 1));
  const by = (measure: (r: Rigid) => number) => [...stable].sort((a, b) => measure(b) - measure(a));
  yield by(longest);
  yield by(volume);
  yield by(flattest);
  let seed = 12345;
  const random = () => (seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648;
  const base = by(longest);
  for (let t = 3; t < tries; t++)
    yield [...base]
      .map((r, i) => ({ r, at: i + random() * pieces.length * 0.5 }))
      .sort((a, b) => a.at - b.at)
      .map(({ r }) => r);
}
const UP_FIRST: readonly Order[] = [
  [2, 0, 1],
  [0, 2, 1],
  [1, 2, 0],
];

/**
 * Lays rigid pieces into a box without overlap: square in six ways, the too long ones slanted across a plane of the box. Null when no
 * order of the tries leads to a packing, which is no proof that there is none.
 * @param inside mm
 * @param tries orders of the pieces
 */
export function packBox(inside: Measures, pieces: readonly Rigid[], tries = 12): Pose[] | null {
  const box = sidesOf(inside);
  if (pieces.reduce((s, p) => s + volume(p), 0) > box[0] * box[1] * box[2] * (1 + 1e-9)) return null;
  // What goes in at no slant goes in at none beside others.
  const slant = new Set(
    pieces
      .filter((p) => !SQUARE.some((o) => AXES.every((axis) => sidesOf(p.size)[o[axis]] <= box[axis] + TOUCH)))
      .map((p) => p.key),
  );
  let first = true;
  for (const order of orders(pieces, tries)) {
    const list = [...order.filter((p) => slant.has(p.key)), ...order.filter((p) => !slant.has(p.key))];
    for (const upFirst of UP_FIRST)
      for (const way of first ? WAYS : [ANY]) {
        const poses = layInOrder(box, list, upFirst, way);
        if (poses) return poses;
      }
    first = false;
  }
  return null;
}
