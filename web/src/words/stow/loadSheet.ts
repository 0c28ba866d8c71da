import { said, type Part } from '../said';

/** What LoadSheet says. */
export const ifGoesThere = (name: Part) => said`If ${name} goes there:`;
export const figure = 'Figure';
export const limits = 'Limits';
export const riderInGear = 'Rider in gear';
export const pillionInGear = 'Pillion in gear';
export const bikeReadyToRide = 'Bike ready to ride';
export const weightOnFrontAxle = 'Weight on front axle';
export const centreOfGravityHeight = 'Centre of gravity height';
export const guess = 'guess';
export const payloadAllowed = 'Payload allowed';
export const rearRackBears = 'Rear rack rated for';
export const notKnown = 'not known';
export const frontLoadIndex = 'Front load index';
export const onTheTyre = 'on the tyre';
export const rearLoadIndex = 'Rear load index';
export const theFrontIsWeighedWith =
  'Weigh the front with a scale under the front wheel, the bike upright and level. Places also carry clothes and food: enter their weight with each place.';
export const bare = 'Bare';
export const twoUp = 'Two up';
export const withRider = 'With rider';
export const packedIfMoved = 'Packed, if moved';
export const packed = 'Packed';
export const weight = 'Weight';
export const middleBehindAxle = 'Centre of gravity, behind axle';
export const frontAxle = 'Front axle';
export const rearAxle = 'Rear axle';
export const onTheFront = 'On the front';
export const sideImbalance = 'Side imbalance';
export const limitNotKnown = (is: Part, it: Part) => said`${is} ${it}, limit not known`;
export const rearRack = 'Rear rack';
export const frontTyre = 'Front tyre';
export const rearTyre = 'Rear tyre';
export const frontShareLost = 'Front share lost';
export const ofPoints = (lost: Part, mostShareLost: Part) => said`${lost} of ${mostShareLost} points`;
export const onTheRider = 'On the rider';
export const changeTheRidersWeight = 'change the rider’s weight';
export const pillionOn = (name: Part) => said`pillion on ${name}`;
export const load = (what: Part) => said`Load, ${what}`;
export const onTheFront2 = (mass: Part, units: Part, it: Part) => said`${mass} ${units}, ${it} on the front`;
export const middleMRMRear =
  'centre of gravity = Σ m·r / Σ m; rear axle = Σ m·x / wheelbase; front = Σ m − rear; side imbalance = Σ m·y';
export const bareBikeOnTheFront = 'bare bike on the front axle';
export const n48TypicalValue = '48 % (typical value)';
export const heightOfItsMiddle = 'height of its centre of gravity';
export const n64OfTheSeatHeight = '64 % of the seat height (typical value)';
export const n62OfTheWheelbase = '62 % of the wheelbase, ';
export const aboveTheSeatTypicalValues = ' above the seat (typical values)';
export const n88OfTheWheelbase = '88 % of the wheelbase, ';
export const staticsPlacesAsYouMeasured =
  'statics; places as you measured them. The maker’s manual comes first.';
