import { said, type Part } from '../said';
export { back, print } from '../verbs';

/** What CrewPrint says. */
export const lookingForABetterSharing = 'Looking for a better sharing: these lists may still change.';
export const whoCarriesWhat = (name: Part) => said`${name}: who carries what`;
export const inAll = (bike: Part, mass: Part, aid: Part) => said`${bike}, ${mass} in all. ${aid}`;
export const from = (from: Part) => said`· from ${from}`;
export const buy = (buy: Part) => said`· buy ${buy}`;
export const takeCare = 'Take care';
export const theTorqueInTheManual =
  'The torque in the manual comes first. Write down what is lent, or it never comes back.';
export const nobodyRidesAlongOnThis = 'Nobody rides along on this trip. Open Crew to add somebody.';
export const sharingOut = 'Sharing out …';
export const firstAidTrainedKitsWith = (trained: Part, kits: Part) =>
  said`First aid: trained ${trained}; kits with ${kits}.`;
export const nobody = 'nobody';
