import { said, type Part } from '../said';
export { close, deleteIt } from '../verbs';

/** What FastenerPanel says. */
export const editAsText = 'Edit as text';
export const duplicate = 'Duplicate';
export const aboutIt = 'About it';
export const byItsName = 'by its name';
export const safetyCriticalIfItIs = (role: Part) =>
  said`Safety-critical (${role}). If it is lost, sheared or stripped, do not ride: nothing improvised holds it.`;
export const excluded = (leftOut: Part) => said`Excluded: ${leftOut}.`;
export const reached = 'Reached';
export const by = (name: Part) => said`by ${name}.`;
export const outOfReach = 'Out of reach';
export const farEnd = 'far end: ';
export const seeTheChain = 'See the chain';
export const breaksLooseAt = '· Breaks loose at';
export const size = 'Size';
export const allAboutIt = 'All fields';
export const howItIsKnown = 'How it is known';
export const breakingLoose = (name: Part) => said`Breaking loose: ${name}`;
export const tighteningTorqueFactorForIts =
  'tightening torque × factor for its condition: clean 1.2, dirty 1.5, threadlocked 1.8, rusted or seized 2.2';
export const workedOutFrom = 'worked out from';
export const thisOnlyPlansWhichTool =
  'This only plans which tool is strong enough. Tighten to the value in the manual.';
export const aSecondWasAddedBelow = (name: Part) => said`A second ${name} was added below`;
export const theFarEndBy = '; the far end by ';
export const isDeleted = (name: Part) => said`${name} deleted.`;
