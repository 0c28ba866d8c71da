import { said, type Part } from '../said';
export { back, print } from '../verbs';

/** What BookPrint says. */
export const ofKitTheMakersManual = (name: Part, trip: Part, trip2: Part, mass: Part) =>
  said`${name}, ${trip}, ${trip2}, ${mass} of kit. The maker’s manual and local law come first.`;
export const contents = 'Contents';
export const n1TheTrip = '1 The trip';
export const noSignal = ', no signal';
export const peopleAfterAWorkshopAfter = (track: Part, days: Part, helpKm: Part, workshopKm: Part, signal: Part) =>
  said`${track}, ${days}; people after ${helpKm}, a workshop after ${workshopKm}${signal}`;
export const hStranded = (strandedHours: Part) => said`${strandedHours} h stranded`;
export const n2PackingList = '2 Packing list';
export const n3Checks = '3 Checks';
export const n4WatchList = '4 Watch list';
export const every = (station: Part, why: Part, everyKm: Part) => said`${station}: ${why}. Check every ${everyKm}`;
export const pocketCard = (id: Part) => said`${id} Pocket card`;
export const repairs = (parts: Part) => said`${parts} Repairs`;
export const torqueFromTheManualWins =
  'The torque in the manual comes first; * marks values that are not from the manual.';
export const workingOutTheKit = 'Working out the kit …';
export const notPacked = 'Not packed';
export const theTrip = 'The trip';
export const packingList = 'Packing list';
export const checks = 'Checks';
export const watchList = 'Watch list';
export const pocketCard2 = 'Pocket card';
export const repairs2 = (sheets: Part) => said`Repairs: ${sheets}`;
