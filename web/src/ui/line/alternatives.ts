import type { LineReading } from '@necessaire/core';

/** The lines that one key goes through: the one that was typed first, then each other reading of its first doubt. */
export interface Turning {
  lines: readonly string[];
  at: number;
  /** Whether all were seen: then the key leaves the line, so that nobody is held in it. */
  seen: boolean;
}

/** The other lines: answers of the first question, else of every doubt, else of the first refusal. An unknown word is asked by its own buttons. */
export function otherLines(reading: LineReading): string[] {
  const question = reading.asks.find((a) => a.word === null);
  const doubts = reading.parts.flatMap((p) => p.others);
  const fault = reading.faults.find((f) => f.options.length > 0);
  const options = question?.options ?? (doubts.length > 0 ? doubts : (fault?.options ?? []));
  return options.map((o) => o.line);
}

/**
 * The next reading on a press of the key: from the line as typed through its others; behind the last the line as typed again.
 * @param turning where the key was before; null, or of another line than the one that stands there, begins anew
 * @returns null where there is nothing to turn to, so that the key does what it does elsewhere
 */
export function turned(text: string, reading: LineReading, turning: Turning | null): Turning | null {
  if (turning && turning.lines[turning.at] === text) {
    if (turning.seen) return null;
    const at = turning.at + 1;
    return at < turning.lines.length ? { ...turning, at } : { ...turning, at: 0, seen: true };
  }
  const others = otherLines(reading);
  return others.length > 0 ? { lines: [text, ...others], at: 1, seen: false } : null;
}
