export { back, save } from '../verbs';

/** What StuckDialog says. */
export const stuck = 'Stuck';
export const whatIsIt = 'What is it?';
export const notStuckAfterAll = 'Not stuck after all';
export const what = 'What';
export const whereItLies = 'Where it lies';
export const whichHead = 'Which head';
export const whichEnd = 'Which end';
export const theHead = 'the head';
export const theFarEnd = 'the far end';
export const whatIsInTheWay = 'What is in the way';
export const degrees = 'Degrees';
export const howMuchIsFree = 'How much is free';
export const orWriteTheStepThat =
  'Or write the step that was missing, and your own way of it stands beside the known one.';
export const aStepOfMyOwn = 'A step of my own';
export const pushThePistonBackFirst = 'Push the piston back first';
export const addMyStep = 'Add my step';
export const roomAboveTheHead = 'Room above the head';
export const widthOfTheWellRound = 'Width of the well round it';
export const thicknessThatGoesBehindIt = 'Thickness that goes behind it';
export const howDeepItSits = 'How deep it sits';
export const howFarAHandleSwings = 'How far a handle swings';
