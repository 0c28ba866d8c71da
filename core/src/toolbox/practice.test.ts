import { expect, test } from '@jest/globals';
import { DEFAULT_PRACTICE, positionsOf, practiceSchema, SWITCHES } from './practice.js';

test('the default is the first position of every switch, but that somebody has done it all before; no limit of worth', () => {
  for (const key of SWITCHES) {
    const [first] = positionsOf(key);
    expect([key, DEFAULT_PRACTICE[key]]).toEqual([key, key === 'hand' ? 'done' : first]);
  }
  expect(SWITCHES).toHaveLength(Object.keys(DEFAULT_PRACTICE).length - 1);
  expect(DEFAULT_PRACTICE).toMatchObject({
    adjustable: 'last',
    standing: 'bar',
    least: 'mass',
    from: 'toolbox',
    doubles: 'losable',
    levers: 'two',
    worth: null,
  });
});
test('what a garage does not say of its practice is as it was before anybody asked', () => {
  expect(practiceSchema.parse({})).toEqual(DEFAULT_PRACTICE);
  expect(practiceSchema.parse({ drive: 'middle' })).toEqual({
    ...DEFAULT_PRACTICE,
    drive: 'middle',
  });
});
test('what is no position, or no switch, is refused', () => {
  const ok = (change: object) => practiceSchema.safeParse({ ...DEFAULT_PRACTICE, ...change }).success;
  expect([ok({ drive: 'middle' }), ok({ drive: 'any' }), ok({ drive: null }), ok({ colour: 'red' })]).toEqual([
    true,
    false,
    false,
    false,
  ]);
  expect([0, 250.5, -1, Number.NaN, Infinity].map((worth) => ok({ worth }))).toEqual([true, true, false, false, false]);
});
