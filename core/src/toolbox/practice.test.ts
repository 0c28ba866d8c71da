import { expect, test } from '@jest/globals';
import { z } from 'zod';
import { DEFAULT_PRACTICE, practiceSchema } from './practice.js';

test('the default is the first position of every switch, but that somebody has done it all before; no limit of worth', () => {
  for (const [key, schema] of Object.entries(practiceSchema.shape)) {
    if (!(schema instanceof z.ZodEnum)) continue;
    const [first] = schema.options;
    expect([key, DEFAULT_PRACTICE[key as 'drive']]).toEqual([key, key === 'hand' ? 'has done it before' : first]);
  }
  expect(DEFAULT_PRACTICE.worth).toBeNull();
  expect(practiceSchema.parse(DEFAULT_PRACTICE)).toEqual(DEFAULT_PRACTICE);
});
test('what is no position, left out or unknown is refused', () => {
  const ok = (change: object) => practiceSchema.safeParse({ ...DEFAULT_PRACTICE, ...change }).success;
  expect([
    ok({ drive: 'one middle drive' }),
    ok({ drive: 'any' }),
    ok({ drive: undefined }),
    ok({ colour: 'red' }),
  ]).toEqual([true, false, false, false]);
  expect([0, 250.5, -1, Number.NaN, Infinity].map((worth) => ok({ worth }))).toEqual([true, true, false, false, false]);
});
