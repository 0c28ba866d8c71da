import { said, type Part } from '../said';

/** What RepairsPrint says. */
export const repairs = (name: Part) => said`${name}: repairs`;
export const withThisKitOnThis =
  'With this kit, on this bike. The torque in the manual comes first; * marks values that are not from the manual.';
export const thisKitHasNoMethod = 'This kit has no repair for it.';
