import { z } from 'zod';
import { km, name } from '../garage/fields.js';
import { apart, type Spot } from './geo.js';
import type { TrackPoint, Waypoint } from './gpx.js';

const lat = z.number().min(-90).max(90);
const lon = z.number().min(-180).max(180);

/** What a place on the way is good for. */
export const MARK_KINDS = ['fuel', 'shop', 'workshop', 'shelter', 'road-head', 'signal'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];
export const markSchema = z.strictObject({ lat, lon, name, kinds: z.array(z.enum(MARK_KINDS)).max(MARK_KINDS.length) });
export type Mark = z.infer<typeof markSchema>;

/** Most points that a route keeps: enough for a line drawn a metre wide, small enough for a row. */
export const MOST_ROUTE_POINTS = 2000;
export const MOST_MARKS = 3000;

export const routeSchema = z.strictObject({
  name: z.string().trim().max(200),
  /** Latitude, longitude, metres above the sea (null where unknown), km from the start along the full track. */
  points: z
    .array(z.tuple([lat, lon, z.number().nullable(), km]))
    .min(2)
    .max(MOST_ROUTE_POINTS),
  /** Metres of climb of the full track; null where no height is known. */
  climb: z.number().min(0).max(1_000_000).nullable(),
  /** Where one day ends and the next begins, km from the start. */
  dayEnds: z.array(km).max(200),
  marks: z.array(markSchema).max(MOST_MARKS),
  /** Ground distance over the straight one, off the track. Planning value. */
  detour: z.number().min(1).max(5),
});
export type Route = z.infer<typeof routeSchema>;

/** Ways off the track are this much longer than the straight line. Planning value. */
export const DETOUR = 1.4;
/** Ups and downs below this, in metres, are noise of the device. Planning value. */
const HEIGHT_NOISE = 8;

/** A track with its running distance, duplicates left out and unknown heights filled in between known ones. */
export interface Measured {
  points: { lat: number; lon: number; ele: number | null; km: number; time: string | null }[];
  km: number;
}
export function measured(track: readonly TrackPoint[]): Measured {
  const points: Measured['points'] = [];
  let along = 0;
  for (const p of track) {
    const last = points.at(-1);
    if (last && last.lat === p.lat && last.lon === p.lon) {
      last.ele ??= p.ele;
      continue;
    }
    if (last) along += apart(last, p);
    points.push({ ...p, km: along });
  }
  // Heights between two known ones follow the distance; before the first and after the last they stay level.
  let from = -1;
  for (let i = 0; i <= points.length; i++) {
    if (i < points.length && points[i]!.ele === null) continue;
    for (let j = from + 1; j < i; j++) {
      const [a, b] = [points[from], points[i]];
      if (a && b) {
        const share = b.km > a.km ? (points[j]!.km - a.km) / (b.km - a.km) : 0;
        points[j]!.ele = a.ele! + share * (b.ele! - a.ele!);
      } else points[j]!.ele = a?.ele ?? b?.ele ?? null;
    }
    from = i;
  }
  return { points, km: along };
}

/** Metres climbed in all, ups that are no noise; null where no height is known. */
export function climbOf(points: readonly { ele: number | null }[], noise = HEIGHT_NOISE): number | null {
  let low: number | null = null;
  let high: number | null = null;
  let climb = 0;
  for (const { ele } of points) {
    if (ele === null) continue;
    if (low === null || high === null) {
      low = high = ele;
      continue;
    }
    // A climb ends when the way falls by more than the noise below its highest point.
    if (ele > high) high = ele;
    else if (high - ele > noise) {
      if (high - low > noise) climb += high - low;
      low = high = ele;
    }
    if (ele < low) low = high = ele;
  }
  if (low === null || high === null) return null;
  return climb + (high - low > noise ? high - low : 0);
}

/** Days by the date in the file's times: km at which each day but the last ends. */
function dayEndsOf(points: Measured['points']): number[] {
  const ends: number[] = [];
  let day: string | null = null;
  for (const p of points) {
    if (!p.time) continue;
    const now = p.time.slice(0, 10);
    if (day !== null && now !== day) ends.push(p.km);
    day = now;
  }
  return ends.slice(0, 200);
}

/**
 * Thins a line to at most so many points: those stay that stand farthest from the line between their neighbours, heights counted too
 * (Visvalingam's least triangles, over a heap). The ends always stay.
 */
function thinned(points: Measured['points'], most: number): Measured['points'] {
  if (points.length <= most) return points;
  const n = points.length;
  const before = Int32Array.from({ length: n }, (_, i) => i - 1);
  const after = Int32Array.from({ length: n }, (_, i) => i + 1);
  const cos = Math.cos((points[0]!.lat * Math.PI) / 180) || 1e-6;
  // Metres, good enough for telling which triangle is the least; over the date line the shorter way counts.
  const x = (i: number, from: number) => ((points[i]!.lon - points[from]!.lon + 540) % 360) - 180;
  const area = (i: number) => {
    const [a, b] = [before[i]!, after[i]!];
    const [x1, y1] = [x(i, a) * cos * 111_000, (points[i]!.lat - points[a]!.lat) * 111_000];
    const [x2, y2] = [x(b, a) * cos * 111_000, (points[b]!.lat - points[a]!.lat) * 111_000];
    const up = Math.abs((points[i]!.ele ?? 0) - ((points[a]!.ele ?? 0) + (points[b]!.ele ?? 0)) / 2);
    return Math.abs(x1 * y2 - x2 * y1) / 2 + up * Math.hypot(x2, y2);
  };
  const size = new Float64Array(n);
  const heap: number[] = [];
  const at = new Int32Array(n).fill(-1);
  const swap = (i: number, j: number) => {
    [heap[i], heap[j]] = [heap[j]!, heap[i]!];
    at[heap[i]!] = i;
    at[heap[j]!] = j;
  };
  const up = (i: number) => {
    while (i > 0 && size[heap[(i - 1) >> 1]!]! > size[heap[i]!]!) {
      swap(i, (i - 1) >> 1);
      i = (i - 1) >> 1;
    }
  };
  const down = (i: number) => {
    for (;;) {
      let least = i;
      for (const c of [2 * i + 1, 2 * i + 2]) if (c < heap.length && size[heap[c]!]! < size[heap[least]!]!) least = c;
      if (least === i) return;
      swap(i, least);
      i = least;
    }
  };
  for (let i = 1; i < n - 1; i++) {
    size[i] = area(i);
    at[i] = heap.push(i) - 1;
    up(at[i]!);
  }
  const gone = new Uint8Array(n);
  for (let left = n; left > most; left--) {
    const out = heap[0]!;
    swap(0, heap.length - 1);
    heap.pop();
    at[out] = -1;
    down(0);
    gone[out] = 1;
    const [a, b] = [before[out]!, after[out]!];
    after[a] = b;
    before[b] = a;
    for (const i of [a, b])
      if (at[i]! >= 0) {
        size[i] = Math.max(size[out]!, area(i));
        up(at[i]!);
        down(at[i]!);
      }
  }
  return points.filter((_, i) => !gone[i]);
}

const round = (v: number, digits: number) => Math.round(v * 10 ** digits) / 10 ** digits;
const WORDS: Record<MarkKind, RegExp> = {
  fuel: /fuel|petrol|gas station|pump|tank/iu,
  shop: /\bshop|store|market|food|grocer/iu,
  workshop: /workshop|mechanic|garage|repair|tyre|car service/iu,
  shelter: /shelter|hut|lodg|hotel|camp|cabin|refuge/iu,
  'road-head': /road.?head|trail.?head|junction|crossroad|road/iu,
  signal: /signal|coverage|phone|antenna|town|city|village/iu,
};
/** What a waypoint is good for, by the words that it uses; a town has a signal, a shop and a road. */
export function kindsOf({ name: called, kind }: Pick<Waypoint, 'name' | 'kind'>): MarkKind[] {
  const words = `${called} ${kind}`;
  const hits = MARK_KINDS.filter((k) => WORDS[k].test(words));
  if (/town|city|village/iu.test(words)) return [...new Set<MarkKind>([...hits, 'shop', 'road-head'])];
  return hits;
}

/**
 * A route of a trip from what files hold: measured whole, kept thin.
 * @returns null when there are fewer than two points apart
 */
export function makeRoute(title: string, track: readonly TrackPoint[], waypoints: readonly Waypoint[]): Route | null {
  const whole = measured(track);
  if (whole.points.length < 2) return null;
  return {
    name: title.slice(0, 200),
    points: thinned(whole.points, MOST_ROUTE_POINTS).map((p) => [
      round(p.lat, 6),
      round(p.lon, 6),
      p.ele === null ? null : round(p.ele, 1),
      round(p.km, 4),
    ]),
    climb: climbOf(whole.points),
    dayEnds: dayEndsOf(whole.points).map((e) => round(e, 3)),
    marks: waypoints.slice(0, MOST_MARKS).map((w) => ({
      lat: w.lat,
      lon: w.lon,
      name:
        w.name
          .replace(/[\u0000-\u001f\u007f\ud800-\udfff]/gu, ' ')
          .trim()
          .slice(0, 120) || 'Waypoint',
      kinds: kindsOf(w),
    })),
    detour: DETOUR,
  };
}

export const routeKm = (route: Route): number => route.points.at(-1)![3];

/** A spot along a route. */
export interface Along extends Spot {
  km: number;
  ele: number | null;
}
/** Longest step between spots that are looked at, km: what is farthest from help often lies between two kept points of a straight road. */
const STEP = 0.5;

/** Spots along a route, its own points and on longer stretches some between them. */
export function spotsAlong(route: Route, step = STEP): Along[] {
  const out: Along[] = [];
  route.points.forEach((p, i) => {
    const last = route.points[i - 1];
    if (last) {
      const n = Math.min(10_000, Math.ceil((p[3] - last[3]) / step));
      // The shorter way round, should the stretch cross the date line.
      const dLon = ((p[1] - last[1] + 540) % 360) - 180;
      for (let k = 1; k < n; k++) {
        const share = k / n;
        const lon = last[1] + share * dLon;
        out.push({
          lat: last[0] + share * (p[0] - last[0]),
          lon: lon > 180 ? lon - 360 : lon < -180 ? lon + 360 : lon,
          ele: last[2] === null || p[2] === null ? null : last[2] + share * (p[2] - last[2]),
          km: last[3] + share * (p[3] - last[3]),
        });
      }
    }
    out.push({ lat: p[0], lon: p[1], ele: p[2], km: p[3] });
  });
  return out;
}
