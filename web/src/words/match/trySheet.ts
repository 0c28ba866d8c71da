import { said, type Part } from '../said';

/** What TrySheet says. */
export const layThese = 'Put these';
export const toolsOnTheFloorLeave = 'tools on the floor, close the toolbox, and go round the bike.';
export const of2 = 'of';
export const fastenersAreTried = 'fasteners tried.';
export const whatToLayOut = 'What to take out';
export const everyHeadThatTheKit = 'You have tried every fastener that the kit turns.';
export const works = (name: Part) => said`${name} works`;
export const works2 = 'Works';
export const stopped = 'Does not work…';
export const whatStoppedIt = (name: Part) => said`${name}: what got in the way`;
export const whatStoppedIt2 = 'What got in the way';
export const farEnd = (it: Part) => said`far end: ${it}`;
export const triedWorks = (name: Part) => said`${name}: tried, works`;
export const theSetIsSolvedAgain = (name: Part, what: Part) =>
  said`${name}: ${what}. The set is worked out again without it.`;
export const andFarEnd = '; far end: ';
