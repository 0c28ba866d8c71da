import { said, type Part } from '../../said';

/** What CardPart says. */
export const torque = 'Torque';
export const noneIsEnteredWriteThem = 'None is entered: write them in from the manual.';
export const theTorqueInTheManual = 'The torque in the manual comes first. * is not from the manual.';
export const airAndFluids = 'Air and fluids';
export const looseGround = (low: Part) => said`, loose ground ${low}`;
export const myGaugeShows = (shows: Part) => said`; my gauge shows ${shows}`;
export const pressuresAreTheTripsThe = 'Pressures are the trip’s: the manual’s come first, loaded and cold.';
export const whoAndWhere = 'Who and where';
export const name = 'Name';
export const from = (leaves: Part) => said`, from ${leaves}`;
export const with2 = (companions: Part) => said`. With ${companions}`;
export const inAnEmergencyCall = 'In an emergency call';
export const recoveryService = 'Recovery service';
export const insurancePolicy = 'Insurance, policy';
export const atHome = 'At home';
export const doctorAllergies = 'Doctor, allergies';
export const bloodGroup = 'Blood group';
export const ridesWith = 'Rides with';
export const call = 'Call';
export const bloodGroupAllergies = 'Blood group, allergies';
