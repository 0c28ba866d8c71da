import { expect, test } from '@jest/globals';
import { MilpBuilder } from '../../ground/milp.js';
import { owned } from '../../testing/make.js';
import { functional } from '../../toolbox/tools/index.js';
import { addFunction } from './addRequirement.js';

test('a function is done when so many pieces that have it are there, whatever else is', () => {
  const pieces = [
    owned(functional('Lever', ['lever tyre'], 100, [1, 1, 1], 1)),
    owned(functional('Pliers', ['grip', 'cut'], 100, [1, 1, 1], 1)),
    owned(functional('Long lever', ['lever tyre', 'pry'], 100, [1, 1, 1], 1)),
  ];
  const b = new MilpBuilder();
  const have = pieces.map(() => b.column(1, 2, true));
  const done = b.column(0, 1, true);
  addFunction(b, { pieces }, { does: 'lever tyre', count: 2 }, have, done);
  expect(b.model.rows).toEqual([
    {
      terms: [
        [have[0], 1],
        [have[2], 1],
        [done, -2],
      ],
      lower: 0,
      upper: Infinity,
    },
  ]);
});
