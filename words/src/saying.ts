import { figure, unitOf, type Quantity, type UnitSystem } from '@necessaire/core';

/** A quantity inside a sentence, in core units. `digits` are those of the metric figure, where they are not the usual ones. */
export interface Amount {
  quantity: Quantity;
  value: number;
  digits?: number;
}
/** A sentence whose quantities are still quantities, so that it reads in whatever units are on show. */
export type Saying = readonly (string | Amount)[];

/** Decimals that a figure is typed with, at most three. */
const decimals = (value: number): number => /\.(\d+)$/.exec(String(Math.round(value * 1000) / 1000))?.[1]?.length ?? 0;

/**
 * A quantity for a sentence.
 * @param value in core’s unit of the quantity
 * @param digits decimals; those usual for the quantity where none are given
 */
export const measure = (quantity: Quantity, value: number, digits?: number): Amount =>
  digits === undefined ? { quantity, value } : { quantity, value, digits };
/**
 * A quantity with the decimals that it was typed with: 5.5 mm stays 5.5.
 * @param value in core’s unit of the quantity
 */
export const asTyped = (quantity: Quantity, value: number): Amount => measure(quantity, value, decimals(value));
/**
 * Grams, in kg or lb from a kilogram on.
 * @param grams from 0
 * @param digits decimals
 */
export const massOf = (grams: number, digits?: number): Amount =>
  measure(grams >= 1000 ? 'weight' : 'mass', grams, digits);

/** Template tag for sentences with quantities in them: `` say`this reaches ${measure('length', 40)}` ``. */
export function say(texts: TemplateStringsArray, ...values: readonly (string | number | Amount | Saying)[]): Saying {
  const parts: (string | Amount)[] = [];
  const put = (part: string | Amount) => {
    const last = parts.at(-1);
    if (typeof part === 'string' && typeof last === 'string') parts[parts.length - 1] = last + part;
    else if (part !== '') parts.push(part);
  };
  texts.forEach((text, i) => {
    put(text);
    const value = values[i];
    if (value === undefined) return;
    if (Array.isArray(value)) (value as Saying).forEach(put);
    else put(typeof value === 'number' ? String(value) : (value as string | Amount));
  });
  return parts;
}

/** Several sentences as one. */
export const together = (sayings: readonly Saying[], between = '; '): Saying =>
  sayings.reduce<Saying>((all, s, i) => (i === 0 ? s : say`${all}${between}${s}`), []);

/** A measure as shown. Inch figures have at least their usual digits: 6 mm are 0.24 in, 5.5 mm are 0.22 in. */
function shown(system: UnitSystem, { quantity, value, digits }: Amount): string {
  const usual = figure(system, quantity, value).split('.')[1]?.length ?? 0;
  const to = digits === undefined ? usual : system === 'metric' ? digits : Math.max(digits, usual);
  return `${figure(system, quantity, value, to)} ${unitOf(system, quantity)}`;
}

/** A sentence in the units on show. */
export const shownAs = (system: UnitSystem, saying: Saying): string =>
  saying.map((part) => (typeof part === 'string' ? part : shown(system, part))).join('');
