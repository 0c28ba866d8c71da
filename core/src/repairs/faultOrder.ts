import { under } from '../ground/numbers.js';
import type { FaultTree, Test } from './faultTree.js';

/** One way in which a symptom may have come: the answer at which its search ends. */
export interface Cause {
  /** `<test> <number of the answer>`. */
  id: string;
  trouble: string;
  seen: string;
  /** How likely against the others of its tree. */
  weight: number;
}

/** Minutes of a test: to look, to undo a head and to use an instrument. Planning values. */
const LOOK = 1;
const HEAD = 4;
const TOOL = 2;
/**
 * How long a test takes: a look, and what it takes out and turns. Planning value.
 * @returns minutes
 */
export const testMinutes = (test: Pick<Test, 'step'>): number =>
  LOOK + test.step.needs.reduce((s, n) => s + (n.by === 'head' ? HEAD : n.by === 'function' ? TOOL * n.count : 0), 0);

/**
 * Causes that a tree tells apart, each as likely as its trouble is, shared out over the answers that end in it.
 * @param weightOf how likely a trouble is; 0 for what this bike cannot have
 */
export function causesOf(tree: FaultTree, weightOf: (trouble: string) => number): Cause[] {
  const ends = tree.tests.flatMap((t) =>
    t.answers.flatMap((a, i) =>
      'trouble' in a.then ? [{ id: `${t.id} ${i}`, trouble: a.then.trouble, seen: a.seen }] : [],
    ),
  );
  const times = new Map<string, number>();
  for (const e of ends) times.set(e.trouble, (times.get(e.trouble) ?? 0) + 1);
  return ends.map((e) => ({ ...e, weight: weightOf(e.trouble) / under(times, e.trouble) })).filter((e) => e.weight > 0);
}

/** What each test shows for each cause: the answer that leads to it, or else what is seen where all is well. */
export function shows(tree: FaultTree): (test: string, cause: string) => number {
  const byId = new Map(tree.tests.map((t) => [t.id, t]));
  const below = new Map<string, ReadonlySet<string>>();
  const endsOf = (id: string): ReadonlySet<string> => {
    const known = below.get(id);
    if (known) return known;
    // Trees are short and have no circles: a test of its own set ends the walk.
    below.set(id, new Set());
    const all = new Set(under(byId, id).answers.flatMap((a, i) => [...ends(a, `${id} ${i}`)]));
    below.set(id, all);
    return all;
  };
  const ends = (a: Test['answers'][number], end: string): ReadonlySet<string> =>
    'trouble' in a.then ? new Set([end]) : endsOf(a.then.test);
  const table = new Map<string, Map<string, number>>();
  for (const t of tree.tests) {
    const row = new Map<string, number>();
    t.answers.forEach((a, i) => {
      for (const cause of ends(a, `${t.id} ${i}`)) if (!row.has(cause)) row.set(cause, i);
    });
    table.set(t.id, row);
  }
  return (test, cause) => table.get(test)?.get(cause) ?? under(byId, test).instead[cause] ?? under(byId, test).sound;
}

/** What is known of a fault, and which tests can still be done. */
export interface FaultSearch {
  tree: FaultTree;
  causes: readonly Cause[];
  /** Tests that cannot be done for want of a tool. */
  without: ReadonlySet<string>;
}

/** Tests that are never done while it may be what they would make worse. */
const unsafe = (t: Test, left: readonly Cause[]): boolean => left.some((c) => t.never.includes(c.trouble));

/** The best next test: what it costs until the trouble is known, on average. */
export interface BestNext {
  /** Null where the trouble is known, or no test tells any more. */
  test: string | null;
  /** Expected minutes of it and all that follow. */
  minutes: number;
}

/** Causes that a tree may have at most for the exact order: each set of them is looked at once. */
const MOST_CAUSES = 16;

/**
 * The order of tests with the least expected minutes: for every set of causes that is left the cheapest test in the mean over what it may show, and
 * what comes after it; worked out exactly, from small sets up. It ends when all that is left is one trouble, or when nothing tells it apart.
 * @returns for a set of cause ids the best next test
 * @throws RangeError for a tree of more causes than can be looked at
 */
export function bestOrder(search: FaultSearch): (left: readonly string[]) => BestNext {
  const { tree, causes, without } = search;
  if (causes.length > MOST_CAUSES) throw new RangeError(`a search tells up to ${MOST_CAUSES} causes apart`);
  const shown = shows(tree);
  const memo = new Map<number, BestNext>();
  const bit = new Map(causes.map((c, i) => [c.id, 1 << i]));
  const of = (mask: number): Cause[] => causes.filter((_, i) => mask & (1 << i));
  const value = (mask: number): BestNext => {
    const known = memo.get(mask);
    if (known) return known;
    const left = of(mask);
    let best: BestNext = { test: null, minutes: 0 };
    if (new Set(left.map((c) => c.trouble)).size > 1) {
      const all = left.reduce((s, c) => s + c.weight, 0);
      let least = Infinity;
      for (const t of tree.tests) {
        if (without.has(t.id) || unsafe(t, left)) continue;
        const parts = new Map<number, { mask: number; weight: number }>();
        for (const c of left) {
          const a = shown(t.id, c.id);
          const part = parts.get(a) ?? { mask: 0, weight: 0 };
          parts.set(a, { mask: part.mask | under(bit, c.id), weight: part.weight + c.weight });
        }
        if (parts.size < 2) continue;
        const minutes =
          testMinutes(t) + [...parts.values()].reduce((s, p) => s + (p.weight / all) * value(p.mask).minutes, 0);
        if (minutes < least - 1e-12) {
          least = minutes;
          best = { test: t.id, minutes };
        }
      }
    }
    memo.set(mask, best);
    return best;
  };
  return (left) => value(left.reduce((m, id) => m | (bit.get(id) ?? 0), 0));
}

/**
 * Causes that are left after a test showed an answer.
 * @param answer number of the answer among the test’s, from 0
 */
export const leftAfter = (tree: FaultTree, left: readonly Cause[], test: string, answer: number): Cause[] => {
  const shown = shows(tree);
  return left.filter((c) => shown(test, c.id) === answer);
};

/** Whether a test may be done now: with what is carried, and without making anything worse that it may still be. */
export function mayTest(search: FaultSearch, test: string, left: readonly Cause[]): 'yes' | 'no tool' | 'not yet' {
  const t = search.tree.tests.find((x) => x.id === test);
  if (!t) return 'no tool';
  return search.without.has(test) ? 'no tool' : unsafe(t, left) ? 'not yet' : 'yes';
}
