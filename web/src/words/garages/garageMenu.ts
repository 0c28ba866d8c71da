import { said, type Part } from '../said';

/** What GarageMenu says. */
export const garage = 'Garage';
export const garagesAndSettings = 'Garages and settings';
export const garageFile = 'Garage file';
export const deletedTheGarageMenuBrings = (was: Part) => said`${was} deleted. The garage menu brings it back.`;
export const isOverMbAndCannot = (name: Part, mostBytes: Part) =>
  said`${name} is larger than ${mostBytes} MB and cannot be a garage file`;
export const andItsDetailsForAn = ', and its emergency details are on this device';
export const isImportedAsAGarage = (name: Part, taken: Part) =>
  said`${name} is imported as a garage of its own${taken}`;
