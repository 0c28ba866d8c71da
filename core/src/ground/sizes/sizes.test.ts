import { describe, expect, test } from '@jest/globals';
import { FORM_SIZES, headSchema, isInch, millimetres, nearestSizes, shapeSchema, sizeExists } from './index.js';

describe('sizes that there are', () => {
  test.each([
    ['hex', ['10', '13', '1/2in', '9/16in', '1in'], ['10.7', '0', '7/9in', '', 't30']],
    ['hex12', ['10', '1/2in'], ['10.7']],
    ['key', ['5', '2.5', '1/4in'], ['5.7', '60']],
    ['lobe', ['30', '10'], ['33', '30in']],
    ['lobe-pin', ['30'], ['33']],
    ['ph', ['0', '1', '2', '3', '4'], ['5', '-1', '']],
    ['jis', ['0', '1', '2', '3'], ['4', '']],
    ['square', ['0', '1', '2', '3'], ['4', '']],
    ['slot', ['2', '5.5', '14'], ['1.9', '14.1', '1/4in', '', 'x']],
    ['hook', ['20', '52', '120'], ['19', '121', '2in']],
    ['plug', ['16'], ['17', '1in']],
    ['spoke', ['3', '6.3', '8'], ['2.9', '8.1', '1/4in']],
    ['valve', [''], ['1']],
    ['clip', [''], ['1']],
    ['bar', [''], ['1']],
    ['drive', ['1/4in', '3/8in', '1/2in'], ['3/4in', '10', '']],
  ] as const)('%s', (form, there, not) => {
    expect(there.map((size) => [size, sizeExists(form, size)])).toEqual(there.map((size) => [size, true]));
    expect(not.map((size) => [size, sizeExists(form, size)])).toEqual(not.map((size) => [size, false]));
  });
  test('each form that comes in sizes lists just those that exist, without one twice', () => {
    const forms = Object.keys(FORM_SIZES) as (keyof typeof FORM_SIZES)[];
    expect(forms.sort()).toEqual([
      'hex',
      'hex12',
      'jis',
      'key',
      'lobe',
      'lobe-out',
      'lobe-pin',
      'ph',
      'plug',
      'square',
    ]);
    for (const form of forms) {
      const sizes = FORM_SIZES[form]!;
      expect([form, sizes.length > 3, new Set(sizes).size]).toEqual([form, true, sizes.length]);
      expect(sizes.filter((s) => !sizeExists(form, s))).toEqual([]);
    }
    expect([FORM_SIZES.ph, FORM_SIZES.jis, FORM_SIZES.square]).toEqual([
      ['0', '1', '2', '3', '4'],
      ['0', '1', '2', '3'],
      ['0', '1', '2', '3'],
    ]);
  });
  test('millimetres: plain, of an inch, whole inches; anything else is no number', () => {
    expect(['10', '6.3', '1/2in', '1 1/16in', '1in', '2in'].map(millimetres)).toEqual([
      10,
      6.3,
      12.7,
      expect.closeTo(26.9875, 9),
      25.4,
      50.8,
    ]);
    for (const no of ['', 't30', '10mm', '1/2', '-3', '1.', 'in'])
      expect([no, millimetres(no)]).toEqual([no, Number.NaN]);
    expect([isInch('1/2in'), isInch('12')]).toEqual([true, false]);
  });
  test('the nearest, smaller first, in the system that is asked for', () => {
    expect(nearestSizes('hex', 10.7)).toEqual(['10', '11']);
    expect(nearestSizes('hex', 10.7, true).every(isInch)).toBe(true);
    expect(nearestSizes('slot', 5)).toEqual([]);
  });
  test('a head is refused by its size; a piece may also offer a drive', () => {
    expect(headSchema.safeParse({ form: 'hex', size: '10' }).success).toBe(true);
    const wrong = headSchema.safeParse({ form: 'hex', size: '10.7' });
    expect(wrong.error!.issues[0]).toMatchObject({
      path: ['size'],
      message: expect.stringMatching(/of size "10.7": correct the size$/u),
    });
    expect(headSchema.safeParse({ form: 'drive', size: '1/4in' }).success).toBe(false);
    expect(shapeSchema.safeParse({ form: 'drive', size: '1/4in' }).success).toBe(true);
    expect(shapeSchema.safeParse({ form: 'drive', size: '3/4in' }).success).toBe(false);
  });
});
