import { said, type Part } from '../said';
export { cancel, save } from '../verbs';

/** What OwnMendForm says. */
export const aRepairOfYourOwn = 'A repair of your own';
export const for2 = 'For';
export const nameOfTheMethod = 'Name of the method';
export const nameOfTheProblem = 'Name of the problem';
export const grade = 'Grade';
export const skill = 'Skill';
export const minutes = 'Minutes';
export const listedUnder = 'Listed under';
export const howOftenPaved = 'How often, paved';
export const howOftenGravel = 'How often, gravel';
export const howOftenTrack = 'How often, track';
export const itEndsTheRide = 'It ends the ride';
export const hoursLostWithoutARepair = 'Hours lost without a repair';
export const stepsOutOneALine = 'Steps to take it apart, one per line';
export const breakTheAxleLooseBefore = 'Break the axle loose before raising {rear axle}';
export const stepsBackInOneA = 'Steps to put it back, one per line';
export const patchItPatch2Pump = 'Patch it <patch ×2>, pump up [inflate]';
export const caution = 'Caution';
export const whatAStepCanContain = 'What a step can contain';
export const head = '{head}';
export const byItsJobOnThe = (roles: Part) =>
  said`by its role on the bike, with ? where not every bike has it: ${roles}`;
export const function2 = '[function]';
export const ofATool2For = (functions: Part) => said`of a tool, ×2 for two: ${functions}`;
export const supply2 = '<supply ×2>';
export const usedUp = (kind: Part) => said`used up: ${kind}`;
export const noSpareIsCalledChoose = (it: Part) =>
  said`no spare is called “${it}”: choose one of the list, or add it under Part specs`;
export const backIn = 'back in';
export const aProblemOfYourOwn = 'a problem of your own';
