import { said, type Part } from '../said';

/** What ConflictDialog says. */
export const changedInAnotherWindow = 'Changed in another window';
export const changed = (title: Part) => said`${title}: changed`;
export const changed2 = 'Changed';
export const inAnotherWindow = 'in another window';
export const nothingIsLostChooseThe = 'Nothing is lost. Choose the version to keep.';
export const what = 'What';
export const yours = 'Yours';
export const theirs = 'Theirs';
export const keepMine = 'Keep mine';
export const takeTheirs = 'Take theirs';
export const moreToDecide = (more: Part) => said`${more} more to decide`;
