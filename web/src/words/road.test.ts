import { expect, test } from '@jest/globals';
import type { CarriedThing } from '@necessaire/core';
import { fixedWords, idleWords, matches, usedWords } from './road';

test('typed words lead to what has all of them, in any order and case', () => {
  expect(matches('', 'anything')).toBe(true);
  expect(matches('tube  PUNC', 'Puncture, tubed')).toBe(true);
  expect(matches('tube chain', 'Puncture, tubed')).toBe(false);
});
test('a logged repair says what it changed, and no more', () => {
  const ending = { used: [{ name: 'patches', units: 2 }], proven: ['Front axle'], watch: {} };
  expect(fixedWords('Puncture', ending)).toBe(
    'Puncture is in the log: 2 patches off the stock; 1 fastener proven; on the watch list.',
  );
  expect(fixedWords('Puncture', { used: [], proven: [], watch: null })).toBe('Puncture is in the log.');
});
test('how much of what was along was used', () => {
  const thing = (mass: number, used: number) => ({ mass, used }) as CarriedThing;
  const mass = (g: number) => `${g} g`;
  expect(usedWords({ carried: [thing(100, 1), thing(50, 0), thing(30, 2)] }, mass)).toBe(
    '2 of 3 items used: 130 g of 180 g.',
  );
  expect(usedWords({ carried: [thing(50, 0)] }, mass)).toBe('None of 1 item was used.');
  expect(idleWords(3)).toBe('not used on 3 trips in a row');
});
