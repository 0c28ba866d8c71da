import { said, type Part } from '../said';

/** What crew says. */
export const ridesAlong = (name: Part) => said`${name} rides along`;
export const somebodyDoesNotRideAlong = 'somebody does not ride along';
export const sayWhoCarriesIt = 'say who carries it';
