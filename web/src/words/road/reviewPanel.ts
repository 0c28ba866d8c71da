import { said, type Part } from '../said';
export { add } from '../verbs';

/** What ReviewPanel says. */
export const nothingElseChanged = 'Nothing else changed.';
export const saved = (changes: Part) => said`Saved. ${changes}`;
export const undoAllOfIt = 'Undo all';
export const openKit = 'Open Kit';
export const firstDay = 'First day';
export const lastDay = 'Last day';
export const used = 'Used';
export const nothingSoFarAddWhat = 'Nothing yet. Add what you used from the list below.';
export const usedThings = 'Used items';
export const wasNotUsed = (name: Part) => said`${name} was not used`;
export const addSomethingThatWasUsed = 'Add something that was used';
export const choose = 'choose';
export const missingWhenYouNeededIt = 'Missing when you needed it';
export const theKitMustBeAble = (trouble: Part) => said`The kit must be able to fix this next time: ${trouble}`;
export const somethingElseThatWasMissing = 'Something else that was missing';
export const neverUsedOnThreeTrips = 'Never used on three trips';
export const nothingYetThisNeedsThe = (past: Part) =>
  said`Nothing yet: this needs the reviews of three trips. ${past} so far.`;
export const notUsedDoesNotMean =
  'Not used does not mean not needed. Each line says what the item weighs and how many hours it saves on such a trip.';
export const worthItsWeight = '; worth its weight';
export const leaveAtHomeSaves = (name: Part, mass: Part, guards: Part, idle: Part, worthIt: Part) =>
  said`Leave ${name} at home: ${mass}, saves ${guards}, ${idle}${worthIt}`;
export const minutes = 'Minutes';
export const repair = 'Repair';
export const planned = 'Planned';
export const took = 'Took';
export const nextTime = 'Next time';
export const breakdownRates = 'Breakdown rates';
export const theTripWasRiddenAs = (track: Part) =>
  said`I rode the trip as planned: add ${track} to the ride log and the odometer`;
export const noRateMovesByThese = 'These days change no rate.';
export const problem = 'Problem';
export const happened = 'Happened';
export const rateBefore = 'Rate before';
export const after = 'After';
export const whyFor = (it: Part, name: Part) => said`Why × ${it} for ${name}`;
export const toBuy = 'To buy';
export const tickWhatYouHaveBought = 'Tick what you have bought again. It goes into the toolbox.';
export const saveReview = (changes: Part) => said`Save review, ${changes}`;
export const saveReview2 = 'Save review';
export const reviewsOfThisBike = 'Reviews of this bike';
export const doTheReviewOfAgain = (name: Part) => said`Do the review of ${name} again`;
export const doAgain = 'Do again';
export const theFirstDayHasTo = 'The first day has to come before the last.';
export const thingStays = 'item stays';
export const thingsStay = 'items stay';
export const atHome = (thingsStay: Part) => said`${thingsStay} at home`;
export const theKitMustAllow = (musts: Part) => said`${musts} the kit must allow`;
export const distanceIntoRideLogAnd = 'distance added to ride log and odometer';
export const reviewOfTheTrip = 'review of the trip';
export const factorOnTheTypicalRate =
  'factor on the typical rate = (κ + n) ÷ (κ + E), κ = 2, over all rides; before and after these days';
export const happenedOnTheseDaysN = 'happened on these days (n)';
export const expectedOverTheseDaysDistance = 'expected over these days’ distance by the typical rates (E)';
export const yourOwnRideLogWith = 'your own ride log, with the typical rates weighing as two events';
export const review = 'Review of the trip';
export const restocked = (spares: Part) => said`${spares} restocked`;
