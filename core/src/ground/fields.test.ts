import { describe, expect, test } from '@jest/globals';
import { count, euros, grams, hours, id, km, mm, name, newtonMetres, note } from './fields.js';

describe('figures that every row shares', () => {
  test.each([
    ['mm', mm, 0, 5000],
    ['grams', grams, 0, 500_000],
    ['N·m', newtonMetres, 0, 1000],
    ['count', count, 1, 200],
    ['km', km, 0, 100_000],
    ['hours', hours, 0, 2000],
    ['euros', euros, 0, 100_000],
  ])('%s from least to most, and nothing beyond', (_what, schema, least, most) => {
    const takes = (value: unknown) => schema.safeParse(value).success;
    expect([takes(least), takes(most), takes(least - 1), takes(most + 1)]).toEqual([true, true, false, false]);
    for (const wrong of [Number.NaN, Infinity, -Infinity, '5', null]) expect(takes(wrong)).toBe(false);
  });
  test('a count is whole', () => expect(count.safeParse(1.5).success).toBe(false));
  test('a name says something and is no novel', () => {
    expect(['', 'x', 'x'.repeat(120), 'x'.repeat(121)].map((v) => name.safeParse(v).success)).toEqual([
      ...[false, true, true, false],
    ]);
    expect(['', 'x'.repeat(2000), 'x'.repeat(2001)].map((v) => note.safeParse(v).success)).toEqual([true, true, false]);
  });
  test('ids are written in small letters', () => {
    expect(id.parse('0000000A-0000-4000-8000-00000000000B')).toBe('0000000a-0000-4000-8000-00000000000b');
    expect(id.safeParse('7').success).toBe(false);
  });
});
