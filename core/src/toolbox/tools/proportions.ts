import { at, entry } from '../../ground/numbers.js';
import { millimetres } from '../../ground/sizes/index.js';

/**
 * Usual proportions of generic pieces: arms, masses and limits by size (docs/model.md, section 2). Planning values; a piece on the scale
 * or a manual overrides them. All lengths mm, masses g, torques N·m.
 */

/** Working limit of a square drive, N·m. */
export const DRIVE_LIMIT: Readonly<Record<string, number>> = {
  '1/4in': 30,
  '3/8in': 100,
  '1/2in': 250,
};
/** Arm of a usual ratchet, mm, and its mass, g. */
export const RATCHET: Readonly<Record<string, { arm: number; mass: number; price: number }>> = {
  '1/4in': { arm: 130, mass: 105, price: 22 },
  '3/8in': { arm: 190, mass: 225, price: 30 },
  '1/2in': { arm: 250, mass: 520, price: 38 },
};

const round = Math.round;

/**
 * Arm of a combination spanner: 12·s + 20.
 * @param s across flats, mm
 * @returns mm
 * @example spannerArm(17) // 224
 */
export const spannerArm = (s: number): number => round(12 * s + 20);
/**
 * Mass of a combination spanner: 0.62·s² − 2·s.
 * @param s across flats, mm
 * @returns g
 * @example spannerMass(17) // 145
 */
export const spannerMass = (s: number): number => round(0.62 * s * s - 2 * s);
/**
 * A ring bears about 0.6·s².
 * @param s across flats, mm
 * @returns N·m
 * @example ringBears(17) // 173
 */
export const ringBears = (s: number): number => round(0.6 * s * s);
/**
 * An open end bears half of a ring.
 * @param s across flats, mm
 * @returns N·m
 * @example openBears(10) // 30
 */
export const openBears = (s: number): number => round(0.3 * s * s);
/**
 * An adjustable on primary bears a third of a ring at that opening.
 * @param s across flats, mm
 * @returns N·m
 * @example adjustableBears(10) // 20
 */
export const adjustableBears = (s: number): number => round(0.2 * s * s);

const TABLE: Readonly<Record<string, readonly (readonly [number, number])[]>> = {
  '1/4in': [
    [4, 9],
    [8, 13],
    [10, 15],
    [13, 23],
    [14, 26],
  ],
  '3/8in': [
    [8, 24],
    [10, 28],
    [12, 32],
    [14, 38],
    [17, 55],
    [19, 65],
    [24, 105],
  ],
  '1/2in': [
    [10, 52],
    [17, 85],
    [24, 140],
    [27, 170],
    [32, 230],
    [36, 300],
  ],
};

/**
 * Mass of a socket by drive and across flats, between the table's points; deep ones × 1.7.
 * @param s across flats, mm
 * @returns g
 */
export function socketMass(drive: string, s: number, deep: boolean): number {
  const rows = entry(TABLE, drive);
  const above = rows.find(([size]) => size >= s) ?? at(rows, rows.length - 1);
  const below = [...rows].reverse().find(([size]) => size <= s) ?? at(rows, 0);
  const [x0, y0] = below;
  const [x1, y1] = above;
  const mass = x1 === x0 ? y0 : y0 + ((y1 - y0) * (s - x0)) / (x1 - x0);
  return round(mass * (deep ? 1.7 : 1));
}

/** Length of a socket along its axis. */
export const socketLength = (drive: string, deep: boolean): number =>
  ({ '1/4in': deep ? 50 : 25, '3/8in': deep ? 63 : 28, '1/2in': deep ? 77 : 38 })[drive] ?? 30;

/**
 * Outer diameter of a socket: its wall round the hexagon, never less than its drive end.
 * @param s across flats, mm
 * @returns mm
 */
export const socketWidth = (drive: string, s: number): number =>
  Math.max(round(s * 1.33 + 3), { '1/4in': 12, '3/8in': 17, '1/2in': 22 }[drive] ?? 12);

/** Torque that a driver bit bears, N·m. Bits in a ¼ in hexagonal shank are capped by the shank at 35. */
export const BIT_LIMIT: Readonly<Record<string, number>> = {
  'lobe 10': 4,
  'lobe 15': 7,
  'lobe 20': 11,
  'lobe 25': 18,
  'lobe 27': 22,
  'lobe 30': 30,
  'key 3': 5,
  'key 4': 10,
  'key 5': 20,
  'key 6': 32,
  'ph 0': 2,
  'ph 1': 4,
  'ph 2': 9,
  'ph 3': 14,
  'ph 4': 20,
  'jis 0': 2,
  'jis 1': 4,
  'jis 2': 9,
  'jis 3': 14,
  'square 0': 2,
  'square 1': 4,
  'square 2': 9,
  'square 3': 14,
};
export const SHANK_LIMIT = 35;

/**
 * Torque that a shape of a size bears in good steel when it is not a bit in a ¼ in shank, N·m: an inside hex about 0.32·s³, what goes over a hexagon
 * as a ring.
 */
export function shapeBears(form: string, size: string): number {
  const s = millimetres(size);
  switch (form) {
    case 'hex':
    case 'hex12':
      return ringBears(s);
    case 'key':
      return Math.min(1000, round(0.32 * s * s * s));
    case 'lobe':
    case 'lobe-pin':
      return round({ 40: 60, 45: 90, 50: 130, 55: 220, 60: 330 }[Number(size)] ?? BIT_LIMIT[`lobe ${size}`] ?? 3);
    case 'lobe-out':
      return round(0.5 * s * s);
    case 'slot':
      return round(s * 1.2);
    default:
      return BIT_LIMIT[`${form} ${size}`] ?? 5;
  }
}
