import { said, type Part } from '../said';
export { sizeIt } from './gamesSheet';

/** What SizeGame says. */
export const headAcrossFlats = (form: Part, measure: Part) => said`${form} head, ${measure} across flats`;
export const wornOrPainted = 'worn or painted';
export const clean = 'clean';
export const theCalliperReads = (formWords: Part, surface: Part) => said`${formWords}, ${surface}: the calliper reads`;
export const whichToolDoYouTry = 'Which tool do you try next, to be sure?';
export const whichToolTurnsIt = 'Which tool turns it?';
export const right = 'Right.';
export const no = 'No.';
export const thatTryTellsTheMost = 'That try tells you the most.';
export const byThisReading = (odds: Part, ask: Part) => said`By this reading: ${odds}. ${ask}`;
export const next = 'Next';
export const ofRightThisRoundAnswers = (right: Part, asked: Part) =>
  said`${right} of ${asked} right this round. The answers come from the makers’ limits of sizes.`;
export const measureSomeHexagonsInWalk = 'Measure some hexagon heads in Walk first: the game asks for them.';
export const rightOne = (choice: Part) => said`${choice}, right`;
