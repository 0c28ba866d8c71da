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

export const GOAL_TEXT: Record<Goal, { name: string; says: string }> = {
  ride: {
    name: 'Low and central',
    says: 'kg × height, kg × way from the middle, more behind the axle and on the back',
  },
  even: { name: 'Left and right even', says: 'kg·m to one side' },
  soon: { name: 'Soon at hand', says: 'expected uses × minutes to open its place' },
  everyday: { name: 'Everyday part stays', says: 'what is used most for its weight leaves with no luggage' },
  locked: { name: 'Dear things locked', says: 'dear pieces where nothing locks' },
  together: { name: 'One repair, one place', says: 'places more than one that the items of one subject lie in' },
};
