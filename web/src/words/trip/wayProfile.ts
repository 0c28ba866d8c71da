import { said, type Part } from '../said';

/** What WayProfile says. */
export const measuringHowFarHelpIs = 'Measuring how far help is …';
export const farthestFrom = (kind: Part) => said`Farthest from ${kind}:`;
export const kmTo = (from: Part, to: Part) => said`km ${from} to ${to}`;
export const byTheGround = 'by the ground.';
export const kindOfHelp = 'Kind of help';
export const profileOfHeightAndDistance = (route: Part, kind: Part) =>
  said`Profile of ${route}: height, and distance to ${kind}. Arrow keys move along it.`;
export const noHeightsInTheFile = 'no heights in the file';
export const metresAboveTheSea = 'metres above the sea';
export const toByTheGround = (units: Part, kind: Part) => said`${units} to ${kind}, by the ground`;
export const km = (km: Part) => said`km ${km}`;
export const strandedHere = 'Stranded here:';
export const straightLinesToTheMarks = (detour: Part) =>
  said`Straight lines to the waypoints × ${detour} for the ground (typical value); dashed: a day ends.`;
