/** What ProblemPresses says. */
export const nothingOfThatNameTry =
  'Nothing of that name. Try another word, or clear it and choose what comes nearest.';
