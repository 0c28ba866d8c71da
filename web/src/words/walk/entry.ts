import { said, type Part } from '../said';

/** What entry says. */
export const thisLineMakesNoFastener = 'This line is not a fastener yet';
export const writeASizeFirst10 = 'Type a size first: 10, 1/2in, i5, t30';
export const readingFor = (toLowerCase: Part) => said`reading for ${toLowerCase}`;
export const usualOnSuchABike = 'usual on such a bike';
export const assume = (name: Part) => said`assume ${name}`;
export const standsAsAssumed = (name: Part) => said`${name} is recorded as assumed`;
export const leaveOut = (name: Part) => said`leave out ${name}`;
export const leftOut = (name: Part, leftOut: Part) => said`${name} left out: ${leftOut}`;
export const typedInTheLine = 'typed in the line';
export const change = (name: Part) => said`change ${name}`;
export const changed = (name: Part) => said`${name} changed`;
export const theFarEndWasNot = (how: Part) => said`${how}; the far end was not checked`;
export const itsFarEndIsStill = (name: Part, head: Part, far: Part) =>
  said`${name}: ${head}. Its far end, ${far}, is still assumed: type “far” and its size`;
export const isSized = (name: Part) => said`${name} is sized`;
export const fastener = 'Fastener';
export const add = (name: Part) => said`add ${name}`;
export const addedAt = (name: Part, station: Part) => said`${name} added at ${station}`;
