import { said, type Part } from '../said';

/** What garage says. */
export const renameTo = (name: Part) => said`rename to ${name}`;
