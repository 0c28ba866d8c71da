import { said, type Part } from '../said';
export { deleteIt } from '../verbs';

/** What BulkBar says. */
export const chosenRows = 'Chosen rows';
export const chosen = 'chosen';
export const evidence = 'Evidence';
export const setEvidenceLevel = 'Set evidence level';
export const severalAtOnce = 'several at once';
export const mark = 'Mark';
export const whatTheyAreKnownFor = 'Known problems';
export const not = (label: Part) => said`not ${label}`;
export const condition = (it: Part) => said`condition: ${it}`;
export const move = 'Move';
export const toAnotherStation = 'To another station';
export const movedTo = (what: Part) => said`moved to ${what}`;
export const leaveOut = 'Leave out';
export const whyNoRoadsideJobTurns = 'Why no roadside repair needs them';
export const countIn = 'include again';
export const includeAgain = 'include again';
export const allShown = 'All shown';
export const none = 'None';
export const getsLost = 'gets lost';
export const labelRows = (what: Part, rows: Part) => said`${what}: ${rows}`;
export const rowsDone = (rows: Part, what: Part) => said`${rows}: ${what}.`;
