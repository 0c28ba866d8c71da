import { z } from 'zod';
import { line } from '../ground/text.js';
import { euros, grams, id } from '../ground/fields.js';
import { ROLES } from '../bike/fastener.js';
import { GRADES } from '../repairs/way.js';

/** Something that the kit must allow, whatever it weighs: a trouble mended at a grade once, or fasteners of a job turned. */
export const mustSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('repair'), trouble: line(80), grade: z.enum(GRADES) }),
  z.strictObject({ by: z.literal('turn'), role: z.enum(ROLES) }),
]);
export type Must = z.infer<typeof mustSchema>;

/** What is asked of the kit of a trip. */
export const kitQuestionSchema = z.strictObject({
  /**
   * The best kit for its weight, up to where a further 100 g save less than so many minutes; the lightest kit that gives each chosen trouble the
   * grade; or the most that a limit of mass allows.
   */
  ask: z.enum(['worth', 'lightest', 'most']),
  /** Minutes that 100 g more have to save. */
  knee: z.number().min(0.01).max(600),
  /** What the kit must allow in any case. */
  musts: z.array(mustSchema).max(60),
  grade: z.enum(GRADES),
  /** Chance from which a trouble is asked for. */
  likely: z.number().min(0).max(1),
  /** Troubles that are not asked for although they are likely. */
  leftOut: z.array(line(80)).max(300),
  /** What is to be saved: hours, or money. */
  value: z.enum(['hours', 'money']),
  /** Limits: grams, mL, euros; null for none. */
  mass: grams,
  bulk: z.number().min(0).max(200_000).nullable(),
  price: euros.nullable(),
  /** What an hour lost and being fetched cost, euros. */
  hourEuros: z.number().min(0).max(10_000),
  fetchEuros: z.number().min(0).max(100_000),
  /** Grams of the nested kits: everyday, day, week, far. */
  levels: z.tuple([grams, grams, grams, grams]),
  /** A kept kit that is packed as it is; null for the one worked out. */
  use: id.nullable(),
});
export type KitQuestion = z.infer<typeof kitQuestionSchema>;

/** Minutes that 100 g more have to save where the rider does not say. Planning value. */
export const KNEE_MINUTES = 1.2;

export const LEVEL_NAMES = ['Everyday', 'Day', 'Week', 'Far'] as const;

/** What is asked of a kit before anybody says otherwise. */
export const newKitQuestion = (): KitQuestion => ({
  ask: 'worth',
  knee: KNEE_MINUTES,
  musts: [],
  grade: 'ride-out',
  likely: 0.01,
  leftOut: [],
  value: 'hours',
  mass: 4500,
  bulk: null,
  price: null,
  hourEuros: 20,
  fetchEuros: 250,
  levels: [700, 1800, 4000, 7000],
  use: null,
});
