import { said, type Part } from '../said';

/** What WaySheet says. */
export const importOtherGpxFiles = 'Import other GPX files';
export const importGpxFiles = 'Import GPX files';
export const forgetTheWay = 'remove the route';
export const removeRoute = 'Remove route';
export const reading = 'Reading …';
export const tracksRoutesAndWaypointsSeveral =
  'Tracks, routes and waypoints; several files, one after the other. The waypoints tell how far help is at each point of the route.';
export const theWay = 'The route';
export const mOfClimb = (climb: Part) => said`${climb} m of climb.`;
export const noHeightsInTheFile = 'No heights in the file.';
export const byItsTimes = (days: Part) => said`${days} by its times.`;
export const groundOverStraightLine = 'Detour factor';
export const changeTheDetour = 'change the detour factor';
export const legsBy = 'Legs by';
export const markOnTheWay = 'waypoint on the route';
export const ground = 'Ground';
export const makeOfIt = (legs: Part) => said`Make ${legs}`;
export const marks = 'Waypoints';
export const theFilesHaveNoWaypoints =
  'The files have no waypoints, so it is not known where help is. Add waypoints for fuel, workshops and signal to the file.';
export const isOverMbSplitIt = (name: Part, mostGpxBytes: Part) =>
  said`${name} is larger than ${mostGpxBytes} MB. Split it into smaller files.`;
export const readTheWay = 'import the route';
export const makeLegsFromTheWay = 'make legs from the route';
export const legsMadeFromTheWay = (legs: Part) => said`${legs} legs made from the route.`;
export const allPaved = 'all paved';
export const mostlyGravel = 'mostly gravel';
export const gravelAndTrack = 'gravel and track';
export const mostlyTrack = 'mostly track';
export const day = 'day';
export const changeWaypoint = (name: Part) => said`change waypoint ${name}`;
