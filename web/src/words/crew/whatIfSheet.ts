import { said, type Part } from '../said';

/** What WhatIfSheet says. */
export const missingAsItIs = 'Missing as it is';
export const aCompanionFetchesWhatIs = (name: Part) => said`${name}: a companion fetches what is missing in about`;
export const against = ', against';
export const untilHelpHasCome = 'until help has come.';
export const whatWouldCloseIt = 'What would close it?';
export const oneMoreOfEach = (cure: Part) => said`One more of each: ${cure}.`;
export const nothingLikeWhatAnybodyOwns =
  'Nothing like what anybody owns would close it. Match says what to buy for a fastener.';
export const stillOpen = (left: Part) => said`Still open: ${left}.`;
export const whenTheCrewSplits = 'When the crew splits';
export const home = (home: Part) => said`home ${home}`;
export const notMended = (gaps: Part) => said`Not repaired: ${gaps}.`;
export const homeByOwnMeansOn = 'Home by own means on';
export const ofTrips = 'of trips;';
export const stayAtStake = 'stay at risk.';
export const eachAloneForAnHour = 'Each alone for an hour';
export const hasAllThatWasAsked = 'has all that was asked';
export const somebodyTurnsBack = 'Somebody turns back';
export const without = 'Without';
export const andMore = (list: Part) => said` and ${list} more`;
export const theOthersCanDoAll = 'The others can do all that was asked of them.';
export const withTheCrewCarries = (name: Part) => said`With ${name} the crew carries`;
export const more = 'more';
export const less = 'less';
export const thanTheOthersWouldAlone = (adds: Part) =>
  said`${adds} than the others would alone; the others’ bikes lose`;
export const planForIt = 'Plan for it';
export const lookingForTheLightestCure = 'Looking for the lightest cure …';
export const nothingThatAnybodyOwns = 'nothing that anybody owns';
export const lightestCure = (cure: Part) => said`Lightest cure: ${cure}.`;
export const notCured = (left: Part) => said`Not cured: ${left}.`;
export const workingItOut = 'Working it out …';
export const whoLeansOnWhom = 'Who leans on whom';
export const theTrip = 'the trip';
export const hoursOfABikesRepairs = (trip: Part) =>
  said`Hours of a bike’s repairs that only another’s things or skill save, over ${trip}.`;
export const nothingMissing = 'nothing missing';
export const planForTurningBack = (name: Part) => said`plan for ${name} turning back`;
export const turnsBack = (name: Part) => said`${name} turns back`;
export const bothMustGetHomeNow = (name: Part) => said`Both must get home now: ${name}, and the others.`;
export const everybody = 'Everybody';
