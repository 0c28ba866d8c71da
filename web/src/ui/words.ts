import { figure, printShape, unitOf, type Access, type Fastener, type Trait, type UnitSystem } from '@necessaire/core';
import * as texts from '../words/ui/words';

/** Colour of a fastener's evidence; the glyph's shape carries the form, so colour is never alone. */
export const toneOf = (f: Pick<Fastener, 'evidence'>): 'proven' | 'measured' | 'assumed' =>
  f.evidence === 'tried' || f.evidence === 'proven' ? 'proven' : f.evidence;

/** What stands in the way, in a rider's words; empty when it is open. */
export function accessWords(a: Access, units: UnitSystem): string[] {
  const mm = (v: number) => `${figure(units, 'length', v)} ${unitOf(units, 'length')}`;
  return [
    a.approach !== 'any' ? a.approach : '',
    a.recess > 0 ? texts.sunk(mm(a.recess)) : '',
    a.clearance !== null ? texts.well(mm(a.clearance)) : '',
    a.headroom !== null ? texts.room(mm(a.headroom)) : '',
    a.thin !== null ? texts.thin(mm(a.thin)) : '',
    a.swing !== null ? texts.swing(a.swing) : '',
  ].filter(Boolean);
}

/** The second line of a fastener's row. */
export const subWords = (f: Fastener, units: UnitSystem): string =>
  [
    f.far ? texts.farEnd(printShape(f.far)) : '',
    ...accessWords(f.access, units),
    ...(f.far ? accessWords(f.farAccess, units).map((w) => texts.farEnd(w)) : []),
    f.shakesLoose ? texts.shakesLoose : '',
    f.getsLost ? texts.getsLost : '',
    f.breaks ? texts.breaks : '',
    f.condition !== 'dirty' && f.condition !== 'clean' ? f.condition : '',
    f.accessory ? texts.accessory : '',
    f.thread ?? '',
  ]
    .filter(Boolean)
    .join(' · ');

/** Mass in grams under a kilogram, else in kilograms, in the units on show. */
/** The step of weight that prices are told for; `worth` counts minutes for one of them. */
export const weightStep = (units: UnitSystem): string => (units === 'metric' ? '100 g' : '4 oz');
export const massText = (units: UnitSystem, grams: number): string =>
  grams >= 1000
    ? `${figure(units, 'weight', grams)} ${unitOf(units, 'weight')}`
    : `${figure(units, 'mass', grams)} ${unitOf(units, 'mass')}`;

export const percent = (share: number, digits = 0): string => `${(share * 100).toFixed(digits)} %`;

export { counted } from '../words/counted';

/** Traits whose short name needs a word more on screen. */
export const TRAIT_WORDS: Partial<Record<Trait, string>> = {
  upright: texts.goesUpright,
  wound: texts.woundRoundAnother,
  nests: texts.liesInsideAnother,
};

/** A text as a sentence: a capital in front, a full stop behind. */
export const sentence = (text: string): string =>
  `${text.charAt(0).toUpperCase()}${text.slice(1)}${/[.!?]$/u.test(text) ? '' : '.'}`;
