import { said, type Part } from '../said';

/** What PaperSheet says. */
export const calendar = 'Calendar';
export const sayUnder = 'Enter under';
export const checks = 'Checks';
export const whenYouLeaveThenEach = 'when you leave; then each check has its day.';
export const withADayEachWith = (open: Part) => said`${open} with a day, each with a reminder the evening before.`;
export const saveTheCalendarFile = 'Save the calendar file';
export const anOpenCalendarFileIcs =
  'An open calendar file (.ics): import it anywhere, and again whenever something changed.';
export const paper = 'Paper';
export const savedImportItAgainAfter = 'Saved. Import it again after a change; existing entries are updated.';
export const checksOnOnePage = 'Checks on one page';
export const withBoxesToTickIn = 'with boxes to tick, in the order of the walk round the bike';
export const pocketCard = 'Pocket card';
export const sizesTorquesPressuresFluidsWho =
  'sizes, torques, pressures, fluids, who and where; emergency lines to fill in';
export const repairSheets = 'Repair sheets';
export const stepsPlacesAndCautionsOf = 'steps, places and cautions of each likely repair';
export const wholeTripBook = 'Whole trip book';
export const allOfItAsOne = 'everything in one print, with a table of contents';
export const packingList = 'Packing list';
export const onePageByPlace = 'one page by place';
