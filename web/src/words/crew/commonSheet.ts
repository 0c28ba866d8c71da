import { said, type Part } from '../said';
export { showFewer } from '../verbs';

/** What CommonSheet says. */
export const sizesOfHeads = 'Fastener sizes';
export const ofSizesAreOnOne = (odd: Part, sizes: Part) => said`${odd} of ${sizes} sizes are on one bike only.`;
export const size = 'Size';
export const showAll = (sizes: Part) => said`Show all ${sizes}`;
export const sparesAndConnectors = 'Spares and connectors';
export const what = 'What';
export const jumpLeadsAndPumpsNeed = 'Jump leads and pumps need the right connector. Check before leaving.';
export const carriedTwice = 'Carried twice';
export const oneCanGo = 'one can go';
export const nothingIsCarriedTwice = 'Nothing is carried twice.';
export const oneSwapAtHome = 'One swap at home';
export const whichBoltChangedToA = 'Which bolt, changed to a size that the others have, would free the most weight?';
export const findTheBestSwap = 'Find the best swap';
export const canStayAtHome = (leaves: Part) => said`${leaves} can stay at home`;
export const noSingleBoltHoldsA = 'No single bolt holds a tool alone.';
export const workingItOut = 'Working it out …';
export const whenAlone = 'when alone';
export const whenTheCrewSplits = 'when the crew splits';
export const nothingHangsOnIt = 'nobody needs it';
export const together = 'together';
