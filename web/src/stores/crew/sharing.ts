import { proxy } from 'comlink';
import { useTimeoutFn } from '@vueuse/core';
import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import type { Crew, CrewAnswer } from '@necessaire/core';
import { failureWords } from '@necessaire/words';
import { useNotice } from '../../shell/notice';
import { today } from '../../ui/day';
import { letGo } from '../../ui/places/held';
import { called, type Called } from '../../workers/called';
import type { CrewWorker } from '../../workers/crew.worker';
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
  let worker: Called<CrewWorker> | null = null;
  let wanted = 0;
  const soon = useTimeoutFn(() => void run(), SETTLE, { immediate: false });
  let asked = '';

  function end() {
    soon.stop();
    worker?.end();
    worker = null;
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
    worker ??= called<CrewWorker>(
      new Worker(new URL('../../workers/crew.worker.ts', import.meta.url), { type: 'module' }),
    );
    const mine = worker;
    running.value = true;
    halted.value = false;
    failed.value = null;
    if (asked !== of.id) answer.value = null;
    asked = of.id;
    try {
      const made = await mine.ask((w) =>
        w.share(
          doc,
          of,
          today(),
          proxy((now: CrewAnswer) => {
            if (worker !== mine) return;
            answer.value = now;
            first.value = true;
          }),
        ),
      );
      await letGo();
      if (worker !== mine) return;
      answer.value = made;
      gone.value = null;
      looked.value = null;
      first.value = false;
      running.value = false;
      const lean = await mine.ask((w) => w.leaning());
      if (!lean || worker !== mine || busy.value) return;
      leaning.value = lean;
      const each = await mine.ask((w) => w.alone());
      await letGo();
      if (each && worker === mine && !busy.value) alone.value = each;
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
  /** Asks something of what was shared out last; null when it was ended meanwhile, when nothing is there, or when it failed, which is said. */
  const ask: Called<CrewWorker>['ask'] = async (question) => {
    if (!worker || busy.value || !answer.value) return null;
    try {
      return await worker.ask(question);
    } catch (error) {
      console.error(error);
      useNotice().say(failureWords(error));
      return null;
    }
  };
  return { gone, looked, answer, alone, leaning, busy, first, halted, halt, failed, want, ask };
}
