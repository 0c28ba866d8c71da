import { at, entry } from '../../ground/numbers.js';
import { z } from 'zod';
import { line } from '../../ground/text.js';

/** Instruments that send readings: a calliper in mm, a scale in grams. */
export const INSTRUMENTS = ['calliper', 'scale'] as const;
export type Instrument = (typeof INSTRUMENTS)[number];

/** One line from an instrument, on the event stream. Values in mm or g. */
export const signalSchema = z.strictObject({
  instrument: z.enum(INSTRUMENTS),
  /** Which one, so that two of a kind are told apart. */
  device: line(40).min(1),
  /** Counts up by one a line: a gap means that lines were lost on the way. */
  seq: z.int().min(0).max(2_000_000_000),
  /** Null is a sign of life without a reading. */
  value: z.number().min(-1000).max(200_000).nullable(),
  /** Whether the value stands still; a scale says no while it settles. */
  stable: z.boolean(),
});
export type Signal = z.infer<typeof signalSchema>;

/** How long without a sign of life until an instrument counts as lost, ms; devices send one every second. */
export const LOST_AFTER_MS = 3500;
export const ALIVE_EVERY_MS = 1000;

const G_PER_OZ = 28.349523125;
const MM_PER_IN = 25.4;
const UNITS: Record<string, { instrument: Instrument; factor: number }> = {
  mm: { instrument: 'calliper', factor: 1 },
  in: { instrument: 'calliper', factor: MM_PER_IN },
  '"': { instrument: 'calliper', factor: MM_PER_IN },
  g: { instrument: 'scale', factor: 1 },
  kg: { instrument: 'scale', factor: 1000 },
  oz: { instrument: 'scale', factor: G_PER_OZ },
};

/**
 * Reads what an instrument types like a keyboard, or a rider by hand: `12.94`, `12,94 mm`, `0.5094 in`, `86 g`, `+012.94`.
 * @param usual what a bare number means here
 * @returns value in mm or g; null when it is no reading
 */
export function readLine(text: string, usual: Instrument): { instrument: Instrument; value: number } | null {
  const m = /^\s*([+-]?\d{1,6}(?:[.,]\d{1,5})?)\s*(mm|in|"|kg|g|oz)?\s*$/i.exec(text);
  if (!m) return null;
  const value = Number(at(m, 1).replace(',', '.'));
  const unit = m[2] ? entry(UNITS, m[2].toLowerCase()) : { instrument: usual, factor: 1 };
  return { instrument: unit.instrument, value: value * unit.factor };
}

/** What an instrument's stream is worth at the moment. */
export interface Heard {
  device: string;
  instrument: Instrument;
  seq: number;
  /** Lines that were sent and never arrived, so far. */
  missed: number;
  value: number | null;
  stable: boolean;
}

/** Takes one line of the stream into what was heard. A device that starts again from nought has missed nothing. */
export function hear(before: Heard | null, signal: Signal): Heard {
  const restarted = !before || before.device !== signal.device || signal.seq <= before.seq;
  const gap = restarted ? 0 : signal.seq - before.seq - 1;
  return {
    device: signal.device,
    instrument: signal.instrument,
    seq: signal.seq,
    missed: (restarted ? 0 : before.missed) + gap,
    value: signal.value ?? (restarted ? null : before.value),
    stable: signal.value === null ? !restarted && before.stable : signal.stable,
  };
}
