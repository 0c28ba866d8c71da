import { said, type Part } from '../said';

export { back, save } from '../verbs';

/** What StuckDialog says. */
export const stuck = 'Stuck';
export const whatIsIt = 'What is it?';
export const notStuckAfterAll = 'Not stuck after all';
export const what = 'What';
export const whereItLies = 'Where it is';
export const whichHead = 'Which fastener';
export const whichEnd = 'Which end';
export const theHead = 'the head';
export const theFarEnd = 'the far end';
export const whatIsInTheWay = 'What gets in the way';
export const degrees = 'Degrees';
export const howMuchIsFree = 'How much room there is';
export const orWriteTheStepThat = 'Or write the missing step: your own version then stands beside the known method.';
export const aStepOfMyOwn = 'A step of my own';
export const pushThePistonBackFirst = 'Push the piston back first';
export const addMyStep = 'Add my step';
export const roomAboveTheHead = 'Room above the head';
export const widthOfTheWellRound = 'Clearance around head';
export const thicknessThatGoesBehindIt = 'Thinnest tool';
export const howDeepItSits = 'How deep it sits';
export const howFarAHandleSwings = 'How far a handle swings';
export const savedNothingToMark = 'Saved; nothing of it is in your toolbox to be marked.';
export const saved = 'Saved.';
export const standsBeside = (name: Part) =>
  said`“${name}” stands beside the known way now: see it under Repairs in Kit.`;
