import { said, type Part } from '../../said';

/** What edits says. */
export const itIsNotComplete = 'it is not complete';
export const wasChangedInAnotherWindow = (what: Part) => said`${what} was changed in another window since`;
