import type { Coded } from '@necessaire/core';
import { say, type Saying } from './saying.js';

/** Those of some facts that have a code. */
export type Having<F extends Coded, C> = F extends { code: infer K } ? (C extends K ? F : never) : never;
/** A sentence for each code of some facts: as it stands, or made from what the fact is about. */
export type WordsOf<F extends Coded> = {
  readonly [C in F['code']]: string | ((fact: Having<F, C>) => Saying);
};

/** The sentence of a fact by a table that has its code, its quantities still quantities. */
export function wordsBy<F extends Coded>(table: WordsOf<F>, fact: F): Saying {
  const words = table[fact.code as F['code']];
  // The table has for each code the words of just that fact.
  return typeof words === 'string' ? say`${words}` : (words as (f: F) => Saying)(fact);
}
