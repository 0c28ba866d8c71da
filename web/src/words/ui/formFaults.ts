import { said, type Part } from '../said';

/** What FormFaults says. */
export const notSaved = (rest: Part) => said`Not saved. ${rest}`;
