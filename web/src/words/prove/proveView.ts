import { said, type Part } from '../said';

/** What ProveView says. */
export const whatIsProvenAndWhat = 'What is proven, and what is only planned';
export const planATripFirstWhat = 'Plan a trip first: you practise what may go wrong on it.';
export const ofThe = 'of the';
export const atRiskAreSavedBy = 'at risk are saved by repairs that you have really done with this kit.';
export const theQuickestWayUp = 'Best next step:';
export const in2 = (minutes: Part) => said`in ${minutes}.`;
export const addLegsToTheTrip = 'Add legs to the trip: you practise what may go wrong on them.';
export const aDrillIsOpen = 'A drill is open:';
export const step = (open: Part) => said`, step ${open}.`;
export const goOn = 'Go on';
export const checkNeeds = 'check needs';
export const checksNeed = 'checks need';
export const you = (checksNeed: Part) => said`${checksNeed} you:`;
export const openChecks = 'Open checks';
export const practiseOnLevelGroundWith =
  'A bike can fall off its prop: nobody lies under it. Practise on level ground with the engine cold. The maker’s manual comes first; after work on axle, brake or steering use a torque wrench.';
export const planATrip = 'Plan a trip';
export const workingOutTheKit = 'Working out the kit …';
export const practiseAndCheck = 'Practise and check';
export const whatToLookAt = 'What to look at';
export const drills = 'Drills';
export const checks = 'Checks';
export const watchList = 'Watch list';
export const games = 'Games';
export const calendarAndPaper = 'Calendar and paper';
