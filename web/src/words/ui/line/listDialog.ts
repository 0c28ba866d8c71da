import { said, type Part } from '../../said';
export { close, remove } from '../../verbs';

/** What ListDialog says. */
export const theList = 'The list';
export const readTheList = 'Read the list';
export const linesOfTheList = 'Lines of the list';
export const take = (row: Part) => said`Take “${row}”`;
export const line = (row: Part) => said`Line “${row}”`;
export const removeOne = (row: Part) => said`Remove “${row}”`;
export const toAnswer = (asked: Part) => said`${asked} to answer.`;
export const notUnderstood = (refused: Part) => said`${refused} not understood.`;
export const theyStayHereUntilThey = 'They stay here until they are settled.';
export const add = (items: Part) => said`Add ${items}`;
export const notUnderstood2 = 'not understood';
