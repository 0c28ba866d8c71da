import { at, last } from '../ground/numbers.js';
import { carriedChains, reachedBy } from '../toolbox/cover/index.js';
import { countCdf } from '../trip/odds/index.js';
import { KNOWN, type SupplyBook } from '../repairs/supplies/index.js';
import { BAG_FILL, boxVolume } from '../toolbox/tools/index.js';
import type { Curve } from './optimum/curve.js';
import type { KitProblem } from './optimum/kitProblem.js';
import { stockedAt, type StockedMend } from './optimum/slots.js';
import { doneWith, fittedMends, homeMends, savedBy, type Contents, type Done } from './done.js';
import { fittedOf, unitsOf } from './stock.js';

/** One step of the curve: the best kit of its limit, as far as lists and readout need it. */
export interface CurvePoint {
  /** Least limit from which this kit is the best found, and what it weighs. */
  limit: number;
  mass: number;
  /** In the question's value, and in hours. */
  value: number;
  hours: number;
  home: number;
  bulk: number;
  price: number;
  /** Heads that it reaches, of all that are asked for. */
  reached: number;
  /** Pieces by id with their number, and units of each supply. */
  pieces: [id: string, count: number][];
  supplies: [kind: string, units: number][];
  /** What it does for each trouble that it helps: hours, and the way of the first mend. */
  mends: { troubleId: string; hours: number; way: string }[];
  /** The mends set aside, for whoever makes the kit of it. */
  stocked: StockedMend[];
  counts: number[];
}

/** The curve as a picture needs it. */
export interface CurvePicture {
  most: number;
  points: CurvePoint[];
  /** Best found and bound along the limits, for the band. */
  band: { limit: number; best: number; bound: number }[];
  gap: number;
  proven: boolean;
  solves: number;
}

const MOST_POINTS = 220;
const BAND_POINTS = 160;

/**
 * The concave hull over the points of a rising curve: the slopes that matter for "what does more weight bring".
 * @param points grams, and what is saved with so many
 */
export function concaveHull(points: readonly { mass: number; value: number }[]): { mass: number; value: number }[] {
  const hull: { mass: number; value: number }[] = [];
  for (const p of points) {
    while (hull.length >= 2) {
      const [a, b] = [at(hull, hull.length - 2), last(hull)];
      if ((b.value - a.value) * (p.mass - a.mass) <= (p.value - a.value) * (b.mass - a.mass)) hull.pop();
      else break;
    }
    if (hull.length === 1 && p.mass === at(hull, 0).mass) hull.pop();
    hull.push({ mass: p.mass, value: p.value });
  }
  return hull;
}

/**
 * Limits at which the kit changes enough to be told apart: other tools, or a 220th of all that is saved.
 * @returns grams
 */
export function stepsOf(curve: Pick<Curve, 'best' | 'by' | 'most'>): number[] {
  const top = curve.best.reduce((m, v) => (v > m ? v : m), 0);
  const steps: number[] = [];
  let previous = -Infinity;
  let set = -1;
  for (let m = 0; m <= curve.most; m++) {
    const v = at(curve.best, m);
    if (v === -Infinity || v <= previous + 1e-9) continue;
    if (curve.by[m] !== set || v > previous + top / MOST_POINTS) {
      steps.push(m);
      previous = v;
      set = at(curve.by, m);
    }
  }
  return steps;
}

/** The steps of a curve with what each kit is and does. */
export function picture(problem: KitProblem, curve: Curve): CurvePicture {
  const limits = stepsOf(curve);
  const bySet = new Map<number, number[]>();
  for (const m of limits) bySet.set(at(curve.by, m), [...(bySet.get(at(curve.by, m)) ?? []), m]);
  const points: CurvePoint[] = [];
  for (const [set, mine] of bySet) {
    const tools = at(curve.sets, set);
    const known = { reached: reachedWith(problem, tools.counts), available: tools.available };
    const all = stockedAt(
      tools.slots,
      mine.map((m) => Math.floor(m - tools.mass + 1e-9)),
    );
    mine.forEach((limit, k) =>
      points.push(pointOf(problem, { counts: tools.counts, stocked: at(all, k) }, limit, known)),
    );
  }
  points.sort((a, b) => a.limit - b.limit);
  const band: CurvePicture['band'] = [];
  for (let i = 0; i <= BAND_POINTS; i++) {
    const limit = Math.round((curve.most * i) / BAND_POINTS);
    if (at(curve.best, limit) === -Infinity) continue;
    band.push({ limit, best: at(curve.best, limit), bound: Math.max(at(curve.best, limit), at(curve.bound, limit)) });
  }
  return { most: curve.most, points, band, gap: curve.gap, proven: curve.proven, solves: curve.solves };
}

/**
 * Grams, room and money of contents, what sits beside the live part left out.
 * @param known how the contents do each ask, where that was worked out already
 * @returns g, mL of bag, euros
 */
export function measuresOf(
  problem: KitProblem,
  contents: Contents,
  known: readonly Done[] | null = null,
): { mass: number; bulk: number; price: number } {
  const fitted = fittedOf(problem);
  // A mend that is done with what sits beside the live part leaves none of it for those that are stocked.
  const beside =
    fitted.size > 0 ? fittedMends(problem, known ?? doneWith(problem, contents).done, contents.stocked) : [];
  const units = unitsOf(problem, [...contents.stocked, ...beside]);
  let [mass, boxes, price] = [0, 0, 0];
  contents.counts.forEach((n, i) => {
    if (n === 0) return;
    const p = at(problem.pieces, i);
    mass += n * p.mass;
    boxes += n * boxVolume(p);
    price += n * p.price;
  });
  for (const [kind, n] of units) {
    const packed = Math.max(0, n - (fitted.get(kind) ?? 0));
    const one = problem.book.of(kind);
    mass += packed * one.mass;
    boxes += packed * boxVolume(one);
    price += packed * one.price;
  }
  return { mass, bulk: boxes / BAG_FILL, price };
}

/** Units of each kind that are packed: what its mends use up, and at least what always is. */
function packedOf(problem: KitProblem, contents: Contents): [string, number][] {
  const units = unitsOf(problem, contents.stocked);
  for (const { piece, kind, units: n } of problem.always)
    if (at(contents.counts, piece) > 0) units.set(kind, Math.max(n, units.get(kind) ?? 0));
  return [...units];
}

/**
 * How many heads the copies of a kit turn.
 * @param counts copies by piece
 * @returns how many fasteners
 */
export function reachedWith(problem: KitProblem, counts: readonly number[]): number {
  const carried = new Map(problem.pieces.map((p, i) => [p.id, at(counts, i)]));
  return problem.tools.reaches.filter((r) => reachedBy(carriedChains(r, carried), carried)).length;
}

/**
 * A kit as a point of the picture.
 * @param known what was worked out for the same tools already
 */
export function pointOf(
  problem: KitProblem,
  contents: Contents,
  limit: number,
  known: { reached: number; available: boolean[][] } | null = null,
): CurvePoint {
  const { done } = doneWith(problem, contents, known?.available ?? null);
  let [value, hours, home] = [0, 0, 1];
  const mends = new Map<string, { hours: number; way: string }>();
  problem.asks.forEach((a, i) => {
    const h = savedBy(a, at(done, i), (w) => w.hours);
    value += savedBy(a, at(done, i), (w) => w.gain);
    hours += h;
    const id = a.exposure.trouble.id;
    const first = at(done, i).by[0] ?? at(done, i).beyond;
    if (h > 0)
      mends.set(id, {
        hours: (mends.get(id)?.hours ?? 0) + h,
        way: mends.get(id)?.way ?? (first >= 0 ? at(a.ways, first).way.name : ''),
      });
    if (!a.exposure.trouble.stops) return;
    const n = homeMends(a, at(done, i));
    if (n !== Infinity) home *= countCdf(n, a.law);
  });
  return {
    limit,
    ...measuresOf(problem, contents, done),
    value,
    hours,
    home,
    reached: known?.reached ?? reachedWith(problem, contents.counts),
    pieces: contents.counts.flatMap((n, i): [string, number][] =>
      n > 0 && !problem.always.some((a) => a.piece === i) ? [[at(problem.pieces, i).id, n]] : [],
    ),
    supplies: packedOf(problem, contents),
    mends: [...mends].map(([troubleId, m]) => ({ troubleId, ...m })),
    stocked: [...contents.stocked],
    counts: [...contents.counts],
  };
}

/** What changes from one kit of the curve to another: what leaves, what comes, and what that does. */
export interface StepBetween {
  leaves: { name: string; count: number }[];
  comes: { name: string; count: number }[];
  mass: number;
  hours: number;
}
/**
 * What one kit of a curve has beyond another: things that leave and things that come.
 * @param nameOf name of a piece by its id; pieces of one name are told apart
 * @returns counts, and grams and hours more
 */
export function between(
  from: CurvePoint,
  to: CurvePoint,
  nameOf: (pieceId: string) => string,
  book: SupplyBook = KNOWN,
): StepBetween {
  const things = (p: CurvePoint) => [
    ...p.pieces.map(([id, count]) => ({ key: `piece ${id}`, name: nameOf(id), count })),
    ...p.supplies.map(([kind, count]) => ({ key: `supply ${kind}`, name: book.of(kind).name, count })),
  ];
  const beyond = (x: CurvePoint, y: CurvePoint) => {
    const there = new Map(things(y).map((t) => [t.key, t.count]));
    return things(x).flatMap(({ key, name, count }) => {
      const more = count - (there.get(key) ?? 0);
      return more > 0 ? [{ name, count: more }] : [];
    });
  };
  return {
    leaves: beyond(from, to),
    comes: beyond(to, from),
    mass: to.mass - from.mass,
    hours: to.hours - from.hours,
  };
}
