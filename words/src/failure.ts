/** Refusals of the core that are worded for riders. Anything else is a fault inside, whose text helps nobody. */
const SAID: readonly RegExp[] = [
  /^that bike is not in this garage: choose another$/u,
  /^no set of pieces meets the marks: take "never" off a piece that is needed$/u,
];
const SENTENCES: Readonly<Record<number, string>> = {
  0: 'This bike is not in the garage any more. Choose another bike.',
  1: 'Your “never” marks leave no set of tools. Remove “never” from a tool that is needed.',
};

/**
 * What to tell a rider when an answer failed: one sentence with what to do. Never an exception's own text.
 * @param error whatever was thrown
 */
export function failureWords(error: unknown): string {
  const text = error instanceof Error ? error.message : '';
  const known = SAID.findIndex((re) => re.test(text));
  return (
    SENTENCES[known] ??
    'This could not be calculated; the figures are those from before. Your entries are saved. Undo the last change, or reload the page.'
  );
}
