export { cancel } from '../verbs';

/** What ExportDialog says. */
export const exportTheGarage = 'Export the garage';
export const allBikesToolsTripsAnd = 'All bikes, tools, trips and notes in one file. Necessaire can import it again.';
export const withMyDetailsForAn = 'Include my emergency details: names, whom to call, blood group and allergies';
export const whoeverGetsTheFileCan = 'Anybody who gets the file can read them.';
export const export2 = 'Export';
