import { FREE_ACCESS, newFastener, STATIONS, type Bike, type Fastener, type Station } from '../index.js';
import { parseShape } from '../../ground/line/index.js';
import type { Head } from '../../ground/sizes/index.js';
import { LOOKS, type Look } from './looks.js';

/** A thing to look at on this bike, and what the survey already has of it. */
export interface Visit {
  look: Look;
  /** Fasteners that answer it, left-out ones included. */
  rows: Fastener[];
  state: 'to do' | 'assumed' | 'done';
}
export interface Guide {
  visits: Visit[];
  /** The next thing to look at: first what nobody looked at yet, then what is still assumed; null when all is known. */
  next: Visit | null;
  done: number;
}

const headOf = (text: string): Head => {
  const read = parseShape(text);
  if (!('head' in read)) throw new Error(`guided walk: "${text}" is no size: ${read.reason}`);
  return read.head;
};
const usual = <T>(value: T | ((bike: Bike) => T), bike: Bike): T =>
  typeof value === 'function' ? (value as (bike: Bike) => T)(bike) : value;

/** What such a bike has to be looked at, in the order of the walk. */
export const looksOf = (bike: Bike): Look[] =>
  LOOKS.filter((l) => l.on?.(bike) ?? true).sort((a, b) => STATIONS.indexOf(a.station) - STATIONS.indexOf(b.station));

/** Fasteners as the looks ask for them: by the look that made them, and the others by station with their names in small letters. */
function sorted(fasteners: readonly Fastener[]) {
  const byLook = new Map<string, Fastener[]>();
  const byStation = new Map<Station, { f: Fastener; name: string }[]>();
  const into = <K, V>(map: Map<K, V[]>, key: K, value: V) => {
    const list = map.get(key);
    if (list) list.push(value);
    else map.set(key, [value]);
  };
  for (const f of fasteners)
    if (f.look !== null) into(byLook, f.look, f);
    else into(byStation, f.station, { f, name: f.name.toLowerCase() });
  return { byLook, byStation };
}

/** Fasteners that answer a look: those that it made, and those typed without the walk that have its job there, or a word of its in their name. */
function answering(look: Look, { byLook, byStation }: ReturnType<typeof sorted>): Fastener[] {
  const words = look.words.split(',');
  const typed = (byStation.get(look.station) ?? []).filter(
    ({ f, name }) => (look.role !== undefined && f.role === look.role) || words.some((w) => name.includes(w)),
  );
  return [...(byLook.get(look.key) ?? []), ...typed.map((t) => t.f)];
}

/**
 * Where a walk stands: every thing to look at, with the rows that answer it. It follows from the rows alone, so it can be left at any time and
 * taken up again on any machine.
 * @param station the walk begins here, when the rider has gone there; else at the front
 */
export function guideOf(bike: Bike, fasteners: readonly Fastener[], station: Station | null = null): Guide {
  const mine = sorted(fasteners.filter((f) => f.bikeId === bike.id));
  const visits = looksOf(bike).map((look): Visit => {
    const rows = answering(look, mine);
    const open = rows.filter((f) => f.leftOut === null);
    const state = rows.length === 0 ? 'to do' : open.some((f) => f.evidence === 'assumed') ? 'assumed' : 'done';
    return { look, rows, state };
  });
  const here = station ? visits.filter((v) => v.look.station === station) : [];
  const next =
    here.find((v) => v.state === 'to do') ??
    here.find((v) => v.state === 'assumed') ??
    visits.find((v) => v.state === 'to do') ??
    visits.find((v) => v.state === 'assumed') ??
    null;
  return { visits, next, done: visits.filter((v) => v.state === 'done').length };
}

/** The row that a look proposes: *assumed*, with the usual size. */
export function proposal(look: Look, bike: Bike, id: string): Fastener {
  return newFastener({
    id,
    bikeId: bike.id,
    station: look.station,
    name: look.name,
    head: headOf(usual(look.head, bike)),
    far: look.far ? headOf(look.far) : null,
    thread: look.thread ?? null,
    count: look.count === undefined ? 1 : usual(look.count, bike),
    role: look.role ?? null,
    access: { ...FREE_ACCESS, ...look.access },
    farAccess: { ...FREE_ACCESS, ...look.farAccess },
    shakesLoose: look.shakesLoose ?? false,
    getsLost: look.getsLost ?? false,
    breaks: look.breaks ?? false,
    accessory: look.accessory ?? false,
    evidence: 'assumed',
    look: look.key,
  });
}

/** Reasons that a thing is not turned by the road, for a press instead of typing. */
export const LEAVE_OUT = [
  'not on this bike',
  'no roadside job turns it',
  'inside work, for the workshop',
  'cannot be reached without taking the bike apart',
] as const;
