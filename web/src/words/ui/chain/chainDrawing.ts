import { said, type Part } from '../../said';

/** What ChainDrawing says. */
export const then = ', then ';
export const onHead = (head: Part) => said`, on ${head}`;
