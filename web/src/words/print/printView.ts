import { said, type Part } from '../said';
export { back, print } from '../verbs';

/** What PrintView says. */
export const lookingForABetterLayout = 'Looking for a better layout: this list may still change.';
export const things = (items: Part, mass: Part, bulk: Part, units: Part) =>
  said`${items} items, ${mass}, ${bulk} ${units}`;
export const thisKitReachesOfFasteners = (carried: Part, chosen: Part) =>
  said`. This kit reaches ${carried} of ${chosen} fasteners.`;
export const slot = (it: Part) => said`· slot ${it}`;
export const round = 'round';
export const toBuyBeforeLeaving = 'To buy before leaving';
export const outOfReachWithEverything = 'Out of reach with everything you own';
export const takeCare = 'Take care';
export const theTorqueInTheManual = 'The torque in the manual comes first.';
export const workingOutTheList = 'Working out the list …';
export const notPackedNoPlaceFound = 'Not packed: no place found';
export const inside = 'in';
