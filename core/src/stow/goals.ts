import { z } from 'zod';

/** How much each goal of a packing counts: 0 not at all, 2 as usual, 4 above all. */
const weight = z.int().min(0).max(4);
export const GOALS = ['ride', 'even', 'soon', 'everyday', 'locked', 'together'] as const;
export type Goal = (typeof GOALS)[number];
export const goalsSchema = z.strictObject({
  ride: weight,
  even: weight,
  soon: weight,
  everyday: weight,
  locked: weight,
  together: weight,
});
export type Goals = z.infer<typeof goalsSchema>;
export const NEW_GOALS: Goals = { ride: 2, even: 2, soon: 2, everyday: 2, locked: 2, together: 2 };
