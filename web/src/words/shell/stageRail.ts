/** What StageRail says. */
export const stages = 'Stages';
