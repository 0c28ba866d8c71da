import { expose } from 'comlink';
import wasmUrl from 'highs/runtime?url';
import { assign, stowKey, type PackingHint, type StowInput } from '@necessaire/core';
import { loadSolver } from '@necessaire/solver';

const solver = loadSolver(() => wasmUrl);

/** The assignment to its end: the optimum with its proof, or the best with its bound. */
const worker = {
  async pack(input: StowInput, from: PackingHint, onProgress: (share: number) => void): Promise<PackingHint> {
    const solve = await solver;
    // A beginning is no proof of its own: the key is left out, so that the search goes on from it.
    const made = assign(input, { solve, hint: { ...from, key: '', proven: false }, onProgress });
    return { key: stowKey(input), bins: made.bins, bound: made.bound, proven: made.proven };
  },
};
export type StowWorker = typeof worker;
expose(worker);
