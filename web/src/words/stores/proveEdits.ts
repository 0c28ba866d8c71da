import { said, type Part } from '../said';

/** What proveEdits says. */
export const isMissing = (name: Part) => said`${name} is missing`;
export const isMissingFromYourKits = (name: Part) =>
  said`${name} is missing from your kits until it is found or replaced.`;
export const doesNotFit = (tool: Part, name: Part) => said`${tool} does not fit ${name}`;
export const theSizeOfIsAssumed = (name: Part) => said`The size of ${name} is assumed again: measure it in Walk.`;
export const isBroken = (name: Part) => said`${name} is broken`;
export const countsAsBrokenKitsAre = (name: Part) =>
  said`${name} counts as broken: it is in no kit until it is replaced.`;
export const whatIsFreeAt = (name: Part) => said`access at ${name}`;
export const isLookedAtAnewWith = (name: Part) => said`The tools for ${name} are worked out again with that access.`;
export const whereItLies = 'location';
export const itLiesInFromNow = (place: Part) => said`Its location is now ${place}.`;
export const skillInIsSetLower = (subject: Part) => said`Skill in ${subject} is set lower: kits no longer count on it.`;
export const skillIn = (subject: Part) => said`skill in ${subject}`;
