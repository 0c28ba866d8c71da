import { z } from 'zod';
import { shapeSchema } from '../../ground/sizes/index.js';

/**
 * How far one reading strays from the head, mm (one standard deviation): a calliper in the hand on clean flats, on worn or painted ones,
 * and a ruler. Planning values (docs/model.md, section 1).
 */
export const SPREADS = { clean: 0.05, worn: 0.15, ruler: 0.5 } as const;
export type Surface = keyof typeof SPREADS;
/**
 * What of that belongs to the head and is the same at every reading, and what is the hand's, fresh each time, mm: wear and paint do not go away by
 * reading again. Their squares add up to a single reading's spread.
 */
export const WEAR: Readonly<Record<Surface, number>> = {
  clean: 0,
  worn: Math.sqrt(SPREADS.worn ** 2 - SPREADS.clean ** 2),
  ruler: 0,
};
export const HAND: Readonly<Record<Surface, number>> = {
  clean: SPREADS.clean,
  worn: SPREADS.clean,
  ruler: SPREADS.ruler,
};
export const SURFACES = Object.keys(SPREADS) as Surface[];

/** What a rider feels when a tool is put on a head. `goes on` is said when nobody noticed how it sat. */
export const OUTCOMES = ['does not go on', 'snug', 'loose', 'spins', 'goes on'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** A tool put on a head, and how it sat. */
export const trySchema = z.strictObject({ tool: shapeSchema, outcome: z.enum(OUTCOMES) });
export type Try = z.infer<typeof trySchema>;

/** Everything that was measured and tried at one end of a fastener. */
export const gaugingSchema = z.strictObject({
  /** Calliper readings, mm, zero offset taken off. */
  readings: z.array(z.number().min(0.5).max(130)).max(30),
  surface: z.enum(SURFACES as [Surface, ...Surface[]]),
  tries: z.array(trySchema).max(20),
});
export type Gauging = z.infer<typeof gaugingSchema>;
export const NO_GAUGING: Gauging = { readings: [], surface: 'clean', tries: [] };

/**
 * Mean and sample spread of repeated readings; spread is null for fewer than two.
 * @param readings mm, in any order
 * @returns mean and spread in mm
 * @example repeats([12.9, 12.92, 12.94]) // { n: 3, mean: 12.92, spread: 0.02 }
 */
export function repeats(readings: readonly number[]): { n: number; mean: number; spread: number | null } {
  const n = readings.length;
  const mean = n === 0 ? Number.NaN : readings.reduce((a, b) => a + b, 0) / n;
  const spread = n < 2 ? null : Math.sqrt(readings.reduce((s, r) => s + (r - mean) ** 2, 0) / (n - 1));
  return { n, mean, spread };
}

/** Weight of the usual spread against what the repeats show, in readings. Planning value. */
const TRUST = 8;

/**
 * Spread of the hand at one reading, mm, to reckon with: the usual one, pulled towards what the repeats show
 * (pooled variance, the usual one counting as eight readings).
 */
export function readingSpread(gauging: Gauging): number {
  const usual = HAND[gauging.surface];
  const { n, spread } = repeats(gauging.readings);
  if (spread === null) return usual;
  return Math.sqrt((TRUST * usual ** 2 + (n - 1) * spread ** 2) / (TRUST + n - 1));
}

/** Spread of the mean of all readings about the size as it was made, mm: the head's own wear stays, the hand's noise averages out. */
export const meanSpread = (gauging: Gauging): number =>
  Math.hypot(WEAR[gauging.surface], readingSpread(gauging) / Math.sqrt(Math.max(1, gauging.readings.length)));
