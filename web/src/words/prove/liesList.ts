import { said, type Part } from '../said';

/** What LiesList says. */
export const slot = (number: Part) => said`slot ${number}`;
export const inIt = (name: Part) => said`in ${name}`;
