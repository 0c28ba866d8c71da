import { said, type Part } from '../said';
export { close } from '../verbs';

/** What CompareDialog says. */
export const compareTwoBikes = 'Compare two bikes';
export const thereIsOnlyOneBike = 'There is only one bike here. Add another, or copy this one.';
export const oneBike = 'One bike';
export const and = 'and';
export const theOtherBike = 'The other bike';
export const andMore = (list: Part) => said` and ${list} more`;
export const onBoth = 'On both';
export const only = (here: Part) => said`Only ${here}`;
