import type {
  CellFact,
  CountFact,
  DueFact,
  FitFact,
  FuelFact,
  LackFact,
  LastingFact,
  LineFact,
  LoadFact,
  NearSizeFact,
  ReachFact,
  SheetFact,
  StockFact,
  StowFact,
  StrandedFact,
  SupplyFact,
  TorqueFact,
  UnitSystem,
} from '@necessaire/core';
import { LINE_WORDS, TORQUE_WORDS } from './bike.js';
import { FIT_WORDS } from './fit.js';
import { LACK_WORDS } from './kit.js';
import { REACH_WORDS } from './reach.js';
import { REPAIR_WORDS, SUPPLY_WORDS } from './repairs.js';
import { shownAs, together, type Amount, type Saying } from './saying.js';
import { LOAD_WORDS, STOW_WORDS } from './stow.js';
import { COUNT_WORDS, STRANDED_WORDS, TRIP_WORDS } from './trip.js';
import { wordsBy, type WordsOf } from './wordsOf.js';

/** Everything that core says by a code of its own and that one sentence tells. */
export type Fact =
  | CellFact
  | CountFact
  | DueFact
  | FitFact
  | FuelFact
  | LackFact
  | LastingFact
  | LineFact
  | LoadFact
  | NearSizeFact
  | ReachFact
  | SheetFact
  | StockFact
  | StowFact
  | StrandedFact
  | SupplyFact
  | TorqueFact;

/** The one table: a language is a table like it. */
const WORDS: WordsOf<Fact> = {
  ...FIT_WORDS,
  ...REACH_WORDS,
  ...TORQUE_WORDS,
  ...LINE_WORDS,
  ...SUPPLY_WORDS,
  ...REPAIR_WORDS,
  ...LACK_WORDS,
  ...STOW_WORDS,
  ...LOAD_WORDS,
  ...STRANDED_WORDS,
  ...TRIP_WORDS,
  ...COUNT_WORDS,
};

/** The sentence of a fact, its quantities still quantities. */
export const factWords = (fact: Fact): Saying => wordsBy<Fact>(WORDS, fact);

/** What can be told: a text as it stands, a sentence with quantities, a fact, several facts, or nothing. */
export type Sayable = string | Saying | Fact | readonly Fact[] | null;

const isFact = (part: string | Amount | Fact): part is Fact => typeof part === 'object' && 'code' in part;

/**
 * Anything that can be told, in the units on show.
 * @returns plain text; several facts stand behind each other as one line, nothing is empty
 */
export function said(system: UnitSystem, what: Sayable): string {
  if (what === null) return '';
  if (typeof what === 'string') return what;
  if (!Array.isArray(what)) return shownAs(system, factWords(what as Fact));
  const parts = what as readonly (string | Amount | Fact)[];
  const facts = parts.filter(isFact);
  return shownAs(system, facts.length > 0 ? together(facts.map(factWords)) : (what as Saying));
}
