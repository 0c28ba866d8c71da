import { said, type Part } from '../said';

/** What MustHaves says. */
export const iMustBeAbleTo = 'I must be able to …';
export const takeBothWheelsOut = 'take both wheels out';
export const noMatchSearchForA = 'No match. Search for a repair, or give the fastener a role in Walk first.';
export const remove = (it: Part) => said`Remove: ${it}`;
export const qualityOf = (it: Part) => said`Quality of ${it}`;
export const notPossibleWithYourTools = 'Not possible with your tools:';
export const bothWheels = 'both wheels';
export const turnThe = (role: Part) => said`turn the ${role}`;
export const repairOf = (trouble: Part) => said`repair: ${trouble}`;
