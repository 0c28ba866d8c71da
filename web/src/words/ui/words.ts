import { said, type Part } from '../said';

/** What words says. */
export const farEnd = (far: Part) => said`far end ${far}`;
export const getsLost = 'gets lost';
export const goesUpright = 'goes upright';
export const woundRoundAnother = 'wound round another';
export const liesInsideAnother = 'lies inside another';
