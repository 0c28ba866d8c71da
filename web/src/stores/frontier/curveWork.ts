import { proxy } from 'comlink';
import { useTimeoutFn } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { failureWords } from '@necessaire/words';
import type { AnswerWorker, FrontierNow } from '../../workers/answer.worker';
import { today } from '../../ui/day';
import { called, type Called } from '../../workers/called';
import { useGarage } from '../garage';

/** Exact problems solved for the curve at first, and when the rider asks to close its band. */
const SOLVES = 160;
const SOLVES_MORE = 2600;
/** Edits in quick succession wait this long for the last, ms. */
const SETTLE = 400;
/** The picture reaches at least this far, grams. */
const LEAST_MOST = 8000;

/**
 * The curve as it is worked out, in a worker of its own. It hangs on everything but the limit itself, so that dragging the limit needs no new curve;
 * an edit of anything else ends the worker and starts anew.
 */
export function useCurveWork() {
  const garage = useGarage();
  const now = shallowRef<FrontierNow | null>(null);
  const failed = ref<string | null>(null);
  const running = ref(false);
  const more = ref(false);
  /** Whether the rider ended the work before it was done. */
  const halted = ref(false);
  let worker: Called<AnswerWorker> | null = null;
  const soon = useTimeoutFn(() => void run(), SETTLE, { immediate: false });
  let wanted = false;
  let made = '';

  /** What the curve hangs on. */
  const subject = computed(() => {
    const { doc, bike, trip } = garage;
    if (!doc || !bike || !trip) return '';
    const { value, hourEuros, fetchEuros, levels, musts } = trip.kit;
    return JSON.stringify([
      bike.id,
      { ...trip, kit: null },
      { value, hourEuros, fetchEuros, levels, musts },
      { ...doc.garage.practice, least: null },
      doc.bikes,
      doc.fasteners,
      doc.pieces,
      doc.supplies,
      doc.rides,
      doc.mends,
    ]);
  });
  const most = computed(() => Math.max(LEAST_MOST, Math.ceil(((garage.trip?.kit.mass ?? 0) * 1.25) / 500) * 500));

  function stop() {
    soon.stop();
    worker?.end();
    worker = null;
    running.value = false;
  }
  async function run() {
    const { doc, bike, trip } = garage;
    stop();
    if (!doc || !bike || !trip || !wanted) return;
    const mine = called<AnswerWorker>(
      new Worker(new URL('../../workers/answer.worker.ts', import.meta.url), { type: 'module' }),
    );
    worker = mine;
    running.value = true;
    failed.value = null;
    const asked = subject.value;
    const tell = (told: FrontierNow) => {
      if (worker !== mine) return;
      // Levels that are known stay on show until the new ones come.
      now.value = told.levels.length > 0 || made !== asked ? told : { ...told, levels: now.value?.levels ?? [] };
      made = asked;
    };
    try {
      const whole = await mine.ask((w) =>
        w.frontier(
          doc,
          { bikeId: bike.id, tripId: trip.id, today: today() },
          { most: most.value, solves: more.value ? SOLVES_MORE : SOLVES, levels: [...trip.kit.levels] },
          proxy(tell),
        ),
      );
      if (whole) tell(whole);
    } catch (error) {
      if (worker === mine) failed.value = failureWords(error);
    } finally {
      if (worker === mine) stop();
    }
  }
  watch([subject, most], () => {
    stop();
    more.value = false;
    halted.value = false;
    if (!wanted) return;
    running.value = true;
    soon.start();
  });

  /** The curve is worked out while somebody looks at it. */
  function want(on: boolean) {
    if (on === wanted) return;
    wanted = on;
    if (!on) stop();
    else if (!halted.value && (made !== subject.value || !now.value?.done)) {
      // Whoever only passes through the stage starts nothing.
      running.value = true;
      soon.start();
    }
  }
  /** Ends the work on the rider's word: what is known stays. */
  function halt() {
    stop();
    halted.value = true;
  }
  function closeBand() {
    halted.value = false;
    more.value = true;
    void run();
  }

  const stale = computed(() => made !== subject.value);
  return { now, running, failed, halted, stale, most, want, halt, closeBand };
}
