import { said, type Part } from '../said';

/** What CrewColumn says. */
export const lookAtTheRideWithout = (name: Part) => said`See the ride without ${name}`;
export const carriesHowItIsWorked = (name: Part, mass: Part) => said`${name} carries ${mass}: how this is calculated`;
export const of2 = (limit: Part) => said`of ${limit}`;
export const of3 = (room: Part) => said` of ${room}`;
export const ofWhatMayCarry = (share: Part, name: Part) => said`${share} of what ${name} may carry`;
export const nothingOfTheSharedKit = 'Nothing of the shared kit.';
export const whatCarries = (name: Part) => said`What ${name} carries`;
export const shareWeightCarriedWeightThat = 'share = weight carried ÷ weight that they may carry';
export const mayCarry = 'may carry';
export const roomTaken = 'volume used';
export const roomThereIs = 'volume available';
export const theLimitIs = (limitBy: Part) => said`the limit is ${limitBy}`;
export const theLimitIsAsEntered = 'the limit is as entered';
export const firstAid = 'first aid';
export const carried = 'carried';
export const share = 'share';
