import { tyreMeasures } from '../../bike/index.js';

/** Gas constant, J/(mol·K), and the mass of a mole of the gas in cartridges, g. */
const R = 8.314462618;
const CARTRIDGE_GAS = 44.01;
/** Outside pressure, kPa. */
export const OUTSIDE = 101.3;
/** What is left of a cartridge after cold gas and losses, and of a hand pump's stroke. Planning values (docs/model.md, section 6). */
export const CARTRIDGE_YIELD = 0.9;
export const STROKE_YIELD = 0.7;
/** Strokes a minute to begin with, and how much slower each further bar of pressure makes them. Planning values. */
const STROKES_A_MINUTE = 40;
const SLOWER_PER_BAR = 0.15;
/** Minutes after which an electric pump wants a rest. Planning value. */
export const PUMP_REST_AFTER = 10;

/**
 * Volume of a tyre, litres: a ring of an ellipse of width and height, ≈ (π/4)·W·H·2π·(rim/2 + H/2) mm³ (docs/model.md, section 6).
 * @param mark such as `90/90-21`
 * @throws RangeError for a mark that is none
 */
export function tyreVolume(mark: string): number {
  const { width, height, rim } = tyreMeasures(mark);
  return ((Math.PI / 4) * width * height * 2 * Math.PI * (12.7 * rim + height / 2)) / 1e6;
}

/**
 * Rise that one cartridge gives by the ideal gas law.
 * @param grams of gas
 * @param litres of the tyre
 * @param celsius of the day
 * @returns kPa
 */
export const cartridgeRise = (grams: number, litres: number, celsius = 20): number =>
  ((grams / CARTRIDGE_GAS) * R * (celsius + 273.15)) / litres;

/** Grams of a whole cartridge, planning value: one of 16 g of gas weighs 58, and its steel grows with its gas. @param grams of gas */
export const cartridgeMass = (grams: number): number => (58 * grams) / 16;

/**
 * Cartridges for a rise, whole ones, with what cold gas and losses take.
 * @param rise kPa
 * @param grams of gas in one
 * @param litres of the tyre
 * @param celsius of the air
 */
export const cartridgesFor = (rise: number, grams: number, litres: number, celsius = 20): number =>
  rise <= 0 ? 0 : Math.ceil(rise / (cartridgeRise(grams, litres, celsius) * CARTRIDGE_YIELD) - 1e-9);

/**
 * Free air that a rise takes, litres at outside pressure.
 * @param rise kPa
 * @param litres of the tyre
 * @returns litres, 0 or more
 * @example a 90/90-21 of 11.05 L from flat to 200 kPa: freeAir(200, 11.05) // 21.8
 */
export const freeAir = (rise: number, litres: number): number => (litres * Math.max(0, rise)) / OUTSIDE;

/** Strokes and minutes of a hand pump. @param stroke mL of one stroke */
export function handPump(
  from: number,
  to: number,
  litres: number,
  stroke: number,
): { strokes: number; minutes: number } {
  const strokes = (freeAir(to - from, litres) * 1000) / (stroke * STROKE_YIELD);
  // Each stroke brings the same air; the pace falls with the pressure: minutes = ∫ dn / pace.
  const [a, b] = [from / 100, Math.max(from, to) / 100];
  const mean = (1 + SLOWER_PER_BAR * a + (1 + SLOWER_PER_BAR * b)) / 2;
  return { strokes: Math.max(0, Math.ceil(strokes - 1e-9)), minutes: (strokes * mean) / STROKES_A_MINUTE };
}

/** An electric pump: free air at no pressure, litres a minute, falling in a line to nothing at its stall pressure; volts × amperes. */
export interface ElectricPump {
  flow: number;
  stall: number;
  amperes: number;
}
/** A small travel pump. Planning value. */
export const TRAVEL_PUMP: ElectricPump = { flow: 14, stall: 700, amperes: 7 };

/**
 * Minutes of an electric pump from one pressure to another: V/p₀ · ∫ dp / (q·(1 − p/stall)) = −V·stall/(p₀·q) · ln((1 − to/stall)/(1 − from/stall)).
 * @param from kPa over the outside
 * @param to kPa over the outside
 * @param litres of the tyre
 * @returns minutes (infinite at or above the stall pressure), ampere-hours, and whether it wants a rest on the way
 */
export function electricPump(from: number, to: number, litres: number, pump: ElectricPump = TRAVEL_PUMP) {
  if (to >= pump.stall) return { minutes: Infinity, ampereHours: Infinity, rests: true };
  const minutes =
    to <= from
      ? 0
      : (-(litres * pump.stall) / (OUTSIDE * pump.flow)) * Math.log((1 - to / pump.stall) / (1 - from / pump.stall));
  return { minutes, ampereHours: (minutes / 60) * pump.amperes, rests: minutes > PUMP_REST_AFTER };
}

/** What fills one tyre from one pressure to another, by each source. */
export interface Filling {
  litres: number;
  freeAir: number;
  cartridges: number;
  strokes: number;
  handMinutes: number;
  electricMinutes: number;
  ampereHours: number;
  rests: boolean;
}
/**
 * What it takes to fill a tyre: strokes of a pump, gas cartridges, minutes of an electric pump (docs/model.md, section 6).
 * @param mark of the tyre, as on its side
 * @param from kPa over outside
 * @param to kPa over outside
 */
export function filling(
  mark: string,
  from: number,
  to: number,
  by: { celsius?: number; cartridge?: number; stroke?: number; pump?: ElectricPump } = {},
): Filling {
  const litres = tyreVolume(mark);
  const hand = handPump(from, to, litres, by.stroke ?? 90);
  const electric = electricPump(from, to, litres, by.pump);
  return {
    litres,
    freeAir: freeAir(to - from, litres),
    cartridges: cartridgesFor(to - from, by.cartridge ?? 16, litres, by.celsius ?? 20),
    strokes: hand.strokes,
    handMinutes: hand.minutes,
    electricMinutes: electric.minutes,
    ampereHours: electric.ampereHours,
    rests: electric.rests,
  };
}
