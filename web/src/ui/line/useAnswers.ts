import { computed, nextTick, ref, shallowRef, useTemplateRef, type Ref } from 'vue';
import type { LineReading } from '@necessaire/core';
import { turned, type Turning } from './alternatives';
import type LineInput from './LineInput.vue';
import type LineSays from './LineSays.vue';
import { useOwnWords } from './useOwnWords';

const NOTHING: LineReading = { parts: [], asks: [], faults: [] };

/**
 * What a rider answers to a line: one key goes through its readings, a press takes one, a word is learned once. A line that Enter was pressed on
 * and that a question held up is put as soon as its answer makes it whole.
 * @param text the line as typed
 * @param reading how it is read
 * The component has its field in the template ref `box` and what is said of it in `says`.
 * @param put puts what the line says when it is whole; false when it is not
 */
export function useAnswers(text: Ref<string>, reading: Readonly<Ref<LineReading>>, put: () => boolean) {
  const words = useOwnWords();
  const box = useTemplateRef<InstanceType<typeof LineInput>>('box');
  const says = useTemplateRef<InstanceType<typeof LineSays>>('says');
  const turning = shallowRef<Turning | null>(null);
  const held = ref<string | null>(null);
  /** Nothing is said of an empty line. */
  const shown = computed(() => (text.value.trim() === '' ? NOTHING : reading.value));

  function turn(event: KeyboardEvent) {
    if (event.shiftKey) return;
    if (shown.value.asks[0]?.word) {
      event.preventDefault();
      says.value?.focus();
      return;
    }
    const next = turned(text.value, shown.value, turning.value);
    if (!next) return;
    event.preventDefault();
    turning.value = next;
    text.value = next.lines[next.at] ?? text.value;
  }
  /** Enter found a question: it is where the hand goes next. */
  function hold() {
    held.value = reading.value.asks.length > 0 ? text.value : null;
    says.value?.focus();
  }
  async function take(line: string) {
    const waits = held.value === text.value;
    held.value = null;
    text.value = line;
    box.value?.focus();
    await nextTick();
    if (waits) put();
  }
  async function mean(word: string, term: string) {
    words.learn(word, term);
    await take(text.value);
  }
  return { box, shown, turn, hold, take, mean };
}
