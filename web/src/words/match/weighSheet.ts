import { said, type Part } from '../said';

/** What WeighSheet says. */
export const whichBoltWhichMarkWhich =
  'Shows which bolt, which mark and which purchase changes the weight, worked out one by one.';
export const workItOut = 'Work it out';
export const calculatingWithAndWithout = 'Calculating with and without …';
export const ifYouSwappedThisBolt = 'If you swapped this bolt for a common size';
export const noToolIsCarriedFor = 'No tool is carried for a single bolt.';
export const withoutThisFastener = 'without this fastener';
export const thePurchaseThatDropsThe = 'The purchase that saves the most weight';
export const ofSolved = (solved: Part, candidates: Part) => said`${solved} of ${candidates} worked out`;
export const noSingleToolOfThe = 'No single tool of the catalogue makes the kit lighter.';
export const withItInTheToolbox = 'with it in the toolbox';
export const putInTheToolbox = (name: Part) => said`Add ${name} to the toolbox`;
export const buy = 'Buy';
export const whatYourMarksCost = 'What your marks cost';
export const itWouldBeCarriedIn = 'it would be carried in any case';
export const withoutThisMark = 'without this mark';
export const gramsOfTheLightestSet = (what: Part) =>
  said`grams of the lightest set as it is, less grams of the lightest set ${what}; both proven`;
export const toolsOfTheLightestSet = 'tools of the lightest set now';
export const andThen = 'and after that';
export const differenceOfTwoOptimaMasses =
  'difference of two proven results; masses and prices are typical values until you weigh and pay';
export const toBuy = 'to buy';
export const isInTheToolboxNoted = (name: Part) => said`${name} is in the toolbox, noted “to buy”`;
export const leaves = (tools: Part) => said`no longer needed: ${tools}`;
export const comes = (tools: Part) => said`added: ${tools}`;
export const leavesName = 'no longer needed';
export const comesName = 'added';
export const nothing = 'nothing';
