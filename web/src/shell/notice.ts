import { useTimeoutFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref } from 'vue';
import type { Undone } from '../stores/garage';
import * as texts from '../words/shell/notice';

const SHOWN_MS = 4000;
/** What can be taken back stands longer: one reads it first, then reaches for it. */
const UNDO_MS = 8000;

/** One short line that says what just happened; read out by screen readers. */
export const useNotice = defineStore('notice', () => {
  const text = ref('');
  /** Whether what it says can be taken back by a press beside it. */
  const undoable = ref(false);
  /** How many lines were said so far: the same line twice is two. */
  const count = ref(0);
  /** How long the line stands. */
  const stands = ref(SHOWN_MS);
  const hidden = useTimeoutFn(() => (text.value = ''), stands, { immediate: false });
  function show(what: string, canUndo: boolean) {
    text.value = what;
    undoable.value = canUndo;
    count.value++;
    stands.value = canUndo ? UNDO_MS : SHOWN_MS;
    hidden.start();
  }
  const say = (what: string) => show(what, false);
  /** Says what an edit did; it can be undone from there. */
  const done = (what: string) => show(what, true);
  const undone = (result: Undone, redo: boolean) =>
    say(
      result === null
        ? texts.nothingTo(redo ? 'redo' : 'undo')
        : result.why === null
          ? `${redo ? texts.redone : texts.undone}: ${result.label}`
          : texts.not(redo ? 'redone' : 'undone', result.label, result.why),
    );
  return { text, undoable, said: count, say, done, undone };
});
