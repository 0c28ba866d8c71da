import { said, type Part } from '../said';

/** What words says. */
export const farEnd = (far: Part) => said`far end ${far}`;
export const getsLost = 'gets lost';
export const goesUpright = 'goes upright';
export const woundRoundAnother = 'wound round another';
export const liesInsideAnother = 'lies inside another';
export const sunk = (length: Part) => said`sunk ${length}`;
export const well = (length: Part) => said`well ${length}`;
export const room = (length: Part) => said`room ${length}`;
export const thin = (length: Part) => said`thin ${length}`;
export const swing = (degrees: Part) => said`swing ${degrees}°`;
export const shakesLoose = 'shakes loose';
export const breaks = 'breaks';
export const accessory = 'accessory';
