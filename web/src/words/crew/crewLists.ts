import { said, type Part } from '../said';
export { print } from '../verbs';

/** What CrewLists says. */
export const allTogether = 'All together';
export const printAllLists = 'Print all lists';
export const saveAsCsv = 'Export CSV';
export const csv = 'CSV';
export const fileForThem = 'File for them';
export const canReadThisFileInto = (name: Part) =>
  said`${name} can import this file into their own Necessaire: garage menu, Import a file.`;
export const trip = 'trip';
