import { said, type Part } from '../said';

/** What SeekPanel says. */
export const thatIsDone = 'Done';
export const aboutToKnowIt = (minutes: Part) => said`· takes about ${minutes} to find out`;
export const iCannotTell = 'I cannot tell';
export const howToFixIt = (trouble: Part) => said`${trouble}: how to fix it`;
export const oneBack = 'Go back one test';
export const whatItMayBe = 'What it may be';
export const withMoreCouldBeTold = (lacking: Part) => said`With ${lacking} you could find out more.`;
export const cannotTell = 'cannot tell';
export const oddsAreThoseOfYour = 'Odds are those of your trip and bike; minutes are typical values.';
export const answers = 'Answers';
