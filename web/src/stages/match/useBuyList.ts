import { shallowRef, watch, type Ref, type ShallowRef } from 'vue';
import type { BuyFor, BuyList } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';

/** The buy list of the open bike and trip, worked out beside the answer on every change; null until it is there. */
export function useBuyList(least: Ref<BuyFor>): ShallowRef<BuyList | null> {
  const garage = useGarage();
  const answers = useAnswer();
  const list = shallowRef<BuyList | null>(null);
  watch(
    () => [garage.version, garage.bike?.id, garage.trip?.id, least.value] as const,
    async () => {
      const { doc, bike, trip } = garage;
      if (!doc || !bike) return;
      const asked = least.value;
      const made = await answers.ask((w) => w.buyList(doc, { bikeId: bike.id, tripId: trip?.id ?? null }, asked));
      if (made && garage.doc === doc && least.value === asked) list.value = made;
    },
    { immediate: true },
  );
  return list;
}
