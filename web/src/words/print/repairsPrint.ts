import { said, type Part } from '../said';

/** What RepairsPrint says. */
export const repairs = (name: Part) => said`${name}: repairs`;
export const withThisKitOnThis = 'With this kit, on this bike. Torque from the manual wins; * is not from the manual.';
export const thisKitHasNoMethod = 'This kit has no method for it.';
