import { said, type Part } from '../said';
export { close } from '../verbs';

/** What LogDialog says. */
export const writeItDown = 'Log something';
export const find = 'Search';
export const tubeChainEvening = 'tube, chain, evening';
export const happened = 'Happened';
export const aFall = 'A fall';
export const fixed = (wayName: Part) => said`fixed: ${wayName}`;
export const fromTheKit = 'From the kit';
export const whatBecameOfIt = 'What became of it';
export const used = 'Used';
export const lent = 'Lent';
export const notThere = 'Not there';
export const notInTheKit = (typed: Part) => said`“${typed}”, not in the kit`;
export const nothingOfThatNameIs = 'The kit has nothing by that name.';
export const checkedAndInOrder = 'Checked, and in order';
export const foundSomething = 'Found something?';
export const sayWhatInProve = 'Record it in Prove';
export const logFall = 'log: fall';
export const fallLoggedAndOnThe = 'Fall logged, and on the watch list.';
export const isLentOutOfYour = (name: Part) => said`${name} is lent: it is in no kit until it is back.`;
export const isNotedAsMissing = (name: Part) => said`${name} is noted as missing.`;
export const isUsed = (name: Part) => said`${name} used.`;
export const isChecked = (name: Part) => said`${name}: checked.`;
