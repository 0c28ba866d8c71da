import { said, type Part } from '../said';

/** What EveningSheet says. */
export const today = 'Today';
export const nothingHappenedYet = 'Nothing happened yet.';
export const rideLog = 'Ride log';
export const inTheEvening = 'Each evening';
export const roundTheBike = (tomorrow: Part) => said`${tomorrow} round the bike.`;
export const eveningRound = 'Evening round';
export const watchList = 'Watch list';
export const theTripFromHere = 'The trip from here';
export const nextLeg = 'Next leg';
export const lookAhead = 'Look ahead';
export const getHomeUnaidedWithWhat = 'get home unaided with what is left in the kit,';
export const atRiskAsPacked = (percent: Part, atStake: Part) => said`at risk; as packed ${percent}, ${atStake}.`;
export const of2 = (name: Part, left: Part, packed: Part) => said`${name} ${left} of ${packed}`;
export const lessThanWasPacked = (packed: Part, here: Part) => said`Less than was packed: ${packed}${here}.`;
export const afterTheTrip = 'After the trip';
export const whatWasUsedWhatWas = 'What you used, what was missing, what can stay at home.';
export const reviewTheTrip = 'Review the trip';
export const restock = 'Restock';
export const andMore = (restock: Part) => said`and ${restock} more`;
export const allThatTheKitCounts = 'Nothing is missing from the kit.';
