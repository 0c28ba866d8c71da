import { said, type Part } from '../said';

/** What ThreeAnswers says. */
export const aTripInThreeAnswers = 'A trip in three answers';
export const about = 'About';
export const aBreakdownThatYouCannot = '. A breakdown that you cannot repair strands you for up to';
export const theseAreTypicalValuesRefine =
  '. These are typical values: refine the legs afterwards, or import a GPX track.';
export const planThisTrip = 'Plan this trip';
export const startWithAnEmptyTrip = 'Start with an empty trip';
export const addATrip = 'add a trip';
export const tripNumber = (number: Part) => said`Trip ${number}`;
