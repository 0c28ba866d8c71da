export { cancel, save } from '../verbs';

/** What KeptEditor says. */
export const aPackingListByHand = 'A packing list by hand';
export const nameOfTheList = 'Name of the list';
export const find = 'Search';
export const whatICarryNow = 'What I carry now';
