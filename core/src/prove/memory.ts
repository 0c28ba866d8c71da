import { z } from 'zod';
import { id } from '../ground/fields.js';
import { line } from '../ground/text.js';

const stamp = z.iso.datetime();

/** How well one thing of one kit is remembered by somebody: what it is for and where it lies. The fields of the schedule are `ts-fsrs`'s. */
export const memorySchema = z.strictObject({
  id,
  bikeId: id,
  /** `me`, or a companion's id. */
  who: line(40).min(1),
  /** What is asked: `<trouble> <item>`. */
  card: line(240).min(1),
  /** In the dark it is a thing of its own. */
  dark: z.boolean(),
  due: stamp,
  stability: z.number().min(0).max(40_000),
  difficulty: z.number().min(0).max(10),
  scheduledDays: z.number().min(0).max(40_000),
  learningSteps: z.int().min(0).max(100),
  reps: z.int().min(0).max(100_000),
  lapses: z.int().min(0).max(100_000),
  state: z.int().min(0).max(3),
  last: stamp.nullable(),
  /** Fewest seconds that a right answer took; null before the first. */
  best: z.number().min(0).max(3600).nullable(),
});
export type Memory = z.infer<typeof memorySchema>;
