import { said, type Part } from '../said';
export { change, remove } from '../verbs';

/** What MendsBrowser says. */
export const findARepair = 'Find a repair';
export const flatClutchLeak = 'flat, clutch, leak …';
export const writeYourOwn = 'Write your own';
export const notSureWhatItIs = 'Not sure what it is?';
export const yourOwn = 'Your own';
export const noRepairMatches = 'No repair matches.';
export const aWayFor = (problem: Part) => said`a repair for ${problem}`;
export const aProblemOfYourOwn = 'a problem of your own';
