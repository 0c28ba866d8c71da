import type { LineReading } from '@necessaire/core';

/** The lines that one key goes through: the one that was typed first, then each other reading of its first doubt. */
export interface Turning {
  lines: readonly string[];
  at: number;
}

/** What is doubted first: a question before a doubt, a doubt before a refusal. An unknown word is asked by its own buttons. */
export function otherLines(reading: LineReading): string[] {
  const question = reading.asks.find((a) => a.word === null);
  const doubt = reading.parts.find((p) => p.others.length > 0);
  const fault = reading.faults.find((f) => f.options.length > 0);
  const options = question?.options ?? doubt?.others ?? fault?.options ?? [];
  return options.map((o) => o.line);
}

/**
 * The next reading on a press of the key: from the line as typed through its others; behind the last the line as typed again.
 * @param turning where the key was before; null, or of another line than the one that stands there, begins anew
 * @returns null where there is nothing to turn to, so that the key does what it does elsewhere
 */
export function turned(text: string, reading: LineReading, turning: Turning | null): Turning | null {
  if (turning && turning.lines[turning.at] === text) {
    const at = turning.at + 1;
    return at < turning.lines.length ? { ...turning, at } : { ...turning, at: 0 };
  }
  const others = otherLines(reading);
  return others.length > 0 ? { lines: [text, ...others], at: 1 } : null;
}
