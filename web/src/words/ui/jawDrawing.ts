import { said, type Part } from '../said';

/** What JawDrawing says. */
export const ofAllMadePairsIt = (number: Part) => said`it goes on ${number} % of the pairs that makers’ limits allow`;
export const doesNotGoOn = (tool: Part) => said`${tool} does not go on`;
export const loose = 'loose fit';
export const fits = 'fits';
export const roundsItOff = 'rounds it off';
export const turnsOfTheFlankHolds = (tool: Part, it: Part, what: Part, left: Part) =>
  said`${tool}: turns ${it}°, ${what}, ${left} % of the flank holds`;
export const spins = (tool: Part) => said`${tool} spins`;
