import { releaseProxy, wrap, type Remote } from 'comlink';

/** Message of what fails because a part of the program was not fetched: the server is away, and the browser does not keep that part yet. */
export const NOT_FETCHED = 'a part of the program was not fetched';
export const notFetched = (error: unknown): boolean => error instanceof Error && error.message === NOT_FETCHED;

/** A worker that is asked things. */
export interface Called<T> {
  /**
   * @returns null when the worker was ended meanwhile
   * @throws when the answer is a failure, the worker's program was not fetched, or the worker stopped
   */
  ask: <R>(question: (worker: Remote<T>) => Promise<R>) => Promise<R | null>;
  end: () => void;
  /** Whether its program did not come, or it stopped: it answers nothing any more. */
  broken: () => boolean;
}

/**
 * Takes a worker into service. A bare call waits for ever when the worker is ended, or when its program does not come; here each such call is
 * answered.
 */
export function called<T>(worker: Worker): Called<T> {
  const remote = wrap<T>(worker);
  let over: (how: { fault: Error } | null) => void = () => undefined;
  const ended = new Promise<{ fault: Error } | null>((resolve) => (over = resolve));
  let broken = false;
  worker.addEventListener('error', (event) => {
    broken = true;
    // What could not be fetched has no text; a fault inside has.
    over({ fault: new Error(event.message || NOT_FETCHED) });
  });
  return {
    async ask<R>(question: (worker: Remote<T>) => Promise<R>): Promise<R | null> {
      const late = ended.then((how) => {
        if (how) throw how.fault;
        return null;
      });
      return Promise.race([question(remote), late]);
    },
    broken: () => broken,
    end() {
      over(null);
      remote[releaseProxy]();
      worker.terminate();
    },
  };
}
