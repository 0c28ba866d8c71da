import { proxy, wrap } from 'comlink';
import { useTimeoutFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import {
  present,
  between,
  inWords,
  kneeAt,
  kneePoint,
  priceOfGram,
  type CurvePoint,
  type KitHint,
  type StepBetween,
} from '@necessaire/core';
import type { AnswerWorker, FrontierNow, LevelPoint } from '../workers/answer.worker';
import { useGarage } from './garage';
import { today } from '../ui/day';

/** Exact problems solved for the curve at first, and when the rider asks to close its band. */
const SOLVES = 160;
const SOLVES_MORE = 2600;
/** Edits in quick succession wait this long for the last, ms. */
const SETTLE = 400;
/** The picture reaches at least this far, grams. */
const LEAST_MOST = 8000;

/**
 * The curve of weight against what is saved, in a worker of its own. It hangs on everything but the limit itself, so that dragging the limit
 * needs no new curve; an edit of anything else ends the worker and starts anew.
 */
export const useFrontier = defineStore('frontier', () => {
  const garage = useGarage();
  const now = shallowRef<FrontierNow | null>(null);
  const failed = ref<string | null>(null);
  const running = ref(false);
  /** Limit that is being dragged, grams; null when none is. */
  const dragged = ref<number | null>(null);
  const more = ref(false);
  /** Whether the rider ended the work before it was done. */
  const halted = ref(false);
  let worker: Worker | null = null;
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
    worker?.terminate();
    worker = null;
    running.value = false;
  }
  async function run() {
    const { doc, bike, trip } = garage;
    stop();
    if (!doc || !bike || !trip || !wanted) return;
    const mine = new Worker(new URL('../workers/answer.worker.ts', import.meta.url), { type: 'module' });
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
      tell(
        await wrap<AnswerWorker>(mine).frontier(
          doc,
          { bikeId: bike.id, tripId: trip.id, today: today() },
          { most: most.value, solves: more.value ? SOLVES_MORE : SOLVES, levels: [...trip.kit.levels] },
          proxy(tell),
        ),
      );
    } catch (error) {
      if (worker === mine) failed.value = inWords(error);
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
  const picture = computed(() => now.value?.picture ?? null);
  const levels = computed<LevelPoint[]>(() => now.value?.levels ?? []);
  /** The best kit that a limit allows. */
  function pointAt(limit: number): CurvePoint | null {
    const points = picture.value?.points ?? [];
    let best: CurvePoint | null = null;
    for (const p of points) {
      if (p.limit > limit) break;
      best = p;
    }
    return best ?? points[0] ?? null;
  }
  /** Where the kit for its weight lies: the knee of the curve. */
  const knee = computed(() => {
    const kit = garage.trip?.kit;
    if (!kit || !picture.value) return null;
    return kneePoint(picture.value.points, priceOfGram({ question: kit }))?.mass ?? null;
  });
  /** Weight of the kit that was worked out as the best for its weight: while the curve is only narrowed down, its own knee may lie elsewhere. */
  const settled = ref<number | null>(null);
  const limit = computed(
    () =>
      dragged.value ??
      (garage.trip?.kit.ask === 'worth' ? (settled.value ?? knee.value) : null) ??
      garage.trip?.kit.mass ??
      0,
  );
  /** The knee that asks for the kit nearest to a weight, in minutes for 100 g. */
  function kneeOf(grams: number): number | null {
    const kit = garage.trip?.kit;
    return kit && picture.value ? (kneeAt(picture.value.points, grams, kit)?.minutes ?? null) : null;
  }
  const point = computed(() => pointAt(limit.value));
  const index = computed(() => (point.value ? present(picture.value).points.indexOf(point.value) : -1));
  const nameOf = (id: string) => garage.doc?.pieces.find((p) => p.id === id)?.name ?? 'a piece to buy';

  /** Steps from the kit of the limit downwards, or upwards: each against the kit before it. */
  function steps(way: -1 | 1, n: number): StepBetween[] {
    const points = picture.value?.points ?? [];
    const out: StepBetween[] = [];
    for (let i = index.value; out.length < n; i += way) {
      const [from, to] = [points[i], points[i + way]];
      if (!from || !to) break;
      out.push(between(from, to, nameOf));
    }
    return out;
  }
  const leaves = computed(() => steps(-1, 4));
  const comes = computed(() => steps(1, 4));

  /** The kit of a limit for the answer, so that both speak of the same one; null while the curve is of something else. */
  function hintFor(mass: number): KitHint | null {
    const at = Math.floor(mass);
    const p = stale.value ? null : pointAt(at);
    if (!p || p.limit > at || !now.value) return null;
    const near = present(picture.value).band.find((b) => b.limit >= at) ?? present(picture.value).band.at(-1);
    return {
      limit: at,
      bound: near?.bound ?? Infinity,
      pieces: p.pieces,
      stocked: p.stocked,
      asks: now.value.asks,
    };
  }
  return {
    now,
    picture,
    levels,
    running,
    failed,
    stale,
    dragged,
    limit,
    settled,
    knee,
    kneeOf,
    point,
    leaves,
    comes,
    most,
    want,
    closeBand,
    halt,
    halted,
    hintFor,
    pointAt,
  };
});
