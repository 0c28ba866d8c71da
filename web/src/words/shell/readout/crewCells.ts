import { said, type Part } from '../../said';

/** What crewCells says. */
export const allGetHomeUnaided = 'All get home unaided';
export const allBikesHomeByOwn = 'All bikes get home unaided';
export const productOverTheBikesOf =
  'product over the bikes of the chance that the crew repairs all that would end the ride';
export const ratesAreTypicalValuesUntil = 'rates are typical values until your ride log says more';
export const whatSomebodyCannotDoWhen = 'What somebody must be able to repair and cannot';
export const repairsHeadsAndSparesAsked =
  'repairs, fasteners and spares that the whole crew, each part of a split or a rider alone should manage and cannot with what they carry';
export const whoCarriesWhatAndWhat = 'who carries what, and what each can do';
export const crewsKit = 'Crew’s kit';
export const allThatTheCrewCarries = 'Everything that the crew carries';
export const sumOverAllWhoCarry = 'sum over all who carry of tools and spares';
export const provenTheLeastForYour = 'proven the lightest for your rules, within 20 g';
export const withinOfTheLeastFor = (percent: Part) => said`within ${percent} of the lightest for your rules`;
export const notProvenTheLeast = 'not proven the lightest';
export const greatestShare = 'Greatest share';
export const greatestShareOfWhatSomebody = 'The greatest share of what one rider may carry';
export const theMostOverAllRiders = 'the greatest, over all riders, of weight carried ÷ weight that they may carry';
export const limitsAsEnteredOfThe = 'limits as entered, of the places on the bike, or of the maker’s payload';
export const hoursAtRisk = 'Hours at risk';
export const hoursThatStayAtRisk = 'Hours that stay at risk, all bikes';
export const sumOverBikesAndTroubles = 'sum over bikes and problems of expected count × hours without − hours saved';
export const hoursCountForAllWho = 'hours count for all who wait';
export const hoursOfTheStoppedBike = 'hours of the stopped bike alone';
export const eachPackedAlone = 'Each packed alone';
export const whatAllWouldCarryIf = 'Weight if each rider packed alone';
export const notKnownYet = 'not known yet';
export const sumOverRidersOfThe =
  'sum over riders of the lightest kit that does all for their own bike, out of the same toolboxes';
export const theSameTroublesGradeAnd = 'the same problems, grade and spares, with nobody to share with';
export const notKnown = 'not known';
