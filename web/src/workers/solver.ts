import type { Solve } from '@necessaire/core';
import { loadSolver } from '@necessaire/solver';
import { NOT_FETCHED } from './called';

/** The solver's WASM, fetched and compiled. @throws NOT_FETCHED when the server does not give it */
async function fetched(url: string): Promise<WebAssembly.Module> {
  const given = await fetch(url, { credentials: 'same-origin' }).catch(() => null);
  if (!given?.ok) throw new Error(NOT_FETCHED);
  try {
    return await WebAssembly.compileStreaming(given);
  } catch (error) {
    // A connection that breaks half-way.
    if (error instanceof TypeError) throw new Error(NOT_FETCHED, { cause: error });
    throw error;
  }
}

/**
 * The solver of a worker, loaded once. A load that failed is begun again at the next question.
 * @param url where its WASM lies
 */
export function solverAt(url: string): () => Promise<Solve> {
  let loading: Promise<Solve> | null = null;
  return () => {
    if (!loading) {
      const mine = loadSolver(() => fetched(url));
      loading = mine;
      mine.catch(() => {
        if (loading === mine) loading = null;
      });
    }
    return loading;
  };
}
