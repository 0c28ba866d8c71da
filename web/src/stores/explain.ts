import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import type { Sayable } from '@necessaire/words';

/** What stands behind a number: inputs, formula, source. */
export interface Explanation {
  title: string;
  value: string;
  formula: Sayable;
  inputs: { name: string; value: Sayable }[];
  source: string;
  /** Where the reason is worked on. */
  to?: { path: string; label: string };
}

/** The one panel that explains numbers: a click on a figure fills it. */
export const useExplain = defineStore('explain', () => {
  const shown = shallowRef<Explanation | null>(null);
  return { shown, show: (e: Explanation) => (shown.value = e), hide: () => (shown.value = null) };
});
