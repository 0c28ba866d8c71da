/** What OtherPart says. */
export const picture = 'Picture';
export const below = 'Below';
