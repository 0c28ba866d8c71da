import { said, type Part } from '../said';

/** What MendPanel says. */
export const understood = 'Understood';
export const itIsDark = 'It is dark';
export const methods = 'Methods';
export const onlyWhatICanDo = 'Only what I can do here';
export const otherMethod = 'other method';
export const otherMethods = 'other methods';
export const thatThisKitLacksSomething = (more: Part) => said`${more} that need something this kit does not have`;
export const beginStepByStep = 'Begin, step by step';
export const alreadyFixedLogIt = 'Already fixed: log it';
export const missingFromYourKit = 'Missing from your kit';
export const noteAsMissing = (ask: Part) => said`Note ${ask} as missing`;
export const noteAsMissing2 = 'Note as missing';
export const takeOutInThisOrder = 'Take out, in this order';
export const noMethodIsKnownFor = 'No method is known for it here. Ask for help: the card says where you are.';
export const itDoesNotMove = 'It does not move';
export const cleanTheRecessSoakIt =
  'Clean the recess, soak it, wait ten minutes. Six-point tool, square and pushed home; strike it, then pull; then a little tighter and back again. If it slips: locking pliers, then two filed flats.';
export const headRoundedOrSeized = 'Head rounded or seized';
export const isNotedAsMissing = (ask: Part) => said`${ask} is noted as missing.`;
