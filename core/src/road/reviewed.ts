import { z } from 'zod';
import { grams, id, name } from '../ground/fields.js';
import { line } from '../ground/text.js';

/** Things that one kit holds at most. */
const MOST_CARRIED = 600;

/** A trip that was looked back on: what was along and what of it was used. Reviews of later trips count from it what was never touched. */
export const reviewedSchema = z.strictObject({
  id,
  bikeId: id,
  tripId: id.nullable(),
  /** What the trip was called. */
  name,
  from: z.iso.date(),
  to: z.iso.date(),
  made: z.iso.datetime(),
  carried: z
    .array(
      z.strictObject({
        /** `piece <id>` or `supply <kind>`. */
        item: line(90).min(1),
        name: line(160),
        mass: grams,
        /** How often, or how many units. */
        used: z.number().min(0).max(10_000),
      }),
    )
    .max(MOST_CARRIED),
  missed: z.array(line(160)).max(60),
});
export type Reviewed = z.infer<typeof reviewedSchema>;
