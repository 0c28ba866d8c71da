import { said, type Part } from '../said';

/** What SeekPanel says. */
export const thatIsDone = 'That is done';
export const aboutToKnowIt = (minutes: Part) => said`· about ${minutes} to know it`;
export const iCannotTell = 'I cannot tell';
export const howToFixIt = (trouble: Part) => said`${trouble}: how to fix it`;
export const oneBack = 'One back';
export const whatItMayBe = 'What it may be';
export const withMoreCouldBeTold = (lacking: Part) => said`With ${lacking} more could be told.`;
export const cannotTell = 'cannot tell';
export const oddsAreThoseOfYour = 'Odds are those of your trip and bike; minutes are typical values.';
