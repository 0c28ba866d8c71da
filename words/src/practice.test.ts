import { positionsOf, SWITCHES } from '@necessaire/core';
import { expect, test } from '@jest/globals';
import { positionWords, QUESTIONS } from './practice.js';

test('every switch asks something of its own, and its positions are told apart', () => {
  expect(Object.keys(QUESTIONS).sort()).toEqual([...SWITCHES].sort());
  expect(new Set(Object.values(QUESTIONS)).size).toBe(SWITCHES.length);
  for (const key of SWITCHES) {
    const words = positionsOf(key).map((position) => positionWords(key, position));
    expect([key, new Set(words).size]).toEqual([key, words.length]);
  }
});
test('a position in words; what is no position of a switch is a fault', () => {
  expect([positionWords('air', 'gas'), positionWords('from', 'toolbox-first'), positionWords('hand', 'done')]).toEqual([
    'gas cartridges',
    'my toolbox, the rest bought',
    'has done it before',
  ]);
  expect(() => positionWords('air', 'strings')).toThrow('air has no position "strings"');
});
