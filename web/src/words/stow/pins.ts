import { said, type Part } from '../said';

/** What pins says. */
export const letTheRulesPlace = (name: Part) => said`place ${name} automatically`;
export const theRulesChoose = (name: Part) => said`${name} is placed automatically`;
export const goesTo = (name: Part, what: Part) => said`${name} is now in ${what}.`;
export const ofLieApartNowMove = (units: Part, what: Part) =>
  said`${units} of ${what} are now apart. Move them where you want them.`;
export const goesTo2 = (name: Part, what: Part) => said`${name} goes to ${what}`;
export const letTheRulesPlaceEverything = 'place everything automatically';
export const theRulesChooseForEverything = 'Everything is placed automatically.';
