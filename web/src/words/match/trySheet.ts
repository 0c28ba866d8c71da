import { said, type Part } from '../said';

/** What TrySheet says. */
export const layThese = 'Lay these';
export const toolsOnTheFloorLeave = 'tools on the floor, leave the toolbox shut, and go round the bike.';
export const of2 = 'of';
export const fastenersAreTried = 'fasteners are tried.';
export const whatToLayOut = 'What to lay out';
export const everyHeadThatTheKit = 'Every head that the kit turns was tried.';
export const works = (name: Part) => said`${name} works`;
export const works2 = 'Works';
export const stopped = 'Stopped…';
export const whatStoppedIt = (name: Part) => said`${name}: what stopped it`;
export const whatStoppedIt2 = 'What stopped it';
export const farEnd = (it: Part) => said`far end: ${it}`;
export const triedWorks = (name: Part) => said`${name}: tried, works`;
export const theSetIsSolvedAgain = (name: Part, what: Part) =>
  said`${name}: ${what}. The set is solved again without that.`;
