import { defineStore } from 'pinia';
import { ref, watch } from 'vue';
import { cut, said, type Saying, type UnitSystem } from '@necessaire/core';

const KEY = 'necessaire.view';
interface Kept {
  theme: 'light' | 'dark';
  units: UnitSystem;
  garageId: string | null;
  bikeId: string | null;
  tripId: string | null;
  /** Who measures at this screen, written beside each step of the evidence ladder. */
  who: string;
}

function kept(): Partial<Kept> {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Kept>;
  } catch {
    return {};
  }
}

/** How this screen looks and what it has open; kept on this machine only. */
export const useView = defineStore('view', () => {
  const was = kept();
  const prefersDark = matchMedia('(prefers-color-scheme: dark)').matches;
  const theme = ref<'light' | 'dark'>(was.theme ?? (prefersDark ? 'dark' : 'light'));
  const units = ref<UnitSystem>(was.units === 'inch' ? 'inch' : 'metric');
  const garageId = ref<string | null>(was.garageId ?? null);
  const bikeId = ref<string | null>(was.bikeId ?? null);
  const tripId = ref<string | null>(was.tripId ?? null);
  const who = ref(typeof was.who === 'string' ? cut(was.who, 60) : '');
  /** Fastener, piece and item under the cursor, shared by the stages so that a find leads to them. */
  const fastenerId = ref<string | null>(null);
  const pieceId = ref<string | null>(null);
  const itemKey = ref<string | null>(null);
  const commandOpen = ref(false);
  /** What was typed into the search before it was there; a line's end is Enter. */
  const typedAhead = ref('');
  /** Whether the keys of the present stage are listed. */
  const keysOpen = ref(false);
  watch(
    [theme, units, garageId, bikeId, tripId, who],
    () => {
      document.documentElement.dataset['theme'] = theme.value;
      const now: Kept = {
        theme: theme.value,
        units: units.value,
        garageId: garageId.value,
        bikeId: bikeId.value,
        tripId: tripId.value,
        who: who.value,
      };
      try {
        localStorage.setItem(KEY, JSON.stringify(now));
      } catch {
        // A browser that keeps nothing still works; it only forgets the theme.
      }
    },
    { immediate: true },
  );
  /** A sentence of the core with its quantities in the units on show. */
  const inWords = (saying: Saying | string): string => said(units.value, saying);
  return {
    inWords,
    theme,
    units,
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
