import { said, type Part } from '../said';

/** What ChecksPrint says. */
export const checks = (name: Part, name2: Part) => said`${name}: checks${name2}`;
export const inTheOrderOfThe = 'In the order of a walk round the bike. The maker’s manual comes first.';
