import { defineStore } from 'pinia';
import { reactive, ref } from 'vue';
import { CARD_LINE, cardWritten, cut, EMPTY_CARD, type RoadCard } from '@necessaire/core';

const KEY = 'necessaire-own-card';
const FIELDS = ['name', 'riders', 'call', 'health'] as const satisfies readonly (keyof RoadCard)[];

function kept(): { card: RoadCard; filledAt: number } {
  try {
    const was = (JSON.parse(localStorage.getItem(KEY) ?? '{}') ?? {}) as Record<string, unknown>;
    const text = (key: string) => (typeof was[key] === 'string' ? cut(was[key], CARD_LINE) : '');
    return {
      card: { name: text('name'), riders: text('riders'), call: text('call'), health: text('health') },
      filledAt: typeof was['filledAt'] === 'number' && was['filledAt'] > 0 ? was['filledAt'] : 0,
    };
  } catch {
    // What cannot be read is written anew.
    return { card: { ...EMPTY_CARD }, filledAt: 0 };
  }
}

/** Own details for an emergency, and where the tank was filled: in this browser alone, and in a file or on paper only when that is ticked. */
export const useOwnCard = defineStore('own card', () => {
  const was = kept();
  const card = reactive<RoadCard>(was.card);
  const filledAt = ref(was.filledAt);
  /** Whether the pocket card is printed with them: ticked anew at each visit. */
  const printed = ref(false);
  /** Whether this browser kept what was written. */
  const stored = ref(true);
  function keep() {
    try {
      localStorage.setItem(KEY, JSON.stringify({ ...card, filledAt: filledAt.value }));
      stored.value = true;
    } catch {
      stored.value = false;
    }
  }
  /** What a file brought, where nothing is written here yet. @returns whether it was taken */
  function take(from: RoadCard): boolean {
    if (cardWritten(card)) return false;
    for (const field of FIELDS) card[field] = from[field];
    keep();
    return true;
  }
  return { card, filledAt, printed, stored, keep, take, written: () => cardWritten(card) };
});
