import { z } from 'zod';
import { line } from '../ground/text.js';
import { grams, id, name, note } from '../ground/fields.js';

const coordinate = z.number().min(-10_000).max(10_000);
/** A packing written down with the figures of that day: what lay where, and what the bike made of it. */
export const packingSchema = z.strictObject({
  id,
  bikeId: id,
  name,
  made: z.iso.datetime(),
  items: z
    .array(
      z.strictObject({
        key: line(120).min(1),
        name,
        mass: grams,
        /** Null for what was loose. */
        placeId: id.nullable(),
        placeName: line(120),
      }),
    )
    .max(3000),
  figures: z.strictObject({
    /** Of the whole bike, packed. */
    mass: grams,
    centre: z.strictObject({ x: coordinate, y: coordinate, z: coordinate }),
    front: z.number().min(-500_000).max(1_000_000),
    rear: z.number().min(-500_000).max(1_000_000),
    side: z.number().min(-5000).max(5000),
    back: grams,
    /** Expected minutes of opening places on the trip. */
    minutes: z.number().min(0).max(1_000_000),
    broken: z.int().min(0).max(10_000),
  }),
  note,
});
export type KeptPacking = z.infer<typeof packingSchema>;
