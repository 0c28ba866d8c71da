import { said, type Part } from '../said';
export { close } from '../verbs';

/** What DrillStart says. */
export const drill = (name: Part) => said`Before the drill: ${name}`;
export const method = 'Method';
export const whichWheel = 'Which wheel';
export const planned = 'Planned';
export const youTook = 'You took';
export const nextTimeAbout = ': next time about';
export const fourTimesInFiveBetween = (low: Part, high: Part) => said`, four times in five between ${low} and ${high}.`;
export const aTypicalValueUntilYou = 'A typical value, until you have done it.';
export const practiseOnNotOnThe = (onScrap: Part) => said`Practise on ${onScrap}, not on the bike’s own.`;
export const whatItTakesInThe = 'What it needs, in the order of unpacking';
export const dryRunTurnNothingUse = 'Dry run: turn nothing, use nothing up';
export const inTheDark = 'In the dark';
export const whoDoesIt = 'Who does it';
export const aDryRunFindsWhat = 'A dry run finds what is missing; it proves nothing and sets no time.';
export const leaveTheGoodToolsIn =
  'Leave your good tools in the toolbox: whatever you have to fetch is missing from the kit. The maker’s manual comes first.';
export const beginSteps = (steps: Part) => said`Begin: ${steps} steps`;
export const printItsSheet = 'Print its sheet';
export const thisKitHasNoMethod = 'This kit has no method for this repair.';
export const repairs = 'Repairs';
export const saysWhatEachWayTakes = 'says what each method needs.';
export const drill2 = 'Drill';
