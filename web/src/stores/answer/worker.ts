import { releaseProxy, wrap, type Remote } from 'comlink';
import type { AnswerWorker } from '../../workers/answer.worker';

/** The worker that answers: started when it is first asked, ended when what it works out is of no use any more, then started anew. */
export function answerWorker() {
  let worker: Worker | null = null;
  let remote: Remote<AnswerWorker> | null = null;
  let onCut = () => {};

  function asked(): Remote<AnswerWorker> {
    if (remote) return remote;
    worker = new Worker(new URL('../../workers/answer.worker.ts', import.meta.url), { type: 'module' });
    return (remote = wrap<AnswerWorker>(worker));
  }
  function cut() {
    onCut();
    remote?.[releaseProxy]();
    worker?.terminate();
    worker = null;
    remote = null;
  }
  /** Asks something beside the answer; null when the worker was ended meanwhile, because what was asked of is stale. */
  async function ask<T>(question: (worker: Remote<AnswerWorker>) => Promise<T>): Promise<T | null> {
    const one = asked();
    const ended = new Promise<null>((resolve) => (onCut = () => resolve(null)));
    return Promise.race([question(one), ended]);
  }
  return { asked, cut, ask };
}
