import { said, type Part } from '../said';
export { add, cancel } from '../verbs';

/** What WatchSheet says. */
export const onTheClockNow = 'On the clock now';
export const lookAtItAgain = 'Look at it again';
export const overdue = (nextIn: Part) => said`${nextIn} overdue`;
export const in2 = (nextIn: Part) => said`in ${nextIn}`;
export const sinceFrom = (why: Part, why2: Part, since: Part, from: Part, station: Part) =>
  said`${why}${why2}Since ${since}, from ${from}${station}.`;
export const goodForAndThatHas = (lastsKm: Part) => said`Good for ${lastsKm}, and that has ended: do not ride on it.`;
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
  'Nothing is watched. After work on axle, brake, steering or chain, and after a plug, patch, tie or putty, a line is written here by the drill, or by you.';
export const watchSomething = 'Watch something';
export const whatToLookAtAgain = 'What to look at again';
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
export const lookedAt = (name: Part) => said`looked at ${name}`;
export const fineAgainIn = (name: Part, everyKm: Part) => said`${name}: fine. Again in ${everyKm}.`;
export const haveItSeenToBefore = (name: Part) => said`${name}: have it seen to before you ride on.`;
export const theOdometer = 'the odometer';
