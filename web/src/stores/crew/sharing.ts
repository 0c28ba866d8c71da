import { proxy, releaseProxy, wrap, type Remote } from 'comlink';
import { useTimeoutFn } from '@vueuse/core';
import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import { present, type Crew, type CrewAnswer } from '@necessaire/core';
import { failureWords } from '@necessaire/words';
import type { CrewWorker } from '../../workers/crew.worker';
import { today } from '../../ui/day';
import { letGo } from '../../ui/places/held';
import { useGarage } from '../garage';

/** An edit that follows soon waits for the next, ms. */
const SETTLE = 120;

/** Who carries what: worked out in a worker of its own while somebody looks at it. */
export function useSharing(crew: Readonly<Ref<Crew | null>>) {
  const garage = useGarage();
  const answer = shallowRef<CrewAnswer | null>(null);
  /** Grams that each would carry alone; empty until known. */
  const alone = shallowRef<(number | null)[]>([]);
  const leaning = shallowRef<number[][]>([]);
  /** Whether what is shown is about to be replaced. */
  const running = ref(false);
  const pending = ref(false);
  const busy = computed(() => running.value || pending.value);
  /** Whether what is shown is only the first of what is still being bettered. */
  const first = ref(false);
  /** Whether the rider ended the search before it was done. */
  const halted = ref(false);
  const failed = ref<string | null>(null);
  /** Who is taken out of the ride to look at it without them, and the group that is looked at: carrier numbers. */
  const gone = ref<number | null>(null);
  const looked = ref<readonly number[] | null>(null);
  let worker: Worker | null = null;
  let remote: Remote<CrewWorker> | null = null;
  let wanted = 0;
  const soon = useTimeoutFn(() => void run(), SETTLE, { immediate: false });
  let asked = '';

  function end() {
    soon.stop();
    remote?.[releaseProxy]();
    worker?.terminate();
    worker = null;
    remote = null;
  }
  async function run() {
    pending.value = false;
    const { doc, trip } = garage;
    const of = crew.value;
    if (!doc || !trip || !of || wanted === 0) {
      answer.value = null;
      running.value = false;
      return;
    }
    if (running.value) end();
    if (!worker) {
      worker = new Worker(new URL('../../workers/crew.worker.ts', import.meta.url), { type: 'module' });
      remote = wrap<CrewWorker>(worker);
    }
    const mine = worker;
    running.value = true;
    halted.value = false;
    failed.value = null;
    if (asked !== of.id) answer.value = null;
    asked = of.id;
    try {
      const made = await present(remote).share(
        doc,
        of,
        today(),
        proxy((now: CrewAnswer) => {
          if (worker !== mine) return;
          answer.value = now;
          first.value = true;
        }),
      );
      await letGo();
      if (worker !== mine) return;
      answer.value = made;
      gone.value = null;
      looked.value = null;
      first.value = false;
      running.value = false;
      const lean = await present(remote).leaning();
      if (worker !== mine || busy.value) return;
      leaning.value = lean;
      const each = await present(remote).alone();
      await letGo();
      if (worker === mine && !busy.value) alone.value = each;
    } catch (error) {
      if (worker !== mine) return;
      failed.value = failureWords(error);
      running.value = false;
      console.error(error);
      end();
    }
  }
  watch(
    () => [garage.version, garage.trip?.id, wanted] as const,
    () => {
      if (wanted === 0) return;
      soon.stop();
      pending.value = true;
      soon.start();
    },
  );
  /** Ends the search on the rider's word: the first share, which is there at once, stays. */
  function halt() {
    if (!first.value) return;
    end();
    running.value = false;
    pending.value = false;
    first.value = false;
    halted.value = true;
  }
  /** Worked out while somebody looks: one call with true, one with false when they leave. */
  function want(on: boolean) {
    wanted = Math.max(0, wanted + (on ? 1 : -1));
    if (on) void run();
    else if (wanted === 0) {
      end();
      running.value = false;
    }
  }
  /** Asks something of what was shared out last; null when it was ended meanwhile or nothing is there. */
  async function ask<T>(question: (w: Remote<CrewWorker>) => Promise<T>): Promise<T | null> {
    const mine = worker;
    if (!remote || busy.value || !answer.value) return null;
    const made = await question(remote);
    return worker === mine ? made : null;
  }
  return { gone, looked, answer, alone, leaning, busy, first, halted, halt, failed, want, ask };
}
