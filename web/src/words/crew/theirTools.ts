import { said, type Part } from '../said';
export { add, deleteIt, showFewer } from '../verbs';

/** What TheirTools says. */
export const whatOwns = (name: Part) => said`What ${name} owns`;
export const n13CombinationSpannerHandPump = '13 combination spanner, hand pump, 10 cable ties';
export const always = 'always';
export const alwaysBrings = (name: Part, name2: Part) => said`${name} always brings ${name2}`;
export const takeAway = (name: Part) => said`Remove ${name}`;
export const showAll = (things: Part) => said`Show all ${things}`;
export const sayWhichToolOrSpare = 'Say which tool or spare it is.';
export const whatAlwaysBrings = (name: Part) => said`what ${name} always brings`;
export const whatOwns2 = (name: Part) => said`what ${name} owns`;
export const owns = (name: Part, what: Part) => said`${name} owns ${what}`;
