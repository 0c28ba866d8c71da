import { Phrasebook } from './phrases.js';
import type { Token } from './token.js';

/** What a figure with its unit is a quantity of. */
export type UnitKind = 'torque' | 'length' | 'mass' | 'price' | 'angle';
export interface LineUnit {
  kind: UnitKind;
  /** Newton metres, millimetres, grams, euros or degrees of one. */
  per: number;
  /** How it is written back. */
  sign: string;
}
const unit = (kind: UnitKind, per: number, sign: string): LineUnit => ({ kind, per, sign });

const LB_FT = 1.3558179483;
/** Standard gravity, m/s²: a kilopond metre in newton metres. */
const KGF = 9.80665;

const UNITS = new Phrasebook<LineUnit>([
  [unit('torque', 1, 'N·m'), 'nm|n m|newton metre|newtonmetre|newton'],
  [
    unit('torque', LB_FT, 'lb·ft'),
    'lbft|lb ft|lbs ft|ft lbs|ftlb|ft lb|foot pound|pound foot|pound feet|lbf ft|ft lbf|lbfft|ftlbf',
  ],
  [unit('torque', LB_FT / 12, 'lb·in'), 'lbin|lb in|inlb|in lb|in lbs|lbs in|inch pound|pound inch|lbf in|in lbf'],
  [unit('torque', KGF, 'kgf·m'), 'kgfm|kgf m|kgm|kg m|mkg|m kg|kilogram metre|kilopond metre|kpm|kp m'],
  [unit('torque', KGF / 100, 'kgf·cm'), 'kgfcm|kgf cm|kgcm|kg cm'],
  [unit('length', 1, 'mm'), 'mm|mil|millimetre'],
  [unit('length', 10, 'cm'), 'cm|centimetre'],
  [unit('length', 25.4, 'in'), 'in|inch|inches'],
  [unit('mass', 1, 'g'), 'g|gr|gram|gramme'],
  [unit('mass', 1000, 'kg'), 'kg|kgs|kilo|kilogram'],
  [unit('mass', 28.349523, 'oz'), 'oz|ounce'],
  [unit('mass', 453.59237, 'lb'), 'lb|lbs|pound'],
  [unit('price', 1, '€'), 'eur|euro'],
  [unit('angle', 1, '°'), 'deg|degree'],
]);
const MARKS: Readonly<Record<string, LineUnit>> = {
  '"': unit('length', 25.4, 'in'),
  '″': unit('length', 25.4, 'in'),
  '”': unit('length', 25.4, 'in'),
  '€': unit('price', 1, '€'),
  '°': unit('angle', 1, '°'),
};

/**
 * A unit at a token, and the token behind it. An inch mark counts only right behind its figure.
 * @param i the token to look at, from 0
 * @returns null where no unit stands
 */
export function unitAt(tokens: readonly Token[], i: number): { unit: LineUnit; to: number } | null {
  const token = tokens[i];
  if (!token) return null;
  if (token.kind === 'mark') {
    const said = MARKS[token.text];
    // `13 € 5`: the sign belongs to the figure behind it.
    const free = said?.kind === 'price' && tokens[i + 1]?.kind !== 'number';
    return said && (token.glued || free) ? { unit: said, to: i + 1 } : null;
  }
  const said = UNITS.at(tokens, i);
  return said && { unit: said.means, to: said.to };
}

/** A figure with its unit from a token on: `36 Nm`, `24in`, `€ 5`, `3,50 euro`. */
export interface Figure {
  value: number;
  /** The figure as it was written. */
  typed: number;
  unit: LineUnit;
  to: number;
}
/**
 * A figure with its unit from a token on: `45 N·m`, `3 oz`, `€ 12`.
 * @param i the token to begin at, from 0
 * @returns value in core’s unit, and the token behind it; null where there is no figure with a unit
 */
export function quantityAt(tokens: readonly Token[], i: number): Figure | null {
  const first = tokens[i];
  if (first?.kind === 'mark' && first.text === '€') {
    const figure = tokens[i + 1];
    return figure?.kind === 'number'
      ? { value: figure.value, typed: figure.value, unit: unit('price', 1, '€'), to: i + 2 }
      : null;
  }
  if (first?.kind !== 'number' || first.stops) return null;
  // `20-ft-lb`, `45-nm`: the hyphen belongs to the unit.
  const next = tokens[i + 1];
  const hyphen = next?.kind === 'mark' && next.text === '-' && next.glued ? 1 : 0;
  const said = unitAt(tokens, i + 1 + hyphen);
  return said && { value: first.value * said.unit.per, typed: first.value, unit: said.unit, to: said.to };
}
