/** What AppFrame says. */
export const skipToTheStage = 'Skip to the stage';
