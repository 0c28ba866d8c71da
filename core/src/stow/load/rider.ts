import { z } from 'zod';
import { grams } from '../../ground/fields.js';

/** The rider as the bike carries them. */
export const riderSchema = z.strictObject({
  /** In riding gear, with what is in their pockets beside the kit, grams. */
  mass: grams,
});
export type Rider = z.infer<typeof riderSchema>;
/** A middling rider in gear. Planning value: step on a scale dressed to ride. */
export const NEW_RIDER: Rider = { mass: 92_000 };
