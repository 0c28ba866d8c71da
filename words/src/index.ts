/** What core says, in words: one sentence a code, in the units on show. Screens, prints and the command line tell all of it from here. */
export { asTyped, massOf, measure, say, type Amount, type Saying } from './saying.js';
export { factWords, said, type Fact, type Sayable } from './said.js';
export { calendarWords, checkWords, DRY_WORDS, type WordsOfCheck } from './checks.js';
export { neededWords, reasonOf, spareReason } from './kit.js';
export { failureWords } from './failure.js';
export { positionWords, QUESTIONS } from './practice.js';
export { faultTitle, whyRules } from './stow.js';
