import { said, type Part } from '../said';

/** What belongings says. */
export const notPacked = 'not packed';
export const noToolTurnsIt = 'no tool turns it';
export const shownNow = 'shown now';
export const showThisBike = 'show this bike';
export const notInThisKit = (mass: Part) => said`not in this kit · ${mass}`;
export const round = (name: Part) => said`round ${name}`;
export const inside = (name: Part) => said`inside ${name}`;
export const slot = (number: Part) => said`slot ${number}`;
