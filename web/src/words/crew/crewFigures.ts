import { said, type Part } from '../said';

/** What CrewFigures says. */
export const homeByOwnMeans = 'Gets home unaided';
export const allBikesHomeByOwn = 'All bikes get home unaided: how this is calculated';
export const ofSuchRidesAllWith = (riders: Part) => said`of such rides, all ${riders} helping each other`;
export const bike = 'Bike';
export const home = 'home';
export const hoursSaved = 'hours saved';
export const atStake = 'at risk';
export const fullTank = 'full tank';
export const all = 'All';
export const hoursCountForAllWho = (riders: Part) => said`Hours count for all ${riders} who wait.`;
export const whatIsLikeliestToCost = 'What is most likely to cost hours';
export const problem = 'Problem';
export const bike2 = 'bike';
export const onSuchTrips = 'on such trips';
export const hoursWithoutARepair = 'hours without a repair';
export const whoCanDoIt = 'who can do it';
export const onEachBike = 'On each bike';
export const goesIn = 'goes in';
export const frontAxle = 'front axle';
export const rearAxle = 'rear axle';
export const noPlaceFor = (name: Part, loose: Part) => said`${name}: no place for ${loose}.`;
export const fuelWaterAir = 'Fuel, water, air';
export const decidesTheStopsAbout = 'has the shortest range: about';
export const withAFullTankReserve = 'on a full tank, without its reserve.';
export const needs = (name: Part) => said`${name} needs`;
export const moreForTheLongestWay =
  'more for the longest way between two fuel stops: carry it, or share another bike’s.';
export const waterOnTheWarmestLongest = 'Water on the warmest, longest day:';
export const forAll = 'for all.';
export const sRearTyreFromFlat = (name: Part) => said`${name}’s rear tyre from flat:`;
export const strokesOfAHandPump = 'strokes of a hand pump, or';
export const cartridges = 'cartridges.';
export const fallsDueOnTheRide = 'Falls due on the ride';
export const beforeLeaving = (name: Part) => said`${name} before leaving`;
export const firstAid = 'First aid';
export const trained = 'Trained:';
export const kitsWith = '. Kits with';
export const firstCallTheLocalEmergency = 'First call the local emergency number. A kit replaces no training.';
export const whatRidingTogetherSaves = 'What riding together saves';
export const eachRiderTakes = 'Each rider takes';
export const onAverageWithTheSame = 'on average. With the same tools and nobody to share with it would be';
export const placesNotKnown = 'places not known';
export const ruleBroken = 'rule broken';
export const rulesBroken = 'rules broken';
export const allBikesHomeByOwnMeans = 'All bikes get home unaided';
export const productOverAllBikesAnd =
  'product over all bikes and all problems that end a ride of P(as many as the crew can repair at ride-out or better)';
export const ratesAreTypicalValuesUntil =
  'rates are typical values until your ride log says more; spares are pooled over the bikes that they fit';
export const nobody = 'nobody';
export const nowhere = (loose: Part) => said`${loose} nowhere`;
export const allGoIn = 'all';
