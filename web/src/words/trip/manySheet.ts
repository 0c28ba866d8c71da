import { said, type Part } from '../said';

/** What ManySheet says. */
export const trips = 'Trips';
export const seed = 'Seed';
export const runSimulation = 'Run simulation';
export const riding = 'Riding …';
export const troublesFallAlongTheLegs =
  'Problems occur along the legs by chance; each repair uses up its spares, and holds or fails. The same seed gives the same trips.';
export const trips2 = (toLocaleString: Part) => said`${toLocaleString} trips`;
export const getsHomeUnaided = 'gets home unaided';
export const aNightOut = 'a night out';
export const hoursLostMean = 'hours lost, mean';
export const n9In10TripsLose = '9 in 10 trips lose at most';
export const withThePresentKit = 'with the present kit';
export const withNothing = 'with nothing';
export const over24H = 'over 24 h';
export const getsHomeUnaided2 = (name: Part) => said`Gets home unaided, ${name}`;
export const shareOfSimulatedTripsOn =
  'share of simulated trips on which every problem that ends a ride was repaired and the repair held; ± one standard error';
export const theClosedFormEveryRepair = 'the closed form, every repair holding';
export const hoursThatHalfNineOf = 'hours that half, nine of ten, 99 of 100 trips stay within';
export const ratesHoursAndHowOften =
  'rates, hours and how often a repair holds: typical values and your own ride log; stocks are shared and used up';
export const noHours = 'none';
export const upToHours = (hours: Part) => said`up to ${hours} h`;
export const hoursFromTo = (from: Part, to: Part) => said`${from} to ${to} h`;
export const tripsRidden = 'trips';
