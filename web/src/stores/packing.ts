import { proxy } from 'comlink';
import { useTimeoutFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { stowKey } from '@necessaire/core';
import { failureWords } from '@necessaire/words';
import { called, type Called } from '../workers/called';
import type { StowWorker } from '../workers/stow.worker';
import { letGo } from '../ui/places/held';
import { useAnswer } from './answer';

/** Edits in quick succession wait this long for the last, ms. */
const SETTLE = 1000;

/**
 * The answer's packing, searched on to its proof in a worker of its own while somebody looks at it. An edit that changes what is packed ends
 * the worker; what it finds goes to the answer, so that every stage speaks of the same packing.
 */
export const usePacking = defineStore('packing', () => {
  const answers = useAnswer();
  const packing = computed(() => answers.answer?.packing ?? null);
  /** Share of the work done; null while nothing is searched. */
  const progress = ref<number | null>(null);
  const failed = ref<string | null>(null);
  /** The packing may still become another one: nothing is packed yet, or it is searched on, now or in a moment. */
  const working = computed(() => packing.value === null || progress.value !== null || soon.isPending.value);
  let worker: Called<StowWorker> | null = null;
  const soon = useTimeoutFn((key: string) => void run(key), SETTLE, { immediate: false });
  let wanted = false;
  let tried = '';

  /** Ends what is searched; a worker that is at rest is kept, since the solver takes its while to load. */
  function stop() {
    soon.stop();
    if (progress.value !== null) {
      worker?.end();
      worker = null;
      // It may be asked for again.
      tried = '';
    }
    progress.value = null;
  }
  async function run(key: string) {
    const { answer } = answers;
    if (!answer || answer.packing.proven || !wanted) return;
    worker ??= called<StowWorker>(
      new Worker(new URL('../workers/stow.worker.ts', import.meta.url), { type: 'module' }),
    );
    const mine = worker;
    tried = key;
    progress.value = 0;
    failed.value = null;
    try {
      const found = await mine.ask((w) =>
        w.pack(
          answer.stow,
          answer.packing,
          proxy((share: number) => {
            if (worker === mine) progress.value = share;
          }),
        ),
      );
      if (worker !== mine || tried !== key) return;
      // Nothing moves under a hand that is about to put something down.
      await letGo();
      if (worker !== mine || tried !== key) return;
      answers.takePacking(found);
      progress.value = null;
    } catch (error) {
      if (worker !== mine) return;
      failed.value = failureWords(error);
      stop();
    }
  }
  /** Starts unless it is proven, or this very packing was searched already. */
  function consider() {
    const { answer } = answers;
    if (!answer || !wanted) return;
    const key = stowKey(answer.stow);
    if (key === tried) return;
    stop();
    if (!answer.packing.proven) soon.start(key);
  }
  watch(() => answers.answer, consider);
  /** Searched on while somebody looks. */
  function want(on: boolean) {
    wanted = on;
    if (on) {
      consider();
      return;
    }
    stop();
    worker?.end();
    worker = null;
  }
  /** Ends the search on the rider's word: the packing that there is stays, and the same one is not searched again by itself. */
  function halt() {
    const key = tried;
    stop();
    tried = key;
  }
  return { packing, progress, failed, working, want, halt };
});
