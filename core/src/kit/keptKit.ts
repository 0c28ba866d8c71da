import { z } from 'zod';
import { line } from '../ground/text.js';
import { count, euros, grams, id, name, note } from '../ground/fields.js';

/** A kit written down: its contents with the figures of that day, so that they stay what they were. */
export const keptKitSchema = z.strictObject({
  id,
  name,
  bikeId: id.nullable(),
  tripId: id.nullable(),
  made: z.iso.datetime(),
  /** A frozen kit keeps its contents; only its name and note change. */
  frozen: z.boolean(),
  pieces: z.array(z.strictObject({ pieceId: id, name, count, mass: grams })).max(2000),
  supplies: z.array(z.strictObject({ kind: line(60), name, quantity: count, mass: grams })).max(300),
  /** What it came to when it was written down. */
  figures: z.strictObject({
    mass: grams,
    bulk: z.number().min(0).max(2_000_000),
    price: euros,
    reached: z.int().min(0).max(20_000),
    chosen: z.int().min(0).max(20_000),
    saved: z.number().min(0).max(100_000),
    atStake: z.number().min(0).max(100_000),
    home: z.number().min(0).max(1),
  }),
  note,
});
export type KeptKit = z.infer<typeof keptKitSchema>;
