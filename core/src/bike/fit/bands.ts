import { at } from '../../ground/numbers.js';
import { isInch, millimetres, type Shape } from '../../ground/sizes/index.js';

/** A made band in mm, least to greatest. */
export interface Band {
  min: number;
  max: number;
}

const step = (value: number, rows: readonly (readonly [number, number])[]): number =>
  (rows.find(([upTo]) => value <= upTo) ?? at(rows, rows.length - 1))[1];

const H13_H14 = [
  [3, 0.14],
  [6, 0.18],
  [10, 0.22],
  [18, 0.27],
  [30, 0.33],
  [50, 0.62],
] as const;
const OPENING_MIN = [
  [8, 0.03],
  [13, 0.04],
  [18, 0.05],
  [24, 0.06],
  [32, 0.08],
  [Infinity, 0.1],
] as const;
const OPENING_MAX = [
  [8, 0.13],
  [12, 0.19],
  [13, 0.24],
  [18, 0.3],
  [24, 0.36],
  [32, 0.48],
  [Infinity, 0.6],
] as const;

/**
 * Across flats to which outside-hex heads of a size are made, mm. Metric by h13/h14, inch up to 2.5 % (1.3 mm at most) under nominal.
 * Planning values (docs/model.md, section 1). Worn, painted or plated heads leave the band.
 * @param size as printed: `13` in millimetres, `1/2in` in inches
 * @returns least and most, mm
 * @example headBand('13') // { min: 12.73, max: 13 }
 */
export function headBand(size: string): Band {
  const s = millimetres(size);
  const under = isInch(size) ? Math.min(0.025 * s, 1.3) : step(s, H13_H14);
  return { min: s - under, max: s };
}

/**
 * Opening to which wrenches and sockets of a size are made, mm. Planning values.
 * @param size as printed
 * @returns least and most, mm
 * @example openingBand('13') // { min: 13.04, max: 13.24 }
 */
export function openingBand(size: string): Band {
  const s = millimetres(size);
  return { min: s + step(s, OPENING_MIN), max: s + step(s, OPENING_MAX) };
}

/**
 * Across flats to which inside-hex keys of a size are made, mm.
 * @param size as printed
 * @returns least and most, mm
 * @example keyBand('6') // { min: 5.92, max: 6 }
 */
export function keyBand(size: string): Band {
  const s = millimetres(size);
  return { min: s - 0.08 * Math.sqrt(s / 6), max: s };
}

/**
 * Opening of the inside-hex socket in a head of a size, mm.
 * @param size as printed
 * @returns least and most, mm
 * @example keySocketBand('6') // { min: 6.01, max: 6.14 }
 */
export function keySocketBand(size: string): Band {
  const s = millimetres(size);
  return { min: s + 0.01, max: s + 0.14 * Math.sqrt(s / 6) };
}

/**
 * Opening and inner hexagon when a tool meets a head: for outside hexes the tool is the opening, for inside hexes the head is.
 * @param tool what goes on or in
 * @param head of the same form
 * @returns both in mm, the larger first whichever of the two is the tool
 */
export function pairBands(tool: Shape, head: Shape): { opening: Band; hexagon: Band } {
  return head.form === 'key'
    ? { opening: keySocketBand(head.size), hexagon: keyBand(tool.size) }
    : { opening: openingBand(tool.size), hexagon: headBand(head.size) };
}
