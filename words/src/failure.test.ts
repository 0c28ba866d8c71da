import { expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { answerFor } from '@necessaire/core';
import { failureWords } from './index.js';

const otherwise = failureWords(new Error('x is not a function'));

test('a fault inside is told by what to do, never by its own text', () => {
  expect(otherwise).toMatch(/^This could not be calculated; .*reload the page\.$/u);
  for (const thrown of ['text', null, { message: 'no' }, new TypeError('')])
    expect(failureWords(thrown)).toBe(otherwise);
});
test('what core refuses is told for itself', async () => {
  const doc = demoGarage('lightest');
  const solve = await loadSolver();
  const saidOf = (run: () => unknown): string => {
    try {
      run();
    } catch (error) {
      return failureWords(error);
    }
    return '';
  };
  const nobody = '00000000-0000-4000-8000-00000000dead';
  expect(saidOf(() => answerFor(doc, { bikeId: nobody, tripId: null, today: null }, solve))).toBe(
    'This bike is not in the garage any more. Choose another bike.',
  );
  const never = { ...doc, pieces: doc.pieces.map((p) => ({ ...p, mark: 'never' as const })) };
  expect(saidOf(() => answerFor(never, { bikeId: doc.bikes[0]!.id, tripId: null, today: null }, solve))).not.toBe(
    otherwise,
  );
});
