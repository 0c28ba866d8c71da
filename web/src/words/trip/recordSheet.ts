import { said, type Part } from '../said';
export { exportCsv, importCsv, remove } from '../verbs';

/** What RecordSheet says. */
export const rides = 'Rides';
export const logARide = 'Log a ride';
export const table = 'Table';
export const allRidesAsATable = 'Import or export rides';
export const noRidesYetLogDistance = 'No rides yet. Log distance and what broke; trouble-free rides count too.';
export const date = 'Date';
export const crossings = 'Crossings';
export const times = 'times';
export const whatWasUsed = 'what was used';
export const removeOne = (trouble: Part) => said`Remove ${trouble}`;
export const whatHappened = 'What happened';
export const add = 'add …';
export const deleteThisRide = 'Delete this ride';
export const whatThatMakesOfThe = 'What your rides do to the rates';
export const dashedPlanning1YourRecord =
  'dashed: the typical rate, 1 · ◇ your ride log alone · ● both together, with the spread';
export const knownWeakPointsOf = (name: Part) => said`Known weak points of ${name}`;
export const factorOnTheRate = 'factor on the rate';
export const factorOn = (trouble: Part) => said`Factor on ${trouble}`;
export const forget = (trouble: Part) => said`Remove ${trouble}`;
export const forget2 = 'Remove';
export const addAWeakPoint = 'Add a weak point';
export const addAWeakPoint2 = 'add a weak point …';
export const logARide2 = 'log a ride';
export const changeARide = 'change a ride';
export const takeOutARide = 'delete a ride';
export const rideTakenOut = 'Ride deleted.';
export const isOnTheWatchList = (name: Part) => said`${name} is on the watch list now: see Prove.`;
export const nothingHappened = 'nothing happened';
export const factorOnThePlanningRate =
  'factor on the typical rate = (κ + n) ÷ (κ + E), κ = 2; spread = √(κ + n) ÷ (κ + E). The count on a trip is then negative binomial.';
export const happenedN = 'happened (n)';
export const expectedByThePlanningRates = 'expected by the typical rates over what you rode (E)';
export const yourRecordAloneNE = 'your ride log alone (n ÷ E)';
export const factorAndItsSpread = 'factor, and its spread';
export const yourOwnRecordWithThe = 'your own ride log, with the typical rates weighing as two events';
export const changeAWeakPoint = 'change a weak point';
export const readRides = (rows: Part) => said`import ${rows} rides`;
export const ridesRead = (rows: Part) => said`${rows} rides imported.`;
