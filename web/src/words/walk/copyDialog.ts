import { said, type Part } from '../said';
export { cancel } from '../verbs';

/** What CopyDialog says. */
export const copyThisBike = 'Copy this bike';
export const copy = (name: Part) => said`Copy ${name}`;
export const itsRowsAndPlacesCome =
  'Its rows and places come over. Sizes are only assumed of the new one until somebody measures.';
export const name = 'Name';
export const copy2 = 'Copy';
export const rowsAllOnlyAssumedUntil = (name: Part, fasteners: Part) =>
  said`${name}: ${fasteners} rows, all only assumed until a tool was put on`;
