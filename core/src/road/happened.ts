import { z } from 'zod';
import { id } from '../ground/fields.js';
import { line } from '../ground/text.js';

/** What is written down on the way besides repairs and checks: something was used, something was missed, or there was a fall. */
export const HAPPENED = ['used', 'missed', 'fall'] as const;

/** A thing of the kit as the day’s log and the review name it: `piece <id>` or `supply <kind>`; empty for what is not in the kit. */
const item = line(90);

/** Something that happened on the way, with its time and place. */
export const happenedSchema = z.strictObject({
  id,
  bikeId: id,
  /** The trip that was ridden; null on none. */
  tripId: id.nullable(),
  on: z.iso.datetime(),
  what: z.enum(HAPPENED),
  item,
  /** What it was called then. */
  name: line(160).min(1),
  /** Units of a spare that went, or how often a tool was used. */
  units: z.number().min(0).max(1000),
  /** The trouble that it was used or missed for; empty for none that is known. */
  trouble: line(80),
  /** Where, in words; empty where the device did not tell. */
  place: line(200),
});
export type Happened = z.infer<typeof happenedSchema>;

/** The key by which a thing of the kit is known in log and review. */
export const pieceKey = (pieceId: string): string => `piece ${pieceId}`;
/** Key of a stock among the things of a kit. */
export const spareKey = (kind: string): string => `supply ${kind}`;
