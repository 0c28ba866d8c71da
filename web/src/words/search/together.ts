import { said, type Part } from '../said';

/** What together says. */
export const carriesIt = (name: Part, mass: Part) => said`${name} carries it · ${mass}`;
export const riderFriendGroup = 'rider friend group';
