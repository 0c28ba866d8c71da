import { defineStore } from 'pinia';
import { ref } from 'vue';

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
  const undone = (label: string | null, redo: boolean) =>
    say(label === null ? `Nothing to ${redo ? 'redo' : 'undo'}` : `${redo ? 'Redone' : 'Undone'}: ${label}`);
  return { text, say, undone };
});
