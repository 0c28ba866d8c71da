/** What PartTabs says. */
export const partsOfTheStage = 'Parts of the stage';
export const overview = 'Overview';
export const details = 'Details';
