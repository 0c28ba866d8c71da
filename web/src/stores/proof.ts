import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import {
  ME,
  proofTold,
  proveCaseOf,
  type CheckDone,
  type CheckDue,
  type ProofTold,
  type ProveCase,
} from '@necessaire/core';
import { checkWords } from '@necessaire/words';
import { today } from '../ui/day';
import { useAnswer } from './answer';
import { useGarage } from './garage';
import { useDrilling } from './proof/drilling';
import { checked } from './proveEdits';
import * as texts from '../words/stores/proof';

/** Drills, checks and what is watched: the rider's evidence, from the kit of the answer. */
export const useProof = defineStore('proof', () => {
  const garage = useGarage();
  const answers = useAnswer();
  const made = computed<ProveCase | null>(() => {
    const { doc, bike, trip } = garage;
    if (!doc || !bike || !answers.answer) return null;
    return proveCaseOf(doc, { bikeId: bike.id, tripId: trip?.id ?? null }, answers.answer, today());
  });
  /** Whose practice is looked at. */
  const who = ref<string>(ME);
  const told = computed<ProofTold | null>(() =>
    garage.doc && made.value ? proofTold(garage.doc, made.value, who.value) : null,
  );
  /** The rider and who rides along, as a choice. */
  const people = computed(() => {
    const doc = garage.doc;
    const rides = made.value?.riders ?? new Set([ME]);
    return [
      { title: doc?.garage.rider.name || texts.you, value: ME as string },
      ...(doc?.companions ?? [])
        .filter((c) => rides.has(c.id))
        .map((c) => ({ title: c.person.name, value: c.id as string })),
    ];
  });

  const drilling = useDrilling(made);
  /** Says of a check what came of it. */
  function check(k: CheckDue, result: CheckDone['result'], note: string): boolean {
    const c = made.value;
    if (!c) return false;
    const row = checked(c, k.key, result, note, {
      id: crypto.randomUUID(),
      now: new Date().toISOString(),
      who: who.value,
    });
    const watch = garage.doc?.watches.find((w) => k.key === `watch ${w.id}`);
    const looked = watch && {
      ...watch,
      looked: [
        ...watch.looked,
        { on: today(), km: c.bike.odometer, ok: result === 'ok', note: row.note.slice(0, 200) },
      ].slice(-200),
    };
    return garage.edit(`${checkWords(k.about).name}: ${result}`, [
      { table: 'checks', id: row.id, before: null, after: row },
      ...(watch && looked && result !== 'skipped'
        ? [{ table: 'watches' as const, id: watch.id, before: watch, after: looked }]
        : []),
    ]);
  }
  return { made, told, who, people, check, ...drilling };
});
