import { z } from 'zod';

/** Schools of practice that decide which chains count. Each position is one a rider may hold; the first is the default. */
/** What the lightest set is least in; a blend weighs grams, room and money together. */
export const MEASURES = ['mass', 'bulk', 'price', 'blend'] as const;
export type Measure = (typeof MEASURES)[number];

export const practiceSchema = z.strictObject({
  /** Adjustable spanner as the tool that turns: only where nothing fixed does, never (hold only), or freely. */
  adjustable: z.enum(['where nothing fixed does', 'hold only', 'freely']),
  /** Break loose with a ratchet, within its torque. */
  ratchet: z.enum(['within its torque', 'never breaks loose']),
  /** What may be stood on. */
  standing: z.enum(['plain bar only', 'never', 'ratchet too']),
  /** What the set of tools is made least in. */
  least: z.enum(MEASURES),
});
export type Practice = z.infer<typeof practiceSchema>;
export const DEFAULT_PRACTICE: Practice = {
  adjustable: 'where nothing fixed does',
  ratchet: 'within its torque',
  standing: 'plain bar only',
  least: 'mass',
};

/** Forces on a handle, N (reference section 2, planning values). */
export const FORCE = { oneHand: 250, twoHands: 400, foot: 600 } as const;
/** What fingers and a palm give where there is no arm, N·m. */
export const PALM = { driver: 5, thumb: 1 } as const;
/** A pipe adds its length less this overlap, mm. */
export const PIPE_OVERLAP = 50;
