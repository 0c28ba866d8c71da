import { z } from 'zod';
import { id, name, note } from '../ground/fields.js';
import { line } from '../ground/text.js';

/** Why somebody could not go on with a step. */
export const STUCK_REASONS = [
  'missing',
  'does not fit',
  'too weak',
  'cannot reach',
  'do not know how',
  'wrong place',
] as const;
export type StuckReason = (typeof STUCK_REASONS)[number];

/** Steps that one drill has at most. */
export const MOST_STEPS = 80;

const seconds = z.number().min(0).max(200_000);

/** Where somebody was stuck in a drill, and over what. */
export const stuckSchema = z.strictObject({
  step: z.int().min(0).max(MOST_STEPS),
  reason: z.enum(STUCK_REASONS),
  /** What it was about: a piece, a spare or a head, as it is called; empty where nothing was named. */
  item: line(160),
});
export type Stuck = z.infer<typeof stuckSchema>;

/**
 * A repair that was gone through step by step, rehearsed or out on the road. It is written at every step, so that whatever ends it early loses
 * nothing.
 */
export const drillSchema = z.strictObject({
  id,
  bikeId: id,
  /** The trip whose kit it was done with; null without one. */
  tripId: id.nullable(),
  /** Trouble, and the way's own name without what it went quicker with. */
  trouble: line(80).min(1),
  way: name,
  /** Which wheel it was, where the way is for either; null elsewhere. */
  wheel: z.enum(['front', 'rear']).nullable(),
  /** Who did it: `me`, or a companion's id. */
  who: line(40).min(1),
  started: z.iso.datetime(),
  ended: z.iso.datetime().nullable(),
  state: z.enum(['running', 'paused', 'done', 'given up']),
  /** Whether it was needed out on a ride. */
  real: z.boolean(),
  /** Whether it was only talked and reached through: no bolt turned, nothing used up. Then its minutes count for nothing. */
  dry: z.boolean(),
  dark: z.boolean(),
  /** Minutes that were planned for it then, by day. */
  planned: z.number().min(0).max(3000),
  /** The step that is open; as many as there are when all are done. */
  step: z.int().min(0).max(MOST_STEPS),
  /** Since when the open step's clock runs; null while it stands. */
  since: z.iso.datetime().nullable(),
  /** Seconds of each step so far. */
  seconds: z.array(seconds).max(MOST_STEPS),
  stuck: z.array(stuckSchema).max(120),
  /** Ids of the tools that it was done with. */
  tools: z.array(line(80)).max(120),
  /** Ids of the heads that were turned. */
  turned: z.array(id).max(400),
  note,
});
export type Drill = z.infer<typeof drillSchema>;

/**
 * Minutes on the clock of a drill, of all steps together.
 * @returns minutes
 */
export const drillMinutes = (drill: Pick<Drill, 'seconds'>): number =>
  drill.seconds.reduce((sum, s) => sum + s, 0) / 60;

/** Under this share of what was planned nobody did the work: the steps were only pressed through. Planning value. */
export const LEAST_OF_PLAN = 0.1;
/** Whether its clock says that the work was done at all. */
export const isBelievable = (drill: Pick<Drill, 'seconds' | 'planned'>): boolean =>
  drillMinutes(drill) >= LEAST_OF_PLAN * drill.planned;

/** Whether it counts as done: finished, not dry, and not only pressed through. */
export const countsAsTime = (drill: Pick<Drill, 'state' | 'dry' | 'seconds' | 'planned'>): boolean =>
  drill.state === 'done' && !drill.dry && isBelievable(drill);
