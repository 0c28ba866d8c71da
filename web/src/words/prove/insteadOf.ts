import { said, type Part } from '../said';

/** What InsteadOf says. */
export const hasIt = (who: Part, name: Part) => said`${who} has it: ${name}.`;
export const nothingInThisKitDoes = 'Nothing else in this kit does it. Ask whoever comes by.';
