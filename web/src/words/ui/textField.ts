import { said, type Part } from '../said';

/** What TextField says. */
export const inAnotherWindowItIs = (elsewhere: Part) => said`in another window it is now “${elsewhere}”`;
