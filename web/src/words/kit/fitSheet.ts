import { said, type Part } from '../said';
export { remove } from '../verbs';

/** What FitSheet says. */
export const whatASpareMustMatch =
  'What a spare must match. Read each line off the bike once; a spare marked with the same words counts for it.';
export const reading = 'Reading';
export const oneSpareServesAllOf = 'one spare serves all of these';
export const of2 = (slot: Part, name: Part) => said`${slot} of ${name}`;
export const none = 'none';
export const countedNowhere = (slot: Part) => said`${slot}: no spare counts for it`;
export const sparesAndSuppliesOwned = 'Spares and supplies owned';
export const serves = (name: Part) => said`serves ${name}`;
export const alwaysPacked = (quantity: Part) => said`· always packed: ${quantity}`;
export const quantity = 'Quantity';
export const madeFor = 'Made for';
export const asTheFitSheetReads = 'as in the part specs';
export const condition = 'Condition';
export const location = 'Location';
export const inTheToolbox = 'in the toolbox';
export const alreadyFittedOnTheBike = (name: Part) => said`already fitted on the bike of ${name}`;
export const inTheKit = 'In the kit';
export const useful = 'useful';
export const bought = 'Bought';
export const opened = 'Opened';
export const addASpare = 'Add a spare';
export const chooseAKind = 'choose a kind';
export const addIt = 'Add it';
export const readTheOf = (slot: Part, name: Part) => said`read the ${slot} of ${name}`;
export const ifUseful = 'if useful';
export const pastItsDateSince = (day: Part) => said`past its date since ${day}`;
export const keepsUntil = (day: Part) => said`keeps until ${day}`;
export const always = 'always';
export const never = 'never';
export const newOne = 'new';
export const usedKnownGood = 'used, known good';
export const spent = 'spent';
