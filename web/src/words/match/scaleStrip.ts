import { said, type Part } from '../said';

/** What ScaleStrip says. */
export const settling = ', settling';
export const linesLost = (missed: Part) => said`, ${missed} lines lost`;
export const takeThisMass = 'Take this mass';
export const notHeardForSIs = (device: Part, ago: Part) => said`${device} not heard for ${ago} s: is it on?`;
export const noConnectionToTheServer = 'No connection to the server.';
export const noScaleConnected = 'No scale connected.';
export const whatTheScaleShows = 'What the scale shows';
export const takeIt = 'Take it';
export const scale = 'Scale';
