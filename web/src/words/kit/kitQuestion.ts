import { said, type Part } from '../said';

/** What KitQuestion says. */
export const whatIsAskedOfThe = 'What the kit must do';
export const packedAsItIs = 'Packed as it is:';
export const backToTheCalculatedKit = 'Back to the calculated kit';
export const askFor = 'Ask for';
export const mustSave = (units: Part) => said`${units} must save`;
export const weightIsAddedWhileEvery = (units: Part, kneeMinutes: Part) =>
  said`Weight is added while every ${units} saves at least this. Typical value: ${kneeMinutes}. You can also drag the handle below.`;
export const minimumRepairQuality = 'Minimum repair quality';
export const ignoreProblemsRarerThanOf = 'Ignore problems rarer than (% of trips)';
export const allSparesSufficeOfTrips = 'Enough spares on (% of trips)';
export const enoughSpares = 'enough spares';
export const changeTheServiceLevel = 'change the service level';
export const problemIs = 'problem is';
export const problemsAre = 'problems are';
export const rarerIgnoredAtLeastOne = (count: Part, rarer: Part, percent: Part) =>
  said`${count} rarer ${rarer} ignored; at least one of them happens on ${percent} of such trips.`;
export const weightAtMost = 'Weight, at most';
export const roomAtMost = 'Volume, at most';
export const noLimit = 'no limit';
export const priceAtMost = 'Price, at most';
export const askSomethingElseOfThe = 'change what the kit must do';
export const bestKitForItsWeight = 'Best kit for its weight';
export const lightestKitThatFixesEvery = 'Lightest kit that fixes every likely problem';
export const bestKitUnderAWeight = 'Best kit under a weight limit';
export const asAtHome = 'as at home';
export const reachesAWorkshop = 'reaches a workshop';
export const walkingPaceToTheRoad = 'walking pace to the road';
