import { said, type Part } from '../said';
export { add } from '../verbs';

/** What SizeBench says. */
export const whichEnd = 'Which end';
export const head = 'Head';
export const farEnd = 'Far end';
export const calliperLive = 'Calliper, live';
export const calliper = 'Calliper';
export const notHeardForSIs = (device: Part, ago: Part) => said`${device} not heard for ${ago} s: is it on?`;
export const linesLost = (missed: Part) => said`, ${missed} lines lost`;
export const noConnectionToTheServer = 'No connection to the server: type the reading.';
export const takeThisReading = 'Take this reading';
export const cameIn = 'came in.';
export const useItHere = 'Use it here';
export const discardIt = 'Discard it';
export const readingMm = 'Reading, mm';
export const theHeadIs = 'The head is';
export const cleanFlats = (mm: Part) => said`clean flats, ±${mm}`;
export const wornOrPainted = (mm: Part) => said`worn or painted, ±${mm}`;
export const ruler = (mm: Part) => said`ruler, ±${mm}`;
export const howItWasMeasured = 'how it was measured';
export const oneReading = 'One reading';
export const readings = (it: Part) => said`${it} readings`;
export const spread = (spread: Part) => said`, spread ${spread}`;
export const takeBackAReading = 'remove a reading';
export const removeLastReading = 'Remove last reading';
export const whatItIs = 'What it is';
export const formOfTheHead = 'Head type';
export const aCalliperCannotTellSizes = 'A calliper cannot measure this head type. Put the driver in it.';
export const writtenDownAsReadIt = (head: Part, evidence: Part) =>
  said`Recorded as ${head}, ${evidence}. Measure it with a calliper, or say how a tool sat on it.`;
export const take = (head: Part, odds: Part) => said`Take ${head}, ${odds}`;
export const noSizeMatchesMeasureAgain =
  'No size matches. Measure again, or check for wear, paint or another head type.';
export const takeAs = (head: Part) => said`Take as ${head}`;
export const recordedAs = (head: Part) => said`Recorded as ${head}.`;
export const toBeSure = 'To be sure:';
export const notInTheToolbox = ' (not in the toolbox)';
export const putOnIt = (tool: Part, owned: Part) => said`put ${tool} on it${owned}.`;
export const noCommonToolTellsAnd = (head: Part, head2: Part) =>
  said`No common tool can tell ${head} from ${head2}. Measure again, or check the manual.`;
export const toolTriedAndHowIt = 'Tool tried, and how it sat';
export const n13GoesOn12Does = '13 goes on, 12 does not';
export const tried = 'Tried';
export const takeBackATry = 'remove a try';
export const toolInThePicture = 'Tool in the picture';
export const enterTo = (mm: Part, mm2: Part) => said`Enter ${mm} to ${mm2}.`;
export const readingOf = (name: Part) => said`reading of ${name}`;
export const isNoReadingWrite12 = (typed: Part) => said`“${typed}” is not a reading. Type it like 12.94 or 0.509 in.`;
export const toolTriedOn = (name: Part) => said`tool tried on ${name}`;
export const calliperMm = (slice: Part) => said`calliper ${slice} mm`;
