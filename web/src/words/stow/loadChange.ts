import { said, type Part } from '../said';

/** What loadChange says. */
export const lessEven = 'less even';
export const moreEven = 'more even';
export const noChangeToTheBike = 'no change to the bike';
export const itemIn = (name: Part, place: Part) => said`${name} in ${place}`;
export const higher = 'higher';
export const lower = 'lower';
