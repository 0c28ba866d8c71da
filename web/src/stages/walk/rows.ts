import {
  EVIDENCE,
  isInch,
  millimetres,
  planningTorque,
  printShape,
  STATION_NAMES,
  STATIONS,
  typeShape,
  type Fastener,
  type Station,
} from '@necessaire/core';

/** What the sheet shows of the survey, and in which order. */
export interface Showing {
  /** Words that must all occur in the row's name, size, thread or note. */
  words: string;
  only: Only;
  sort: Sort;
  station: Station | null;
}
export const ONLY = ['all', 'only assumed', 'out of reach', 'accessories', 'inch', 'shakes loose', 'left out'] as const;
export type Only = (typeof ONLY)[number];
export const SORTS = ['round the bike', 'by size', 'by torque', 'by evidence', 'by name'] as const;
export type Sort = (typeof SORTS)[number];
export const EVERYTHING: Showing = { words: '', only: 'all', sort: 'round the bike', station: null };

/** A stretch of rows under a heading; without a station the rows of all stations stand together. */
export interface Group {
  key: string;
  station: Station | null;
  rows: Fastener[];
  sure: number;
}

const heads = (f: Fastener) => (f.far ? [f.head, f.far] : [f.head]);
const text = (f: Fastener) =>
  [f.name, ...heads(f).map(typeShape), f.thread ?? '', f.condition, f.note, f.role ?? '', f.station]
    .join(' ')
    .toLowerCase();

/** Whether a row is to be shown. `reached` tells what the toolbox turns. */
export function shows(f: Fastener, by: Showing, reached: (f: Fastener) => boolean): boolean {
  if (by.station !== null && f.station !== by.station) return false;
  if ((f.leftOut !== null) !== (by.only === 'left out')) return false;
  const words = by.words.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length > 0 && !words.every((w) => text(f).includes(w))) return false;
  switch (by.only) {
    case 'only assumed':
      return f.evidence === 'assumed';
    case 'out of reach':
      return !reached(f);
    case 'accessories':
      return f.accessory;
    case 'inch':
      return heads(f).some((h) => isInch(h.size));
    case 'shakes loose':
      return f.shakesLoose || f.getsLost;
    default:
      return true;
  }
}

const order: Record<Exclude<Sort, 'round the bike'>, (a: Fastener, b: Fastener) => number> = {
  'by size': (a, b) =>
    a.head.form.localeCompare(b.head.form) || (millimetres(a.head.size) || 0) - (millimetres(b.head.size) || 0),
  'by torque': (a, b) => (planningTorque(b)?.value ?? 0) - (planningTorque(a)?.value ?? 0),
  'by evidence': (a, b) => EVIDENCE.indexOf(a.evidence) - EVIDENCE.indexOf(b.evidence),
  'by name': (a, b) => a.name.localeCompare(b.name),
};

/** The rows to show, grouped by station when they go round the bike, else in one list. Equal rows keep their order. */
export function groupsOf(fasteners: readonly Fastener[], by: Showing, reached: (f: Fastener) => boolean): Group[] {
  const shown = fasteners.filter((f) => shows(f, by, reached));
  const group = (key: string, station: Station | null, rows: Fastener[]): Group => ({
    key,
    station,
    rows,
    sure: rows.filter((f) => f.evidence !== 'assumed').length,
  });
  if (by.sort !== 'round the bike') return [group('all', null, [...shown].sort(order[by.sort]))];
  return STATIONS.filter((s) => by.station === null || s === by.station)
    .map((s) =>
      group(
        s,
        s,
        shown.filter((f) => f.station === s),
      ),
    )
    .filter((g) => g.rows.length > 0 || g.station === by.station);
}

/** The rows from one to the other in the order shown, for choosing a stretch at once. */
export function stretch(groups: readonly Group[], from: string, to: string): string[] {
  const ids = groups.flatMap((g) => g.rows.map((f) => f.id));
  const [a, b] = [ids.indexOf(from), ids.indexOf(to)];
  return a < 0 || b < 0 ? [to] : ids.slice(Math.min(a, b), Math.max(a, b) + 1);
}

/** A fastener in a few words: `outside hex 27 Axle nut ×2, Drive and rear wheel`. */
export const fastenerText = (f: Fastener): string =>
  `${printShape(f.head)} ${f.name}${f.count > 1 ? ` ×${f.count}` : ''}, ${STATION_NAMES[f.station].toLowerCase()}`;
