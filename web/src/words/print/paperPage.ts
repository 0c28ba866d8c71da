export { back, print } from '../verbs';

/** What PaperPage says. */
export const workingOutTheKit = 'Working out the kit …';
