import { at } from '../../ground/numbers.js';
import { PrizeProblem, type Priced } from './prize.js';
import type { KitProblem } from './kitProblem.js';
import { demandsMet, toolMassOf } from './tools.js';

/**
 * What a gram has to save, in the question's value: so many minutes for each 100 g, an hour in money where that is asked for.
 */
export const priceOfGram = ({
  question,
}: {
  question: Pick<KitProblem['question'], 'knee' | 'value' | 'hourEuros'>;
}): number => (question.knee / 60 / 100) * (question.value === 'money' ? Math.max(question.hourEuros, 0.01) : 1);

/** Distance that counts as none, in the question's value. */
const NEAR = 1e-3;

/**
 * The kit that saves most over the price of its grams: the point of the curve from which on 100 g more save less than is asked of them. Exact: one
 * problem at one price, whose optimum touches the curve there (docs/model.md, section 4).
 * @returns null where the search gave up with nothing found, or nothing meets what is demanded
 */
export function worthItsWeight(problem: KitProblem): Priced | null {
  const price = priceOfGram(problem);
  const found = new PrizeProblem(problem).solve(price);
  if (found === null || found === 'infeasible' || !demandsMet(problem, found.counts)) return null;
  const short = found.bound - (found.value - price * found.mass);
  return { ...found, proven: found.proven && short <= NEAR };
}

/** The lightest set of tools that the marks allow. */
export function leastMarked(problem: KitProblem): { counts: number[]; mass: number } {
  const counts = problem.pieces.map(() => 0);
  for (const job of problem.marked) {
    const p = at(problem.items.owner, at(at(job, 0), 0));
    counts[p] = at(counts, p) + 1;
  }
  return { counts, mass: toolMassOf(problem, counts) };
}
