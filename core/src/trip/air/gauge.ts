import { z } from 'zod';

const kPa = z.number().min(20).max(900);

/** A tyre gauge beside a good one, both on the same tyre, kPa, and when. */
export const gaugeSchema = z.strictObject({ shows: kPa, good: kPa, on: z.iso.date() });
export type Gauge = z.infer<typeof gaugeSchema>;

/**
 * What the own gauge shows when the tyre holds a pressure: both are off by the same amount over the whole range, which is what a bent pointer or a
 * worn spring comes to in the small.
 * @param pressure kPa
 */
export const shownBy = (gauge: Pick<Gauge, 'shows' | 'good'> | null, pressure: number): number =>
  gauge === null ? pressure : Math.max(0, pressure + gauge.shows - gauge.good);
