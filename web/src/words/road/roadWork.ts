/** What RoadWork says. */
export const workingOutTheKit = 'Working out the kit …';
export const thisBikeCannotHaveThat = 'This bike cannot have that problem. Begin again.';
export const howDidItGo = 'How did it go?';
