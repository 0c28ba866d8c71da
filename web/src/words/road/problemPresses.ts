/** What ProblemPresses says. */
export const nothingOfThatNameTry = 'No match. Try another word, or clear the search and choose what comes closest.';
