import { said, type Part } from '../said';

/** What commands says. */
export const goToStage = 'go to stage';
export const myWords = 'My words';
export const wordsThatTheLinesLearned = (garage: Part) => said`${garage} words that you taught Necessaire`;
export const ownWordsLanguageDialectVocabulary = 'own words language dialect vocabulary settings names of tools';
export const undo = 'Undo';
export const nothingToUndo = 'nothing to undo';
export const redo = 'Redo';
export const nothingToRedo = 'nothing to redo';
export const lightTheme = 'Light theme';
export const darkTheme = 'Dark theme';
export const howItLooksOnThis = 'how it looks on this screen';
export const coloursNight = 'colours night';
export const inchUnits = 'Inch units';
export const metricUnits = 'Metric units';
export const inchesPoundsMiles = 'inches, pounds, miles';
export const millimetresKilogramsKilometres = 'millimetres, kilograms, kilometres';
export const settingsMetricImperial = 'settings metric imperial';
export const keyboardShortcuts = 'Keyboard shortcuts';
export const theKeysOfThisStage = 'the keys of this stage';
export const helpKeys = 'help keys';
export const currency = 'Currency';
export const whatMoneyIsShownIn = 'what money is shown in';
export const moneyPriceDollarPoundFranc = 'money price dollar pound franc setting';
export const exportTheGarage = 'Export the garage';
export const asAFile = 'as a file';
export const backupSaveDownload = 'backup save download';
