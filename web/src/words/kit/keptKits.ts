import { said, type Part } from '../said';
export { deleteIt, edit } from '../verbs';

/** What KeptKits says. */
export const name = 'Name';
export const kitForThePlateau = 'Kit for the plateau';
export const saveThisKit = 'Save this kit';
export const enterWhatYouCarryNow = 'Enter what you carry now';
export const noKitsSavedYetA =
  'No kits saved yet. A saved kit keeps the figures of the day it was saved. The list that you carry by habit shows on the curve beside the best.';
export const locked = '· locked';
export const hSavedHome = (mass: Part, it: Part, percent: Part, pieces: Part, supplies: Part) =>
  said`${mass} · ${it} h saved · ${percent} home · ${pieces}, ${supplies}`;
export const backToTheCalculatedKit = 'Back to the calculated kit';
export const packItAsItIs = 'Pack it as it is';
export const unlock = 'Unlock';
export const lock = 'Lock';
export const csv = 'CSV';
export const json = 'JSON';
export const sideBySide = 'Side by side';
export const first = 'First';
export const second = 'Second';
export const what = 'What';
export const nothing = 'nothing';
export const theSameInBoth = (nothing: Part) => said`The same in both: ${nothing}.`;
export const theKitNow = 'The kit now';
export const kitOf = (today: Part) => said`Kit of ${today}`;
export const isSaved = (name: Part, mass: Part) => said`${name} is saved: ${mass}.`;
export const workAKitOutAgain = 'go back to the calculated kit';
export const hoursSaved = 'hours saved';
export const leftAtStake = 'left at risk';
export const getsHomeUnaided = 'gets home unaided';
export const fastenersReached = 'fasteners reached';
export const noTrip = 'no trip';
export const weighs = 'weighs';
export const room = 'room';
export const worth = 'worth';
