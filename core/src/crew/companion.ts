import { z } from 'zod';
import { bikeSchema, fastenerSchema } from '../bike/index.js';
import { id, note } from '../ground/fields.js';
import { line } from '../ground/text.js';
import { ownKindSchema } from '../repairs/supplies/book.js';
import { supplySchema } from '../repairs/supplies/supply.js';
import { placeSchema } from '../stow/place.js';
import { pieceSchema } from '../toolbox/tools/piece.js';
import { personSchema } from './person.js';

/** Rows that one companion may have of each kind: enough for a whole toolbox, little enough to be sent as one row. */
export const MOST_OF_COMPANION = {
  bikes: 6,
  fasteners: 900,
  pieces: 400,
  supplies: 150,
  places: 60,
  kinds: 60,
} as const;

/**
 * Somebody who rides along, with all that is known of their bikes and what they own. It is theirs: nothing of it is in the rider's own toolbox.
 * One row holds all of it, so that it can be replaced whole by a file of theirs, or one day by their own garage.
 */
export const companionSchema = z.strictObject({
  id,
  person: personSchema,
  bikes: z.array(bikeSchema).min(1).max(MOST_OF_COMPANION.bikes),
  fasteners: z.array(fastenerSchema).max(MOST_OF_COMPANION.fasteners),
  pieces: z.array(pieceSchema).max(MOST_OF_COMPANION.pieces),
  supplies: z.array(supplySchema).max(MOST_OF_COMPANION.supplies),
  places: z.array(placeSchema).max(MOST_OF_COMPANION.places),
  kinds: z.array(ownKindSchema).max(MOST_OF_COMPANION.kinds),
  /** Where it is from: typed as one line, or read from a file of theirs on a day. */
  from: z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('line'), line: line(200) }),
    z.strictObject({ by: z.literal('file'), garage: line(120), read: z.iso.date() }),
  ]),
  note,
});
export type Companion = z.infer<typeof companionSchema>;
