import { at, last } from '../../ground/numbers.js';
import { z } from 'zod';
import { cut, line } from '../../ground/text.js';
import { km, name } from '../../ground/fields.js';
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
  name: line(200),
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
/**
 * A track with the way along it at each point, points that repeat the one before left out.
 * @returns km along by great circles
 */
export function measured(track: readonly TrackPoint[]): Measured {
  const points: Measured['points'] = [];
  let along = 0;
  for (const p of track) {
    const previous = points.at(-1);
    if (previous && previous.lat === p.lat && previous.lon === p.lon) {
      previous.ele ??= p.ele;
      continue;
    }
    // Between two stretches nothing was recorded: that way was not ridden.
    if (previous && !p.begins) along += apart(previous, p);
    points.push({ lat: p.lat, lon: p.lon, ele: p.ele, time: p.time, km: along });
  }
  // Heights between two known ones follow the distance; before the first and after the last they stay level.
  let from = -1;
  for (let i = 0; i <= points.length; i++) {
    if (i < points.length && at(points, i).ele === null) continue;
    for (let j = from + 1; j < i; j++) {
      const [a, b] = [points[from], points[i]];
      if (a && b) {
        const share = b.km > a.km ? (at(points, j).km - a.km) / (b.km - a.km) : 0;
        at(points, j).ele = (a.ele ?? 0) + share * ((b.ele ?? 0) - (a.ele ?? 0));
      } else at(points, j).ele = a?.ele ?? b?.ele ?? null;
    }
    from = i;
  }
  return { points, km: along };
}

/**
 * Metres climbed in all, ups that are no noise; null where no height is known.
 * @param noise m: falls of less end no climb
 * @returns m
 */
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

/** Hours of rest that end a day, and how far a resting device wanders, km. Planning values. */
const NIGHT_REST = 3;
const WANDERS = 0.3;
/** km/h below which nobody was under way. Planning value. */
const RESTING = 2;
const HOUR = 3_600_000;

/**
 * Days by the file's times: km at which each day but the last ends. A day ends at the longest rest between one noon and the next, by the sun's time
 * where the track lies; where nobody rested, at midnight.
 */
function dayEndsOf(points: Measured['points']): number[] {
  const timed = points.flatMap((p) => {
    const ms = p.time === null ? Number.NaN : Date.parse(p.time);
    // The sun's time: fifteen degrees are an hour, wherever the border of a zone runs.
    return Number.isNaN(ms) ? [] : [{ km: p.km, ms, local: ms + (p.lon / 15) * HOUR }];
  });
  const dayOf = (local: number) => Math.floor(local / (24 * HOUR));
  const ends: number[] = [];
  for (let i = 1; i < timed.length && ends.length < 200; i++) {
    const [before, now] = [at(timed, i - 1), at(timed, i)];
    if (dayOf(now.local) <= dayOf(before.local)) continue;
    const midnight = dayOf(now.local) * 24 * HOUR;
    const rest = longestRest(timed, i, midnight - 12 * HOUR, midnight + 12 * HOUR);
    const km = rest && rest.ms >= NIGHT_REST * HOUR ? rest.km : before.km;
    if (km > (ends.at(-1) ?? 0) && km < last(points).km) ends.push(km);
  }
  return ends;
}

/** The longest stay at one spot that touches a window of local time round a midnight's pass. */
function longestRest(
  timed: readonly { km: number; ms: number; local: number }[],
  inHeap: number,
  from: number,
  to: number,
): { km: number; ms: number } | null {
  let first = inHeap;
  while (first > 0 && at(timed, first - 1).local >= from) first--;
  let best: { km: number; ms: number } | null = null;
  let start = Math.max(0, first - 1);
  for (let end = start + 1; end < timed.length && at(timed, end).local <= to + 12 * HOUR; end++) {
    while (start < end && at(timed, end).km - at(timed, start).km > WANDERS) start++;
    if (at(timed, start).local > to) break;
    const stay = { km: at(timed, end).km, ms: at(timed, end).ms - at(timed, start).ms };
    // A device that was off meanwhile: slower than on foot from one point to the next is a rest as well.
    const previous = at(timed, end - 1);
    const [ms, km] = [at(timed, end).ms - previous.ms, at(timed, end).km - previous.km];
    const off = km <= (RESTING * ms) / HOUR ? { km: previous.km, ms } : { km: 0, ms: 0 };
    for (const pause of [stay, off]) if (pause.ms > (best?.ms ?? 0)) best = pause;
  }
  return best;
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
  const cos = Math.cos((at(points, 0).lat * Math.PI) / 180) || 1e-6;
  // Metres, good enough for telling which triangle is the least; over the date line the shorter way counts.
  const x = (i: number, from: number) => ((at(points, i).lon - at(points, from).lon + 540) % 360) - 180;
  const area = (i: number) => {
    const [a, b] = [at(before, i), at(after, i)];
    const [x1, y1] = [x(i, a) * cos * 111_000, (at(points, i).lat - at(points, a).lat) * 111_000];
    const [x2, y2] = [x(b, a) * cos * 111_000, (at(points, b).lat - at(points, a).lat) * 111_000];
    const up = Math.abs((at(points, i).ele ?? 0) - ((at(points, a).ele ?? 0) + (at(points, b).ele ?? 0)) / 2);
    return Math.abs(x1 * y2 - x2 * y1) / 2 + up * Math.hypot(x2, y2);
  };
  const size = new Float64Array(n);
  const heap: number[] = [];
  const inHeap = new Int32Array(n).fill(-1);
  const swap = (i: number, j: number) => {
    [heap[i], heap[j]] = [at(heap, j), at(heap, i)];
    inHeap[at(heap, i)] = i;
    inHeap[at(heap, j)] = j;
  };
  const up = (i: number) => {
    while (i > 0 && at(size, at(heap, (i - 1) >> 1)) > at(size, at(heap, i))) {
      swap(i, (i - 1) >> 1);
      i = (i - 1) >> 1;
    }
  };
  const down = (i: number) => {
    for (;;) {
      let least = i;
      for (const c of [2 * i + 1, 2 * i + 2])
        if (c < heap.length && at(size, at(heap, c)) < at(size, at(heap, least))) least = c;
      if (least === i) return;
      swap(i, least);
      i = least;
    }
  };
  for (let i = 1; i < n - 1; i++) {
    size[i] = area(i);
    inHeap[i] = heap.push(i) - 1;
    up(at(inHeap, i));
  }
  const gone = new Uint8Array(n);
  for (let left = n; left > most; left--) {
    const out = at(heap, 0);
    swap(0, heap.length - 1);
    heap.pop();
    inHeap[out] = -1;
    down(0);
    gone[out] = 1;
    const [a, b] = [at(before, out), at(after, out)];
    after[a] = b;
    before[b] = a;
    for (const i of [a, b])
      if (at(inHeap, i) >= 0) {
        size[i] = Math.max(at(size, out), area(i));
        up(at(inHeap, i));
        down(at(inHeap, i));
      }
  }
  return points.filter((_, i) => !gone[i]);
}

const round = (v: number, digits: number) => Math.round(v * 10 ** digits) / 10 ** digits;
/** Whole words only: a pumpkin farm sells no petrol, and a cityscape has no signal. */
const WORDS: Record<MarkKind, RegExp> = {
  fuel: /\b(?:fuel|petrol|gasoline|gas stations?|filling stations?|(?:fuel|petrol) pumps?)\b/iu,
  shop: /\b(?:shops?|stores?|supermarkets?|markets?|grocer(?:y|ies)?|food)\b/iu,
  workshop: /\b(?:workshops?|mechanics?|garages?|repairs?|tyres?|car services?)\b/iu,
  shelter: /\b(?:shelters?|huts?|lodges?|lodging|hotels?|camps?|campsites?|campgrounds?|cabins?|refuges?)\b/iu,
  'road-head': /\b(?:road.?heads?|trail.?heads?|junctions?|crossroads?|roads?)\b/iu,
  signal: /\b(?:signal|coverage|phones?|antennas?|masts?)\b/iu,
};
const SETTLED = /\b(?:towns?|cit(?:y|ies)|villages?)\b/iu;
const kindsIn = (words: string): MarkKind[] => {
  const settled = SETTLED.test(words);
  const said = MARK_KINDS.filter((k) => WORDS[k].test(words) || (settled && k === 'signal'));
  return settled ? [...new Set<MarkKind>([...said, 'shop', 'road-head'])] : said;
};
/**
 * What a waypoint is good for: by the symbol and type that the file gives it, and only where these say nothing by the words of its name. A town has
 * a signal, a shop and a road. The rider sees and corrects it.
 */
export function kindsOf({ name: called, kind }: Pick<Waypoint, 'name' | 'kind'>): MarkKind[] {
  const said = kindsIn(kind);
  return said.length > 0 ? said : kindsIn(called);
}

/**
 * A route of a trip from what files hold: measured whole, kept thin.
 * @returns null when there are fewer than two points apart
 */
export function makeRoute(title: string, track: readonly TrackPoint[], waypoints: readonly Waypoint[]): Route | null {
  const whole = measured(track);
  if (whole.points.length < 2) return null;
  return {
    name: cut(title, 200),
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

/**
 * Length of a route.
 * @returns km
 */
export const routeKm = (route: Route): number => last(route.points)[3];

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
    const previous = route.points[i - 1];
    if (previous) {
      const n = Math.min(10_000, Math.ceil((p[3] - previous[3]) / step));
      // The shorter way round, should the stretch cross the date line.
      const dLon = ((p[1] - previous[1] + 540) % 360) - 180;
      for (let k = 1; k < n; k++) {
        const share = k / n;
        const lon = previous[1] + share * dLon;
        out.push({
          lat: previous[0] + share * (p[0] - previous[0]),
          lon: lon > 180 ? lon - 360 : lon < -180 ? lon + 360 : lon,
          ele: previous[2] === null || p[2] === null ? null : previous[2] + share * (p[2] - previous[2]),
          km: previous[3] + share * (p[3] - previous[3]),
        });
      }
    }
    out.push({ lat: p[0], lon: p[1], ele: p[2], km: p[3] });
  });
  return out;
}
