import { said, type Part } from '../said';
export { search } from '../verbs';

/** What BriefLine says. */
export const chooseTheBike = 'Choose the bike';
export const noBikeYet = 'No bike yet';
export const for2 = 'for';
export const chooseTheTrip = 'Choose the trip';
export const upToH = (worst: Part) => said`up to ${worst} h`;
export const stranded = 'stranded';
export const enter = 'enter';
export const ctrlK = 'Ctrl K';
export const saved = 'Saved';
export const saving = 'Saving…';
export const onThisDeviceNotSent = 'On this device, not sent';
export const alone = 'alone';
export const withCompany = (companions: Part) => said`with ${companions}`;
