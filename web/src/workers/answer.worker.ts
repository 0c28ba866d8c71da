import { expose } from 'comlink';
import wasmUrl from 'highs/runtime?url';
import { answerFor, AnswerMemory, type Answer, type GarageDocument, type Phase, type Question } from '@necessaire/core';
import { loadSolver } from '@necessaire/solver';

const solver = loadSolver(() => wasmUrl);
const memory = new AnswerMemory();

/** The same functions that the command line calls, away from the page's thread. */
const worker = {
  async answer(doc: GarageDocument, question: Question, onPhase: (phase: Phase) => void): Promise<Answer> {
    return answerFor(doc, question, await solver, onPhase, memory);
  },
};
export type AnswerWorker = typeof worker;
expose(worker);
