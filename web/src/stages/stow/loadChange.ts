import { computed, shallowRef, watch, type Ref } from 'vue';
import { loadCase, present, withUnit, type Packing, type Place } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { held, over } from '../../ui/places/held';
import * as texts from '../../words/stow/loadChange';

/** What the bike makes of the packing, what it would make of what is held, and what the last edit did to it. */
export function useLoadChange({
  packing,
  places,
  placeName,
  shifting,
}: {
  packing: Readonly<Ref<Packing | null>>;
  /** Places as they stand, one under the hand where it is dragged to. */
  places: Readonly<Ref<readonly Place[]>>;
  placeName: (id: string) => string;
  /** Whether a place is under the hand. */
  shifting: () => boolean;
}) {
  const answers = useAnswer();
  const garage = useGarage();
  const view = useView();
  /** Grams of the kit in each place, with one item elsewhere if asked. */
  function gramsBy(moved: { key: string; to: string } | null): Map<string, number> {
    const out = new Map<string, number>();
    for (const s of packing.value?.stowed ?? []) {
      const goes = moved && (s.item.key === moved.key || s.on?.key === moved.key) ? moved.to : s.placeId;
      if (goes) out.set(goes, (out.get(goes) ?? 0) + s.item.mass);
    }
    return out;
  }
  const loadWith = (moved: { key: string; to: string } | null) =>
    garage.bike && answers.answer
      ? loadCase(garage.bike, answers.answer.stow.people, places.value, gramsBy(moved))
      : null;
  const load = computed(() => loadWith(null));
  /** What the load becomes if what is held were dropped where it is. */
  const trial = computed(() => {
    if (!held.value || !over.value) return null;
    const item = packing.value?.stowed.find((s) => s.item.key === held.value);
    const changed = loadWith({ key: held.value, to: over.value });
    return item && changed
      ? { name: texts.itemIn(item.item.name, placeName(over.value).toLowerCase()), load: changed }
      : null;
  });
  const now = computed(() => trial.value?.load ?? load.value);
  /** What the last edit did to the load, in words. A longer search that finds a better packing of the same edit is part of it. */
  interface Stand {
    subject: string;
    version: number;
    z: number;
    side: number;
  }
  const stand = shallowRef<Stand | null>(null);
  const start = shallowRef<Stand | null>(null);
  watch(
    () => packing.value && load.value,
    (l) => {
      if (!l?.packed.centre || shifting()) return;
      const subject = `${garage.bike?.id ?? ''} ${garage.trip?.id ?? ''}`;
      const next = { subject, version: garage.version, z: l.packed.centre.z, side: l.packed.side };
      if (stand.value?.subject !== subject) start.value = null;
      else if (stand.value.version !== next.version) start.value = stand.value;
      stand.value = next;
    },
    { immediate: true },
  );
  const change = computed(() => {
    const [a, b] = [start.value, stand.value];
    if (!a || !b || (Math.abs(a.z - b.z) < 0.05 && Math.abs(a.side - b.side) < 0.0005)) return null;
    return { z: b.z - a.z, side: Math.abs(b.side) - Math.abs(a.side) };
  });
  const says = computed(() => {
    const c = trial.value
      ? {
          z: present(trial.value.load.packed.centre).z - present(present(load.value).packed.centre).z,
          side: Math.abs(trial.value.load.packed.side) - Math.abs(present(load.value).packed.side),
        }
      : change.value;
    if (!c) return '';
    const parts = [
      Math.abs(c.z) >= 0.05
        ? `${withUnit(view.units, 'length', Math.abs(c.z), view.units === 'metric' ? 1 : 2)} ${c.z > 0 ? texts.higher : texts.lower}`
        : '',
      Math.abs(c.side) >= 0.0005
        ? `${withUnit(view.units, 'moment', Math.abs(c.side), 3)} ${c.side > 0 ? texts.lessEven : texts.moreEven}`
        : '',
    ].filter(Boolean);
    return parts.length > 0 ? parts.join(', ') : texts.noChangeToTheBike;
  });
  return { load, trial, now, says };
}
