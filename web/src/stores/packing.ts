import { proxy, wrap } from 'comlink';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { stowKey } from '@necessaire/core';
import type { StowWorker } from '../workers/stow.worker';
import { useAnswer } from './answer';

/** Edits in quick succession wait this long for the last, ms. */
const SETTLE = 350;

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
  let worker: Worker | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let wanted = false;
  let tried = '';

  function stop() {
    clearTimeout(timer);
    worker?.terminate();
    worker = null;
    progress.value = null;
  }
  async function run(key: string) {
    const { answer } = answers;
    if (!answer || answer.packing.proven || !wanted) return;
    const mine = new Worker(new URL('../workers/stow.worker.ts', import.meta.url), { type: 'module' });
    worker = mine;
    tried = key;
    progress.value = 0;
    failed.value = null;
    try {
      const found = await wrap<StowWorker>(mine).pack(
        answer.stow,
        answer.packing,
        proxy((share: number) => {
          if (worker === mine) progress.value = share;
        }),
      );
      if (worker === mine) answers.takePacking(found);
    } catch (error) {
      if (worker === mine) failed.value = error instanceof Error ? error.message : String(error);
    } finally {
      if (worker === mine) stop();
    }
  }
  /** Starts unless it is proven, or this very packing was searched already. */
  function consider() {
    const { answer } = answers;
    if (!answer || !wanted) return;
    const key = stowKey(answer.stow);
    if (key === tried) return;
    stop();
    if (!answer.packing.proven) timer = setTimeout(() => void run(key), SETTLE);
  }
  watch(() => answers.answer, consider);
  /** Searched on while somebody looks. */
  function want(on: boolean) {
    wanted = on;
    if (on) consider();
    else {
      if (worker) tried = '';
      stop();
    }
  }
  return { packing, progress, failed, want };
});
