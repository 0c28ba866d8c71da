/** Refusals of the core, and the failures of the page’s workers, that are worded for riders. Anything else is a fault inside, whose text helps nobody. */
const SAID: Readonly<Record<string, string>> = {
  'that bike is not in this garage: choose another': 'This bike is not in the garage any more. Choose another bike.',
  'no set of pieces meets the marks: take "never" off a piece that is needed':
    'Your “never” marks leave no set of tools. Remove “never” from a tool that is needed.',
  'a part of the program was not fetched':
    'A part of the program did not arrive, because the server did not answer. Your entries are kept; try again when it answers.',
};
const OTHERWISE =
  'This could not be calculated; the figures are those from before. Your entries are saved. Undo the last change, or reload the page.';

/**
 * What to tell a rider when an answer failed: one sentence with what to do. Never an exception's own text.
 * @param error whatever was thrown
 */
export const failureWords = (error: unknown): string =>
  (error instanceof Error ? SAID[error.message] : undefined) ?? OTHERWISE;
