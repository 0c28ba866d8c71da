import { said, type Part } from '../said';

/** What FaultSearch says. */
export const thisKitHasNothingTo = (does: Part) => said`this kit has nothing to ${does}`;
export const answerAgain = (step: Part) => said`Answer again: ${step}`;
export const again = 'again';
export const mostLikely = 'Most likely:';
export const howToRepairIt = 'How to repair it';
