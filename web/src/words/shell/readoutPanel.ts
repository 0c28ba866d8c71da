import { said, type Part } from '../said';

/** What ReadoutPanel says. */
export const readout = 'Key figures';
export const fewer = 'fewer';
export const asTypedNotAddedYet = 'as typed, not added yet';
export const working = (phase: Part) => said`Working: ${phase}…`;
export const fromYourLastVisitChecking = 'From your last visit, checking…';
