import type { Coded } from '@necessaire/core';
import type { Saying } from './saying.js';

/** Those of some facts that have a code. */
export type Having<F extends Coded, C> = F extends { code: infer K } ? (C extends K ? F : never) : never;
/** A sentence for each code of some facts: as it stands, or made from what the fact is about. */
export type WordsOf<F extends Coded> = {
  readonly [C in F['code']]: string | ((fact: Having<F, C>) => Saying);
};
