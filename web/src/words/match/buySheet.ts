import { said, type Part } from '../said';
export { exportCsv, print } from '../verbs';

/** What BuySheet says. */
export const least = 'Lowest';
export const price = 'price';
export const weight = 'weight';
export const quality = 'Quality';
export const calculating = 'Calculating …';
export const yourToolsReachEveryFastener =
  'Your tools reach every fastener and do what the trip asks for: nothing to buy.';
export const gap = 'gap';
export const gaps = 'gaps';
export const for2 = (cures: Part, list: Part) => said`For ${cures} ${list}`;
export const andTo = (does: Part) => said`, and to ${does}`;
export const used = (used: Part) => said`Used with it: ${used}`;
export const toTheToolbox = (left: Part) => said`Left for the toolbox: ${left}`;
export const gainsByIt = (bike: Part, what: Part) => said`It also helps ${bike}: ${what}.`;
export const nothingInTheCatalogueReaches = (what: Part) =>
  said`Nothing in the catalogue reaches ${what}: check the access and the torque, or make a tool.`;
export const provenBest = 'Proven best';
export const bestFoundNotProvenBest = 'Best found, not proven best';
export const overTheCataloguesUsualPrices = (proven: Part) =>
  said`${proven} over the catalogue’s usual prices and masses (typical values).`;
export const theToolsInTheBag = 'The tools in the bag are worth';
export const withTheseAbout = '; with these about';
export const againstYourLimitOf = ', against your limit of';
export const theLimitIsSetIn = '. The limit is set in';
export const kit = 'Kit';
export const addAllToTheToolbox = 'Add all to the toolbox';
export const changeTheQuality = 'change the quality';
export const usedToTheToolbox = (used: Part, left: Part) => said`used: ${used}; to the toolbox: ${left}`;
export const massG = 'mass g';
export const toBuy = (name: Part) => said`${name} to buy`;
export const toBuy2 = 'to buy';
export const planTheBuyList = 'plan the buy list';
export const toolsAreInTheToolbox = (pieces: Part) => said`${pieces} tools are in the toolbox, noted “to buy”.`;
