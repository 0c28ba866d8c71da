import { expect, test } from '@jest/globals';
import { measures, tyreMeasures } from './bike.js';

test.each([
  ['90/90-21', 21, 90, 81],
  ['160/60ZR17 M/C 69W', 17, 160, 96],
  ['3.00-21', 21, 80, 80],
  ['4.50-18', 18, 120, 108],
  ['MT90-16', 16, 130, 117],
  ['mh90-21', 21, 80, 72],
  ['MV85B15', 15, 150, 127.5],
  ['19x7-8', 8, 177.8, 139.7],
])('tyre %s: rim %s in, %s mm wide, %s mm high', (mark, rim, width, height) => {
  // Half a rim and one side make the radius.
  expect(tyreMeasures(mark)).toEqual({
    ...{ rim, width: expect.closeTo(width, 6), height: expect.closeTo(height, 6) },
    radius: expect.closeTo(rim * 12.7 + height, 6),
  });
});
test('measures are three, in mm', () => {
  expect(measures.parse({ length: 1, width: 2, height: 3 })).toEqual({ length: 1, width: 2, height: 3 });
  for (const wrong of [
    {},
    { length: 1, width: 2 },
    { length: 1, width: 2, height: -3 },
    { length: 1, width: 2, height: 3, depth: 4 },
  ])
    expect(measures.safeParse(wrong).success).toBe(false);
});
