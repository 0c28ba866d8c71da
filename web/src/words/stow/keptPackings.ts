import { said, type Part } from '../said';

/** What KeptPackings says. */
export const name = 'Name';
export const packingForThePlateau = 'Layout for the plateau';
export const saveThisLayout = 'Save this layout';
export const noLayoutsSavedYetSave =
  'No layouts saved yet. Save one before you change things; then you can compare the two, and go back.';
export const nowAgainst = 'Compare now with';
export const difference = 'Difference';
export const loadUnchanged = 'Load unchanged.';
export const noPlace = 'no place';
export const newIn = (what: Part) => said`: new, in ${what}`;
export const noLongerInTheKit = ': no longer in the kit';
export const everythingLiesWhereItLay = 'Everything is in the same place.';
export const packAsItWasThen = 'Go back to this layout';
export const drop = (name: Part) => said`Delete ${name}`;
export const packingOf = (today: Part) => said`Layout of ${today}`;
export const isSaved = (name: Part) => said`${name} is saved.`;
export const furtherBack = 'further back';
export const furtherForward = 'further forward';
export const moreToOneSide = 'more to one side';
export const lessToOneSide = 'less to one side';
export const lessOnTheFrontAxle = 'less on the front axle';
export const moreOnTheFrontAxle = 'more on the front axle';
export const moreOnTheRider = 'more on the rider';
export const lessOnTheRider = 'less on the rider';
export const moreOpeningOfPlaces = 'more places to open';
export const lessOpeningOfPlaces = 'fewer places to open';
export const moreRulesBroken = 'more rules broken';
export const fewerRulesBroken = 'fewer rules broken';
export const packAsIn = (name: Part) => said`pack as in ${name}`;
export const thingsLieAsIn = (wanted: Part, name: Part) => said`${wanted} items are placed as in ${name}.`;
export const loose = 'not packed';
export const higher = 'higher';
export const lower = 'lower';
export const heavier = 'heavier';
export const lighter = 'lighter';
