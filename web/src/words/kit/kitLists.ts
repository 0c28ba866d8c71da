import { said, type Part } from '../said';

/** What KitLists says. */
export const addLegsIn = 'Add legs in';
export const trip = 'Trip';
export const toSeeThis = 'to see this.';
export const thisKitFixesNoneOf = 'This kit fixes none of this trip’s problems. Add your tools in';
export const match = 'Match';
export const here = (name: Part, odds: Part) => said`${name} · ${odds} here`;
export const ofKindsOfIt = (partsBelow: Part, parts: Part) => said`${partsBelow} of its ${parts} kinds:`;
export const notAtTheGradeYou = 'not at the grade you ask for';
export const fastenersTurnedBy = (slice: Part) => said`Fasteners turned by ${slice}`;
export const andMore = (turning: Part) => said`and ${turning} more`;
export const why = (name: Part) => said`Why ${name}`;
export const grades = 'grades';
export const moreEachUnderHalfA = (troubles: Part) => said`${troubles} more, each under half a minute`;
export const toolsTheMostHoursFirst = 'Tools, the most hours first';
export const toBuy = (price: Part) => said`to buy, ${price} ·`;
export const aboutDoesTheSameAnd = (name: Part, price: Part, saves: Part) =>
  said`${name} (about ${price}) does the same and saves ${saves}`;
export const spares = 'Spares';
export const noSparesAskedFor = 'No spares asked for.';
export const alreadyFittedOnTheBike = (fitted: Part) => said`${fitted} already fitted on the bike · `;
export const buy = (buy: Part) => said`buy ${buy}`;
export const owned = (owned: Part) => said`owned ${owned}`;
export const doneBeforeLeaving = 'Done before leaving';
export const stow = 'Stow';
export const saysWhyEachIsThere = 'says why each is there.';
export const toBuy2 = 'To buy';
export const noPlaceYet = 'No place yet';
export const savedByOneCopy = (count: Part, hours: Part) => said`${count}, ${hours} saved by one copy`;
export const hoursWhatTheKitSaves =
  'hours = what the kit saves, less what it saves with one copy left at home and each problem solved by the next best repair; fasteners lost = fasteners that no chain of the other tools reaches';
export const fastenersThatNothingElseTurns = 'fasteners that nothing else turns';
export const noRepair = 'no repair';
export const expectedUses = 'expected uses';
export const massRatesAndHoursTypical = (source: Part) =>
  said`mass: ${source}; rates and hours: typical values and your ride log`;
export const seeWhatTurnsIt = 'See what turns it';
export const alreadyFittedOnTheBike2 = 'already fitted on the bike';
export const toBuy3 = 'to buy';
export const expectedUse = 'expected use';
export const ratesAndMassesTypicalValues = 'rates and masses: typical values';
export const seeTheOdds = 'See the odds';
export const byProblem = 'By problem';
export const byItem = 'By item';
export const byPlace = 'By place';
export const atHome = 'At home';
export const price = 'price';
export const mind = 'caution';
export const ownedNow = 'owned';
export const numberMassSaved = (number: Part, mass: Part, hours: Part) => said`${number}, ${mass}, ${hours} saved`;
