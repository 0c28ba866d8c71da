export { exportCsv, importCsv } from '../verbs';

/** What SheetTools says. */
export const rows = 'Rows';
export const findRows = 'Find rows';
export const find = 'find';
export const show = 'Show';
export const sort = 'Sort';
export const choose = 'Choose';
export const table = 'Table';
export const wholeTablesOfFasteners = 'Import, export, compare';
export const pasteAList = 'Paste a list…';
export const compareTwoBikes = 'Compare two bikes…';
export const copyThisBike = 'Copy this bike…';
