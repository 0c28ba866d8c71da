import { said, type Part } from '../said';

/** What AirSheet says. */
export const airedDownAndUpTimes = 'Times aired down and up';
export const from = 'from';
export const to = 'to';
export const cartridgeGOfGas = 'Cartridge (g of gas)';
export const handPumpAStroke = 'Hand pump, per stroke';
export const electricPump = 'Electric pump';
export const yourGaugeShows = 'Your gauge shows';
export const much = 'much';
export const little = 'little';
export const tooComparedForItMust = (off: Part, on: Part, high: Part) =>
  said`too ${off} (compared ${on}): for ${high} it must show`;
export const for2 = (low: Part) => said`, for ${low}`;
export const aCheapGaugeIsOften = 'A cheap gauge is often off:';
export const compareYoursWithAGood = 'compare yours with a good one';
export const underChecksAndWhatIt = 'under Checks; then you see here what it must show.';
export const cartridges = 'cartridges';
export const byHand = 'by hand';
export const electric = 'electric';
export const withARest = ', with a rest';
export const youChose = 'You chose';
export const bothTyresTimesOverThe = (times: Part) => said`Both tyres ${times} times over the trip:`;
export const cartridges2 = 'cartridges (';
export const or = '), or';
export const strokesIn = 'strokes in';
export const or2 = ', or';
export const ofAnElectricPump = 'of an electric pump.';
export const aPumpCartridgesForThat = 'Take a pump: enough cartridges weigh more than it does.';
export const aCartridgeFilledTyreLoses =
  'Cartridges freeze skin and burst when hot. A tyre filled from a cartridge loses its gas within a day: refill it with air.';
export const front = 'Front';
export const rear = 'Rear';
export const andCartridgesForTheBurst = (bead: Part) => said`, and ${bead} cartridges for the burst that seats a bead`;
export const aTubeNeedsNoBurst = '; a tube needs no burst';
export const forAFlatRearA = (electricMinutes: Part, rear: Part) =>
  said`${electricMinutes} for a flat rear, ${rear} A·h from a battery that has them.`;
export const strokesInForAFlat = (strokes: Part, handMinutes: Part) =>
  said`${strokes} strokes in ${handMinutes} for a flat rear.`;
export const moreWhereABeadMust = (bead: Part) => said`, ${bead} more where a bead must be seated`;
export const forEachFlatRearRefill = (cartridges: Part, bead: Part) =>
  said`${cartridges} for each flat rear${bead}; refill with air within a day.`;
export const electricAndStrokesByHand = (electricMinutes: Part, strokes: Part) =>
  said`${electricMinutes} electric, and ${strokes} strokes by hand should it fail.`;
export const strokesByHandOrElectric = (strokes: Part, electricMinutes: Part, burst: Part) =>
  said`${strokes} strokes by hand or ${electricMinutes} electric for a flat rear${burst}.`;
export const changeThePressures = 'change the pressures';
export const tyre = (name: Part, mark: Part) => said`${name} tyre ${mark}`;
export const ofAir = (litres: Part, freeAir: Part) => said`${litres}, ${freeAir} of air`;
export const volume4WH2 =
  'volume ≈ (π/4)·W·H·2π·(rim/2 + H/2); a cartridge raises by (m/44.01)·R·T/V; strokes = V·Δp/(101.3·stroke·0.7); electric minutes = ∫ of its flow falling to the stall pressure';
export const coldestLeg = 'coldest leg';
export const cartridgesOfGOfThe = (cartridge: Part, cartridgeYield: Part) =>
  said`cartridges of ${cartridge} g, ${cartridgeYield} of the ideal`;
export const strokesOfOfThem = (stroke: Part, strokeYield: Part) => said`strokes of ${stroke}, ${strokeYield} of them`;
export const electricFree = (flow: Part) => said`electric, ${flow} free`;
export const typicalValuesNeverAboveThe = 'typical values; never above the tyre or rim maker’s seating pressure';
export const fromAndTo = 'from and to';
export const oneToTheOther = (from: Part, to: Part) => said`${from} to ${to}`;
export const flat = 'flat';
export const stalls = 'stalls';
