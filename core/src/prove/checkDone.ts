import { z } from 'zod';
import { id, km, name } from '../ground/fields.js';
import { line } from '../ground/text.js';
import { STATIONS } from '../bike/stations.js';

/** When something has to be looked at. */
export const OCCASIONS = ['before leaving', 'each evening', 'after some km', 'on a date'] as const;
export type Occasion = (typeof OCCASIONS)[number];

export const RESULTS = ['ok', 'found', 'skipped'] as const;
export type Result = (typeof RESULTS)[number];

/** A check that was gone through: when, by whom, and what came of it. */
export const checkDoneSchema = z.strictObject({
  id,
  bikeId: id,
  /** The trip that it was done for; null for none. */
  tripId: id.nullable(),
  /** Key of the check, or the id of a reminder. */
  check: line(160).min(1),
  on: z.iso.datetime(),
  /** Odometer then. */
  km,
  /** Who did it: `me`, or a companion's id. */
  who: line(40).min(1),
  result: z.enum(RESULTS),
  /** What was found, or why it was skipped. */
  note: line(300),
});
export type CheckDone = z.infer<typeof checkDoneSchema>;

/** A check that the rider adds. */
export const reminderSchema = z.strictObject({
  id,
  bikeId: id,
  name,
  how: line(300),
  when: z.enum(OCCASIONS),
  /** Every so many km, and the date; null where that is not what it hangs on. */
  everyKm: km.nullable(),
  date: z.iso.date().nullable(),
  /** Where on the bike; null where it is nowhere on it. */
  station: z.enum(STATIONS).nullable(),
});
export type Reminder = z.infer<typeof reminderSchema>;
