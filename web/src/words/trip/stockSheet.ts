import { said, type Part } from '../said';

/** What StockSheet says. */
export const allSparesTogetherSufficeOn = 'All spares together are enough on';
export const ofSuchTripsYouAsked = 'of such trips; you asked for';
export const thisIsWhatEachTrouble = '. This is what each problem takes when it is repaired the first way;';
export const kit = 'Kit';
export const weighsTheOtherWaysAgainst = 'compares it with the other repairs.';
export const theOfYouOnBikes = (trip: Part) => said`Shared between the ${trip} of you, on bikes like this one:`;
export const piecesFewer = 'items fewer,';
export const lessAtTheSameService = 'less, at the same service level.';
export const spare = 'Spare';
export const carryOwn = 'carry · own';
export const inTheKitExpected = (kind: Part, it: Part, mass: Part) =>
  said`in the kit ${kind} · ${it} expected · ${mass}`;
export const apartPooled = (alone: Part, together: Part) => said`· apart ${alone}, shared ${together}`;
export const whyOf = (quantity: Part, name: Part) => said`Why ${quantity} of ${name}`;
export const owned = (name: Part) => said`Owned: ${name}`;
export const carriedEnoughOnOfTrips = (quantity: Part, percent: Part) =>
  said`${quantity} carried, enough on ${percent} of trips`;
export const expectedUse = 'expected use';
export const oneUnitWeighs = 'one unit weighs';
export const stocksRiseOneByOne =
  'Stocks rise one by one where a gram buys most −ln P, until all together suffice at the service level. Rates and masses: typical values.';
