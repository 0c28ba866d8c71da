import { said, type Part } from '../said';

/** What BikeDrawing says. */
export const sideView = (name: Part) => said`${name}, side view`;
export const fastenersMeasuredOrBetter = (station: Part, count: Part, number: Part) =>
  said`${station}: ${count} fasteners, ${number} % measured or better`;
