import { expect, test } from '@jest/globals';
import { owned } from '../testing/make.js';
import { functional } from '../toolbox/tools/index.js';
import { ownSets } from './ownSets.js';

const piece = (name: string, mass: number, millilitres: number, more: { set?: string; count?: number } = {}) =>
  owned(functional(name, [], mass, [10 * millilitres, 10, 10], 1), more);

test('of each set what the kit takes, what stays at home, and the grams and room that this frees', () => {
  const first = piece('First', 100, 20, { set: 'Supplied', count: 2 });
  const second = piece('Second', 30, 5, { set: 'Supplied', count: 3 });
  const other = piece('Other', 7, 1, { set: 'Bits' });
  const loose = piece('Loose', 1000, 500);
  const carried = { piece: first, count: 1 } as never;
  expect(ownSets([first, other, loose, second], { pieces: [carried] })).toEqual([
    { name: 'Bits', pieces: [other], taken: [], left: [other], mass: 7, bulk: 1, freedMass: 7, freedBulk: 1 },
    {
      name: 'Supplied',
      pieces: [first, second],
      taken: [first],
      left: [second],
      mass: 290,
      bulk: 55,
      freedMass: 90,
      freedBulk: 15,
    },
  ]);
  expect(ownSets([loose], { pieces: [] })).toEqual([]);
});
