import { said, type Part } from '../said';

/** What WhatIfSheet says. */
export const missingAsItIs = 'Missing now';
export const aCompanionFetchesWhatIs = (name: Part) => said`${name}: a companion fetches what is missing in about`;
export const against = ', against';
export const untilHelpHasCome = 'until help has come.';
export const whatWouldCloseIt = 'What would help?';
export const oneMoreOfEach = (cure: Part) => said`One more of each: ${cure}.`;
export const nothingLikeWhatAnybodyOwns =
  'Nothing that anybody owns would help. Match says what to buy for a fastener.';
export const stillOpen = (left: Part) => said`Still missing: ${left}.`;
export const whenTheCrewSplits = 'When the crew splits';
export const home = (home: Part) => said`home ${home}`;
export const notMended = (gaps: Part) => said`Not repaired: ${gaps}.`;
export const homeByOwnMeansOn = 'Gets home unaided on';
export const ofTrips = 'of trips;';
export const stayAtStake = 'stay at risk.';
export const eachAloneForAnHour = 'Each alone for an hour';
export const hasAllThatWasAsked = 'can do all that you asked for';
export const somebodyTurnsBack = 'Somebody turns back';
export const without = 'Without';
export const andMore = (list: Part) => said` and ${list} more`;
export const theOthersCanDoAll = 'The others can still do all that you asked for.';
export const withTheCrewCarries = (name: Part) => said`With ${name} the crew carries`;
export const more = 'more';
export const less = 'less';
export const thanTheOthersWouldAlone = (adds: Part) =>
  said`${adds} than the others would alone; the others’ bikes lose`;
export const planForIt = 'Plan for it';
export const lookingForTheLightestCure = 'Looking for the lightest that helps …';
export const nothingThatAnybodyOwns = 'nothing that anybody owns';
export const lightestCure = (cure: Part) => said`The lightest that helps: ${cure}.`;
export const notCured = (left: Part) => said`Still missing: ${left}.`;
export const workingItOut = 'Working it out …';
export const whoLeansOnWhom = 'Who relies on whom';
export const theTrip = 'the trip';
export const hoursOfABikesRepairs = (trip: Part) =>
  said`Hours that a bike’s repairs save only with another rider’s items or skill, over ${trip}.`;
export const nothingMissing = 'nothing missing';
export const planForTurningBack = (name: Part) => said`plan for ${name} turning back`;
export const turnsBack = (name: Part) => said`${name} turns back`;
export const bothMustGetHomeNow = (name: Part) => said`Both must get home now: ${name}, and the others.`;
export const everybody = 'Everybody';
export const aTrip = 'a trip';
export const takes = (name: Part, what: Part) => said`${name} takes ${what}`;
