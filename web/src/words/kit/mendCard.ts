import { said, type Part } from '../said';
export { close } from '../verbs';

/** What MendCard says. */
export const mend = 'Repair';
export const stranded = 'stranded';
export const lost = 'lost';
export const ofSuchTripsWithoutA = (stops: Part) => said`of such trips; ${stops} without a repair:`;
export const thisKitSaves = '. This kit saves';
export const stayAtStake = 'stay at risk.';
export const thisCannotHappenOnThis = 'This cannot happen on this bike.';
export const untilHelpComes = 'until help comes';
export const counts = (number: Part) => said`counts as ${number} % of a full repair`;
export const min = (minutes: Part, skill: Part, it: Part) => said`${minutes} min · ${skill} · ${it}`;
export const thisKitDoesIt = 'This kit does it.';
export const notWithThisKit = 'Not with this kit:';
export const out = 'Take apart';
export const backIn = 'Put back';
export const lacking = 'lacking';
export const minutesHere = 'Minutes here';
export const quickerWith = 'Quicker with';
export const inTheKit = ': in the kit';
export const minLess = (what: Part, saves: Part, has: Part) => said`${what}, ${saves} min less${has}`;
export const secondPerson = 'Second person';
export const needed = 'needed';
export const helpsMinLess = (second: Part) => said`helps: ${second} min less`;
export const andMore = (it: Part) => said` and ${it} more`;
export const alsoFor = (slice: Part, it: Part) => said`also for: ${slice}${it}`;
export const inTheDarkEachTakes = (nightWork: Part) =>
  said`In the dark each takes a light and ${nightWork} times as long. Rates, minutes and shares are typical values; the maker’s manual comes first.`;
export const noTripSaysHowOften = 'no trip says how often it comes';
export const minFor = (it: Part, number: Part, what: Part) => said`${it}${number} min for ${what}`;
