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
export const toolsComeFrom = 'Tools come from';
export const minimiseToolsByLightestKit = 'Minimise tools by (lightest kit only)';
export const duplicatesFromTwoDaysOn = 'Duplicates, from two days on (lightest kit only)';
export const squareDrives = 'Square drives';
export const adjustableSpannerTurns = 'Adjustable spanner turns';
export const breakingLooseWithARatchet = 'Breaking loose with a ratchet';
export const standingOnATool = 'Standing on a tool';
export const qualityOfWhatIsBought = 'Quality of what is bought';
export const whatMakesTheAir = 'What makes the air';
export const spareTubes = 'Spare tubes';
export const tyreLevers = 'Tyre levers';
export const plugsForTubelessTyres = 'Plugs for tubeless tyres';
export const openingTheHole = 'Opening the hole';
export const pressures = 'Pressures';
export const othersBikes = 'Other riders’ bikes';
export const whereTheKitLives = 'Where the kit lives';
export const methodsThatCount = 'Methods that count';
export const mostSkilledPersonInThe = 'Most skilled person in the group';
export const spareSparkPlug = 'Spare spark plug';
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
export const aBikeThatCannotGoOn = 'A bike that cannot go on';
export const savedBy = (minutes: Part) => said`${minutes} saved`;
export const fastenersMore = (number: Part) => said`${number} fasteners`;
export const grams = 'grams';
export const yes = 'yes';
