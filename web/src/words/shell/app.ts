/** What App says. */
export const theGarageDoesNotOpen = 'The garage does not open';
export const tryAgain = 'Try again';
