/**
 * A fact: a code with the figures, names and sizes that it is about, in core’s units. Core says what is so; in which words and units it is told
 * stands in `words/`, one sentence a code.
 */
export interface Coded {
  readonly code: string;
}

/** Each of some facts once, in their order. */
export function eachOnce<F extends Coded>(facts: readonly F[]): F[] {
  const seen = new Map(facts.map((f) => [JSON.stringify(f), f]));
  return [...seen.values()];
}
