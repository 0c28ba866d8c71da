import { said, type Part } from '../said';

/** What RulesSheet says. */
export const eachHasAlone = 'Each rider alone';
export const whatEverybodyCanMendOn =
  'What each rider must be able to repair on their own bike with what they carry themselves.';
export const changeWhatEachHasAlone = 'change what each rider can do alone';
export const splits = 'Splits';
export const eachPartMustGetHome = 'Each part must manage its likely repairs by itself, as far as the next workshop.';
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
export const isThereOnNoneOn = 'On these legs (none chosen: on all)';
export const carriesAtMost = 'Carries at most';
export const addACarVanOr = 'Add a car, van or bag';
export const sharingOut = 'Sharing';
export const oneStoppedBikeHoldsUp = 'One stopped bike delays everybody';
export const changeWhoWaits = 'change who waits';
export const hoursAtStakeCountFor = 'Hours at risk count for all who wait.';
export const strangersBikesOnTheWay = 'Help other riders’ bikes on the way';
export const asOneRiderMoreOf =
  'As one more rider whose bike nobody knows: the kit also turns the usual fasteners of such a bike.';
export const aCompanionFetchesWhatIs = 'A companion fetches what is missing, within at most (h; 0: never)';
export const changeWhoFetches = 'change who fetches';
export const whatDoesEachCostHere = 'Compare what each rule costs';
export const letTheProgramChoose = 'choose automatically';
export const undoMyOwnChoices = (fixed: Part) => said`Undo my ${fixed} choices`;
export const addASplit2 = 'add a split';
export const twoHalves = 'Two halves';
export const addACar = 'add a car';
export const theCar = 'The car';
export const changeWhoseBikesAreHelped = 'change whose bikes are helped';
export const moreGaps = (gaps: Part) => said`, ${gaps} more gaps`;
export const greatestSharePoints = (mass: Part, it: Part, number: Part, gaps: Part) =>
  said`${mass}, greatest share ${it}${number} points${gaps}`;
export const aNewPart = 'A new part';
