import { proxy, type Remote } from 'comlink';
import { ref, shallowRef, watch } from 'vue';
import type { GarageDocument, Question } from '@necessaire/core';
import { failureWords } from '@necessaire/words';
import type { AnswerWorker } from '../workers/answer.worker';
import { called, type Called } from '../workers/called';
import { today } from '../ui/day';
import { useGarage } from './garage';

/**
 * Something that takes many exact solves, worked out on demand in a worker of its own, with its progress. An edit makes it stale, and the
 * worker is ended.
 * @param ask what is asked of the worker
 */
export function longWork<T>(
  ask: (
    worker: Remote<AnswerWorker>,
    doc: GarageDocument,
    question: Question,
    onProgress: (share: number) => void,
  ) => Promise<T>,
) {
  const garage = useGarage();
  const result = shallowRef<T | null>(null);
  const progress = ref<number | null>(null);
  const failed = ref<string | null>(null);
  let worker: Called<AnswerWorker> | null = null;

  function stop() {
    worker?.end();
    worker = null;
    progress.value = null;
  }
  watch(
    () => [garage.version, garage.bike?.id, garage.trip?.id] as const,
    () => {
      stop();
      result.value = null;
    },
  );

  async function start() {
    const { doc, bike, trip } = garage;
    if (!doc || !bike) return;
    stop();
    failed.value = null;
    progress.value = 0;
    const mine = called<AnswerWorker>(
      new Worker(new URL('../workers/answer.worker.ts', import.meta.url), { type: 'module' }),
    );
    worker = mine;
    try {
      const made = await mine.ask((w) =>
        ask(
          w,
          doc,
          { bikeId: bike.id, tripId: trip?.id ?? null, today: today() },
          proxy((share: number) => {
            if (worker === mine) progress.value = share;
          }),
        ),
      );
      if (worker === mine) result.value = made;
    } catch (error) {
      if (worker === mine) failed.value = failureWords(error);
    } finally {
      if (worker === mine) stop();
    }
  }
  return { result, progress, failed, start, stop };
}
