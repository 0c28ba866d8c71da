import { said, type Part } from '../said';

/** What GoalSheet says. */
export const proven = 'Proven';
export const noPackingThatKeepsThe = ': no packing that keeps the rules has fewer points.';
export const stillSearchingAtMostOf = (packing: Part, packing2: Part) =>
  said`Still searching: at most ${packing} of ${packing2} points from the best …`;
export const atMost = 'At most';
export const of2 = 'of';
export const pointsFromTheBest = 'points from the best.';
export const howThisIsCalculated = 'How this is calculated';
export const searchingForABetterLayout = 'Searching for a better layout …';
export const pouches = 'Pouches';
export const whatLiesTogetherForOne = 'What lies together, for one kind of repair';
export const in2 = (items: Part, places: Part) => said`: ${items} in ${places}`;
export const notAtAll = 'not at all';
export const asUsual = 'as usual';
export const aboveAll = 'above all';
export const noPlace = 'no place';
export const pointsOfThisPacking = 'Points of this packing';
export const leastOfSlidersPointsOver =
  'least of Σ sliders × points over all assignments that keep every hard rule; an item more that is not packed costs more than any packing saves';
export const notDryOrRattling = 'not dry, or rattling';
export const nothingCostsLessThan = 'nothing costs less than';
export const expectedMinutesOfOpeningPlaces = 'expected minutes of opening places';
export const pointsOfEachGoalTypical = 'points of each goal: typical values; sliders are yours';
