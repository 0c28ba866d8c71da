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
export const everyFigureOfThisRepair = '. This repair now counts with that time everywhere.';
export const allYourTimes = 'All your times:';
export const itsClockRanForUnder =
  'It took less than a tenth of the planned time, so its time does not count. What you used and turned is recorded.';
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
export const reallyUsedUp = 'Used up';
export const lookAtItAgain = 'Check again';
export const onTheWatchListEvery = 'On the watch list: every ';
export const goodFor = '; good for ';
export const onTheWatchList = 'On the watch list';
export const youWereIn = (subject: Part, subject2: Part) => said`Your skill in ${subject2} was “${subject}”.`;
export const sayNow = (skill: Part) => said`Set it to “${skill}”`;
export const stepByStep = 'Step by step';
export const skillIn = (subject: Part) => said`skill in ${subject}`;
export const skillInIsSet = (subject: Part) => said`Skill in ${subject} is set.`;
export const nth = (number: Part) => said`${number}th`;
export const NTH = ['first', 'second', 'third', 'fourth', 'fifth'] as const;
