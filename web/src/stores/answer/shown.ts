import { computed, ref, shallowRef } from 'vue';
import type { Answer } from '@necessaire/core';
import { figuresOf, type Figures } from './figures';
import type { Kept } from './lastAnswer';

/** What is shown of the answer, beside what was shown before. */
export function useShown() {
  const answer = shallowRef<Answer | null>(null);
  const figures = shallowRef<Figures | null>(null);
  /** Figures before the last change, for showing what it did. */
  const before = shallowRef<Figures | null>(null);
  /** Figures of a kit that is only looked at, such as while a limit is dragged; they stand in the readout meanwhile. */
  const preview = shallowRef<Partial<Figures> | null>(null);
  const shown = computed<Figures | null>(() =>
    figures.value && preview.value ? { ...figures.value, ...preview.value } : figures.value,
  );
  const shownBefore = computed(() => (preview.value ? figures.value : before.value));
  /** Whether what is shown is from before: of the last visit, or of an entry that could not be answered. */
  const old = ref(false);
  /** Bike and trip that it is of. */
  let subject = '';

  /** Shows an answer, beside the one before where both are of the same bike and trip: no difference is shown between two questions. */
  function show(made: Answer, asked: string) {
    const now = figuresOf(made);
    before.value = asked === subject ? figures.value : null;
    subject = asked;
    answer.value = made;
    figures.value = now;
    old.value = false;
  }
  /** Shows what was answered at the last visit. True where this program gave it; another’s stands dimmed. */
  function showKept(kept: Kept, asked: string): boolean {
    show(kept.answer, asked);
    if (kept.build === __BUILD__) return true;
    old.value = true;
    // Two programs are not compared.
    subject = '';
    return false;
  }
  function clear() {
    answer.value = null;
    figures.value = null;
    before.value = null;
    preview.value = null;
    old.value = false;
  }
  return { answer, figures, before, preview, shown, shownBefore, old, show, showKept, clear };
}
