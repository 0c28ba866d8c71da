import { said, type Part } from '../said';

/** What RollPicture says. */
export const ofSlotsOpen = (taken: Part, slots: Part, mass: Part, width: Part, height: Part, units: Part) =>
  said`${taken} of ${slots} slots · ${mass} · ${width} × ${height} ${units} open`;
export const printAt11With = 'Print at 1 : 1, with labels';
export const svg = 'SVG';
export const theSlotsTakeWithHems = (width: Part, units: Part, width2: Part) =>
  said`The slots take ${width} ${units} with hems and seams; the roll is ${width2} wide.`;
export const slotBySlot = (name: Part) => said`${name}, slot by slot`;
export const slotsOf = (name: Part) => said`Slots of ${name}`;
export const empty = 'empty';
export const slot = (slot: Part, name: Part) => said`slot ${slot}: ${name}`;
