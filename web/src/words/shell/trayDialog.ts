import { said, type Part } from '../said';
export { change, close, discard, retry } from '../verbs';

/** What TrayDialog says. */
export const notSaved = 'Not saved';
export const everythingElseIsSavedWhat =
  'Everything else is saved. These changes stay here until you edit, move or discard them.';
export const andMore = (mostLines: Part) => said`and ${mostLines} more`;
export const putOnAnotherBike = 'Put on another bike';
export const copied = 'Copied';
export const copyAsText = 'Copy as text';
export const nothingIsLeftHere = 'Nothing is left to save.';
export const thisBrowserDoesNotLet = 'This browser does not allow copying. Select the text and copy it yourself.';
