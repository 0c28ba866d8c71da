import { said, type Part } from '../said';

/** What MatchView says. */
export const whatYourToolsReach = 'What your tools reach';
export const noFastenerIsMeasuredYet = 'No fastener is measured yet.';
export const of2 = 'of';
export const fasteners = 'fasteners;';
export const fasteners2 = 'fasteners.';
export const outOfReach = 'out of reach';
export const calculating = 'Calculating …';
export const showTheFastenersAlone = 'Show the fasteners alone';
export const showFastenersAgainstTools = 'Show fasteners against tools';
export const measureTheFirstFastener = 'Measure the first fastener';
export const allFastenersByShapeAnd = 'All fasteners by shape and size';
export const fasteners3 = (chosen: Part) => said`Fasteners (${chosen})`;
export const toolbox = (garage: Part) => said`Toolbox (${garage})`;
export const dryRun = 'Dry run';
export const whatAddsWeight = 'What adds weight';
export const bikes = 'Bikes';
export const buy = 'Buy';
export const outOfReach2 = 'Out of reach';
export const wouldReachIt = (name: Part) => said`Would reach it: ${name},`;
export const nothingInTheCatalogueCures =
  'No single tool of the catalogue reaches it. Check its access and torque, or make a tool.';
export const reached = 'Reached';
export const isReached = 'reached';
export const isAGap = 'gap';
export const fastenersOfIt = (count: Part) => said`${count} fasteners`;
export const farEnd = 'far end: ';
export const fastenersAndTools = 'Fasteners and tools';
export const andMore = ' and ';
export const andFarEnd = '; far end: ';
