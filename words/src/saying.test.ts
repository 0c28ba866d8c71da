import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { said } from './said.js';
import { asTyped, massOf, measure, say, together } from './saying.js';

describe('sentences with quantities', () => {
  test('read in the units on show', () => {
    const short = say`this reaches ${measure('length', 40)}, ${2} of ${measure('torque', 150)}`;
    expect(said('metric', short)).toBe('this reaches 40 mm, 2 of 150 N·m');
    expect(said('inch', short)).toBe('this reaches 1.57 in, 2 of 110.6 lb·ft');
  });
  test('keep the decimals that were typed, and at least the usual ones in inches', () => {
    expect(said('metric', say`${asTyped('length', 5.5)} and ${asTyped('length', 6)}`)).toBe('5.5 mm and 6 mm');
    expect(said('inch', say`${asTyped('length', 5.5)} and ${asTyped('length', 6)}`)).toBe('0.22 in and 0.24 in');
    expect(said('metric', say`${measure('weight', 1234, 1)}`)).toBe('1.2 kg');
    expect(said('inch', say`${measure('weight', 1234, 1)}`)).toBe('2.72 lb');
  });
  test('grams turn into kilograms from one on', () => {
    expect(said('metric', say`${massOf(999)} ${massOf(1000)}`)).toBe('999 g 1.00 kg');
  });
  test('one sentence in another, several as one', () => {
    const inner = say`walk ${measure('distance', 10)}`;
    expect(said('inch', say`first ${inner}, then rest`)).toBe('first walk 6 mi, then rest');
    expect(said('metric', together([inner, say`rest`, inner], ', '))).toBe('walk 10 km, rest, walk 10 km');
    expect(together([])).toEqual([]);
  });
  test('a rate times a distance is the same in both', () => {
    const product = (text: string) => {
      const [, rate, way] = /^([\d.]+) per 1000 \w+ × (\d+)/.exec(text)!;
      return Number(rate) * Number(way);
    };
    const both = say`${measure('rate', 0.4, 4)} × ${measure('distance', 12_000)}`;
    expect(product(said('metric', both))).toBeCloseTo(product(said('inch', both)), -1);
  });
  test('plain text goes through, whatever it holds', () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom('metric' as const, 'inch' as const), (text, units) => {
        expect(said(units, text)).toBe(text);
        expect(said(units, say`${text}`)).toBe(text);
      }),
    );
  });
});
