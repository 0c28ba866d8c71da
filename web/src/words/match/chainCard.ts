import { said, type Part } from '../said';

/** What ChainCard says. */
export const chainFor = (name: Part) => said`Chain for ${name}`;
export const and = (far: Part) => said`and ${far}`;
export const calculating = 'Calculating …';
export const farEnd = 'Far end: ';
export const theTorqueIsNotKnown = (planned: Part, source: Part) =>
  said`The torque is not known: ${planned} is a ${source}.`;
export const enterTheValueFromYour = 'Enter the value from your manual.';
export const torqueFromTheManual = 'Torque from the manual';
export const notLookedUp = 'not looked up';
export const goesOnLooselyItSpins = (loose: Part) =>
  said`${loose} goes on loosely: it spins the head once it is free, and rounds it under load.`;
export const yourOwnWouldReachIt = (barred: Part) =>
  said`Your own ${barred} would reach it. Remove its “never” mark in the toolbox.`;
export const buyThisToReachIt = 'Buy this to reach it:';
export const addItToTheToolbox = 'Add it to the toolbox';
export const nothingInTheCatalogueReaches =
  'Nothing in the catalogue reaches it with the toolbox: check its access and torque, or edit a tool.';
export const toBuy = '(to buy)';
export const bears = (bears: Part) => said`bears ${bears}`;
export const margin = 'margin';
export const noTorqueKnown = (chain: Part) => said`no torque known, ${chain}`;
export const otherOptionsBestFirst = 'Other options, best first';
export const kit = (set: Part) => said`kit ${set}`;
export const calculatingEach = 'Calculating each …';
export const compareKitWeightForEach = 'Compare kit weight for each option';
export const theTorqueInTheManual =
  'The torque in the manual comes first. After axle, brake, steering or wheel work by the road: check by hand before riding, and tighten with a torque wrench at the first chance.';
export const torqueOf = (name: Part) => said`torque of ${name}`;
export const thisEnd = 'This end';
export const theFarEndHeld = 'The far end, held';
export const byHand = 'by hand';
export const oneHand = 'one hand';
export const twoHands = 'two hands';
export const theFirstChoice = 'the first choice';
export const ofPieces = (mass: Part) => said`${mass} of tools`;
export const equalByName = 'equal: in order of name';
export const gramsOfTheLeastSet =
  'grams of the lightest set that turns this fastener in just this way; all other tools are chosen again around it';
export const itsPiecesAlone = 'its tools alone';
export const againstTheSetAsIt = 'compared with the set as it is';
export const priceOfTheSetAgainst = 'price of the set, compared with as it is';
export const differenceOfTwoOptimaMasses =
  'difference of two proven results; masses and prices are typical values until you weigh and pay';
export const noMore = 'no heavier';
export const marginOn = (name: Part) => said`Margin on ${name}`;
export const noTorqueKnown2 = 'no torque known';
export const leastOfWeakestToolBreak =
  'the smaller of (weakest tool ÷ break-loose torque) and (arm × allowed force ÷ break-loose torque)';
export const breakLooseTorque = 'break-loose torque';
export const weakestPiece = (name: Part) => said`weakest tool: ${name}`;
export const allowedForce = 'allowed force';
export const handGives = 'hand gives';
export const fitOnTheHead = 'fit on the head';
export const lengthAgainstRecess = 'length against recess';
export const limitsArmsAndForcesTypical =
  'limits, arms and forces: typical values unless you changed the tool. The manual’s torque is the one to tighten to.';
export const addToTheToolbox = (name: Part) => said`add ${name} to the toolbox`;
export const toBuy2 = 'to buy';
export const takes = (effort: Part) => said`takes ${effort}`;
export const pieces = (number: Part) => said`${number} tools`;
export const leaves = 'no longer needed';
export const comes = 'added';
export const nothing = 'nothing';
export const notKnown = 'not known';
export const arm = 'arm';
export const against = (length: Part, recess: Part, unit: Part) => said`${length} against ${recess} ${unit}`;
export const andMore = ' and ';
