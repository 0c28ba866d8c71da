import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import {
  present,
  between,
  kneeAt,
  kneePoint,
  priceOfGram,
  type CurvePoint,
  type KitHint,
  type StepBetween,
} from '@necessaire/core';
import type { LevelPoint } from '../workers/answer.worker';
import { useGarage } from './garage';
import { useCurveWork } from './frontier/curveWork';
import * as texts from '../words/stores/frontier';

/** The curve of weight against what is saved: the kit of the limit that is asked for or dragged, what comes and goes beside it, and its knee. */
export const useFrontier = defineStore('frontier', () => {
  const garage = useGarage();
  const work = useCurveWork();
  const { now, stale } = work;
  /** Limit that is being dragged, grams; null when none is. */
  const dragged = ref<number | null>(null);

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
  const nameOf = (id: string) => garage.doc?.pieces.find((p) => p.id === id)?.name ?? texts.aPieceToBuy;

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
    ...work,
    picture,
    levels,
    dragged,
    limit,
    settled,
    knee,
    kneeOf,
    point,
    leaves,
    comes,
    hintFor,
    pointAt,
  };
});
