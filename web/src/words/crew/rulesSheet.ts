import { said, type Part } from '../said';

/** What RulesSheet says. */
export const eachHasAlone = 'Each has alone';
export const whatEverybodyCanMendOn = 'What everybody can repair on their own bike with what they carry themselves.';
export const changeWhatEachHasAlone = 'change what each has alone';
export const splits = 'Splits';
export const eachPartMustGetHome = 'Each part must get home by itself: its likely repairs, to the next workshop.';
export const nameOfTheSplit = 'Name of the split';
export const onWhichLegsNoneOn = 'On which legs (none chosen: on any)';
export const part = (it: Part) => said`Part ${it}`;
export const alone = 'Alone';
export const notThere = 'Not there';
export const delete2 = (name: Part) => said`Delete ${name}`;
export const addASplit = 'Add a split';
export const carsAndBagsOnThe = 'Cars and bags on the way';
export const name = 'Name';
export const whatItIs = 'What it is';
export const isThereOnNoneOn = 'Is there on these legs (none chosen: on all)';
export const carriesAtMost = 'Carries at most';
export const addACarVanOr = 'Add a car, van or bag';
export const sharingOut = 'Sharing out';
export const oneStoppedBikeHoldsUp = 'One stopped bike holds up everybody';
export const changeWhoWaits = 'change who waits';
export const hoursAtStakeCountFor = 'Hours at risk count for all who wait.';
export const strangersBikesOnTheWay = 'Strangers’ bikes on the way are helped too';
export const asOneRiderMoreOf =
  'As one more rider whose bike nobody knows: the kit also turns the usual fasteners of such a bike.';
export const aCompanionFetchesWhatIs = 'A companion fetches what is missing, if within (h; 0: never)';
export const changeWhoFetches = 'change who fetches';
export const whatDoesEachCostHere = 'What does each cost here?';
export const letTheProgramChoose = 'let the program choose';
export const undoMyOwnChoices = (fixed: Part) => said`Undo my ${fixed} own choices`;
export const addASplit2 = 'add a split';
export const twoHalves = 'Two halves';
export const addACar = 'add a car';
export const theCar = 'The car';
export const changeWhoseBikesAreHelped = 'change whose bikes are helped';
export const moreGaps = (gaps: Part) => said`, ${gaps} more gaps`;
export const greatestSharePoints = (mass: Part, it: Part, number: Part, gaps: Part) =>
  said`${mass}, greatest share ${it}${number} points${gaps}`;
export const aNewPart = 'A new part';
