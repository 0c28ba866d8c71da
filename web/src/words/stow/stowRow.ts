import { said, type Part } from '../said';

/** What StowRow says. */
export const move = 'move';
export const moveItTo = 'Move it to';
export const move2 = (name: Part) => said`Move ${name}`;
export const putItBackWithThe = 'Keep all together';
export const placeAutomatically = 'Place automatically';
export const splitItInTwo = 'Split into two places';
export const woundRound = 'wound round';
export const inAZipBagOf = 'in a zip bag of its own';
export const dustedWithTalcWrapped = 'dusted with talc, wrapped';
export const checkTheTieEachEvening = 'check the tie each evening';
export const putHereByYou = 'placed by you';
export const slot = (number: Part) => said`slot ${number}`;
export const upright = 'upright';
