import { said, type Part } from '../said';

/** What belongings says. */
export const notPacked = 'not packed';
export const noToolTurnsIt = 'no tool turns it';
export const shownNow = 'shown now';
export const showThisBike = 'show this bike';
export const notInThisKit = (mass: Part) => said`not in this kit · ${mass}`;
