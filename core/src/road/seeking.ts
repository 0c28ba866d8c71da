import { at } from '../ground/numbers.js';
import { bestOrder, leftAfter, mayTest, type Cause, type FaultTree, type Test } from '../repairs/index.js';
import { faultSearch } from '../prove/faultDrill.js';
import type { ProveCase } from '../prove/index.js';

/** What was seen at a test: the number of its answer, or that one cannot tell. */
export interface Seen {
  test: string;
  answer: number | null;
}
/** A trouble that it may be, and how likely by what is known. */
export interface Suspect {
  trouble: string;
  share: number;
}
/** Where a search stands. */
export interface Seeking {
  tree: FaultTree;
  /** The test to do next; null where it is over. */
  next: Test | null;
  /** Expected minutes of it and of all that follow; null where the tests go in their order. */
  minutes: number | null;
  /** What it may be, the likeliest first. */
  suspects: Suspect[];
  /** What the kit lacks for tests that would help, by test. */
  lacks: ReadonlyMap<string, string[]>;
  /** Why it is over: one is left, nothing tells more, or nothing known fits what was seen. */
  end: 'found' | 'open' | 'nothing fits' | null;
}

function suspectsOf(left: readonly Cause[]): Suspect[] {
  const all = left.reduce((s, c) => s + c.weight, 0);
  const by = new Map<string, number>();
  for (const c of left) by.set(c.trouble, (by.get(c.trouble) ?? 0) + c.weight / all);
  return [...by]
    .map(([trouble, share]) => ({ trouble, share }))
    .sort((a, b) => b.share - a.share || (a.trouble < b.trouble ? -1 : 1));
}

/** The next test of a search that goes in its order: as it is written, past what nobody could tell. */
function written(tree: FaultTree, seen: readonly Seen[]): Test | null {
  const by = new Map(seen.map((s) => [s.test, s.answer]));
  let test: Test | undefined = tree.tests[0];
  while (test && by.has(test.id)) {
    const { then } = at(test.answers, by.get(test.id) ?? test.sound);
    if (!('test' in then)) return null;
    test = tree.tests.find((t) => t.id === then.test);
  }
  return test ?? null;
}

/**
 * Where a search for a fault stands after what was seen: what it may still be on this bike, with its odds on this trip, and the test to do next. That is
 * the one with the least expected minutes with what is carried, or, where people or fire come first, the next as it is written.
 */
export function seek(c: ProveCase, tree: FaultTree, seen: readonly Seen[]): Seeking {
  const { search, lacks } = faultSearch(c, tree);
  let left: readonly Cause[] = search.causes;
  for (const s of seen) if (s.answer !== null) left = leftAfter(tree, left, s.test, s.answer);
  const suspects = suspectsOf(left);
  const told = { tree, lacks, suspects };
  if (left.length === 0) return { ...told, next: null, minutes: null, end: 'nothing fits' };
  if (suspects.length === 1) return { ...told, next: null, minutes: 0, end: 'found' };
  if (tree.inOrder) {
    const next = written(tree, seen);
    return { ...told, next, minutes: null, end: next ? null : 'open' };
  }
  const done = new Set([...search.without, ...seen.map((s) => s.test)]);
  const best = bestOrder({ ...search, without: done })(left.map((k) => k.id));
  const next = tree.tests.find((t) => t.id === best.test) ?? null;
  return { ...told, next, minutes: best.minutes, end: next ? null : 'open' };
}

/** Whether a test may be done now; the same rule as for the best order. */
export const mayDo = (
  c: ProveCase,
  tree: FaultTree,
  seen: readonly Seen[],
  test: string,
): 'yes' | 'no tool' | 'not yet' => {
  const { search } = faultSearch(c, tree);
  let left: readonly Cause[] = search.causes;
  for (const s of seen) if (s.answer !== null) left = leftAfter(tree, left, s.test, s.answer);
  return mayTest(search, test, left);
};
