import { said, type Part } from '../../said';

/** What PlaceMarks says. */
export const arrowKeysMoveIt = ': arrow keys move it';
export const full = (name: Part, number: Part, movable: Part) => said`${name}, ${number} % full${movable}`;
export const middleOfBikeAndRider = 'middle of bike and rider without the kit';
export const middleOfAllPacked = 'middle of all, packed';
export const hereItIs = ', what you look for is here';
