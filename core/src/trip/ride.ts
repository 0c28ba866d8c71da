import { z } from 'zod';
import { line } from '../ground/text.js';
import { id, km, note } from '../ground/fields.js';

/** A ride that was ridden: how far on which ground, and what happened. The rider's own record. */
export const rideSchema = z.strictObject({
  id,
  /** The bike; null when it is no longer in the garage. */
  bike: id.nullable(),
  date: z.iso.date(),
  km: z.strictObject({ paved: km, gravel: km, track: km }),
  crossings: z.int().min(0).max(500),
  mishaps: z
    .array(
      z.strictObject({
        /** Key of the trouble, such as `puncture-tube`. */
        trouble: line(40).min(1),
        count: z.int().min(1).max(50),
        /** What was used, in the rider's words. */
        used: line(200),
      }),
    )
    .max(40),
  note,
});
export type Ride = z.infer<typeof rideSchema>;
