import { Rejected, Unreached, type Ports, type Reply, type Request } from '@necessaire/core';
import { api, ApiError } from '../api/client';
import { outboxStore } from './outboxStore';
import * as texts from '../words/sync/ports';

async function exchange(garage: string, request: Request): Promise<Reply> {
  try {
    return await api.exchange(garage, request);
  } catch (error) {
    if (!(error instanceof ApiError)) throw new Unreached(texts.theServerDidNotAnswer);
    // What did not arrive, or met a server that cannot write now, goes out again as it is.
    const later = error.status < 400 || error.status >= 500 || error.status === 429 || error.status === 408;
    if (later) throw new Unreached(error.message);
    throw new Rejected({ code: error.code, path: error.path, message: error.message });
  }
}

/** Resolves after a while, or as soon as the network is back or the page is looked at again. */
function wait(ms: number): Promise<void> {
  return new Promise((resolve) => {
    const go = () => {
      clearTimeout(timer);
      removeEventListener('online', go);
      document.removeEventListener('visibilitychange', seen);
      resolve();
    };
    const seen = () => {
      if (document.visibilityState === 'visible') go();
    };
    const timer = setTimeout(go, ms);
    addEventListener('online', go);
    document.addEventListener('visibilitychange', seen);
  });
}

/** One at a time over all pages of this browser; a browser without locks lets each page do its own, which the server bears. */
async function alone(name: string, work: () => Promise<void>): Promise<void> {
  if ('locks' in navigator) await navigator.locks.request(name, work);
  else await work();
}

/** What a session of one garage needs of this browser. @param tell lets the other pages know */
export const browserPorts = (garage: string, tell: (edition: number) => void): Ports => ({
  exchange: (request) => exchange(garage, request),
  outbox: outboxStore(garage),
  alone: (work) => alone(`necessaire.send.${garage}`, work),
  tell,
  wait,
  nextId: () => crypto.randomUUID(),
});
