import '../noEval';
import { expose } from 'comlink';
import wasmUrl from 'highs/runtime?url';
import { searchOn, type Packing, type PackingHint, type StowInput } from '@necessaire/core';
import { loadSolver } from '@necessaire/solver';

const solver = loadSolver(() => wasmUrl);

/** The assignment to its end, through the very function that the command line calls. */
const worker = {
  async pack(input: StowInput, packing: Packing, onProgress: (share: number) => void): Promise<PackingHint> {
    return searchOn(input, packing, await solver, onProgress);
  },
};
export type StowWorker = typeof worker;
expose(worker);
