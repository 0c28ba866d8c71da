import type { FunctionNeed } from '../cover/index.js';
import type { Exposure } from '../odds/index.js';

/** Share of trips below which a trouble asks for no tool of its own. Planning value. */
export const WORTH_CARRYING = 0.02;
/** Functions that the likely troubles ask for: for each the greatest count, since one pair of levers serves every flat. */
export function functionNeeds(list: readonly Exposure[]): FunctionNeed[] {
  const needs = new Map<FunctionNeed['does'], number>();
  for (const { trouble, odds } of list)
    if (odds >= WORTH_CARRYING)
      for (const { does, count } of trouble.functions) needs.set(does, Math.max(needs.get(does) ?? 0, count));
  return [...needs].map(([does, count]) => ({ does, count })).sort((a, b) => (a.does < b.does ? -1 : 1));
}
