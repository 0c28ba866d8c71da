/** What WorkBar says. */
export const stop = 'Stop';
