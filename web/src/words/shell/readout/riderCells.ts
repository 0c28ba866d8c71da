import { said, type Part } from '../../said';

/** What riderCells says. */
export const noFastenerYet = 'no fastener yet';
export const measureAFastenerFirst = 'Measure a fastener first.';
export const openWalk = 'Open Walk';
export const noTripYet = 'no trip yet';
export const planATripFirst = 'Plan a trip first.';
export const openTrip = 'Open Trip';
export const noLegsYet = 'no legs yet';
export const addLegsToTheTrip = 'Add legs to the trip first.';
export const notKnownYet = (say: Part) => said`Not known yet. ${say}`;
