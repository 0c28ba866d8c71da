import { said, type Part } from '../said';

/** What JawDrawing says. */
export const ofAllMadePairsIt = (math: Part) => said`of all made pairs it goes on ${math} %`;
export const doesNotGoOn = (tool: Part) => said`${tool} does not go on`;
export const roundsItOff = 'rounds it off';
export const turnsOfTheFlankHolds = (tool: Part, j: Part, what: Part, left: Part) =>
  said`${tool}: turns ${j}°, ${what}, ${left} % of the flank holds`;
