import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { small } from '../testing/smallKits.js';
import type { KitProblem } from './optimum/kitProblem.js';
import { measuresOf } from './points.js';

test('a fuse that sits on the bike does the first mend; the one for the second is packed, and weighed', () => {
  fc.assert(
    fc.property(small, (given) => {
      const first = given.asks[0]!;
      const way = {
        ...first.ways[0]!,
        requires: [],
        supplies: [{ kind: 'fuse', units: 1, grams: 2 }],
        mass: 2,
        gain: 5,
      };
      const problem: KitProblem = {
        ...given,
        asks: [{ ...first, tails: [0.5, 0.2], ways: [way], fitted: new Map([['fuse', 1]]) }],
        fitted: new Map([['', new Map([['fuse', 1]])]]),
      };
      const counts = given.pieces.map(() => 0);
      expect(measuresOf(problem, { counts, stocked: [] }).mass).toBe(0);
      expect(measuresOf(problem, { counts, stocked: [{ ask: 0, mend: 1, way: 0 }] }).mass).toBe(2);
    }),
    { numRuns: 3 },
  );
});
