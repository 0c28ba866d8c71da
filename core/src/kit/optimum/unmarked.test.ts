import { expect, test } from '@jest/globals';
import { ROLES } from '../../bike/index.js';
import { unmarked, unmarkedRole } from './unmarked.js';

test('what says that a job is nowhere marked names the job, for every job, and nothing else does', () => {
  for (const role of ROLES) expect(unmarkedRole(unmarked(role))).toBe(role);
  expect(unmarked('rear axle')).toBe('no fastener is marked as rear axle');
  for (const other of ['', 'rear axle', 'no fastener is marked as ', 'no fastener is marked as wing'])
    expect(unmarkedRole(other)).toBeNull();
});
