import type { Goal } from '@necessaire/core';

/** Each goal, and what is counted of it. */
export const GOAL_TEXT: Readonly<Record<Goal, { name: string; says: string }>> = {
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
