import { said, type Part } from '../said';
export { add, close, deleteIt } from '../verbs';

/** What OwnWordsDialog says. */
export const myWords = 'My words';
export const wordsOfYoursThatThe =
  'Your own words for what you type in Walk and Match: a trade name, a dialect, another language. They are saved with this garage.';
export const word = 'Word';
export const means = 'Means';
export const noWordsYetWhenA =
  'No words yet. When you type a word that Necessaire does not know, it asks what it means and saves it here.';
export const means2 = (word: Part) => said`${word} means`;
export const delete2 = (word: Part) => said`Delete ${word}`;
