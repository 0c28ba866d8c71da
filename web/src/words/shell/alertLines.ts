import { said, type Part } from '../said';
export { close, discard, retry } from '../verbs';

/** What AlertLines says. */
export const aNewVersionOfNecessaire = 'A new version of Necessaire is ready. Loading it loses none of your data.';
export const loadIt = 'Load it';
export const later = 'Later';
export const couldNotBeSavedEverything = (message: Part) =>
  said`could not be saved: ${message}. Everything else is saved.`;
export const editsCouldNotBeSaved = (tray: Part) => said`${tray} edits could not be saved. Everything else is saved.`;
export const show = 'Show';
