import { cut } from '../../ground/text.js';
import { SaxesParser } from 'saxes';

/** A point of a track: degrees, metres above the sea where known, and when, as it stood in the file. */
export interface TrackPoint {
  lat: number;
  lon: number;
  ele: number | null;
  time: string | null;
  /** Whether a new stretch begins here: the way from the point before was not recorded, and not ridden. */
  begins?: boolean;
}
export interface Waypoint {
  lat: number;
  lon: number;
  name: string;
  /** What the file calls it: its symbol and type. */
  kind: string;
}
export interface GpxFile {
  points: TrackPoint[];
  waypoints: Waypoint[];
  /** Name of the first track or route; empty when there is none. */
  name: string;
}

export const MOST_GPX_BYTES = 64 * 1024 * 1024;
export const MOST_GPX_POINTS = 250_000;
const MOST_WAYPOINTS = 5000;
/** No device writes deeper than this; a file that does means harm or is broken. */
const MOST_DEPTH = 40;
const MOST_TEXT = 200;

/** The name of an element without the prefix of its namespace. */
const localName = (name: string): string => name.slice(name.indexOf(':') + 1).toLowerCase();

/** What makes a file no use; its message says what to do. */
class Refused extends Error {}

/**
 * Reads a GPX file: tracks, else routes, and waypoints. Names and numbers only: a document type, which could bring entities of its own,
 * is refused, and nothing is fetched.
 * @param text the file's text
 */
export function readGpx(text: string): { ok: true; file: GpxFile } | { ok: false; message: string } {
  if (text.length > MOST_GPX_BYTES)
    return { ok: false, message: `the file is over ${MOST_GPX_BYTES / 1024 / 1024} MB: split it` };
  if (text.trim() === '') return { ok: false, message: 'the file is empty' };
  const tracks: TrackPoint[] = [];
  const routes: TrackPoint[] = [];
  const waypoints: Waypoint[] = [];
  const names: string[] = [];
  const parser = new SaxesParser();
  const path: string[] = [];
  let words = '';
  let point: (TrackPoint & Waypoint) | null = null;
  /** How deep the point lies whose words are read: only its own children speak of it. */
  let pointDepth = 0;
  let begins = false;

  parser.on('doctype', () => {
    throw new Refused('it has a document type, which no track needs: export it again as plain GPX');
  });
  parser.on('error', (error) => {
    throw new Refused(`it is not whole XML (${error.message.replace(/^\d+:\d+: /, '').slice(0, 80)}): export it again`);
  });
  parser.on('opentag', (tag) => {
    const name = localName(tag.name);
    path.push(name);
    words = '';
    if (path.length > MOST_DEPTH) throw new Refused('it is nested too deep to be a track');
    if (path.length === 1 && name !== 'gpx')
      throw new Refused(`this is ${name.slice(0, 30)}, not GPX: export the track as GPX`);
    if (name === 'trkseg' || name === 'rte') begins = true;
    if (name !== 'trkpt' && name !== 'rtept' && name !== 'wpt') return;
    pointDepth = path.length;
    if (tracks.length + routes.length >= MOST_GPX_POINTS)
      throw new Refused(`over ${MOST_GPX_POINTS.toLocaleString('en')} points: thin it out or split it`);
    if (waypoints.length >= MOST_WAYPOINTS) throw new Refused(`over ${MOST_WAYPOINTS} waypoints: split the file`);
    const number = (key: string, most: number) => {
      const value = tag.attributes[key];
      const n = typeof value === 'string' && value.trim() !== '' ? Number(value) : Number.NaN;
      const at = `point ${tracks.length + routes.length + waypoints.length + 1}`;
      if (!Number.isFinite(n)) throw new Refused(`${at} has no ${key}: export the file again`);
      if (Math.abs(n) > most) throw new Refused(`${at} lies at ${key} ${n}, beyond ${most}°: it is not on the earth`);
      return n;
    };
    point = { lat: number('lat', 90), lon: number('lon', 180), ele: null, time: null, name: '', kind: '' };
  });
  const hear = (t: string) => {
    if (words.length < MOST_TEXT) words += t;
  };
  parser.on('text', hear);
  parser.on('cdata', hear);
  parser.on('closetag', (tag) => {
    const name = localName(tag.name);
    path.pop();
    const said = cut(words.trim(), MOST_TEXT);
    words = '';
    if (point) {
      const own = path.length === pointDepth;
      if (name === 'trkpt' || name === 'rtept') {
        const { lat, lon, ele, time } = point;
        const into = name === 'trkpt' ? tracks : routes;
        into.push({ lat, lon, ele, time, ...(begins && into.length > 0 ? { begins } : {}) });
        begins = false;
        if (name === 'rtept' && point.name) waypoints.push({ lat, lon, name: point.name, kind: point.kind });
        point = null;
      } else if (name === 'wpt') {
        waypoints.push({ lat: point.lat, lon: point.lon, name: point.name || 'Waypoint', kind: point.kind });
        point = null;
      } else if (!own) return;
      else if (name === 'ele') {
        const n = said === '' ? Number.NaN : Number(said);
        point.ele = Number.isFinite(n) && Math.abs(n) < 12_000 ? n : null;
      } else if (name === 'time') point.time = Number.isNaN(Date.parse(said)) ? null : said;
      else if (name === 'name') point.name = said;
      else if (name === 'sym' || name === 'type') point.kind = `${point.kind} ${said}`.trim();
    } else if (name === 'name' && (path.at(-1) === 'trk' || path.at(-1) === 'rte') && said) names.push(said);
  });
  try {
    parser.write(text).close();
  } catch (error) {
    if (error instanceof Refused) return { ok: false, message: error.message };
    throw error;
  }
  const points = tracks.length > 0 ? tracks : routes;
  if (points.length === 0 && waypoints.length === 0)
    return { ok: false, message: 'it holds neither track, route nor waypoint: record or draw one' };
  return { ok: true, file: { points, waypoints, name: names[0] ?? '' } };
}
