export { cancel } from '../verbs';

/** What ExportDialog says. */
export const exportTheGarage = 'Export the garage';
export const allBikesToolsTripsAnd =
  'All bikes, tools, trips and what you wrote down, as one file that Necessaire reads again.';
export const withMyDetailsForAn = 'With my details for an emergency: names, whom to call, blood group and allergies';
export const whoeverGetsTheFileCan = 'Whoever gets the file can read them.';
export const export2 = 'Export';
