import { said, type Part } from '../said';
export { cancel, save } from '../verbs';

/** What PieceEditor says. */
export const alter = (name: Part) => said`Alter ${name}`;
export const makeATool = 'Make a tool';
export const bentCutDownDrilledWelded =
  'Bent, cut down, drilled, welded: say what it is held by and what it turns. One line for each way of using it.';
export const name = 'Name';
export const mass = 'Mass';
export const long = 'Long';
export const wide = 'Wide';
export const high = 'High';
export const way = (it: Part) => said`Way ${it}`;
export const heldBy = 'Held by';
export const hand = (it: Part) => said`hand: ${it}`;
export const anotherTool = 'another tool';
export const arm = 'Arm';
export const whichTurnsIts = (shape: Part) => said`which turns its ${shape}`;
export const turns = 'Turns';
export const grip = 'Grip';
export const sixFlats = 'six flats';
export const twelvePoints = 'twelve points';
export const openTwoFlats = 'open, two flats';
export const bears = 'Bears';
export const reachesIn = 'Reaches in';
export const outerWidth = 'Outer width';
export const jawThickness = 'Jaw thickness';
export const hollow = 'Hollow';
export const swing = 'Swing (°)';
export const swivels = 'swivels';
export const removeThisUse = 'Remove this use';
export const anotherWayOfUsingIt = 'Another way of using it';
export const whatElseItDoes = 'What else it does';
export const whatMattersWhenItIs = 'What matters when it is stowed';
export const roomInsideItForWhat = 'Room inside it, for what lies inside another';
export const itIsHollow = 'it is hollow';
export const inside = (side: Part) => said`Inside ${side}`;
export const onThisBikeItTurns = 'On this bike it turns';
export const heads = 'heads';
export const newWithinReach = (gained: Part) => said`New within reach: ${gained}.`;
export const noLongerWithinReach = (lost: Part) => said`No longer within reach: ${lost}.`;
export const workingOutWhatItReaches = 'Working out what it reaches …';
export const aBentCutOrWelded =
  'A bent, cut or welded tool bears less than the maker’s. Set what it bears low, wear eye protection, and try it at home first.';
export const homeMadeTool = 'Home-made tool';
export const orDrive38 = (reason: Part) => said`${reason}, or drive 3/8`;
export const andMore = (list: Part) => said` and ${list} more`;
export const isInTheToolboxAs = (name: Part) => said`${name} is in the toolbox as it is now`;
