import { said, type Part } from '../said';

/** What LevelRows says. */
export const threeSizesOfKitEach = 'Three sizes of kit, each containing the smaller one';
export const atMost = (it: Part) => said`${it}, at most`;
export const min = (number: Part) => said`${number} min`;
export const containingTheSmallerKitCosts = (inMoney: Part) => said`; containing the smaller kit costs ${inMoney}`;
export const atMost2 = (it: Part, limit: Part) => said`${it}, at most ${limit}`;
export const theBestKitOfIts = 'the best kit of its limit that holds all of the level before it';
export const theBestOfThatLimit = 'the best of that limit without that';
export const whatNestingCosts = 'what nesting costs';
export const kindsOfSpares = 'kinds of spares';
export const toTheBand = 'no, within the range shown';
export const limitsAreYours = 'you set the limits';
export const moveALevel = 'move a level';
export const andMoreTools = (names: Part) => said` and ${names} more tools`;
export const massSaved = (mass: Part, saved: Part) => said`${mass}, ${saved} saved`;
export const toolsOfIt = 'tools';
export const yes = 'yes';
export const provenValue = 'proven';
