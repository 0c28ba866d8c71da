import { said, type Part } from '../said';

/** What TermWord says. */
export const whatDoesItMean = (label: Part) => said`${label}: what does it mean?`;
