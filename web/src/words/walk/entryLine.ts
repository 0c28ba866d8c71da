import { said, type Part } from '../said';
export { discard } from '../verbs';

/** What EntryLine says. */
export const change = (name: Part) => said`Change ${name}`;
export const addAFastener = 'Add a fastener';
export const entrySays = 'entry-says';
export const sizeOfOr = (what: Part, units: Part) => said`size of ${what}, or ${units}`;
export const at = (units: Part, what: Part) => said`${units} at ${what}`;
export const enter = 'Enter';
export const keep = 'save';
export const add = 'add';
export const notSaved = 'Not saved';
export const for2 = (what: Part) => said`for ${what}`;
export const continue2 = 'Continue';
export const lastLineAgain = 'Last line again';
export const assume = 'assume';
export const leaveOutOr = 'leave out, or';
export const sizeNameThen = 'size, name, then:';
export const addABikeFirst = 'Add a bike first';
export const readingOf = (name: Part) => said`reading of ${name}`;
export const forIt = (name: Part) => said`for ${name}`;
