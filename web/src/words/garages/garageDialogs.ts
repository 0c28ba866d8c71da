export { close } from '../verbs';

/** What GarageDialogs says. */
export const newGarage = 'New garage';
export const renameTheGarage = 'Rename the garage';
export const name = 'Name';
export const create = 'Create';
export const rename = 'Rename';
export const notDone = 'Not done';
export const thatDidNotWorkNothing = 'That did not work. Nothing was changed.';
