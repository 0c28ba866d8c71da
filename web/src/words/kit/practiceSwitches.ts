import type { Switch } from '@necessaire/core';
import { said, type Part } from '../said';

/** What each switch asks, in the order in which they stand. */
export const QUESTIONS: Readonly<Record<Switch, string>> = {
  from: 'Tools come from',
  least: 'Minimise tools by (lightest kit only)',
  doubles: 'Duplicates, from two days on (lightest kit only)',
  drive: 'Square drives',
  adjustable: 'Adjustable spanner turns',
  ratchet: 'Breaking loose with a ratchet',
  standing: 'Standing on a tool',
  quality: 'Quality of what is bought',
  air: 'What makes the air',
  tubes: 'Spare tubes',
  levers: 'Tyre levers',
  plugs: 'Plugs for tubeless tyres',
  reamer: 'Opening the hole',
  pressures: 'Pressures',
  others: 'Other riders’ bikes',
  lives: 'Where the kit lives',
  skill: 'Methods that count',
  hand: 'Most skilled person in the group',
  rescue: 'A bike that cannot go on',
  sparkPlug: 'Spare spark plug',
};

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
