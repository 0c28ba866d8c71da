import { said, type Part } from '../said';

/** What HowSure says. */
export const howSureIsThis = 'How sure is this?';
export const howOftenThingsBreakIs = (rateRange: Part, rateRange2: Part) =>
  said`How often things break is a typical value, right to within a factor of about ${rateRange}. This works the kit out again with each group of rates a third as high and ${rateRange2} times as high, and shows what changes.`;
export const checkIt = 'Check it';
export const choosingTheKitWithOther = 'Working out the kit with other rates …';
export const thatCouldNotBeWorked = 'That could not be worked out. Press “Check it” again.';
export const of2 = 'of';
export const thingsStayWhateverTheRates = 'items stay in the kit at any rate within this range.';
export const with2 = (it: Part) => said`With ${it}:`;
export const notProven = ' (not proven)';
export const savesH = (it: Part, proven: Part) => said`, saves ${it} h${proven}`;
export const number = 'Number';
export const staysYouCanWriteBetter = (name: Part) =>
  said`Always in the kit: ${name}. You can enter better rates at each repair, under “Repairs”.`;
export const allRates = 'all rates';
export const ratesOf = (itsOf: Part) => said`rates of ${itsOf}`;
export const inTheKitMayLeave = 'In the kit, may leave';
export const leavesWith = 'Leaves with';
export const notInTheKitMay = 'Not in the kit, may come';
export const comesWith = 'Comes with';
export const to = (least: Part, most: Part) => said`${least} to ${most}`;
