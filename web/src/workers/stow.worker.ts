import '../noEval';
import { expose } from 'comlink';
import wasmUrl from 'highs/runtime?url';
import { searchOn, type Packing, type PackingHint, type StowInput } from '@necessaire/core';
import { solverAt } from './solver';

const solver = solverAt(wasmUrl);
// Fetched while the first question is still on its way; a failure is told with the answer.
void solver().catch(() => undefined);

/** The assignment to its end, through the very function that the command line calls. */
const worker = {
  async pack(input: StowInput, packing: Packing, onProgress: (share: number) => void): Promise<PackingHint> {
    return searchOn(input, packing, await solver(), onProgress);
  },
};
export type StowWorker = typeof worker;
expose(worker);
