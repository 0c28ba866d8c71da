import { said, type Part } from '../said';

/** What HomeList says. */
export const leftAtHome = 'Left at home';
export const youMarkedItNever = 'you marked it never';
export const andOthers = (number: Part) => said` and ${number} more`;
export const itIsBroken = 'it is broken';
export const onlyForBike = (bike: Part) => said`only for ${bike}`;
export const turnedByOthers = (tools: Part) => said`the kit turns all that it turns with ${tools}`;
export const notWorthIt = (fasteners: Part) => said`it would turn ${fasteners}, which is not worth its weight here`;
export const doneByOthers = (tools: Part) => said`${tools} in the kit does the same`;
export const notAskedFor = 'nothing that this kit repairs needs it';
export const takeAnyway = 'Take it anyway';
export const takeItAnyway = (name: Part) => said`Take ${name} anyway`;
export const isPackedAlways = (name: Part) => said`${name} is in every kit now.`;
export const turnsNothingHere = 'it turns nothing on this bike';
