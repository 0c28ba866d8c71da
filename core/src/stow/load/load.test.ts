import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { newBike, type Bike } from '../../bike/index.js';
import { uuid } from '../../testing/make.js';
import {
  bareBike,
  frontShare,
  loadOf,
  loadWarnings,
  people,
  riderAt,
  tyreBears,
  type LoadCase,
  type Weight,
} from './index.js';

const bike: Bike = {
  ...newBike(uuid(1), 'Test'),
  wheelbase: 1500,
  mass: 150_000,
  frontAxle: 72_000,
  centreHeight: 600,
  seatHeight: 900,
};
const at = (name: string, kg: number, x: number, y = 0, z = 0): Weight => ({ name, mass: kg * 1000, at: { x, y, z } });

describe('load by hand-worked moments', () => {
  test('a bare bike: 72 of 150 kg on the front wheel put its middle 780 mm behind the front axle', () => {
    // 78 kg on the rear: 150 · x = 78 · 1500.
    expect(bareBike(bike).at).toEqual({ x: 780, y: 0, z: 600 });
    const load = loadOf([bareBike(bike)], 1500);
    expect(load).toMatchObject({ mass: 150_000, rear: 78_000, front: 72_000, side: 0 });
  });
  test('a rider of 90 kg at 930 mm puts 55.8 kg on the rear and 34.2 kg on the front', () => {
    expect(riderAt(bike)).toEqual({ x: 930, y: 0, z: 1090 });
    const load = loadOf([bareBike(bike), ...people(bike, { mass: 90_000 }, null)], 1500);
    expect(load.rear).toBeCloseTo(78_000 + 55_800, 6);
    expect(load.front).toBeCloseTo(72_000 + 34_200, 6);
    // (150 · 600 + 90 · 1090) / 240 = 783.75 mm high; (150 · 780 + 90 · 930) / 240 = 836.25 mm back.
    expect(load.centre!.z).toBeCloseTo(783.75, 9);
    expect(load.centre!.x).toBeCloseTo(836.25, 9);
  });
  test('12 kg behind the rear axle take weight off the front', () => {
    // 12 · 1800 / 1500 = 14.4 on the rear, −2.4 on the front.
    const load = loadOf([at('bag', 12, 1800)], 1500);
    expect(load.rear).toBeCloseTo(14_400, 9);
    expect(load.front).toBeCloseTo(-2400, 9);
  });
  test('6 kg left at 330 mm and 2 kg right at 330 mm pull 1.32 kg·m to the left', () => {
    expect(loadOf([at('left', 6, 1400, 330), at('right', 2, 1400, -330)], 1500).side).toBeCloseTo(1.32, 9);
  });
  test('a pillion sits over the rear axle, and nobody sits there unless the trip has one', () => {
    expect(people(bike, { mass: 90_000 }, { pillion: 0 })).toHaveLength(1);
    expect(people(bike, { mass: 90_000 }, { pillion: 70_000 })[1]).toMatchObject({
      mass: 70_000,
      at: { x: 1320, y: 0, z: 1130 },
    });
  });
  test('moments about either axle agree, and nothing is lost on the way', () => {
    const weight = fc.record({
      kg: fc.double({ min: 0.01, max: 200, noNaN: true }),
      x: fc.integer({ min: -500, max: 2500 }),
      y: fc.integer({ min: -500, max: 500 }),
      z: fc.integer({ min: 0, max: 1500 }),
    });
    fc.assert(
      fc.property(
        fc.array(weight, { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 1200, max: 1700 }),
        (list, wheelbase) => {
          const weights = list.map(({ kg, x, y, z }) => at('w', kg, x, y, z));
          const load = loadOf(weights, wheelbase);
          expect(load.front + load.rear).toBeCloseTo(load.mass, 3);
          // About the rear axle: front · wheelbase = Σ m · (wheelbase − x).
          expect(load.front * wheelbase).toBeCloseTo(
            weights.reduce((s, w) => s + w.mass * (wheelbase - w.at.x), 0),
            0,
          );
          // The middle's moment is the sum of the moments.
          expect(load.centre!.z * load.mass).toBeCloseTo(
            weights.reduce((s, w) => s + w.mass * w.at.z, 0),
            0,
          );
          expect(load.side).toBeCloseTo((load.centre!.y * load.mass) / 1e6, 6);
        },
      ),
    );
  });
});

describe('limits', () => {
  const bare = loadOf([bareBike(bike)], 1500);
  const rider = people(bike, { mass: 90_000 }, null);
  const ridden = loadOf([bareBike(bike), ...rider], 1500);
  const look = (extra: Weight[], more: Partial<LoadCase> = {}, b: Bike = bike) =>
    loadWarnings(b, {
      bare,
      ridden,
      packed: loadOf([bareBike(b), ...rider, ...extra], 1500),
      rack: 0,
      back: 0,
      ...more,
    });
  test('nothing is said of a load within all limits, nor of what nobody measured', () => {
    expect(look([at('kit', 5, 900, 0, 700)])).toEqual([]);
    expect(look([], { rack: 50_000 })).toEqual([]);
  });
  test('payload: rider and luggage together, to the gram', () => {
    const b = { ...bike, payload: 100_000 };
    expect(look([at('bags', 10, 800)], {}, b)).toEqual([]);
    expect(look([at('bags', 10.5, 800)], {}, b)).toMatchObject([{ rule: 'payload', over: 500 }]);
  });
  test('rack, back and side are said with how far over', () => {
    expect(look([], { rack: 7000 }, { ...bike, rackLimit: 6000 })).toMatchObject([{ rule: 'rack', over: 1000 }]);
    expect(look([], { back: 6500 })).toMatchObject([{ rule: 'back', over: 500 }]);
    const [side] = look([at('left', 6, 900, 300)]);
    expect(side).toMatchObject({ rule: 'side' });
    expect(side!.over).toBeCloseTo(0.3, 9);
    expect(side!.message).toEqual({ code: 'load.side', moment: expect.closeTo(1.8, 9), to: 'left', most: 1.5 });
    const [right] = look([at('right', 6, 900, -300)]);
    expect(right!.message).toMatchObject({ to: 'right', moment: expect.closeTo(1.8, 9) });
  });
  test('each limit says what is carried and what it allows', () => {
    const said = (extra: Weight[], more: Partial<LoadCase> = {}, b: Bike = bike) =>
      look(extra, more, b).map((w) => [w.rule, w.message]);
    expect(said([at('bags', 10.5, 800)], {}, { ...bike, payload: 100_000 })).toEqual([
      ['payload', { code: 'load.payload', carried: expect.closeTo(100_500, 6), allows: 100_000 }],
    ]);
    expect(said([], { rack: 7000 }, { ...bike, rackLimit: 6000 })).toEqual([
      ['rack', { code: 'load.rack', carried: 7000, bears: 6000 }],
    ]);
    expect(said([], { back: 6500 })).toEqual([['back', { code: 'load.back', carried: 6500, most: 6000 }]]);
    expect(said([at('bag', 10, 1500)], {}, { ...bike, loadIndexRear: 40 })).toEqual([
      [
        'rear tyre',
        { code: 'load.tyre', tyre: 'rear tyre', carries: expect.closeTo(143_800, 6), index: 40, bears: 140_000 },
      ],
    ]);
    expect(said([at('bag', 10, 0)], {}, { ...bike, loadIndexFront: 30 })).toEqual([
      [
        'front tyre',
        { code: 'load.tyre', tyre: 'front tyre', carries: expect.closeTo(116_200, 6), index: 30, bears: 106_000 },
      ],
    ]);
    const lost = 44.25 - (106.2 / 260) * 100;
    expect(said([at('bags', 20, 1500)])).toEqual([
      ['front share', { code: 'load.front-share', lost: expect.closeTo(lost, 6), most: 3 }],
    ]);
  });
  test('the front share may fall by three points and no more', () => {
    // Ridden 106.2 of 240 kg: 44.25 %. With 20 kg at the rear axle 106.2 of 260: 40.85 %.
    expect(frontShare(ridden)).toBeCloseTo(0.4425, 6);
    const [warning] = look([at('bags', 20, 1500)]);
    expect(warning).toMatchObject({ rule: 'front share' });
    expect(warning!.over).toBeCloseTo(44.25 - (106.2 / 260) * 100 - 3, 6);
  });
  test('a tyre bears what its index says', () => {
    expect([tyreBears(50), tyreBears(54), tyreBears(65), tyreBears(69)]).toEqual([190, 212, 290, 325]);
    expect(() => tyreBears(19)).toThrow(RangeError);
    const b = { ...bike, loadIndexRear: 40 };
    // 133.8 kg ridden, index 40 bears 140: 10 kg on the axle are 3.8 too many.
    expect(look([at('bag', 10, 1500)], {}, b)).toMatchObject([{ rule: 'rear tyre' }]);
    expect(look([at('bag', 6, 1500)], {}, b)).toEqual([]);
  });
  test('every step of the table is a rise of 2 to 4 in a hundred', () => {
    for (let i = 21; i <= 90; i++) {
      const step = tyreBears(i) / tyreBears(i - 1);
      expect(step).toBeGreaterThan(1.018);
      expect(step).toBeLessThan(1.04);
    }
  });
});

describe('what was weighed counts before what is usual', () => {
  test('a front axle of 80 of 150 kg puts the middle 700 mm back; unweighed it is 48 in a hundred', () => {
    expect(bareBike({ ...bike, frontAxle: 80_000 }).at.x).toBeCloseTo((1500 * 70) / 150, 9);
    expect(bareBike({ ...bike, frontAxle: null }).at.x).toBeCloseTo(1500 * 0.52, 9);
    // No axle bears more than the bike weighs.
    expect(bareBike({ ...bike, frontAxle: 160_000 }).at.x).toBe(0);
    expect(bareBike({ ...bike, mass: 0, frontAxle: null }).at.x).toBe(750);
  });
  test('a middle that nobody measured lies at 64 in a hundred of the seat’s height', () => {
    expect(bareBike({ ...bike, centreHeight: null }).at.z).toBeCloseTo(576, 9);
  });
});
test('nothing at all has no middle and no share', () => {
  const nothing = loadOf([], 1500);
  expect(nothing).toMatchObject({ mass: 0, centre: null, front: 0, rear: 0, side: 0 });
  expect(frontShare(nothing)).toBe(0);
});
