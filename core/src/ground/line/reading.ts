import type { Source } from '../fields.js';

/** Another way to read a stretch: what it would be, and the whole line written so that it is. */
export interface LineOption {
  says: string;
  line: string;
}
/** A figure with a unit that a line says, so that it is told in the units on show. */
export type LineFact =
  /** N·m; as it was typed where that was in other units, and where it comes from where that was said. */
  | { code: 'line.torque'; typed: string | null; value: number; source: Source | null }
  /** mm of what stands in a tool's way. */
  | { code: 'line.length'; mm: number; of: 'recess' | 'clearance' | 'headroom' | 'thin' | 'stud' };

/** A stretch of a line that was understood, by what it is about and what it says. Positions are of the line. */
export interface LinePart {
  start: number;
  end: number;
  /** What it speaks of, in the field's words: `size`, `name`, `torque`. */
  what: string;
  says: string | LineFact;
  /** Other readings, where there is a doubt; the first is one key away. */
  others: readonly LineOption[];
}
/** A stretch that could be several things, none of which is taken unasked. */
export interface LineAsk {
  start: number;
  end: number;
  question: string;
  options: readonly LineOption[];
  /** The unknown word that a rider may explain once; null where the line itself is asked about. */
  word: string | null;
}
/** A stretch that cannot be: why, and what would be nearest. */
export interface LineFault {
  start: number;
  end: number;
  message: string;
  options: readonly LineOption[];
}
/** Everything that reading a line gives beside what the line makes. */
export interface LineReading {
  parts: LinePart[];
  asks: LineAsk[];
  faults: LineFault[];
}

/**
 * A line with a stretch written anew.
 * @param start of the stretch, UTF-16 units; the end is behind it
 * @param end of the stretch, UTF-16 units; the end is behind it
 */
export const rewritten = (line: string, start: number, end: number, text: string): string =>
  `${line.slice(0, start)}${text}${line.slice(end)}`.replace(/ {2,}/gu, ' ').trimEnd();

/** A text in quotes, so that it is a name whatever its words. */
export const quoted = (text: string): string => `"${text.replaceAll('"', '""')}"`;
