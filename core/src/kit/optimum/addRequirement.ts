import { at } from '../../ground/numbers.js';
import type { MilpBuilder } from '../../ground/milp.js';
import type { PieceFunction } from '../../toolbox/tools/index.js';
import type { KitProblem, Requirement } from './kitProblem.js';

/**
 * A function that so many pieces must have for `done` to be one: copies of the pieces are the columns `have`.
 * @param have columns of the pieces’ copies
 * @param done column that is one when it is done
 */
export function addFunction(
  b: MilpBuilder,
  problem: Pick<KitProblem, 'pieces'>,
  by: { does: PieceFunction; count: number },
  have: readonly number[],
  done: number,
): void {
  const able = problem.pieces.flatMap((p, i): [number, number][] =>
    p.functions.includes(by.does) ? [[at(have, i), 1]] : [],
  );
  b.row([...able, [done, -by.count]], 0);
}

/**
 * One of several sets of copies must be there for `done` to be one.
 * @param have columns of the pieces’ copies
 * @param done column that is one when it is done
 */
export function addAnySet(
  b: MilpBuilder,
  problem: Pick<KitProblem, 'items'>,
  sets: Requirement['sets'],
  have: readonly number[],
  done: number,
): void {
  const terms: [number, number][] = [[done, -1]];
  for (const set of sets) {
    const w = b.column(0, 1, true);
    terms.push([w, 1]);
    const need = new Map<number, number>();
    for (const i of set) need.set(at(problem.items.owner, i), (need.get(at(problem.items.owner, i)) ?? 0) + 1);
    for (const [p, n] of need)
      b.row(
        [
          [at(have, p), 1],
          [w, -n],
        ],
        0,
      );
  }
  b.row(terms, 0);
}
