import { said, type Part } from '../said';

/** What NumberField says. */
export const inAnotherWindowItIs = (show: Part) => said`in another window it is now ${show}`;
export const enterANumber = 'Enter a number.';
