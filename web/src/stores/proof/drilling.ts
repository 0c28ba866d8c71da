import { computed, ref, type Ref } from 'vue';
import { isOpen, startDrill, takenUp, type Drill, type ProveCase, type Rehearsal } from '@necessaire/core';
import { whenAndWhere, whereNow } from '../../sync/position';
import { today } from '../../ui/day';
import * as texts from '../../words/stores/drilling';
import { useGarage } from '../garage';
import { endingOf, factOf, rehearsalOf, type Ending, type Said } from '../proveEdits';
import { useBeat } from './beat';

/** The drill that is open: begun, taken up, taken step by step, and what it leaves behind. */
export function useDrilling(made: Readonly<Ref<ProveCase | null>>) {
  const garage = useGarage();
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
  return { drill, rehearsed, unfinished, start, takeUp, step, close, stuck, ending, take };
}
