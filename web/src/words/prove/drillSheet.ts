import { said, type Part } from '../said';
export { showFewer } from '../verbs';

/** What DrillSheet says. */
export const iHave = 'I have';
export const whoPractises = 'Who practises';
export const worthMostForTheTime = 'Most useful for your time';
export const showMore = (shown: Part) => said`Show ${shown} more`;
export const planATripFirstIt = 'Plan a trip first: it says what may break.';
export const nothingIsLeftToProve = 'Nothing is left to prove with this kit.';
export const noDrillFitsARound = (have: Part) => said`No drill fits ${have}. A round of Find it takes three minutes.`;
export const playFindIt = 'Play Find it';
export const minutesAreTypicalValuesUntil =
  'Minutes are typical values until you have done it yourself; each doubling of practice takes about a fifth off. A repair that nobody has tried fails in 5 to 20 of 100 cases (typical values).';
export const dryRunOnly = 'Dry run only';
export const theseHarmASoundBike =
  'These would harm a sound bike or need help. Lay out each item and go through the steps.';
export const n15Min = '15 min';
export const n30Min = '30 min';
export const n60Min = '60 min';
export const provenAlready = 'proven already';
export const lessOnThisTrip = (minutesText: Part) => said`${minutesText} less on this trip`;
export const neverDone = 'never done';
export const any = 'any';
export const proves = (hours: Part) => said`proves ${hours}`;
export const doneTimes = (times: Part) => said`done ${times}`;
export const wheel = (which: Part) => said`${which} wheel`;
export const on = (scrap: Part) => said`on ${scrap}`;
