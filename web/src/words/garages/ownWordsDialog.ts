import { said, type Part } from '../said';
export { add, close, deleteIt } from '../verbs';

/** What OwnWordsDialog says. */
export const myWords = 'My words';
export const wordsOfYoursThatThe =
  'Words of yours that the lines in Walk and Match understand: a trade name, a dialect, another language. They are saved with this garage.';
export const word = 'Word';
export const means = 'Means';
export const noWordsYetWhenA =
  'No words yet. When a line does not know a word beside a size, it asks what it means and remembers it here.';
export const means2 = (word: Part) => said`${word} means`;
export const delete2 = (word: Part) => said`Delete ${word}`;
