import { entry, present } from '../ground/numbers.js';
import type { Source } from '../ground/fields.js';
import { millimetres, USUAL_THREAD, USUAL_TORQUE, type Head } from '../ground/sizes/index.js';
import { CONDITIONS, type Condition, type Fastener, type Role } from './fastener.js';

/** Where a torque comes from: whoever gave it, or what it is typical for; or a tightening torque times the factor of a state. */
export type TorqueFact =
  | { code: 'torque.source'; source: Source }
  | { code: 'torque.plug' | 'torque.head' }
  /** Usual for a job, N·m. */
  | { code: 'torque.job'; role: Role; from: number; to: number }
  | { code: 'torque.thread'; thread: string }
  | { code: 'torque.break-loose'; tightening: number; of: TorqueFact; factor: number; condition: Condition };
/** A torque, N·m, with where it comes from. */
export interface Torque {
  value: number;
  source: TorqueFact;
}

/**
 * Tightening torque by what a fastener does, N·m: the usual range and the value that tools are planned by. The job outranks the thread, because
 * an M16 axle is not tightened as an M16 bolt of a steel frame is. Planning values from general engineering knowledge; the manual's value wins.
 */
export const ROLE_TORQUE: Readonly<Partial<Record<Role, { from: number; to: number; plan: number }>>> = {
  'front axle': { from: 60, to: 110, plan: 75 },
  'rear axle': { from: 80, to: 150, plan: 100 },
  'chain adjuster': { from: 10, to: 20, plan: 15 },
  'clutch lever': { from: 4, to: 8, plan: 6 },
  'brake lever': { from: 4, to: 8, plan: 6 },
  battery: { from: 3, to: 6, plan: 4 },
  'fuse box': { from: 1, to: 3, plan: 2 },
  plug: { from: 12, to: 25, plan: 17 },
  sprocket: { from: 35, to: 45, plan: 40 },
  'gear pedal': { from: 8, to: 14, plan: 10 },
  'brake pads': { from: 10, to: 20, plan: 15 },
  mirror: { from: 15, to: 25, plan: 20 },
  'exhaust fixing': { from: 15, to: 25, plan: 20 },
  spoke: { from: 2, to: 6, plan: 3 },
  'valve core': { from: 0.2, to: 0.5, plan: 0.3 },
  steering: { from: 60, to: 110, plan: 80 },
  'hose clamp': { from: 1, to: 4, plan: 2 },
  'oil drain': { from: 20, to: 40, plan: 30 },
  'rim lock': { from: 10, to: 15, plan: 13 },
  'carburettor bowl': { from: 2, to: 4, plan: 3 },
  'brake stay': { from: 15, to: 30, plan: 22 },
  'kick lever': { from: 10, to: 25, plan: 18 },
  'brake union': { from: 18, to: 30, plan: 24 },
};

/** Torque of a spark plug by its hexagon, mm: M10 plugs 12, M12 17, M14 25. */
const PLUG_TORQUE: readonly (readonly [mm: number, value: number])[] = [
  [14, 12],
  [16, 17],
  [18, 20],
  [Infinity, 25],
];

/** Six-lobe, cross and square recesses by their number, and slots by their width: torque of the screws that carry them. Planning values. */
const BY_NUMBER: Readonly<Partial<Record<Head['form'], Readonly<Record<string, number>>>>> = {
  lobe: { 8: 0.8, 10: 1.3, 15: 2, 20: 3, 25: 6, 27: 8, 30: 10, 40: 24, 45: 24, 50: 47, 55: 82, 60: 130 },
  'lobe-out': { 4: 3, 5: 4, 6: 6, 7: 8, 8: 10, 10: 24, 11: 24, 12: 47, 14: 82, 16: 82, 18: 100, 20: 100 },
  ph: { 0: 0.5, 1: 1.2, 2: 3, 3: 5, 4: 8 },
  jis: { 0: 0.5, 1: 1.2, 2: 3, 3: 5 },
  square: { 0: 0.5, 1: 1.5, 2: 3, 3: 5 },
};
/** N·m for each mm of a slot's width, up to a filler cap's. */
const SLOT_PER_MM = 0.35;
/** A slot from here on is a cap's, set by hand: mm, and its N·m. */
const CAP_SLOT = { from: 10, torque: 2 } as const;
/** Rings that a hook spanner turns: bearing preload and shock rings are set, not wrung. */
const HOOK = 20;
/** Hexagons from here on are axle, pivot and pinion nuts, mm. */
const LARGE_HEX = 23;
const LARGE_KEY = 15;
const LARGE = { hex: 100, key: 75 } as const;
/** The smallest hexagons, which sit on no thread of the table: mm across flats and N·m. */
const SMALL_HEX: readonly (readonly [mm: number, value: number])[] = [
  [5.5, 1.3],
  [6, 2],
];
const SMALL_KEY: readonly (readonly [mm: number, value: number])[] = [
  [1.5, 0.4],
  [2, 0.8],
  [2.5, 1.3],
];

/** Across flats of the heads that threads usually carry with the torque of those threads, so that any size has a neighbour. */
function ladderOf(form: 'hex' | 'key'): (readonly [mm: number, value: number])[] {
  const small = form === 'hex' ? SMALL_HEX : SMALL_KEY;
  const usual = Object.entries(USUAL_THREAD)
    .filter(([head]) => head.startsWith(`${form} `))
    .map(([head, thread]) => [Number(head.slice(4)), entry(USUAL_TORQUE, thread)] as const);
  return [...small, ...usual].sort((a, b) => a[0] - b[0]);
}
const LADDERS = { hex: ladderOf('hex'), key: ladderOf('key') } as const;

/** The torque of the nearest size that a thread usually carries; every size has one, metric or inch. */
function nearest(form: 'hex' | 'key', mm: number): number {
  if (mm >= (form === 'hex' ? LARGE_HEX : LARGE_KEY)) return LARGE[form];
  return LADDERS[form].reduce((a, b) => (Math.abs(b[0] - mm) < Math.abs(a[0] - mm) ? b : a))[1];
}

/**
 * Torque to plan by from the head alone, N·m; nought for what is pulled and not turned.
 * @returns N·m
 * @example headTorque({ form: 'hex', size: '17' }) // 47
 */
export function headTorque(head: Head): number {
  switch (head.form) {
    case 'hex':
    case 'hex12':
      return nearest('hex', millimetres(head.size));
    case 'key':
      return nearest('key', millimetres(head.size));
    case 'plug':
      return present(PLUG_TORQUE.find(([mm]) => millimetres(head.size) <= mm))[1];
    case 'slot':
      return millimetres(head.size) >= CAP_SLOT.from
        ? CAP_SLOT.torque
        : Math.round(10 * SLOT_PER_MM * millimetres(head.size)) / 10;
    case 'hook':
      return HOOK;
    case 'spoke':
      return present(ROLE_TORQUE.spoke).plan;
    case 'valve':
      return entry(ROLE_TORQUE, 'valve core').plan;
    case 'clip':
      return 0;
    case 'lobe-pin':
      return present(BY_NUMBER.lobe)[head.size] ?? 1;
    default:
      return BY_NUMBER[head.form]?.[head.size] ?? 1;
  }
}

/**
 * Tightening torque to plan tools by, N·m: the rider's own figure, else by the fastener's job, else by its thread, else by its head. Every
 * fastener has one. Planning values are never values to tighten to.
 */
export function planningTorque(fastener: Pick<Fastener, 'torque' | 'role' | 'thread' | 'head'>): Torque {
  const { torque, role, thread, head } = fastener;
  if (torque) return { value: torque.value, source: { code: 'torque.source', source: torque.source } };
  // A plug's hexagon says more of its thread than its job does.
  if (head.form === 'plug') return { value: headTorque(head), source: { code: 'torque.plug' } };
  // Small heads that serve a job, such as a screw beside an axle, are not wrung as the job's main nut is.
  const job = role ? ROLE_TORQUE[role] : undefined;
  if (role && job && fitsJob(head, job.plan))
    return { value: job.plan, source: { code: 'torque.job', role, from: job.from, to: job.to } };
  if (thread) return { value: entry(USUAL_TORQUE, thread), source: { code: 'torque.thread', thread } };
  return { value: headTorque(head), source: { code: 'torque.head' } };
}

/** Whether a head is of a size that bears a job's torque: an M6 pinch screw marked as an axle is not tightened to 75 N·m. */
const fitsJob = (head: Head, plan: number): boolean => headTorque(head) >= plan / 2;

/** Whether tools are planned by a planning value rather than by a figure that the rider typed. */
export const isPlanned = (fastener: Pick<Fastener, 'torque'>): boolean =>
  fastener.torque === null || fastener.torque.source === 'planning value';

/** Torque that it takes to break a fastener loose, N·m: tightening × condition factor. */
export function breakLoose(fastener: Pick<Fastener, 'torque' | 'role' | 'thread' | 'head' | 'condition'>): Torque {
  const torque = planningTorque(fastener);
  const factor = CONDITIONS[fastener.condition];
  return {
    value: torque.value * factor,
    source: {
      code: 'torque.break-loose',
      tightening: torque.value,
      of: torque.source,
      factor,
      condition: fastener.condition,
    },
  };
}
