import type { Solve } from '../ground/milp.js';
import type { GarageDocument } from '../garage/index.js';
import { searchOn } from '../stow/index.js';
import { answerFor, type Answer } from './answer.js';
import { AnswerMemory } from './answerMemory.js';
import type { Question } from './question.js';

/**
 * The answer with its packing searched to the end, as the screens come to it while Stow is open.
 * @throws RangeError when the bike is not in the garage
 */
export function wholeAnswer(doc: GarageDocument, question: Question, solve: Solve): Answer {
  const memory = new AnswerMemory();
  const first = answerFor(doc, question, solve, undefined, memory);
  if (first.packing.proven) return first;
  const packed = searchOn(first.stow, first.packing, solve);
  return answerFor(doc, { ...question, packed }, solve, undefined, memory);
}
