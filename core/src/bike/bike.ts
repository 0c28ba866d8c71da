import { z } from 'zod';
import { grams, id, km, mm, name, note } from '../garage/fields.js';

export const DRIVES = ['chain', 'belt', 'shaft'] as const;
export const ENGINES = ['single', 'v-twin', 'parallel twin', 'flat twin'] as const;
export const TYRES = ['tubed', 'tubeless'] as const;

/** A tyre mark that the drawing and the air arithmetic can read, such as `90/90-21`. */
export const tyreMark = z.string().regex(/^\d{2,3}\/\d{2,3}-\d{2}$/, 'write a tyre as width/aspect-rim, like 90/90-21');

export const bikeSchema = z.strictObject({
  id,
  name,
  /** mm between the axles. */
  wheelbase: z.number().min(900).max(2200),
  tyreFront: tyreMark,
  tyreRear: tyreMark,
  tyres: z.enum(TYRES),
  drive: z.enum(DRIVES),
  engine: z.enum(ENGINES),
  cooling: z.enum(['air', 'liquid']),
  fuelling: z.enum(['carburettor', 'injection']),
  /** mm from the ground to the seat. */
  seatHeight: z.number().min(500).max(1200),
  /** Bike ready to ride, grams. */
  mass: grams,
  /** What the maker allows on top of that, rider included, grams. */
  payload: grams,
  /** km on the clock. */
  odometer: km,
  /** Weak points and history, in the rider's words. */
  note,
});
export type Bike = z.infer<typeof bikeSchema>;

/** Measures of a tyre in mm from its mark: width, section height and outside radius. */
export function tyreMeasures(mark: string): {
  width: number;
  height: number;
  radius: number;
  rim: number;
} {
  const m = /^(\d+)\/(\d+)-(\d+)$/.exec(mark);
  if (!m) throw new RangeError(`tyre mark "${mark}" is not width/aspect-rim`);
  const width = Number(m[1]);
  const height = (width * Number(m[2])) / 100;
  const rim = Number(m[3]);
  return { width, height, rim, radius: rim * 12.7 + height };
}

/** A bike to start from, with a middling dual-sport's numbers. */
export const newBike = (bikeId: string, bikeName: string): Bike => ({
  id: bikeId,
  name: bikeName,
  wheelbase: 1480,
  tyreFront: '90/90-21',
  tyreRear: '130/80-18',
  tyres: 'tubed',
  drive: 'chain',
  engine: 'single',
  cooling: 'liquid',
  fuelling: 'injection',
  seatHeight: 880,
  mass: 150_000,
  payload: 180_000,
  odometer: 0,
  note: '',
});

/** A length measure used by places and pieces. */
export const measures = z.strictObject({ length: mm, width: mm, height: mm });
export type Measures = z.infer<typeof measures>;
