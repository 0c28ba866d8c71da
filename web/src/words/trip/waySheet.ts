import { said, type Part } from '../said';

/** What WaySheet says. */
export const importOtherGpxFiles = 'Import other GPX files';
export const importGpxFiles = 'Import GPX files';
export const forgetTheWay = 'forget the way';
export const removeRoute = 'Remove route';
export const reading = 'Reading …';
export const tracksRoutesAndWaypointsSeveral =
  'Tracks, routes and waypoints, several files one after the other. How far help is along the whole way follows from the waypoints and what they are good for.';
export const theWay = 'The way';
export const mOfClimb = (climb: Part) => said`${climb} m of climb.`;
export const noHeightsInTheFile = 'No heights in the file.';
export const byItsTimes = (route: Part, route2: Part) => said`${route} ${route2} by its times.`;
export const groundOverStraightLine = 'Ground over straight line ×';
export const changeTheDetour = 'change the detour';
export const legsBy = 'Legs by';
export const markOnTheWay = 'mark on the way';
export const ground = 'Ground';
export const leg = 'leg';
export const makeOfIt = (sections: Part, sections2: Part) => said`Make ${sections} ${sections2} of it`;
export const marks = 'Marks';
export const theFilesHaveNoWaypoints =
  'The files have no waypoints: nothing is known of help along the way. Mark fuel, workshops and signal in the file.';
export const isOverMbSplitIt = (name: Part, mostGpxBytes: Part) => said`${name} is over ${mostGpxBytes} MB: split it`;
export const readTheWay = 'read the way';
export const makeLegsFromTheWay = 'make legs from the way';
export const legsMadeFromTheWay = (legs: Part) => said`${legs} legs made from the way.`;
export const allPaved = 'all paved';
export const mostlyGravel = 'mostly gravel';
export const gravelAndTrack = 'gravel and track';
export const mostlyTrack = 'mostly track';
