import { said, type Part } from '../said';
export { cancel, save } from '../verbs';

/** What BikeDialog says. */
export const changeTheBike = 'Change the bike';
export const addABike = 'Add a bike';
export const luggageAndStorageChooseWhat = 'Luggage and storage: choose what this bike has';
export const addBike = 'Add bike';
export const deleteBike = 'Delete bike';
export const deletedWithAllThatHangs = (name: Part) => said`${name} deleted, with its fasteners, places and trips.`;
