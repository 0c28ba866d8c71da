import { said, type Part } from '../said';

/** What BikesSheet says. */
export const calculating = 'Calculating …';
export const thereIsOneBikeHere = 'There is only one bike here. Add another in the bike menu at the top.';
export const alwaysWithYou = 'Always with you';
export const nothingIsInTheSet = 'No tool is needed on every bike.';
export const adds = (name: Part) => said`${name} adds`;
export const nothing = 'Nothing.';
export const proven = ', proven';
export const inAll = (mass: Part, proven: Part) => said`In all ${mass}${proven}.`;
export const changingBikes = 'Changing bikes';
export const from = 'from';
export const from2 = 'From';
export const to = 'to';
export const to2 = 'To';
export const chooseTwoBikes = 'Choose two bikes.';
export const leaveAtHome = 'Leave at home:';
export const nothing2 = 'nothing';
export const putIn = 'Put in:';
export const oneSetForAllNothing = 'One set for all bikes, nothing to move';
