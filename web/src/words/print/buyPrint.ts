import { said, type Part } from '../said';
export { back, print } from '../verbs';

/** What BuyPrint says. */
export const toBuyFor = (name: Part) => said`To buy for ${name}`;
export const leastUsualPricesTypicalValues = (money: Part, mass: Part, least: Part) =>
  said`${money}, ${mass}; chosen for ${least}. Usual prices (typical values).`;
export const lowestPrice = 'the lowest price';
export const lowestWeight = 'the lowest weight';
export const pieces = 'Tools';
export const for2 = (used: Part) => said`for ${used}`;
export const toTheToolbox = (left: Part) => said`Left for the toolbox: ${left}`;
export const sparesAndSupplies = 'Spares and supplies';
export const nothingInTheCatalogueReaches = 'Nothing in the catalogue reaches';
export const workingOutTheList = 'Working out the list …';
