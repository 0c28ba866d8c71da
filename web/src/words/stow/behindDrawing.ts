import { said, type Part } from '../said';

/** What BehindDrawing says. */
export const fromBehind = (name: Part) => said`${name}, from behind`;
