import { said, type Part } from '../said';
export { findTheFault } from './gamesSheet';

/** What FaultGame says. */
export const itIsOneOfChoose = (odds: Part) =>
  said`It is one of ${odds}. Choose a test: it shows what it would show with this fault, and takes its minutes.`;
export const now = (share: Part) => said`Now: ${share}`;
export const otherCause = 'other cause';
export const nothingInThisKitTells = (counted: Part) => said`Nothing in this kit can tell it from ${counted}.`;
export const youTook = 'You took';
export const theBestOrderTakes = '; the best order takes';
export const hereAndOnAverageOver = (best: Part) => said`here, and ${best} on average over all causes.`;
export const testsOfThisSymptomAsk = (lacking: Part) =>
  said`Some tests for this symptom need what the kit does not have: ${lacking}.`;
export const anotherFault = 'Another fault';
export const oddsAreThoseOfYour = 'Odds are those of your trip; minutes of tests are typical values.';
export const thisKitHasNothingFor = (id: Part) => said`This kit has nothing for it: ${id}.`;
export const notYetItMayStill = (name: Part) => said`Not yet: it may still be “${name}”, and this would make it worse.`;
export const testsToChoose = 'Tests to choose from';
export const otherCauses = 'other causes';
