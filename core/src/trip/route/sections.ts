import { at } from '../../ground/numbers.js';
import { around } from 'geokdbush';
import KDBush from 'kdbush';
import { apart } from './geo.js';
import { HelpFinder } from './help.js';
import { climbOf, routeKm, spotsAlong, type Mark, type MarkKind, type Route } from './route.js';

/** A part of a route, and what is worst on it. */
export interface Section {
  name: string;
  from: number;
  to: number;
  climb: number | null;
  /** km along the ground from its worst point to people: a shop, a road-head, a workshop or a place with a signal; null with no such mark. */
  helpKm: number | null;
  /** km to a workshop from its worst point; null with no such mark. */
  workshopKm: number | null;
  /** Whether every point of it lies within reach of a marked signal. */
  signal: boolean;
  /** Longest way between two pumps that lies wholly or partly on it, km; null without marks of fuel. */
  fuelGap: number | null;
  /** Its share of the days that the whole way takes. */
  days: number;
}

/** A phone works this far from where a signal is marked, km. Planning value. */
export const SIGNAL_REACH = 3;
/** A mark lies on the way when the track passes this close, km. Planning value. */
export const ON_THE_WAY = 0.5;
/** Passes of one mark that lie closer than this along the track are one pass, km. */
const APART = 2;

/** km that make a day where the file has no times. Planning value. */
export const DAY_KM = 200;

/** Days that a stretch takes: of each day by the file's times the share of its km, or of the whole by a usual day's km. */
function daysOf(route: Route, from: number, to: number): number {
  const total = routeKm(route);
  const even = Math.max(1, Math.round(total / DAY_KM));
  const ends =
    route.dayEnds.length > 0
      ? [...route.dayEnds, total]
      : Array.from({ length: even }, (_, i) => (total * (i + 1)) / even);
  let start = 0;
  let days = 0;
  for (const end of ends) {
    const shared = Math.min(to, end) - Math.max(from, start);
    if (shared > 0 && end > start) days += shared / (end - start);
    start = end;
  }
  return days;
}

/** Marks that the track passes, in order, each with where; one that it passes twice comes twice. */
export function marksOnTheWay(route: Route, close = ON_THE_WAY): { mark: Mark; km: number }[] {
  const spots = spotsAlong(route);
  const index = new KDBush(spots.length);
  for (const s of spots) index.add(s.lon, s.lat);
  index.finish();
  const out: { mark: Mark; km: number }[] = [];
  for (const mark of route.marks) {
    const near = around(index, mark.lon, mark.lat, Infinity, close).sort((a, b) => a - b);
    // One pass is a run of spots that are close; the nearest of the run is where it is passed.
    for (let i = 0; i < near.length;) {
      let end = i;
      while (end + 1 < near.length && at(spots, at(near, end + 1)).km - at(spots, at(near, end)).km <= APART) end++;
      const run = near.slice(i, end + 1).map((k) => at(spots, k));
      const best = run.reduce((a, b) => (apart(b, mark) < apart(a, mark) ? b : a));
      out.push({ mark, km: best.km });
      i = end + 1;
    }
  }
  return out.sort((a, b) => a.km - b.km);
}

/** Where fuel can be had along the way, km; start and end count as places with fuel. */
function pumps(route: Route): number[] {
  const stops = marksOnTheWay(route)
    .filter(({ mark }) => mark.kinds.includes('fuel'))
    .map((m) => m.km);
  return [0, ...stops, routeKm(route)];
}

/**
 * Cuts a route into sections at its days, or at the marks that it passes.
 * @param by `day` where the file's dates change, `mark` where a named mark lies on the way
 */
export function sectionsOf(route: Route, by: 'day' | 'mark'): Section[] {
  const total = routeKm(route);
  const cuts =
    by === 'day'
      ? route.dayEnds.map((km, i) => ({ km, name: `Day ${i + 1}` }))
      : marksOnTheWay(route).map(({ mark, km }) => ({ km, name: `To ${mark.name}` }));
  const ends = [
    ...cuts.filter((c) => c.km > 0.1 && c.km < total - 0.1),
    { km: total, name: by === 'day' ? `Day ${cuts.length + 1}` : 'To the end' },
  ];
  const finder = new HelpFinder(route.marks);
  const hasFuel = route.marks.some((m) => m.kinds.includes('fuel'));
  const stops = pumps(route);
  const spots = spotsAlong(route);
  let from = 0;
  return ends.flatMap(({ km: to, name }): Section[] => {
    if (to - from < 0.05) return [];
    const inside = spots.filter((p) => p.km >= from - 1e-9 && p.km <= to + 1e-9);
    const farthest = (...kinds: MarkKind[]) => {
      let worst: number | null = null;
      for (const p of inside) {
        const near = finder.nearest(p, ...kinds);
        if (near) worst = Math.max(worst ?? 0, near.km * route.detour);
      }
      return worst;
    };
    const signal =
      inside.length > 0 && inside.every((p) => (finder.nearest(p, 'signal')?.km ?? Infinity) <= SIGNAL_REACH);
    let fuelGap: number | null = null;
    if (hasFuel)
      stops.slice(1).forEach((stop, i) => {
        const start = at(stops, i);
        if (start < to && stop > from) fuelGap = Math.max(fuelGap ?? 0, stop - start);
      });
    const section: Section = {
      name,
      from,
      to,
      climb: climbOf(inside),
      helpKm: farthest('shop', 'road-head', 'workshop', 'signal', 'fuel'),
      workshopKm: farthest('workshop'),
      signal,
      fuelGap,
      days: daysOf(route, from, to),
    };
    from = to;
    return [section];
  });
}
