import { describe, expect, test } from '@jest/globals';
import type { Role } from '../bike/index.js';
import { TROUBLES } from './index.js';
import {
  AT_HAND,
  hoursOfWay,
  mostSaved,
  savedByWay,
  type BikeTraits,
  type Need,
  type Way,
  type WayStep,
} from './way.js';
import { isEither, onWheel } from './wheel.js';

const head = (role: Role): Need => ({ by: 'head', role, ifAny: false });
const lever: Need = { by: 'function', does: 'lever tyre', count: 2 };
const step = (text: string, needs: Need[] = [], only: BikeTraits = {}): WayStep => ({ text, needs, only });

describe('a repair that is written for either wheel', () => {
  const both = step('Turn the axle out', [head('front axle'), head('rear axle')]);
  test('is one with a step that turns both axles, on its way out or back', () => {
    expect(isEither({ out: [both], back: [] })).toBe(true);
    expect(isEither({ out: [], back: [step('Look'), both] })).toBe(true);
    expect(isEither({ out: [step('Turn', [head('front axle')])], back: [step('Turn', [head('rear axle')])] })).toBe(
      false,
    );
    expect(isEither({ out: [step('Lever', [lever, lever])], back: [] })).toBe(false);
  });
  test('a step is done as it is on the wheel that is out, with that wheel’s heads and whatever else it takes', () => {
    const pinch = step('Front wheel: slacken the pinch bolts', [head('front axle pinch')]);
    expect(onWheel(pinch, 'rear')).toBeNull();
    expect(onWheel(pinch, 'front')).toMatchObject({ text: 'Slacken the pinch bolts', needs: pinch.needs });
    const chain = step('Rear wheel: lift the chain off', [head('chain adjuster'), lever]);
    expect(onWheel(chain, 'front')).toBeNull();
    expect(onWheel(chain, 'rear')).toMatchObject({ text: 'Lift the chain off', needs: chain.needs });
    const out = step('turn the axle out', [head('front axle'), head('rear axle'), head('chain adjuster'), lever]);
    expect(onWheel(out, 'front')).toEqual({ text: 'Turn the axle out', only: {}, needs: [head('front axle'), lever] });
    expect(onWheel(out, 'rear')).toEqual({
      text: 'Turn the axle out',
      only: {},
      needs: [head('rear axle'), head('chain adjuster'), lever],
    });
  });
  test('what is done on a drum is done on its own wheel', () => {
    const front = step('Unhook the arm', [], { brakeFront: 'drum' });
    const rear = step('Unhook the rod', [], { brakeRear: 'drum' });
    expect([onWheel(front, 'front')?.text, onWheel(front, 'rear')]).toEqual(['Unhook the arm', null]);
    expect([onWheel(rear, 'rear')?.text, onWheel(rear, 'front')]).toEqual(['Unhook the rod', null]);
    const disc = step('Press the pads back', [], { brakeFront: 'disc' });
    expect([onWheel(disc, 'front'), onWheel(disc, 'rear')]).not.toContain(null);
  });
  test('the library’s own: no step names the other wheel, and none asks for its heads', () => {
    const ways = TROUBLES.flatMap((t) => t.ways).filter((w) => isEither(w));
    expect(ways.length).toBeGreaterThan(0);
    for (const way of ways)
      for (const s of [...way.out, ...way.back]) {
        expect(onWheel(s, 'front')?.needs ?? []).not.toContainEqual(expect.objectContaining({ role: 'rear axle' }));
        expect(onWheel(s, 'rear')?.text ?? '').not.toMatch(/front wheel:/iu);
      }
  });
});

describe('hours of a way', () => {
  const way = (given: Partial<Way>) => ({ minutes: 30, travel: null, grade: 'proper' as const, holds: 1, ...given });
  const away = { helpKm: 12, workshopKm: 80, walking: 4, towing: 20 };
  test('are its work, and its distance at its pace: to people or to a workshop, at its own speed or the trip’s', () => {
    expect(hoursOfWay(way({}), away)).toBe(0.5);
    expect(hoursOfWay(way({ travel: { over: 'help', speed: 'walking' } }), away)).toBe(0.5 + 3);
    expect(hoursOfWay(way({ travel: { over: 'workshop', speed: 'towing' } }), away)).toBe(0.5 + 4);
    expect(hoursOfWay(way({ travel: { over: 'workshop', speed: 40 } }), away)).toBe(0.5 + 2);
    expect(hoursOfWay(way({ travel: { over: 'help', speed: 24 } }), away)).toBe(0.5 + 0.5);
    for (const over of ['help', 'workshop'] as const)
      for (const speed of ['walking', 'towing', 30] as const)
        expect(hoursOfWay(way({ travel: { over, speed } }), AT_HAND)).toBe(0.5);
  });
  test('saved are those without it, as often as it holds; when it does not, its own are lost; never less than none', () => {
    expect(savedByWay(way({}), 8, away)).toBe(7.5);
    expect(savedByWay(way({ holds: 0.8 }), 8, away)).toBeCloseTo(0.8 * 7.5 - 0.2 * 0.5, 12);
    expect(savedByWay(way({ minutes: 600 }), 8, away)).toBe(0);
    expect(mostSaved([way({ minutes: 240 }), way({}), way({ holds: 0.5 })], 8, away)).toBe(7.5);
    expect(mostSaved([], 8, away)).toBe(0);
  });
});
