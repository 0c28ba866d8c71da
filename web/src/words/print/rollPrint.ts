import { said, type Part } from '../said';
export { back, print } from '../verbs';

/** What RollPrint says. */
export const asSvg = (it: Part) => said`${it} as SVG`;
export const at11 = (name: Part) => said`${name} at 1 : 1`;
export const sheetsAndOneOfLabels = (sheets: Part) =>
  said`${sheets} sheets and one of labels, A4 landscape. Print at 100 %, not fitted to the page, and measure the 100 mm rule on the first sheet before you cut cloth.`;
export const noRollThere = 'This place is not a roll';
export const thisPlaceHasNoSlots = 'This place has no slots. Make it a roll in Stow and give it some.';
export const labels = 'labels';
export const sheet = (number: Part) => said`sheet ${number}`;
