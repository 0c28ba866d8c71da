import { said, type Part } from '../said';

/** What GarageItems says. */
export const open = '\u00a0(open)';
export const newEmptyGarage = 'New empty garage …';
export const renameThisGarage = 'Rename this garage …';
export const deleteThisGarage = 'Delete this garage';
export const bringBack = (name: Part) => said`Bring back ${name}`;
export const exportAsAFile = 'Export as a file';
export const importAFile = 'Import a file …';
export const printTheList = 'Print the list';
export const light = 'Light';
export const dark = 'Dark';
export const theme = (theme: Part) => said`${theme} theme`;
export const inch = 'Inch';
export const metric = 'Metric';
export const units = (units: Part) => said`${units} units`;
export const currency = (sign: Part) => said`Currency: ${sign} …`;
export const myWords = 'My words …';
