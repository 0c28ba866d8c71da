import { say, type Saying } from '@necessaire/words';
import { said, type Part } from '../said';

/** What TroubleBars says. */
export const hoursAtRiskWithoutA = 'hours at risk without a kit';
export const leftWithThisKitThen =
  'left with this kit. Then the hours, and on how many of such trips it happens. Typical values: press a row for its formula.';
export const troublesByHoursAtStake = 'Problems by hours at risk';
export const atStakeLeftWithThe = (name: Part, percent: Part, atStake: Part, hoursLeft: Part) =>
  said`${name}: ${percent}, ${atStake} at risk, ${hoursLeft} left with the kit`;
export const hereAtStake = (percent: Part, atStake: Part) => said`${percent} here, ${atStake} at risk`;
export const hoursStrandedOverWhereIt = 'hours stranded, over where it happens';
export const hoursLostWithoutARepair = 'hours lost without a repair';
export const hoursOfTheMend = 'hours of the repair';
export const mendsThatTheKitAllows = 'repairs that the kit allows';
export const asManyAsNeeded = 'as many as needed';
export const pNoMoreThanThat = 'P(no more than that)';
export const leftAtStakeWithThe = 'left at risk with the kit';
export const ratesTypicalValuesByGround = (caution: Part) => said`rates: typical values by ground. ${caution}`;
export const markThe = (unmarked: Part) => said`Mark the ${unmarked}`;
export const lacking = 'lacking';
export const nothing = 'nothing';
/** Behind the formula of how often it comes. */
export const oddsAndRisk = (odds: Saying) =>
  say`${odds}. P(at least one) = 1 − e^−Λ. At risk = Λ × the most that any known way saves.`;
export const showMore = (number: Part) => said`Show ${number} more`;
