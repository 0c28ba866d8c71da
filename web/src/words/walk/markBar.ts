import { said, type Part } from '../said';
export { cancel } from '../verbs';

/** What MarkBar says. */
export const whichIsThe = (role: Part) => said`Which is the ${role}?`;
export const whichFastenerIsThe = (role: Part) => said`Which fastener is the ${role}?`;
export const noFastenerMatchesTypeIts = 'No fastener matches. Type its size and name in the line above.';
export const markAs = (name: Part, role: Part) => said`mark ${name} as ${role}`;
export const isThe = (name: Part, role: Part) => said`${name} is the ${role}.`;
export const nowRole = (role: Part) => said`, now ${role}`;
