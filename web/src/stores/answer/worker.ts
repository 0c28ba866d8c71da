import type { Remote } from 'comlink';
import { called, type Called } from '../../workers/called';
import type { AnswerWorker } from '../../workers/answer.worker';

/** The worker that answers: started when it is first asked, ended when what it works out is of no use any more, then started anew. */
export function answerWorker() {
  let one: Called<AnswerWorker> | null = null;

  function cut() {
    one?.end();
    one = null;
  }
  /** @returns null when the worker was ended meanwhile, because what was asked of is stale */
  async function ask<T>(question: (worker: Remote<AnswerWorker>) => Promise<T>): Promise<T | null> {
    one ??= called<AnswerWorker>(
      new Worker(new URL('../../workers/answer.worker.ts', import.meta.url), { type: 'module' }),
    );
    const mine = one;
    try {
      return await mine.ask(question);
    } catch (error) {
      // The next question is put to a new one.
      if (one === mine && mine.broken()) cut();
      throw error;
    }
  }
  return { cut, ask };
}
