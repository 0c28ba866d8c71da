import { said, type Part } from '../said';

/** What notice says. */
export const nothingTo = (redo: Part) => said`Nothing to ${redo}`;
export const redone = 'Redone';
export const undone = 'Undone';
export const not = (redo: Part, label: Part, why: Part) => said`Not ${redo}: ${label}. ${why}`;
