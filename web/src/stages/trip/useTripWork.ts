import { proxy, type Remote } from 'comlink';
import { onScopeDispose, ref } from 'vue';
import { failureWords } from '@necessaire/words';
import { called, type Called } from '../../workers/called';
import type { TripWorker } from '../../workers/trip.worker';

/** One long piece of work at a time, in a worker of its own: with its progress, ended when it is stopped or another is started. */
export function useTripWork() {
  const progress = ref<number | null>(null);
  const failed = ref<string | null>(null);
  let worker: Called<TripWorker> | null = null;

  function stop() {
    worker?.end();
    worker = null;
    progress.value = null;
  }
  onScopeDispose(stop);

  /** @returns null when it was stopped meanwhile or failed */
  async function run<T>(
    work: (w: Remote<TripWorker>, onProgress: (share: number) => void) => Promise<T>,
  ): Promise<T | null> {
    stop();
    failed.value = null;
    progress.value = 0;
    const mine = called<TripWorker>(
      new Worker(new URL('../../workers/trip.worker.ts', import.meta.url), { type: 'module' }),
    );
    worker = mine;
    try {
      const made = await mine.ask((w) =>
        work(
          w,
          proxy((share: number) => {
            if (worker === mine) progress.value = share;
          }),
        ),
      );
      return worker === mine ? made : null;
    } catch (error) {
      if (worker === mine) failed.value = failureWords(error);
      return null;
    } finally {
      if (worker === mine) stop();
    }
  }
  return { progress, failed, run, stop };
}
