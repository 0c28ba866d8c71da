import { present, last } from '../ground/numbers.js';
import { appliesTo, TROUBLES } from '../repairs/index.js';
import { drawsFrom } from './draws.js';
import { needMet } from '../kit/index.js';
import {
  bestOrder,
  causesOf,
  FAULT_TREES,
  leftAfter,
  shows,
  testMinutes,
  type Cause,
  type FaultSearch,
  type FaultTree,
} from '../repairs/index.js';
import { havingOf, type ProveCase } from './proveCase.js';

/** A fault to find: what is seen, and what nobody knows yet. */
export interface FaultDrill {
  search: FaultSearch;
  cause: Cause;
  /** What the kit lacks for each test that cannot be done with it. */
  lacks: ReadonlyMap<string, string[]>;
  /** Expected minutes of the best order. */
  best: number;
}

/** Troubles that no exposure speaks of are this likely against the rest. */
const LEAST = 1e-4;

/** A symptom as this bike and kit have it: causes as likely as on the trip, tests that the kit can do. */
export function faultSearch(c: ProveCase, tree: FaultTree): { search: FaultSearch; lacks: Map<string, string[]> } {
  const lambda = new Map(c.exposures.map((e) => [e.trouble.id, e.lambda]));
  const known = new Map(TROUBLES.map((t) => [t.id, t]));
  const having = havingOf(c);
  const lacks = new Map<string, string[]>();
  for (const t of tree.tests) {
    const lacking = t.step.needs
      // A head that nobody measured yet is no reason against a test that one can do at home.
      .filter((n) => n.by !== 'head' || c.fasteners.some((f) => f.role === n.role && f.leftOut === null))
      .map((n) => needMet(n, having))
      .filter((n) => !n.ok)
      .map((n) => n.ask);
    if (lacking.length > 0) lacks.set(t.id, lacking);
  }
  const causes = causesOf(tree, (trouble) => {
    const t = known.get(trouble);
    return t && appliesTo(t, c.bike) ? Math.max(LEAST, lambda.get(trouble) ?? 0) : 0;
  });
  return { search: { tree, causes, without: new Set(lacks.keys()) }, lacks };
}

/**
 * Draws a fault of the bike's likely ones; the same seed draws the same.
 * @param seed whole
 */
export function drawFault(c: ProveCase, seed: number): FaultDrill {
  const draw = drawsFrom(seed);
  const all = FAULT_TREES.filter((tree) => !tree.inOrder)
    .map((tree) => ({ tree, ...faultSearch(c, tree) }))
    .filter((x) => x.search.causes.length > 1);
  const weight = (causes: readonly Cause[]) => causes.reduce((s, k) => s + k.weight, 0);
  const pick = <T>(list: readonly T[], of: (x: T) => number): T => {
    let left = draw() * list.reduce((s, x) => s + of(x), 0);
    return list.find((x) => (left -= of(x)) < 0) ?? last(list);
  };
  // Every symptom has its turn: how often it comes is only part of it.
  const chosen = pick(all, (x) => Math.sqrt(weight(x.search.causes)));
  const cause = pick(chosen.search.causes, (k) => k.weight);
  const best = bestOrder(chosen.search)(chosen.search.causes.map((k) => k.id)).minutes;
  return { search: chosen.search, lacks: chosen.lacks, cause, best };
}

/** A test that was done, what it showed, and what is left then. */
export interface Tested {
  test: string;
  answer: number;
  minutes: number;
  left: Cause[];
}

/** What a test shows on this fault. */
export function testFault(drill: FaultDrill, left: readonly Cause[], test: string): Tested {
  const { tree } = drill.search;
  const answer = shows(tree)(test, drill.cause.id);
  const t = present(tree.tests.find((x) => x.id === test));
  return { test, answer, minutes: testMinutes(t), left: leftAfter(tree, left, test, answer) };
}

/** Whether a search has come to its end: one trouble is left, or nothing that can be done tells more. */
export const isFound = (drill: FaultDrill, left: readonly Cause[]): boolean =>
  bestOrder(drill.search)(left.map((k) => k.id)).test === null;

/** Minutes that the best order takes for this very fault. */
export function bestMinutes(drill: FaultDrill): { minutes: number; tests: string[] } {
  const next = bestOrder(drill.search);
  let left: readonly Cause[] = drill.search.causes;
  let minutes = 0;
  const tests: string[] = [];
  for (;;) {
    const { test } = next(left.map((k) => k.id));
    if (test === null) return { minutes, tests };
    const done = testFault(drill, left, test);
    minutes += done.minutes;
    tests.push(test);
    left = done.left;
  }
}
