import { said, type Part } from '../said';
export { add } from '../verbs';

/** What DrawerEntry says. */
export const whatYouOwnInOne = 'Type what you own, or search for a tool';
export const pieceSays = 'piece-says';
export const enter = 'Enter';
export const addIt = 'add';
export const spares = '→ spares';
export const andMoreTools = (few: Part) => said`and ${few} more, tools`;
export const kindAndSizeThen = 'kind and size; then';
export const or = '; or';
export const addFromTheCatalogue = 'Add from the catalogue';
export const typicalValues = 'typical values';
export const add2 = (name: Part) => said`Add ${name}`;
export const sets = 'Sets';
export const toolsAbout = (holds: Part, price: Part) => said`${holds} tools, about ${price}`;
export const addTheSet = (name: Part) => said`Add the set ${name}`;
