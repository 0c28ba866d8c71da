import { said, type Part } from '../said';

/** What PreventionSheet says. */
export const beforeLeavingInsteadOfCarrying = 'Before leaving, instead of carrying';
export const doneLowersEveryRiskThat =
  '“Done” lowers every risk that it touches. “Consider” lets the program compare kits with and without it, its weight on the bike counted.';
export const compareTheirEffect = 'Compare their effect';
export const calculatingEach = 'Calculating each …';
export const notDone = 'not done';
export const consider = 'consider';
export const changeWhatIsDoneBefore = 'change what is done before leaving';
export const kitAsHeavy = 'kit as heavy';
export const underAMinute = 'under a minute';
export const minAtStake = (minutes: Part, minutes2: Part) => said`${minutes} min ${minutes2} at risk`;
export const theKitAndItsHours =
  'the kit and its hours at risk with this done, less those without it, each worked out as a whole; rates are multiplied by the factors';
export const gramsOfKit = 'grams of kit';
export const hoursAtStakeLess = 'hours at risk less';
export const getsHomeUnaided = 'gets home unaided';
export const factorsOnRatesGramsAnd = 'factors on rates, grams and minutes: typical values';
export const kitBy = (mass: Part) => said`kit ${mass}`;
export const less = 'less';
export const more = 'more';
export const done = 'done';
