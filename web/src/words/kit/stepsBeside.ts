/** What StepsBeside says. */
export const nothingMoreOnThisSide = 'Nothing more on this side.';
export const insteadOf = 'instead of';
export const forIt = 'for';
