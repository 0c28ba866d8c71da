/** What LineSays says. */
export const somethingElse = 'Something else';
export const itMeans = 'It means';
export const tab = 'Tab';
export const or = 'or';
