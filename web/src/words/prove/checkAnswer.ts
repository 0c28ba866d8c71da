export { back, save } from '../verbs';

/** What CheckAnswer says. */
export const yoursShows = 'Yours shows';
export const theGoodOneShows = 'The good one shows';
export const saveBothReadings = 'Save both readings';
export const whatWasFound = 'What was found';
export const whyItIsSkipped = 'Why it is skipped';
export const skipIt = 'Skip';
export const fine = 'Fine';
export const foundSomething = 'Found something';
export const skip = 'Skip';
export const gaugeCompared = 'gauge compared';
