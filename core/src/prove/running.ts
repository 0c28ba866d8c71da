import type { Drill, StuckReason } from '../repairs/index.js';
import type { Rehearsal } from './rehearsal.js';

/** Seconds between two moments; a clock that was set back says nothing. */
const between = (from: string, to: string): number => Math.max(0, (Date.parse(to) - Date.parse(from)) / 1000);
/** A step's clock never says more than two days. */
const MOST_SECONDS = 172_800;

/** A drill as it begins: its first step's clock runs. */
export const startDrill = (
  r: Pick<Rehearsal, 'trouble' | 'wayName' | 'wheel' | 'planned' | 'tools' | 'dry'>,
  given: Pick<Drill, 'id' | 'bikeId' | 'tripId' | 'who' | 'dark'> & { now: string; dry: boolean; real?: boolean },
): Drill => ({
  id: given.id,
  bikeId: given.bikeId,
  tripId: given.tripId,
  trouble: r.trouble.id,
  way: r.wayName,
  wheel: r.wheel,
  who: given.who,
  started: given.now,
  ended: null,
  state: 'running',
  real: given.real ?? false,
  dry: given.dry || (r.dry !== null && given.real !== true),
  dark: given.dark,
  planned: r.planned,
  step: 0,
  since: given.now,
  seconds: [],
  stuck: [],
  tools: [...r.tools],
  turned: [],
  note: '',
});

/** Seconds of the open step so far, with what its clock has run since. */
export const stepSeconds = (d: Pick<Drill, 'seconds' | 'step' | 'since'>, now: string): number =>
  Math.min(MOST_SECONDS, (d.seconds[d.step] ?? 0) + (d.since === null ? 0 : between(d.since, now)));

/** The drill with its clock read: what ran is written down. */
function clocked(d: Drill, now: string): Drill {
  if (d.since === null) return d;
  const seconds = Array.from({ length: Math.max(d.seconds.length, d.step + 1) }, (_, i) => d.seconds[i] ?? 0);
  seconds[d.step] = stepSeconds(d, now);
  return { ...d, seconds, since: now };
}

/** Whether it still goes on. */
export const isOpen = (d: Pick<Drill, 'state'>): boolean => d.state === 'running' || d.state === 'paused';

/**
 * The open step is done: its clock stops and the next one's starts; after the last step the drill is done.
 * @param steps how many there are
 * @param turned ids of the heads that the step turned
 */
export function stepDone(d: Drill, now: string, steps: number, turned: readonly string[] = []): Drill {
  if (!isOpen(d)) return d;
  const at = clocked(d, now);
  const step = d.step + 1;
  // A dry run turns nothing.
  const heads = d.dry ? d.turned : [...new Set([...d.turned, ...turned])];
  return step >= steps
    ? { ...at, step, turned: heads, state: 'done', since: null, ended: now }
    : { ...at, step, turned: heads, state: 'running', since: now };
}

/** One step back: its clock goes on from where it stood. */
export const stepBack = (d: Drill, now: string): Drill =>
  isOpen(d) && d.step > 0 ? { ...clocked(d, now), step: d.step - 1 } : d;

/** Both hands are needed elsewhere: the clock stands. */
export const pauseDrill = (d: Drill, now: string): Drill =>
  d.state === 'running' ? { ...clocked(d, now), state: 'paused', since: null } : d;
/** A drill that was torn off, taken up where it was. */
export const resumeDrill = (d: Drill, now: string): Drill =>
  d.state === 'paused' ? { ...d, state: 'running', since: now } : d;

/**
 * A drill that was torn off, by a dead battery or a closed page, is taken up where it was: its clock stopped when it was last seen to run.
 * @param seen the last moment that is known of; null for none, then the open step's clock stands as it was last written
 */
export function takenUp(d: Drill, seen: string | null): Drill {
  if (d.state !== 'running' || d.since === null) return d;
  return pauseDrill(d, seen !== null && seen > d.since ? seen : d.since);
}

/** It is given up: what is known so far stays, and its time counts for nothing. */
export const giveUp = (d: Drill, now: string): Drill =>
  isOpen(d) ? { ...clocked(d, now), state: 'given up', since: null, ended: now } : d;

/** Stuck at the open step: why, and over what. The clock goes on, as it would out there. */
export const stuckAt = (d: Drill, reason: StuckReason, item = ''): Drill => ({
  ...d,
  stuck: [...d.stuck, { step: d.step, reason, item: item.slice(0, 160) }].slice(-120),
});
