import { said, type Part } from '../said';
export { cancel } from '../verbs';

/** What CopyDialog says. */
export const copyThisBike = 'Copy this bike';
export const copy = (name: Part) => said`Copy ${name}`;
export const itsRowsAndPlacesCome =
  'Its fasteners and places are copied. On the new bike each size is only assumed until you measure it.';
export const name = 'Name';
export const copy2 = 'Copy';
export const rowsAllOnlyAssumedUntil = (name: Part, fasteners: Part) =>
  said`${name}: ${fasteners} fasteners, all assumed until you put a tool on them`;
export const second = (name: Part) => said`${name}, second`;
