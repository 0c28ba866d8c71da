import { describe, expect, test } from '@jest/globals';
import { newBike } from '../bike/index.js';
import { DEFAULT_PRACTICE, positionsOf, practiceSchema, SWITCHES } from './practice.js';
import { WAY_SWITCHES, type JudgedWay } from './waySwitches.js';

const of = Object.keys(WAY_SWITCHES) as (keyof typeof WAY_SWITCHES)[];
const way = (given: Partial<JudgedWay>): JudgedWay => ({
  ...{ functions: [], supplies: [], heads: 0, stops: true, bike: BIKE, crosses: false },
  ...given,
});
const BIKE = newBike('00000000-0000-4000-8000-000000000001', 'B');
const taking = (kind: string, more: Partial<JudgedWay> = {}) => way({ supplies: [{ kind, units: 1 }], ...more });

test('each is a switch of the practice with the same positions, the first of them the default', () => {
  expect(SWITCHES).toEqual(expect.arrayContaining(of));
  for (const key of of) {
    expect([key, DEFAULT_PRACTICE[key]]).toEqual([key, positionsOf(key)[0]]);
    expect(practiceSchema.safeParse({ [key]: 'sideways' }).success).toBe(false);
    const { changes, bars } = WAY_SWITCHES[key];
    // One of the two asks for the position, and knows its own only.
    const asks = [
      () => changes({ does: 'inflate', count: 1 }, 'sideways'),
      () => bars(taking('tyre boot'), 'sideways'),
    ];
    expect([key, asks.filter((ask) => thrown(ask) === 'no such position: sideways').length]).toEqual([key, 1]);
  }
});
const thrown = (ask: () => unknown): string | null => {
  try {
    ask();
    return null;
  } catch (e) {
    return (e as Error).message;
  }
};

describe('what is asked for', () => {
  const changed = (key: keyof typeof WAY_SWITCHES, does: 'inflate' | 'lever tyre' | 'ream' | 'cut', count = 1) =>
    positionsOf(key).map((position) => WAY_SWITCHES[key].changes({ does, count }, position));
  test('air: what makes it, two of them, two cartridges to a filling of gas', () => {
    expect(changed('air', 'inflate', 1)).toEqual([
      { does: 'inflate', count: 1, uses: [] },
      { does: 'electric air', count: 1, uses: [] },
      { does: 'hand air', count: 1, uses: [] },
      { does: 'gas air', count: 1, uses: [{ kind: 'gas cartridge', units: 2 }] },
      { does: 'inflate', count: 2, uses: [] },
    ]);
    expect(changed('air', 'cut')).toEqual([null, null, null, null, null]);
  });
  test('levers by count, but one that is asked for alone; a reamer or a drill', () => {
    expect(changed('levers', 'lever tyre', 2).map((f) => f?.count)).toEqual([2, 1, 3]);
    expect(changed('levers', 'lever tyre', 1)).toEqual([null, null, null]);
    expect(changed('levers', 'cut', 2)).toEqual([null, null, null]);
    expect(changed('reamer', 'ream')).toEqual([null, { does: 'drill', count: 1 }]);
    expect(changed('reamer', 'cut')).toEqual([null, null]);
    expect(changed('tubes', 'inflate')).toEqual([null, null, null, null]);
  });
});

describe('which ways do not count, position by position', () => {
  const barred = (key: keyof typeof WAY_SWITCHES, judged: JudgedWay) =>
    positionsOf(key).filter((position) => WAY_SWITCHES[key].bars(judged, position));
  const tubeless = { ...BIKE, tyres: 'tubeless' as const };
  test.each<[string, keyof typeof WAY_SWITCHES, JudgedWay, string[]]>([
    ['a front tube', 'tubes', taking('front tube'), ['none']],
    ['a rear tube', 'tubes', taking('rear tube'), ['front', 'none']],
    ['a front tube, tubeless', 'tubes', taking('front tube', { bike: tubeless }), ['front', 'both', 'none']],
    ['a rear tube, tubeless', 'tubes', taking('rear tube', { bike: tubeless }), ['front', 'both', 'none']],
    ['no tube', 'tubes', taking('tyre boot', { bike: tubeless }), []],
    ['a string', 'plugs', taking('plug string'), ['pins']],
    ['a pin', 'plugs', taking('pin plug'), ['strings']],
    ['no plug', 'plugs', taking('front tube'), []],
    ['a spark plug', 'sparkPlug', taking('spark plug'), ['earned', 'leave']],
    ['one with water on the way', 'sparkPlug', taking('spark plug', { crosses: true }), ['leave']],
    ['one of two strokes', 'sparkPlug', taking('spark plug', { bike: { ...BIKE, strokes: 2 } }), ['leave']],
    ['no spark plug', 'sparkPlug', taking('fuse'), []],
    ['a tow', 'rescue', way({ functions: [{ does: 'tow', count: 1 }] }), ['walk', 'phone']],
    [
      'a haul that ends no ride',
      'rescue',
      way({ functions: [{ does: 'haul', count: 1 }], stops: false }),
      ['walk', 'phone'],
    ],
    ['a spare of what stops', 'rescue', taking('fuse'), ['phone']],
    ['a head of what stops', 'rescue', way({ heads: 1 }), ['phone']],
    ['a function of what stops', 'rescue', way({ functions: [{ does: 'cut', count: 1 }] }), ['phone']],
    ['a spare of what does not stop', 'rescue', taking('fuse', { stops: false }), []],
    ['nothing carried', 'rescue', way({}), []],
    ['any way', 'air', way({ functions: [{ does: 'inflate', count: 1 }] }), []],
  ])('%s: %s', (_what, key, judged, positions) => {
    expect(barred(key, judged)).toEqual(positions);
  });
});
