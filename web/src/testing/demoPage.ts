import { createPinia, setActivePinia } from 'pinia';
import { answerFor, AnswerMemory, type Answer, type GarageDocument, type Question } from '@necessaire/core';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { eachSecondTool } from '../../../core/src/testing/smallGarage';
import { useAnswer } from '../stores/answer';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import { FakeServer, fetchFrom } from './fakeServer';
import { until } from './until';
import { workers } from './worker';

/**
 * The demo with the fasteners that repairs ask for, and each second of the tools that only turn something: answered in half the time. What a page does
 * with an answer does not hang on how many there are.
 */
export function lightDemo(today?: string): GarageDocument {
  const doc = demoGarage('worth', today);
  return {
    ...doc,
    fasteners: doc.fasteners.filter((f) => f.role !== null),
    pieces: eachSecondTool(doc.pieces),
  };
}
const light = lightDemo();
let garages = 0;
/** A server with that garage, or another one. */
export function demoServer(doc = light): FakeServer {
  globalThis.fetch = fetchFrom as typeof fetch;
  return new FakeServer(`33333333-0000-4000-8000-${String(++garages).padStart(12, '0')}`, doc);
}

const known = new Map<string, Answer>();
/** As the worker of the program does: what an edit leaves as it was is not worked out anew. */
const memory = new AnswerMemory();
/** How the answer's worker answers: as the program does unless a test says otherwise; and all that it was asked. */
export const answering: {
  asked: { doc: GarageDocument; question: Question }[];
  plain: (doc: GarageDocument, question: Question) => Promise<Answer>;
  how: (doc: GarageDocument, question: Question) => Promise<Answer>;
} = {
  asked: [],
  plain: async (doc, question) => {
    // The same garage is asked about by many tests: core gives the same answer each time.
    const key = JSON.stringify([doc, question.bikeId, question.tripId, question.hint ?? null, question.packed ?? null]);
    const made = known.get(key) ?? answerFor(doc, question, await loadSolver(), undefined, memory);
    known.set(key, made);
    return made;
  },
  how: (doc, question) => answering.plain(doc, question),
};
workers.set('answer.worker.ts', {
  answer: (doc: GarageDocument, question: Question) => {
    answering.asked.push({ doc, question });
    return answering.how(doc, question);
  },
});

/** A page that was just loaded on a server’s garage: its stores are new, what the browser keeps is as it was. */
export async function loadPage(server: FakeServer) {
  setActivePinia(createPinia());
  useView().garageId = server.id;
  const garage = useGarage();
  await garage.open();
  return { garage, answers: useAnswer() };
}
/** Waits until the page shows the answer of what it has now. */
export const answered = ({ answers }: Pick<Awaited<ReturnType<typeof loadPage>>, 'answers'>) =>
  until(() => !answers.busy && answers.answer !== null && !answers.old, 'an answer');
