import { said, type Part } from '../said';
export { add, cancel } from '../verbs';

/** What WatchSheet says. */
export const onTheClockNow = 'Odometer now';
export const lookAtItAgain = 'Check again';
export const overdue = (nextIn: Part) => said`${nextIn} overdue`;
export const in2 = (nextIn: Part) => said`in ${nextIn}`;
export const sinceFrom = (why: Part, why2: Part, since: Part, from: Part, station: Part) =>
  said`${why}${why2}Since ${since}, from ${from}${station}.`;
export const goodForAndThatHas = (lastsKm: Part) =>
  said`Do not ride on it: it was good for ${lastsKm}, and that distance is over.`;
export const goodForMore = (endsIn: Part) => said`Good for ${endsIn} more`;
export const at = ', at';
export const at2 = 'At';
export const noMoreThan = (ended: Part, lastsKmh: Part) => said`${ended} no more than ${lastsKmh}`;
export const checkedFine = 'Checked: fine';
export const notFine = 'Not fine';
export const replaced = 'Replaced';
export const workshopHasSeenIt = 'Workshop has seen it';
export const notNeeded = 'Not needed';
export const nothingIsWatchedAfterWork =
  'Nothing on the watch list. After work on axle, brake, steering or chain, and after a plug, patch, tie or putty, the drill adds a line here, or you do.';
export const watchSomething = 'Add to the watch list';
export const whatToLookAtAgain = 'What to check again';
export const whatWasDone = 'What was done';
export const every = 'Every';
export const goodFor = 'Good for';
export const asBefore = 'as before';
export const atNoMoreThan = 'At no more than';
export const where = 'Where';
export const notSaid = 'not said';
export const closed = 'Closed';
export const theRideLog = 'the ride log';
export const theRoad = 'the road';
export const yourHand = 'your hand';
export const lookedAt = (name: Part) => said`checked ${name}`;
export const fineAgainIn = (name: Part, everyKm: Part) => said`${name}: fine. Again in ${everyKm}.`;
export const haveItSeenToBefore = (name: Part) => said`Do not ride on before it is repaired: ${name}.`;
export const theOdometer = 'the odometer';
