import { said, type Part } from '../../said';

/** What RepairPart says. */
export const slot = (slot: Part) => said`, slot ${slot}`;
export const nothingTurnsIt = 'nothing turns it';
export const notInThisKit = (ask: Part) => said`${ask}: not in this kit`;
export const backIn = 'back in: ';
