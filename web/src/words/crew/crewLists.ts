import { said, type Part } from '../said';
export { print } from '../verbs';

/** What CrewLists says. */
export const allTogether = 'All together';
export const printAllLists = 'Print all lists';
export const saveAsCsv = 'Save as CSV';
export const csv = 'CSV';
export const fileForThem = 'File for them';
export const canReadThisFileInto = (name: Part) =>
  said`${name} can read this file into their own Necessaire: garage menu, Import a file.`;
