import { said, type Part } from '../said';

/** What WalkView says. */
export const walkTheBike = 'Walk the bike';
export const of2 = 'of';
export const measured = 'measured';
export const orBetter = 'or better,';
export const stillAssumed = 'still assumed.';
export const next = 'Next:';
export const startAtTheFrontAxle =
  'Start at the front axle: put a spanner or a calliper on it, and press or type its size.';
export const triedOrProven = 'tried or proven';
export const onlyAssumed = 'only assumed';
export const fasteners = 'Fasteners';
export const only = (what: Part) => said`Only ${what}.`;
export const showAll = 'Show all';
export const nothingHereYetPressA = 'Nothing here yet. Press a size on the left or type it above.';
export const noFastenerMatches = 'No fastener matches.';
export const showOfMore = (most: Part, most2: Part) => said`Show ${most} of ${most2} more`;
export const leftOutWithTheReason = 'Left out, with the reason';
export const showAllLeftOut = (leftOut: Part) => said`Show all ${leftOut} left out`;
export const readRowsFromATable = (rows: Part) => said`import ${rows} fasteners from a table`;
export const rowsRead = (rows: Part) => said`${rows} fasteners imported.`;
export const fastenersOf = (bike: Part) => said`${bike} fasteners`;
export const bike = 'bike';
