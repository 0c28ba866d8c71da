import { said, type Part } from '../said';

/** What ChecksSheet says. */
export const youLeaveOn = 'You leave on';
export const withTheDayEachCheck = 'Enter the day; then each check has a date, and you can save the calendar.';
export const walkRoundBeforeLeaving = (before: Part) => said`Walk round: ${before} before leaving`;
export const eveningRound = (evening: Part) => said`Evening round: ${evening}`;
export const last = (it: Part, result: Part, note: Part) => said`Last: ${it}, ${result}${note}`;
export const somebody = 'somebody';
export const by = (title: Part) => said`, by ${title}`;
export const deleteThisCheck = 'Delete this check';
export const madeFromYourBikeKit = (checks: Part) =>
  said`${checks} made from your bike, kit and trip. They do not replace the maker’s service plan.`;
export const beforeLeaving = 'Before leaving';
export const eachEvening = 'Each evening';
export const byDistance = 'By distance';
export const onADate = 'On a date';
export const theDayOfLeaving = 'the day of leaving';
export const guards = (hours: Part) => said`guards ${hours}`;
