import { computed, type Ref } from 'vue';
import { partKey, present, type Packing, type StowFault } from '@necessaire/core';
import { faultTitle } from '@necessaire/words';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { held, over } from '../../ui/places/held';
import * as edits from '../../words/edits';
import * as texts from '../../words/stow/pins';

/** What the rider puts where, against what the rules choose. */
export function usePins(packing: Readonly<Ref<Packing | null>>, placeName: (id: string) => string) {
  const answers = useAnswer();
  const garage = useGarage();
  const notice = useNotice();
  const pinsHere = computed(() => (garage.doc?.pins ?? []).filter((p) => p.bikeId === garage.bike?.id));
  const pinned = (key: string) => pinsHere.value.some((p) => p.item === key);
  const nameOf = (key: string) => packing.value?.stowed.find((s) => s.item.key === key)?.item.name ?? 'it';
  const pinRow = (key: string, to: string) => ({
    id: pinsHere.value.find((p) => p.item === key)?.id ?? crypto.randomUUID(),
    bikeId: present(garage.bike).id,
    placeId: to,
    item: key,
  });
  /** Puts an item where the rider says; an item put back to "let the rules choose" loses its pin. */
  function move(key: string, to: string | null) {
    if (!garage.bike) return;
    held.value = null;
    over.value = null;
    const name = nameOf(key);
    if (to === null) {
      const pin = pinsHere.value.find((p) => p.item === key);
      if (pin) garage.remove(texts.letTheRulesPlace(name), { table: 'pins', id: pin.id });
      notice.say(texts.theRulesChoose(name));
      return;
    }
    garage.put(edits.move(name), 'pins', pinRow(key, to));
    notice.done(texts.goesTo(name, placeName(to).toLowerCase()));
  }
  /** Half of a packet becomes a part of its own, where the whole lies; from there it can be moved. */
  function split(key: string) {
    const stowed = packing.value?.stowed.find((s) => s.item.key === key);
    const kind = key.replace(/^supply /u, '');
    const spare = answers.answer?.kit.spares.find((s) => s.kind === kind);
    const to = stowed?.placeId ?? garage.places[0]?.id;
    if (!spare || !to || !garage.bike) return;
    const units = Math.floor((spare.quantity - spare.fitted) / 2);
    if (units < 1) return;
    garage.put(edits.split(spare.name.toLowerCase()), 'pins', pinRow(partKey(kind, units), to));
    notice.say(texts.ofLieApartNowMove(units, spare.name.toLowerCase()));
  }
  function mend(fault: StowFault) {
    const moves = fault.mending?.moves ?? [];
    garage.put(edits.solve(faultTitle(fault)), 'pins', ...moves.map((m) => pinRow(m.key, m.placeId)));
    notice.done(`${moves.map((m) => texts.goesTo2(m.name, m.placeName.toLowerCase())).join(', ')}.`);
  }
  function freeAll() {
    garage.remove(
      texts.letTheRulesPlaceEverything,
      ...pinsHere.value.map((p) => ({ table: 'pins' as const, id: p.id })),
    );
    notice.done(texts.theRulesChooseForEverything);
  }
  return { pinsHere, pinned, move, split, mend, freeAll };
}
