/** What WaitingPart says. */
export const workingItOut = 'Working it out …';
