import type { FunctionNeed } from '../toolbox/cover/index.js';
import { needsOf } from '../repairs/index.js';
import type { Exposure } from '../trip/odds/index.js';

/** Share of trips below which a trouble asks for no tool of its own, where the rider does not say. Planning value. */
export const WORTH_CARRYING = 0.02;

const greatest = (lists: readonly (readonly FunctionNeed[])[]): FunctionNeed[] => {
  const needs = new Map<FunctionNeed['does'], number>();
  for (const list of lists) for (const { does, count } of list) needs.set(does, Math.max(needs.get(does) ?? 0, count));
  return [...needs].map(([does, count]) => ({ does, count })).sort((a, b) => (a.does < b.does ? -1 : 1));
};

/** Functions that the first ways of the likely troubles ask for: for each the greatest count, since one pair of levers serves every flat. */
export const functionNeeds = (list: readonly Exposure[]): FunctionNeed[] =>
  greatest(list.filter((e) => e.odds >= WORTH_CARRYING).map((e) => e.trouble.functions));

/** Functions that any way of the likely troubles asks for: what is worth looking for in a catalogue. */
export const anyFunctionNeeds = (list: readonly Exposure[]): FunctionNeed[] =>
  greatest(
    list
      .filter((e) => e.odds >= WORTH_CARRYING)
      .flatMap((e) => e.trouble.ways.filter((w) => !w.helped).map((w) => needsOf(w).functions)),
  );
