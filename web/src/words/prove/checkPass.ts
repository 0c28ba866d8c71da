import { said, type Part } from '../said';
export { back, close } from '../verbs';

/** What CheckPass says. */
export const eveningRound = 'Evening round';
export const beforeLeaving = 'Before leaving';
export const checksGoneThrough = 'Checks done';
export const itGuards = (guards: Part) => said`It protects ${guards}.`;
export const later = 'Later';
export const thatWasAll = 'All checks done.';
export const bags = 'Bags';
export const theKit = 'The kit';
export const atTheTable = 'At the table';
