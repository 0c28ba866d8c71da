import { LOAD_RULES, RULES } from '@necessaire/core';
import { expect, test } from '@jest/globals';
import { faultTitle, whyRules } from './index.js';

test('every rule has a reason of its own sort, and several stand behind each other', () => {
  const rules = [...RULES, ...LOAD_RULES, 'loose' as const];
  for (const r of rules) expect(whyRules([r])).toMatch(/^\p{Ll}.{10,}[^.]$/u);
  expect(whyRules(['heat', 'wet'])).toBe('it melts, leaks or bursts near the exhaust; water ruins it');
  expect(whyRules([])).toBe('');
});
test('a fault is headed by the thing or the place, the load by what is wrong with it', () => {
  expect(faultTitle({ name: 'Pump', rule: 'heat' })).toBe('Pump');
  expect(LOAD_RULES.map((rule) => faultTitle({ name: null, rule }))).toEqual([
    'Over the payload',
    'Over the rack’s limit',
    'Over the front tyre’s load',
    'Over the rear tyre’s load',
    'Light front wheel',
    'One side is heavier',
    'Much on the rider’s body',
  ]);
});
