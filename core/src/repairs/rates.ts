import { TERRAINS } from '../ground/terrain.js';
import { z } from 'zod';
import { line } from '../ground/text.js';
import type { Trouble } from './trouble.js';

/** What a rate is counted by: 1000 km on one ground, or one water crossing. */
export const RATE_CELLS = [...TERRAINS, 'crossing'] as const;
export type RateCell = (typeof RATE_CELLS)[number];

/** Rates that the rider knows better than the typical values, cell by cell. */
export const ownRatesSchema = z
  .array(z.strictObject({ trouble: line(40).min(1), on: z.enum(RATE_CELLS), rate: z.number().min(0).max(100) }))
  .max(600);
export type OwnRates = z.infer<typeof ownRatesSchema>;

/**
 * The rate of a trouble in one cell.
 * @returns events per 1000 km, or a crossing
 */
export const rateIn = (trouble: Pick<Trouble, 'rate' | 'perCrossing'>, on: RateCell): number =>
  on === 'crossing' ? trouble.perCrossing : trouble.rate[on];

/** Troubles with the rider's own rates in place of the typical ones; of two of one cell the later counts. */
export function withRates(troubles: readonly Trouble[], own: OwnRates): readonly Trouble[] {
  if (own.length === 0) return troubles;
  return troubles.map((t) =>
    own
      .filter((r) => r.trouble === t.id)
      .reduce<Trouble>(
        (now, { on, rate }) =>
          on === 'crossing' ? { ...now, perCrossing: rate } : { ...now, rate: { ...now.rate, [on]: rate } },
        t,
      ),
  );
}

/**
 * The rider's rates with one cell set, or set back to the typical value.
 * @param rate per 1000 km, or per crossing; null takes it back
 */
export const setRate = (own: OwnRates, trouble: string, on: RateCell, rate: number | null): OwnRates => [
  ...own.filter((r) => r.trouble !== trouble || r.on !== on),
  ...(rate === null ? [] : [{ trouble, on, rate }]),
];
