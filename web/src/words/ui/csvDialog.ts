import { said, type Part } from '../said';
export { cancel } from '../verbs';

/** What CsvDialog says. */
export const importFromATable = (what: Part) => said`Import ${what} from a table`;
export const importFromATable2 = (what: Part) => said`Import ${what} from a table`;
export const theFirstLineNamesThe = 'The first line names the columns:';
export const andSoOnAsA =
  'and so on, as in a table that you export here. Nothing changes until you press the last button.';
export const chooseAFile = 'Choose a file';
export const orPasteTheTable = 'or paste the table';
export const orPasteItHere = 'or paste it here';
export const readThePastedText = 'Check the pasted table';
export const cellHasAnError = 'cell has an error';
export const cellsHaveErrors = 'cells have errors';
export const correctTheFileAndRead =
  'Correct the table and choose it again. Nothing was imported: either all rows go in, or none.';
export const newChanged = (added: Part, changed: Part) => said`${added} new, ${changed} changed.`;
export const noCellIsAtFault = 'No errors found.';
export const notRead = (unread: Part) => said`Columns left out: ${unread}.`;
export const preview = 'Preview';
export const line = 'line';
export const ofLinesAreShown = (lines: Part, lines2: Part) => said`${lines} of ${lines2} lines are shown.`;
export const writeRows = (rows: Part) => said`Import ${rows} rows`;
export const isOverMbSplitIt = (name: Part, mostCsvBytes: Part) =>
  said`${name} is larger than ${mostCsvBytes} MB. Split it into smaller files.`;
