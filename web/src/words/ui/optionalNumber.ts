/** What OptionalNumber says. */
export const enterANumberOrLeave = 'Enter a number, or leave it empty.';
export const enterAWholeNumber = 'Enter a whole number.';
