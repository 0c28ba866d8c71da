import { z } from 'zod';
import { euros, grams, id } from '../garage/fields.js';
import { GRADES } from '../mends/way.js';

/** What is asked of the kit of a trip. */
export const kitQuestionSchema = z.strictObject({
  /** The lightest kit that gives each chosen trouble the grade, or the most that a limit of mass allows. */
  ask: z.enum(['lightest', 'most']),
  grade: z.enum(GRADES),
  /** Chance from which a trouble is asked for. */
  likely: z.number().min(0).max(1),
  /** Troubles that are not asked for although they are likely. */
  leftOut: z.array(z.string().max(80)).max(300),
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

export const LEVEL_NAMES = ['Everyday', 'Day', 'Week', 'Far'] as const;

export const newKitQuestion = (): KitQuestion => ({
  ask: 'lightest',
  grade: 'ride-out',
  likely: 0.02,
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
