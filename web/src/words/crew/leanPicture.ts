/** What LeanPicture says. */
export const whoLeansOnWhomThe = 'Who relies on whom; the table below says the same';
export const whoseBike = 'Whose bike';
export const leansOn = 'relies on';
export const hours = 'hours';
export const nobodysBikeNeedsWhatAnother = 'No bike needs what another rider carries.';
