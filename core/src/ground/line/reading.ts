import type { Saying } from '../units/index.js';

/** Another way to read a stretch: what it would be, and the whole line written so that it is. */
export interface LineOption {
  says: string;
  line: string;
}
/** A stretch of a line that was understood, by what it is about and what it says. Positions are of the line. */
export interface LinePart {
  start: number;
  end: number;
  /** What it speaks of, in the field's words: `size`, `name`, `torque`. */
  what: string;
  says: string | Saying;
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
 * @param start,end of the stretch, UTF-16 units; the end is behind it
 */
export const rewritten = (line: string, start: number, end: number, text: string): string =>
  `${line.slice(0, start)}${text}${line.slice(end)}`.replace(/ {2,}/gu, ' ').trimEnd();

/** A text in quotes, so that it is a name whatever its words. */
export const quoted = (text: string): string => `"${text.replaceAll('"', '""')}"`;
