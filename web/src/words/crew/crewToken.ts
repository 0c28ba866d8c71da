import { said, type Part } from '../said';

/** What CrewToken says. */
export const giveItTo = 'Give it to …';
export const whoCarriesIt = 'Who carries it';
export const giveToSomebodyElse = (name: Part) => said`Give ${name} to somebody else`;
export const itStaysHere = 'It stays here';
export const leaveItAtHome = 'Leave it at home';
export const chooseAutomatically = 'Choose automatically';
export const toBuy = 'to buy';
export const chosenByYou = 'chosen by you';
export const from = (others: Part) => said`from ${others}`;
