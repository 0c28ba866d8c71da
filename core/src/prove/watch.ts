import { z } from 'zod';
import { id, km, name } from '../ground/fields.js';
import { line } from '../ground/text.js';
import { STATIONS } from '../bike/stations.js';

/** Something on a bike that is looked at again until a workshop has seen to it. */
export const watchSchema = z.strictObject({
  id,
  bikeId: id,
  name,
  /** Why: what was done to it, and what would end it. */
  why: line(300),
  caution: line(600),
  station: z.enum(STATIONS).nullable(),
  /** What it comes from: a drill, a ride's log, a repair on the road, or the rider's own hand. */
  from: z.enum(['drill', 'log', 'road', 'hand']),
  since: z.iso.date(),
  /** Odometer then. */
  atKm: km,
  /** It is looked at after so many km, and again each time after. */
  everyKm: z.number().min(1).max(100_000),
  /** How far and how fast it is good for; null where as before. */
  lastsKm: km.nullable(),
  lastsKmh: z.number().min(1).max(300).nullable(),
  looked: z.array(z.strictObject({ on: z.iso.date(), km, ok: z.boolean(), note: line(200) })).max(200),
  /** How it ended; null while it is watched. */
  closed: z
    .strictObject({ on: z.iso.date(), how: z.enum(['replaced', 'seen by a workshop', 'not needed']) })
    .nullable(),
});
export type Watch = z.infer<typeof watchSchema>;
