import { said, type Part } from '../said';
export { save } from '../verbs';

/** What DrillEnd says. */
export const planned = 'Planned';
export const time = (nth: Part) => said`, ${nth} time`;
export const stopped = 'Stopped';
export const fixed = 'Fixed';
export const onlyPressedThrough = 'Only pressed through';
export const dryRunDone = 'Dry run done';
export const nextTimeAbout = 'Next time about';
export const fourTimesInFiveBetween = (low: Part, high: Part) => said`, four times in five between ${low} and ${high}`;
export const before = (minutesText: Part) => said`(before: ${minutesText})`;
export const everyFigureOfThisRepair = '. Every figure of this repair goes by it now.';
export const allYourTimes = 'All your times:';
export const itsClockRanForUnder =
  'Its clock ran for under a tenth of what was planned, so it sets no time. What was used and turned is written down.';
export const itTookUnderATenth = 'It took less than a tenth of the planned time, so it does not count as done.';
export const itProvesNothingAndSets = 'It proves nothing and sets no time. What you were stuck on is still recorded.';
export const ready = 'Ready:';
export const youWereStuckSoThe = ': you were stuck, so this does not prove the kit';
export const hoursAtRisk = 'Hours at risk:';
export const stuck = 'Stuck';
export const step = (it: Part, what: Part) => said`Step ${it}: ${what}`;
export const fastenerIs = 'fastener is';
export const fastenersAre = 'fasteners are';
export const proven = (are: Part) => said`${are} proven`;
export const reallyUsedUp = 'Really used up';
export const lookAtItAgain = 'Look at it again';
export const onTheWatchListEvery = 'On the watch list: every ';
export const goodFor = '; good for ';
export const onTheWatchList = 'On the watch list';
export const youWereIn = (subject: Part, subject2: Part) => said`You were “${subject}” in ${subject2}.`;
export const sayNow = (skill: Part) => said`Say “${skill}” now`;
export const stepByStep = 'Step by step';
export const skillIn = (subject: Part) => said`skill in ${subject}`;
export const skillInIsSet = (subject: Part) => said`Skill in ${subject} is set.`;
