import { said, type Part } from '../said';
export { findIt } from './gamesSheet';

/** What FindGame says. */
export const inTheDark = ' in the dark';
export const ofYourKitKnownBy = (cards: Part, known: Part, dark: Part) =>
  said`${cards} of your kit, ${known} you know by heart${dark}.`;
export const inTheDark2 = 'In the dark';
export const whatDoYouTake = 'What do you take?';
export const whereDoesItLie = 'Where is it?';
export const right = 'Right';
export const notThisTime = 'Not this time';
export const slot = (slot: Part) => said`, slot ${slot}`;
export const in2 = (on: Part) => said`, in ${on}`;
export const itComesBack = (name: Part, place: Part, slot: Part, on: Part, back: Part) =>
  said`: ${name}, ${place}${slot}${on}. It comes back ${back}.`;
export const next = 'Next';
export const ofRightThisRound = (right: Part, asked: Part) => said`${right} of ${asked} right this round.`;
export const theNextComesBack = (waiting: Part) => said`: the next comes back ${waiting}`;
export const allIsKnownForNow = (waiting: Part) => said`You know all of it for now${waiting}.`;
export const lookAgain = 'Look again';
export const begin = 'Begin';
export const packAKitInStow = 'Pack a kit in Stow first: the game asks where each item is.';
export const inMin = (minutes: Part) => said`in ${minutes} min`;
export const inDays = (number: Part) => said`in ${number} days`;
export const aRoundOfFindIt = 'a round of Find it';
export const tomorrow = 'tomorrow';
