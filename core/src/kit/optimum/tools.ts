import { at } from '../../ground/numbers.js';
import { taskDone } from '../../toolbox/cover/index.js';
import type { KitProblem, Requirement } from './kitProblem.js';

/**
 * Whether so many copies of each piece do a requirement. Does not look at the sets of items, and so checks them.
 * @param counts copies by piece
 */
export function does(problem: KitProblem, r: Requirement, counts: readonly number[]): boolean {
  if ('does' in r.by) {
    const { does: what, count } = r.by;
    return problem.pieces.reduce((n, p, i) => n + (p.functions.includes(what) ? at(counts, i) : 0), 0) >= count;
  }
  if (r.by.any) return r.sets.some((set) => holds(problem, set, counts));
  return taskDone(r.by.head, counts);
}
/** Whether the copies include a set of items. */
const holds = (problem: KitProblem, set: readonly number[], counts: readonly number[]): boolean => {
  const need = new Map<number, number>();
  for (const i of set) need.set(at(problem.items.owner, i), (need.get(at(problem.items.owner, i)) ?? 0) + 1);
  return [...need].every(([p, n]) => at(counts, p) >= n);
};

/**
 * For each requirement, whether so many copies of each piece meet it.
 * @param counts copies by piece
 */
export const metBy = (problem: KitProblem, counts: readonly number[]): boolean[] =>
  problem.requirements.map((r) => does(problem, r, counts));

/**
 * The same with one copy of a piece less: only requirements that could be met with that piece are looked at again.
 * @param counts copies by piece
 * @param piece number of the one that is taken away
 */
export function metWithout(
  problem: KitProblem,
  counts: readonly number[],
  met: readonly boolean[],
  piece: number,
): boolean[] {
  const less = counts.map((n, i) => (i === piece ? n - 1 : n));
  return problem.requirements.map((r, n) => {
    if (!met[n]) return false;
    const hangs =
      'does' in r.by
        ? at(problem.pieces, piece).functions.includes(r.by.does)
        : r.loose || r.sets.some((set) => set.some((i) => problem.items.owner[i] === piece));
    return hangs ? does(problem, r, less) : true;
  });
}

/**
 * For each ask, which of its ways so many copies of each piece allow.
 * @param counts copies by piece
 */
export function availableWays(
  problem: KitProblem,
  counts: readonly number[],
  met: readonly boolean[] = metBy(problem, counts),
): boolean[][] {
  const done = met;
  return problem.asks.map((a) => a.ways.map((w) => w.requires.every((n) => at(done, n))));
}

/** Copies of each piece from taken items. */
export function countsOf(problem: KitProblem, taken: readonly boolean[]): number[] {
  const counts = problem.pieces.map(() => 0);
  problem.items.owner.forEach((p, i) => {
    if (taken[i]) counts[p] = at(counts, p) + 1;
  });
  return counts;
}
/**
 * What so many copies of each piece weigh.
 * @param counts copies by piece
 * @returns g
 */
export const toolMassOf = (problem: KitProblem, counts: readonly number[]): number =>
  problem.pieces.reduce((s, p, i) => s + at(counts, i) * p.mass, 0);

/**
 * Whether so many copies of each piece turn every head that the rider demands.
 * @param counts copies by piece
 */
export const demandsMet = (problem: KitProblem, counts: readonly number[]): boolean =>
  problem.required.every((n) => does(problem, at(problem.requirements, n), counts));

/**
 * What tools are worth together, euros.
 * @param counts copies by piece
 */
export const worthOf = (problem: KitProblem, counts: readonly number[]): number =>
  problem.pieces.reduce((s, p, i) => s + at(counts, i) * p.price, 0);

/**
 * Whether they keep to what the rider puts into a bag at most.
 * @param counts copies by piece
 */
export const withinWorth = (problem: KitProblem, counts: readonly number[]): boolean =>
  problem.practice.worth === null || worthOf(problem, counts) <= problem.practice.worth + 1e-9;
