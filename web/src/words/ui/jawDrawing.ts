import { said, type Part } from '../said';

/** What JawDrawing says. */
export const ofAllMadePairsIt = (number: Part) => said`of all made pairs it goes on ${number} %`;
export const doesNotGoOn = (tool: Part) => said`${tool} does not go on`;
export const roundsItOff = 'rounds it off';
export const turnsOfTheFlankHolds = (tool: Part, it: Part, what: Part, left: Part) =>
  said`${tool}: turns ${it}°, ${what}, ${left} % of the flank holds`;
