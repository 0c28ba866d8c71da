import { defineStore } from 'pinia';
import { ref } from 'vue';
import type { Undone } from '../stores/garage';

const SHOWN_MS = 4000;

/** One short line that says what just happened; read out by screen readers. */
export const useNotice = defineStore('notice', () => {
  const text = ref('');
  let timer: ReturnType<typeof setTimeout> | undefined;
  function say(what: string) {
    text.value = what;
    clearTimeout(timer);
    timer = setTimeout(() => (text.value = ''), SHOWN_MS);
  }
  const undone = (done: Undone, redo: boolean) =>
    say(
      done === null
        ? `Nothing to ${redo ? 'redo' : 'undo'}`
        : done.why === null
          ? `${redo ? 'Redone' : 'Undone'}: ${done.label}`
          : `Not ${redo ? 'redone' : 'undone'}: ${done.label}. ${done.why}`,
    );
  return { text, say, undone };
});
