import { said, type Part } from '../../said';

/** What riderFigures says. */
export const kitReaches = 'Kit reaches';
export const fastenersThatThisKitReaches = 'Fasteners that this kit reaches';
export const chosenFasteners = 'chosen fasteners';
export const reachedWithEverythingThatYou = 'reached with everything that you own';
export const leftOutWithAReason = 'left out, with a reason';
export const yourToolsAndYourSurvey =
  'your tools and your survey; limits of tools are typical values unless you changed them';
export const seeEachOneInMatch = 'See each one in Match';
export const gaps = 'Gaps';
export const chosenFastenersThoseThatAnything = 'chosen fasteners − those that anything you own reaches';
export const yourToolboxAndYourSurvey = 'your toolbox and your survey';
export const seeWhyAndWhatWould = 'See why, and what would reach each';
export const kit = 'Kit';
export const massOfTheKit = 'Mass of the kit';
export const toolsSparesWhatWasFitted =
  'tools + spares + what was fitted beforehand: the kit in which each further 100 g would save less than the trip asks of them';
export const toolsSparesWhatWasFittedBeforehand =
  'tools + spares + what was fitted beforehand: the lightest that reaches what your tools reach and fixes each likely problem';
export const toolsSparesWhatWasFittedBeforehandWhat =
  'tools + spares + what was fitted beforehand: what saves most under your weight limit';
export const toolsSparesOfTheSaved = 'tools + spares of the saved kit';
export const optimalProven = 'optimal, proven';
export const withinOfTheBest = (a: Part) => said`within ${a} % of the best`;
export const massesTypicalValuesBySize = 'masses: typical values by size unless you weighed them';
export const seeEachItemAndWhy = 'See each item and why';
export const bulk = 'Bulk';
export const lengthWidthHeightOfEvery = 'Σ length × width × height of every tool and spare ÷ usable share';
export const usableShareForOddItems = 'usable share for odd items';
export const n065TypicalValue = '0.65 (typical value)';
export const measuresTypicalValuesBySize = 'measures: typical values by size';
export const seeWhereItGoes = 'See where it goes';
export const getsHomeUnaided = 'Gets home unaided';
export const overProblemsThatEndThe =
  'Π over problems that end the ride of P(N ≤ repairs at ride-out or better), N Poisson with mean Λ';
export const ratesPer1000KmTypical = 'rates per 1000 km: typical values. Exact for stocks that no two problems share.';
export const seeEachProblem = 'See each problem';
export const hoursAtRisk = 'Hours at risk';
export const hoursAtRiskWithThis = 'Hours at risk with this kit';
export const overProblemsOfTheMost =
  'Σ over problems of Λ × the most that any repair saves, less what the repairs of this kit save';
export const atRiskWithoutAnyKit = 'at risk without any kit';
export const savedByThisKit = 'saved by this kit';
export const ratesAndHoursStrandedTypical = 'rates and hours stranded: typical values and your legs';
export const ready = 'Ready';
export const reachedWhen =
  'A fastener is reached when at each end a chain of carried tools goes from the hand to the head: every coupling fits by free play, length ≥ recess, width ≤ what is free, every tool bears the break-loose torque, and arm × allowed force gives it. The two ends share no tool, and one of them turns.';
