import { useLocalStorage, usePreferredDark } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { cut, type UnitSystem } from '@necessaire/core';
import { said, type Sayable } from '@necessaire/words';
import { currencyFrom, EURO, type Currency } from '../words/money';

const KEY = 'necessaire.view';
interface Kept {
  theme: 'light' | 'dark' | null;
  units: UnitSystem;
  currency: Currency;
  garageId: string | null;
  bikeId: string | null;
  tripId: string | null;
  /** Who measures at this screen, written beside each step of the evidence ladder. */
  who: string;
}
const USUAL: Kept = {
  theme: null,
  units: 'metric',
  currency: EURO,
  garageId: null,
  bikeId: null,
  tripId: null,
  who: '',
};

/** What was kept, each field that reads as it should; a browser's store is anybody's to write. */
function read(text: string): Kept {
  const id = (value: unknown) => (typeof value === 'string' ? value : null);
  try {
    const was = (JSON.parse(text) ?? {}) as Record<string, unknown>;
    return {
      theme: was['theme'] === 'dark' || was['theme'] === 'light' ? was['theme'] : null,
      units: was['units'] === 'inch' ? 'inch' : 'metric',
      currency: currencyFrom(was['currency']),
      garageId: id(was['garageId']),
      bikeId: id(was['bikeId']),
      tripId: id(was['tripId']),
      who: typeof was['who'] === 'string' ? cut(was['who'], 60) : '',
    };
  } catch {
    return { ...USUAL };
  }
}

/** How this screen looks and what it has open; kept on this machine only. */
export const useView = defineStore('view', () => {
  // Each page shows a bike and a trip of its own. A browser that keeps nothing still works; it only forgets them.
  const kept = useLocalStorage<Kept>(KEY, USUAL, {
    serializer: { read, write: JSON.stringify },
    listenToStorageChanges: false,
    onError: () => undefined,
  });
  const field = <K extends keyof Kept>(key: K) =>
    computed<Kept[K]>({
      get: () => kept.value[key],
      set: (value) => (kept.value = { ...kept.value, [key]: value }),
    });
  const prefersDark = usePreferredDark();
  const theme = computed<'light' | 'dark'>({
    get: () => kept.value.theme ?? (prefersDark.value ? 'dark' : 'light'),
    set: (value) => (kept.value = { ...kept.value, theme: value }),
  });
  watch(theme, (now) => (document.documentElement.dataset['theme'] = now), { immediate: true });
  const units = field('units');
  const currency = field('currency');
  const garageId = field('garageId');
  const bikeId = field('bikeId');
  const tripId = field('tripId');
  const who = field('who');
  /** Fastener, piece and item under the cursor, shared by the stages so that a find leads to them. */
  const fastenerId = ref<string | null>(null);
  const pieceId = ref<string | null>(null);
  const itemKey = ref<string | null>(null);
  const commandOpen = ref(false);
  /** What was typed into the search before it was there; a line's end is Enter. */
  const typedAhead = ref('');
  /** Whether the keys of the present stage are listed. */
  const keysOpen = ref(false);
  /** What core says, in words and in the units on show. */
  const inWords = (what: Sayable): string => said(units.value, what);
  return {
    inWords,
    theme,
    units,
    currency,
    garageId,
    bikeId,
    tripId,
    who,
    fastenerId,
    pieceId,
    itemKey,
    commandOpen,
    typedAhead,
    keysOpen,
  };
});
