/** What roadEdits says. */
export const fall = 'Fall';
