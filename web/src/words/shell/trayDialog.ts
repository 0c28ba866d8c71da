import { said, type Part } from '../said';
export { change, close, discard, retry } from '../verbs';

/** What TrayDialog says. */
export const notSaved = 'Not saved';
export const everythingElseIsSavedWhat =
  'Everything else is saved. What is here stays until you change, place or discard it.';
export const andMore = (mostLines: Part) => said`and ${mostLines} more`;
export const putOnAnotherBike = 'Put on another bike';
export const copied = 'Copied';
export const copyAsText = 'Copy as text';
export const nothingIsLeftHere = 'Nothing is left here.';
export const thisBrowserDoesNotLet = 'This browser does not let the page copy: mark the text and copy it by hand';
