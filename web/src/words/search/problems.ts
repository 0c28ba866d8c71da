import { said, type Part } from '../said';

/** What problems says. */
export const ofSuchTrips = (percent: Part) => said`${percent} of such trips`;
export const thisKitHasNoRepair = 'this kit has no repair for it';
export const stepByStep = 'step by step';
export const searchForAFault = 'search for a fault';
