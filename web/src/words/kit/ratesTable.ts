import { said, type Part } from '../said';

/** What RatesTable says. */
export const howOftenItComes = 'How often it comes';
export const withYourOwnFigures = ', with your own figures';
export const typicalValuesRightToWithin =
  'Typical values, right to within a factor of about three. Enter your own where you know better.';
export const howOften = (on: Part) => said`How often, ${on}`;
export const typical = (number: Part) => said`Typical: ${number}`;
export const eachWaterCrossing = 'each water crossing';
export const setHowOften = (what: Part) => said`set how often: ${what}`;
export const paved = 'paved';
export const gravel = 'gravel';
export const track = 'track';
