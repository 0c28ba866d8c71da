import { said, type Part } from '../said';

/** What FaultList says. */
export const rulesBroken = 'Rules broken';
export const fitsNowhere = 'Fits nowhere';
export const hasNoPlace = 'has no place.';
export const in2 = (what: Part) => said`in ${what}`;
export const itGoesInIfOne = (name: Part) => said`It fits if you leave out one of these: ${name}.`;
export const placeAutomatically = 'Place automatically';
export const noSingleMoveOrSwap = 'No single move or swap solves this. Leave something at home, or add a place.';
export const moveTo = (name: Part, what: Part) => said`Move ${name} to ${what}`;
export const swapWith = (name: Part, name2: Part) => said`Swap ${name} with ${name2}`;
export const costsNothingElse = 'costs nothing else';
export const pointsWorse = (points: Part) => said`${points} points worse`;
export const pointsBetter = (points: Part) => said`${points} points better`;
