import { said, type Part } from '../said';

/** What proveEdits says. */
export const isMissing = (name: Part) => said`${name} is missing`;
export const isMissingFromYourKits = (name: Part) =>
  said`${name} is missing from your kits until it is found or replaced.`;
export const doesNotFit = (tool: Part, name: Part) => said`${tool} does not fit ${name}`;
export const theSizeOfIsAssumed = (name: Part) => said`The size of ${name} is assumed again: measure it in Walk.`;
export const isBroken = (name: Part) => said`${name} is broken`;
export const countsAsBrokenKitsAre = (name: Part) => said`${name} counts as broken: kits are made without it.`;
export const whatIsFreeAt = (name: Part) => said`what is free at ${name}`;
export const isLookedAtAnewWith = (name: Part) => said`${name} is looked at anew with what is free there.`;
export const whereItLies = 'where it lies';
export const itLiesInFromNow = (place: Part) => said`It lies in ${place} from now on.`;
export const skillInIsSetLower = (subject: Part) => said`Skill in ${subject} is set lower: kits count on it no more.`;
export const skillIn = (subject: Part) => said`skill in ${subject}`;
