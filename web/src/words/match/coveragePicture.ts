import { said, type Part } from '../said';

/** What CoveragePicture says. */
export const calculating = 'Calculating …';
export const fastenersAgainstToolsArrowKeys =
  'Table of fasteners and tools. Move with the arrow keys, open a fastener with Enter.';
export const fits = 'fits';
export const fitsSome = 'fits some';
export const goesOnReachOrTorque = 'goes on, reach or torque stops it';
export const loose = 'loose fit';
export const atMostOneToolTurns = 'at most one tool turns it';
export const inTheKit = 'in the kit';
export const turnNothingOnThisBike = (name: Part) => said`These turn nothing on this bike: ${name}.`;
export const fits2 = (fits: Part) => said`Fits: ${fits}`;
export const some = (some: Part) => said`Some: ${some}`;
export const goesOnOnly = (limp: Part) => said`Goes on only: ${limp}`;
export const loose2 = (loose: Part) => said`Loose fit: ${loose}`;
export const nothingTurnsIt = 'Nothing turns it.';
export const fitsSomeOfThem = 'fits some of them';
export const goesOnBut = 'goes on, but';
export const inTheKit2 = ' (in the kit)';
export const doesNotGoOnOr = 'does not go on, or rounds it off';
export const andMore = (row: Part) => said` and ${row} more`;
export const fitsIt = 'fits';
export const looseOn = 'loose:';
export const toolOn = (tool: Part, head: Part, says: Part) => said`${tool} on ${head}: ${says}`;
