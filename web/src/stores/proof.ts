import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import {
  isOpen,
  ME,
  proofTold,
  proveCaseOf,
  startDrill,
  takenUp,
  type CheckDone,
  type CheckDue,
  type Drill,
  type ProofTold,
  type ProveCase,
  type Rehearsal,
} from '@necessaire/core';
import { checkWords } from '@necessaire/words';
import { whenAndWhere, whereNow } from '../sync/position';
import { today } from '../ui/day';
import { useAnswer } from './answer';
import { useGarage } from './garage';
import { useBeat } from './proof/beat';
import { checked, endingOf, factOf, rehearsalOf, type Ending, type Said } from './proveEdits';
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

  /** The drill that is open on the screen. */
  const openId = ref<string | null>(null);
  const drill = computed<Drill | null>(() => garage.doc?.drills.find((d) => d.id === openId.value) ?? null);
  const rehearsed = computed<Rehearsal | null>(() =>
    made.value && drill.value ? rehearsalOf(made.value, drill.value) : null,
  );
  /** Drills of this bike that were begun and not ended, the latest first. */
  const unfinished = computed(() =>
    (garage.doc?.drills ?? [])
      .filter((d) => d.bikeId === garage.bike?.id && isOpen(d))
      .sort((a, b) => (a.started < b.started ? 1 : -1)),
  );
  const now = () => new Date().toISOString();
  const nextId = () => crypto.randomUUID();

  const { beat, beating, seen } = useBeat(drill);
  const write = (label: string, next: Drill): boolean => garage.put(label, 'drills', next);

  function start(r: Rehearsal, given: { dry: boolean; dark: boolean; who: string; real?: boolean }): boolean {
    const bike = garage.bike;
    if (!bike) return false;
    const row = startDrill(r, {
      ...given,
      id: nextId(),
      bikeId: bike.id,
      tripId: garage.trip?.id ?? null,
      now: now(),
    });
    if (!write(`drill: ${r.trouble.name}`, row)) return false;
    openId.value = row.id;
    beating(true);
    beat();
    return true;
  }
  /** Opens a drill that was begun: torn off, its clock stands where it was last seen to run. */
  function takeUp(d: Drill) {
    const next = takenUp(d, seen(d.id));
    if (next !== d) write(`drill: ${d.way}`, next);
    openId.value = d.id;
    beating(true);
  }
  function step(change: (d: Drill, at: string) => Drill, label: string) {
    const d = drill.value;
    if (!d) return;
    const next = change(d, now());
    if (next !== d) write(label, next);
    beat();
  }
  function close() {
    beating(false);
    openId.value = null;
  }

  /** Writes down what somebody is stuck over, and the fact that it is. @returns what it changed, in a sentence */
  function stuck(next: Drill, said: Said): string {
    const { doc } = garage;
    const [d, r] = [drill.value, rehearsed.value];
    if (!doc || !d || !r) return '';
    const fact = factOf(doc, d, r, said, { nextId, now: now(), today: today() });
    garage.edit(
      fact.label || `stuck: ${said.reason}`,
      [{ table: 'drills', id: d.id, before: d, after: next }, ...fact.rows],
      fact.garage,
    );
    return fact.says;
  }
  /** What the open drill leaves behind, were it taken as it is. */
  function ending(used: readonly { kind: string; units: number }[], watch: boolean): Ending | null {
    const { doc } = garage;
    const [c, d, r] = [made.value, drill.value, rehearsed.value];
    if (!doc || !c || !d || !r) return null;
    const said = whenAndWhere(r.trouble.name);
    return endingOf(doc, c, d, r, used, { nextId, now: now(), today: today(), watch, said, place: whereNow() });
  }
  function take(end: Ending): boolean {
    const d = drill.value;
    return d !== null && (end.rows.length === 0 || garage.edit(texts.whatTheDrillShowed(d.way), end.rows));
  }
  /** Says of a check what came of it. */
  function check(k: CheckDue, result: CheckDone['result'], note: string): boolean {
    const c = made.value;
    if (!c) return false;
    const row = checked(c, k.key, result, note, { id: nextId(), now: now(), who: who.value });
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
  return {
    made,
    told,
    who,
    people,
    drill,
    rehearsed,
    unfinished,
    start,
    takeUp,
    step,
    close,
    stuck,
    ending,
    take,
    check,
  };
});
