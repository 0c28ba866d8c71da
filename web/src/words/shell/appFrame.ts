/** What AppFrame says. */
export const skipToTheStage = 'Skip to content';
