import { computed } from 'vue';
import { MOST_OWN_WORDS, termWords, wordsOf, type OwnWord } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import * as texts from '../../words/ui/line/useOwnWords';
import * as edits from '../../words/edits';

const NONE: readonly OwnWord[] = [];

/** The rider's own words of this garage, and how one more is remembered. */
export function useOwnWords() {
  const garage = useGarage();
  const notice = useNotice();
  const own = computed<readonly OwnWord[]>(() => garage.doc?.garage.words ?? NONE);
  /** Words that names in this garage already have: nobody is asked about them again. */
  const known = computed(() => wordsOf(garage.doc?.fasteners.map((f) => f.name) ?? []));

  function write(words: readonly OwnWord[], label: string): boolean {
    const doc = garage.doc;
    return doc ? garage.edit(label, [], { ...doc.garage, words: [...words] }) : false;
  }
  /** A word is remembered with what it means; said again it means the new thing. */
  function learn(word: string, means: string): void {
    const others = own.value.filter((w) => w.said.toLowerCase() !== word.toLowerCase());
    if (others.length >= MOST_OWN_WORDS) {
      notice.say(texts.fullOfWords(MOST_OWN_WORDS));
      return;
    }
    if (write([...others, { said: word, means }], edits.remember(word)))
      notice.say(texts.meansFromNowOnChange(word, termWords(means)));
  }
  const forget = (word: OwnWord) =>
    write(
      own.value.filter((w) => w !== word),
      edits.forget(word.said),
    );
  return { own, known, learn, forget };
}
