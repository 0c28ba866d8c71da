import { expect, test } from '@jest/globals';
import { unmarkedRoles } from './lacks.js';

test('jobs that no fastener has are found among all that is lacking, also within a repair that was asked for', () => {
  expect(
    unmarkedRoles([
      { code: 'lack.nobody-along' },
      { code: 'lack.unmarked', role: 'rear axle' },
      { code: 'lack.out-of-reach', what: 'front axle' },
      { code: 'lack.repair', name: 'Spokes', why: [{ code: 'lack.grade' }, { code: 'lack.unmarked', role: 'spoke' }] },
    ]),
  ).toEqual(['rear axle', 'spoke']);
  expect(unmarkedRoles([])).toEqual([]);
});
