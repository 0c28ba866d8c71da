import { said, type Part } from '../said';

/** What GoalSheet says. */
export const proven = 'Proven';
export const noPackingThatKeepsThe = ': no layout that keeps the rules has a lower score.';
export const stillSearchingAtMostOf = (packing: Part, packing2: Part) =>
  said`Still searching: at most ${packing} of ${packing2} points from the best …`;
export const atMost = 'At most';
export const of2 = 'of';
export const pointsFromTheBest = 'points from the best.';
export const howThisIsCalculated = 'How this is calculated';
export const searchingForABetterLayout = 'Searching for a better layout …';
export const pouches = 'Pouches';
export const whatLiesTogetherForOne = 'Items packed together for one kind of repair';
export const in2 = (items: Part, places: Part) => said`: ${items} in ${places}`;
export const notAtAll = 'not at all';
export const asUsual = 'as usual';
export const aboveAll = 'above all';
export const noPlace = 'no place';
export const pointsOfThisPacking = 'Score of this layout';
export const leastOfSlidersPointsOver =
  'least of Σ sliders × points over all layouts that keep every hard rule; an item that is not packed costs more than any layout saves';
export const notDryOrRattling = 'not dry, or rattling';
export const nothingCostsLessThan = 'nothing costs less than';
export const expectedMinutesOfOpeningPlaces = 'expected minutes of opening places';
export const pointsOfEachGoalTypical = 'points of each goal: typical values; you set the sliders';
export const aLittle = 'a little';
export const much = 'much';
