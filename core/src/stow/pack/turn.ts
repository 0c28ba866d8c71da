import type { Measures } from '../../bike/index.js';

/** Sides of a box or piece in mm, and a point in mm. */
export type Triple = readonly [number, number, number];
/** Length, width and height of a box, by number. */
export type Axis = 0 | 1 | 2;
export const AXES: readonly Axis[] = [0, 1, 2];
/** Three axes, or sides, in an order. */
export type Order = readonly [Axis, Axis, Axis];
/** Three figures, one for each axis. */
export const triple = <T>(of: (axis: Axis) => T): readonly [T, T, T] => [of(0), of(1), of(2)];
/** Rows are the box's axes, columns the piece's: how far each side of the piece reaches along each axis of the box. */
export type Turn = readonly [Triple, Triple, Triple];

/** Length, width and height, mm. */
export const sidesOf = (m: Measures): Triple => [m.length, m.width, m.height];

/** The six ways to lay a piece square to a box: which side of it lies along length, width and height. */
export const SQUARE: readonly Order[] = [
  [0, 1, 2],
  [0, 2, 1],
  [1, 0, 2],
  [1, 2, 0],
  [2, 0, 1],
  [2, 1, 0],
];
/** The turn by which sides lie along other axes, square to all. */
export const squareTurn = (order: Order): Turn => triple((axis) => triple((side) => (order[axis] === side ? 1 : 0)));

/** How far a turned piece reaches along each axis of the box, mm: Σ |turn| · side. */
export const reachOfTurn = (turn: Turn, sides: Triple): Triple =>
  triple((axis) => AXES.reduce<number>((sum, side) => sum + Math.abs(turn[axis][side]) * sides[side], 0));

const EPS = 1e-6;
const within = (reach: Triple, box: Triple) => AXES.every((axis) => reach[axis] <= box[axis] + EPS);

/** How far a turned piece sticks out of a box, the worst axis, mm; at most 0 when it is in. */
const excess = (turn: Turn, sides: Triple, box: Triple) => {
  const reach = reachOfTurn(turn, sides);
  return Math.max(...triple((axis) => reach[axis] - box[axis]));
};

/** A turn by three angles: about the height, then the width, then the length of the box. */
function byAngles([yaw, pitch, roll]: Triple): Turn {
  const [cy, cp, cr] = [Math.cos(yaw), Math.cos(pitch), Math.cos(roll)];
  const [sy, sp, sr] = [Math.sin(yaw), Math.sin(pitch), Math.sin(roll)];
  return [
    [cy * cp, cy * sp * sr - sy * cr, cy * sp * cr + sy * sr],
    [sy * cp, sy * sp * sr + cy * cr, sy * sp * cr - cy * sr],
    [-sp, cp * sr, cp * cr],
  ];
}

/**
 * The least angle at which a rectangle lies in another when it does not lie square, or null when it does at none. A rectangle of p × q
 * (p > a) lies in one of a × b turned by t where p·cos t + q·sin t ≤ a and p·sin t + q·cos t ≤ b; the first bounds t from below, and
 * the second is looked at there, since p·sin t + q·cos t is least there or at a right angle.
 * @param p mm
 * @param q mm
 * @param a mm
 * @param b mm
 * @returns radians, 0 to π/2
 */
export function leastAngle(p: number, q: number, a: number, b: number): number | null {
  const long = Math.hypot(p, q);
  if (a >= long) return null;
  // p·cos t + q·sin t = a, on its falling side.
  const t = Math.atan2(q, p) + Math.acos(Math.min(1, a / long));
  return t >= 0 && t <= Math.PI / 2 && p * Math.sin(t) + q * Math.cos(t) <= b + EPS ? t : null;
}

/** Planes of a box, by the two axes in them and the one square to them. */
const PLANES: readonly Order[] = [
  [0, 1, 2],
  [0, 2, 1],
  [1, 2, 0],
];

/** All turns in which a piece lies slanted in one plane of a box, its third side square to it, mirrored ones too. */
export function slanted(sides: Triple, box: Triple): Turn[] {
  const out: Turn[] = [];
  for (const [i, j, up] of PLANES)
    for (const order of SQUARE) {
      const [p, q, third] = triple((axis) => sides[order[axis]]);
      if (third > box[up] + EPS || p <= box[i] + EPS) continue;
      const t = leastAngle(p, q, box[i], box[j]);
      if (t === null) continue;
      for (const s of [1, -1]) {
        /** Rows for the first and second axis of the plane, and the one square to it, by the piece's sides in their order. */
        const rows: Turn = [
          [Math.cos(t), -s * Math.sin(t), 0],
          [s * Math.sin(t), Math.cos(t), 0],
          [0, 0, 1],
        ];
        const turn = triple((axis) => {
          const row = rows[axis === i ? 0 : axis === j ? 1 : 2];
          return triple((side) => row[order[0] === side ? 0 : order[1] === side ? 1 : 2]);
        });
        if (within(reachOfTurn(turn, sides), box)) out.push(turn);
      }
    }
  return out;
}

/**
 * Whether the longest side might lie in the box at all. Along an axis with which it makes the angle t a piece reaches at least
 * long·cos t + thin·sin t, which bounds each cosine; their squares must make up 1.
 */
function rodMayFit(sides: Triple, box: Triple): boolean {
  const [long, thin] = [Math.max(...sides), Math.min(...sides)];
  const sum = box.reduce((s, b) => {
    if (long <= b) return s + 1;
    const t = Math.atan2(thin, long) + Math.acos(Math.min(1, b / Math.hypot(long, thin)));
    return s + Math.max(0, Math.cos(t)) ** 2;
  }, 0);
  return sum >= 1 - EPS;
}

/** Steps of the coarse look at every slant through the room, radians; the best are refined by halving. */
const COARSE = Math.PI / 15;

/**
 * A turn in which a piece alone goes into a box, or null. It is exact for pieces that lie square or slanted in one plane; a slant through
 * the whole room, for the longest thin pieces, is searched by angles and may be missed by less than a millimetre.
 * A convex piece lies in a box when its reach along each axis is at most the box's side.
 */
export function fitsTurned(piece: Measures, inside: Measures): Turn | null {
  const [sides, box] = [sidesOf(piece), sidesOf(inside)];
  for (const order of SQUARE) {
    const turn = squareTurn(order);
    if (within(reachOfTurn(turn, sides), box)) return turn;
  }
  // Nothing goes through a gap thinner than its thinnest side, nor is it longer than the diagonal.
  if (Math.max(...sides) > Math.hypot(...box) || Math.min(...sides) > Math.min(...box)) return null;
  const flat = slanted(sides, box)[0];
  if (flat) return flat;
  // Only what is longer than every side has something to gain from a slant through the room.
  if (Math.max(...sides) <= Math.max(...box) || !rodMayFit(sides, box)) return null;
  let best: { angles: Triple; over: number } = { angles: [0, 0, 0], over: Infinity };
  const look = (angles: Triple) => {
    const over = excess(byAngles(angles), sides, box);
    if (over < best.over) best = { angles, over };
  };
  // Box and piece are the same in the mirror, so a quarter of the directions of its long side stand for all.
  for (let yaw = 0; yaw <= Math.PI / 2; yaw += COARSE)
    for (let pitch = 0; pitch <= Math.PI / 2; pitch += COARSE)
      for (let roll = 0; roll < Math.PI; roll += COARSE) look([yaw, pitch, roll]);
  for (let step = COARSE / 2; step > 1e-5 && best.over > 0;) {
    const { angles, over } = best;
    for (const axis of AXES)
      for (const s of [-step, step]) look(triple((i) => (i === axis ? angles[i] + s : angles[i])));
    if (best.over >= over - 1e-9) step /= 2;
  }
  return best.over <= EPS ? byAngles(best.angles) : null;
}
