import { ref, watch } from 'vue';

/** What is being dragged, and over which place it is: shared, so that drawing, sheet and load follow at once. */
export const held = ref<string | null>(null);
export const over = ref<string | null>(null);

/** Nothing is held any more: what would move things under a hand waits for it. */
export const letGo = (): Promise<void> =>
  held.value === null
    ? Promise.resolve()
    : new Promise((resolve) => {
        const ended = watch(held, (now) => {
          if (now !== null) return;
          ended();
          resolve();
        });
      });
