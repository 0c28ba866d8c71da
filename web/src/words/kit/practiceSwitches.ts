import { said, type Part } from '../said';

/** What PracticeSwitches says. */
export const yourPreferences = 'Your preferences';
export const worthInTheBagAt = 'Value in the bag, at most';
export const noLimit = 'no limit';
export const ridesAlongOn = (name: Part) => said`Rides along on ${name}`;
export const compareTheOtherSettings = 'Compare the other settings';
export const calculatingEachKit = 'Calculating each kit …';
export const neverStandOnABar =
  'Never stand on a bar while the bike is on a prop; break axles loose before you lift it.';
export const changeAPractice = 'change a preference';
export const rideAlong = 'ride along';
export const rideApart = 'ride apart';
export const sameWeight = 'same weight';
export const notPacked = (loose: Part) => said`${loose} not packed`;
export const theKitWithThisPosition = 'the kit with this setting less the kit with yours, each worked out as a whole';
export const hoursSavedOnTheTrip = 'hours saved on the trip';
export const getsHomeUnaided = 'gets home unaided';
export const fastenersReached = 'fasteners reached';
export const thingsThatNoPlaceTakes = 'items that fit in no place';
export const bothProven = 'both proven';
export const notBoth = 'not both';
export const differenceOfTwoKitsMasses =
  'difference of two kits; masses, rates and hours are typical values until you change them';
export const savedBy = (minutes: Part) => said`${minutes} saved`;
export const fastenersMore = (number: Part) => said`${number} fasteners`;
export const grams = 'grams';
export const yes = 'yes';
