import { describe, expect, test } from '@jest/globals';
import { z } from 'zod';
import { faultsOf, pathText } from './faults.js';
import { sourceWords } from './fields.js';

const said = (schema: z.ZodType, value: unknown) => {
  const read = schema.safeParse(value);
  return read.success ? [] : faultsOf(read.error).map((f) => `${f.path}: ${f.message}`);
};

describe('what is wrong with a file or a field is said with where, and what to do', () => {
  test.each<[string, z.ZodType, unknown, string]>([
    ['missing', z.object({ a: z.number() }), {}, 'a: is missing: it must be number'],
    ['of another kind', z.object({ a: z.number() }), { a: 'x' }, 'a: must be number: correct it'],
    ['unknown', z.strictObject({}), { a: 1, b: 2 }, '(whole file): has unknown fields (a, b): remove them'],
    ['too much', z.object({ a: z.number().max(5) }), { a: 6 }, 'a: too big: at most 5'],
    ['too many', z.array(z.number()).max(1), [1, 2], '(whole file): too many: at most 1'],
    ['too little', z.object({ a: z.number().min(5) }), { a: 4 }, 'a: too small: at least 5'],
    ['too little, in its own words', z.string().min(1, 'give it a name'), '', '(whole file): give it a name'],
    ['none of a list', z.enum(['a', 'b']), 'c', '(whole file): must be one of: a, b'],
    ['its own refusal', z.string().refine(() => false, 'no such size'), 'x', '(whole file): no such size'],
  ])('%s', (_what, schema, value, message) => expect(said(schema, value)).toEqual([message]));
  test('long lists are cut, and so is the list of faults', () => {
    const many = Object.fromEntries(Array.from({ length: 60 }, (_, i) => [`field${i}`, 1]));
    expect(said(z.strictObject({}), many)[0]!.length).toBeLessThan(130);
    const long = Array.from({ length: 99 }, (_, i) => `value ${i}`) as [string, ...string[]];
    expect(said(z.enum(long), 'x')[0]!.length).toBeLessThan(240);
    expect(
      said(
        z.array(z.number()),
        Array.from({ length: 40 }, () => 'x'),
      ),
    ).toHaveLength(20);
  });
  test('paths are written as one reads them', () => {
    expect(pathText(['fasteners', 3, 'head', 'size'])).toBe('fasteners[3].head.size');
    expect([pathText([]), pathText([2, 'a'])]).toEqual(['', '[2].a']);
  });
  test('a planning value is a typical value to a rider', () => {
    expect(['planning value', 'manual'].map((s) => sourceWords(s as 'manual'))).toEqual(['typical value', 'manual']);
  });
});
