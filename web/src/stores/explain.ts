import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import type { Saying } from '@necessaire/core';

/** What stands behind a number: inputs, formula, source. */
export interface Explanation {
  title: string;
  value: string;
  formula: string | Saying;
  inputs: { name: string; value: string | Saying }[];
  source: string;
  /** Where the reason is worked on. */
  to?: { path: string; label: string };
}

/** The one panel that explains numbers: a click on a figure fills it. */
export const useExplain = defineStore('explain', () => {
  const shown = shallowRef<Explanation | null>(null);
  return { shown, show: (e: Explanation) => (shown.value = e), hide: () => (shown.value = null) };
});
