/** What LeanPicture says. */
export const whoLeansOnWhomThe = 'Who leans on whom; the table below says the same';
export const whoseBike = 'Whose bike';
export const leansOn = 'leans on';
export const hours = 'hours';
export const nobodysBikeNeedsWhatAnother = 'Nobody’s bike needs what another carries, by more than a minute.';
