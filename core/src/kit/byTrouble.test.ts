import { expect, test } from '@jest/globals';
import { byTrouble } from './byTrouble.js';
import type { Mend } from './kit.js';

const mend = (troubleId: string, more: Partial<Mend> = {}): Mend => ({
  key: troubleId,
  troubleId,
  name: troubleId,
  bikeId: 'one',
  ask: 0,
  way: 0,
  wayName: 'a way',
  grade: 'proper',
  mends: 1,
  lacks: [],
  below: false,
  covered: 1,
  hoursSaved: 0,
  hoursLeft: 0,
  ways: [],
  others: [],
  ...more,
});

test('parts of a trouble add up; its greatest part gives the way, its weakest the repairs', () => {
  const unmarked = { code: 'lack.unmarked', role: 'rear axle' } as const;
  const mends = [
    mend('bolt', { hoursSaved: 2, hoursLeft: 1, mends: 3, covered: 0.9, lacks: [unmarked], wayName: 'first' }),
    mend('bolt', {
      hoursSaved: 1,
      hoursLeft: 5,
      mends: 2,
      covered: 0.5,
      lacks: [unmarked, { code: 'lack.grade' }],
      below: true,
      grade: 'limp',
      wayName: 'greatest',
    }),
    mend('bolt', { hoursSaved: 1, hoursLeft: 2, mends: 7, below: true, wayName: 'last' }),
    mend('flat', { hoursSaved: 4, mends: Infinity }),
    mend('bolt', { bikeId: 'two', hoursSaved: 100 }),
  ];
  const sums = byTrouble({ mends }, 'one');
  expect([...sums.keys()]).toEqual(['bolt', 'flat']);
  expect(sums.get('bolt')).toEqual({
    troubleId: 'bolt',
    grade: 'limp',
    wayName: 'greatest',
    stake: 6,
    parts: 3,
    partsBelow: 2,
    mends: 2,
    covered: 0.45,
    lacks: [unmarked, { code: 'lack.grade' }],
    below: true,
    hoursSaved: 4,
    hoursLeft: 8,
  });
  expect(sums.get('flat')).toMatchObject({ parts: 1, partsBelow: 0, below: false, stake: 4, mends: Infinity });
  expect(byTrouble({ mends: [mend('a', { below: true })] }, 'one').get('a')).toMatchObject({ partsBelow: 1 });
  // What was told of a repair stays as it was.
  expect(mends[0]!.lacks).toEqual([unmarked]);
  // Of parts of one size the first speaks.
  const equal = [mend('x', { hoursLeft: 1, wayName: 'a' }), mend('x', { hoursSaved: 1, wayName: 'b' })];
  expect(byTrouble({ mends: equal }, 'one').get('x')!.wayName).toBe('a');
});
