import * as SunCalc from 'suncalc';
import {
  apart,
  marksOnTheWay,
  MARK_KINDS,
  routeKm,
  spotsAlong,
  type MarkKind,
  type Route,
  type Spot,
} from '../trip/route/index.js';

/** Help of one kind on the way: its name, km from here along the way, and hours at a speed. */
export interface HelpOnWay {
  kind: MarkKind;
  name: string;
  km: number;
  hours: number;
  /** Ahead on the way, or back. */
  side: 'ahead' | 'back';
}
/** Where one is on a loaded way. */
export interface WhereNow {
  /** km from the start, and km off the track in a straight line. */
  km: number;
  off: number;
  left: number;
  /** The last mark that was passed, and km since; null before the first. */
  last: { name: string; km: number } | null;
  next: { name: string; km: number } | null;
  /** The nearest of each kind ahead and back. */
  help: HelpOnWay[];
}

/** km/h along a way of tracks and gravel with a machine that goes. Planning value. */
export const ON_WAY_SPEED = 30;

/** Where a position lies on a way, what was passed last, and help ahead and back. @param speed km/h */
export function whereOnRoute(route: Route, at: Spot, speed = ON_WAY_SPEED): WhereNow {
  const spots = spotsAlong(route);
  const near = spots.reduce((a, b) => (apart(b, at) < apart(a, at) ? b : a));
  const marks = marksOnTheWay(route);
  const passed = marks.filter((m) => m.km <= near.km).at(-1);
  const coming = marks.find((m) => m.km > near.km);
  const help = MARK_KINDS.flatMap((kind): HelpOnWay[] => {
    const mine = marks.filter((m) => m.mark.kinds.includes(kind));
    const back = mine.filter((m) => m.km <= near.km).at(-1);
    const ahead = mine.find((m) => m.km > near.km);
    const of = (m: (typeof marks)[number] | undefined, side: 'ahead' | 'back') =>
      m
        ? [{ kind, name: m.mark.name, km: Math.abs(m.km - near.km), hours: Math.abs(m.km - near.km) / speed, side }]
        : [];
    return [...of(ahead, 'ahead'), ...of(back, 'back')];
  });
  return {
    km: near.km,
    off: apart(near, at),
    left: routeKm(route) - near.km,
    last: passed ? { name: passed.mark.name, km: near.km - passed.km } : null,
    next: coming ? { name: coming.mark.name, km: coming.km - near.km } : null,
    help,
  };
}

/** Minutes of daylight left at a place and moment, and when it ends; null where the sun does not set that day. */
export function daylightLeft(at: Spot, now: string): { minutes: number; until: string } | null {
  const moment = new Date(now);
  const today = SunCalc.getTimes(moment, at.lat, at.lon);
  const sunset = today.sunset;
  if (!(sunset instanceof Date) || Number.isNaN(sunset.getTime())) return null;
  return { minutes: (sunset.getTime() - moment.getTime()) / 60_000, until: sunset.toISOString() };
}

/** A position as one says it on the phone: degrees and minutes, and decimal degrees. */
export function positionText({ lat, lon }: Spot): { decimal: string; minutes: string } {
  const part = (value: number, pos: string, neg: string) => {
    const whole = Math.floor(Math.abs(value));
    const minutes = (Math.abs(value) - whole) * 60;
    // Sixty minutes are a degree more.
    const [d, m] = minutes >= 59.9995 ? [whole + 1, 0] : [whole, minutes];
    return `${d}° ${m.toFixed(3)}′ ${value < 0 ? neg : pos}`;
  };
  return {
    decimal: `${lat.toFixed(5)}, ${lon.toFixed(5)}`,
    minutes: `${part(lat, 'N', 'S')}, ${part(lon, 'E', 'W')}`,
  };
}
