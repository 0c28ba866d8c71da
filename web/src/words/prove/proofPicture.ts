import { said, type Part } from '../said';
export { showFewer } from '../verbs';

/** What ProofPicture says. */
export const problemsByTheHoursAt = 'Problems by the hours at risk';
export const show = (rest: Part) => said`Show ${rest}`;
export const togetherOfTheHoursAt = (percent: Part) => said`, together ${percent} of the hours at risk`;
export const onlyPlanned = 'only planned';
export const lostAnyway = 'lost anyway';
export const provenInPart = (by: Part) => said`proven: ${by}, in part`;
export const thisKitHasNoMethod = 'this kit has no method for it';
export const provenBy = (way: Part) => said`proven: ${way}`;
