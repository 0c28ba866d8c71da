export { search } from '../verbs';

/** What CommandBox says. */
export const flat12MmTailBag = 'flat, 12 mm, tail bag, print, units …';
export const found = 'Found';
export const noMatchTryAProblem = 'No match. Try a problem, a tool, a size, a place or a setting.';
