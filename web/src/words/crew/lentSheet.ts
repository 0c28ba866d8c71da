import { said, type Part } from '../said';

/** What LentSheet says. */
export const lendOrGiveAway = 'Lend or give away';
export const what = 'What';
export const choose = 'choose';
export const toWhom = 'To whom';
export const ada = 'Ada';
export const lendIt = 'Lend';
export const notBackYet = 'Not back yet';
export const to = (to: Part) => said`to ${to}`;
export const itIsBack = 'It is back';
export const replaced = 'Replaced';
export const nothingIsLent = 'Nothing is lent.';
export const settled = 'Settled';
export const isLentItIsMissing = (title: Part, to: Part) =>
  said`${title} is lent${to}: it is missing from your kits until it is back.`;
export const toThem = (who: Part) => said` to ${who}`;
