import { describe, expect, test } from '@jest/globals';
import { TROUBLES, way } from '../repairs/index.js';
import { supplyKind } from '../repairs/supplies/index.js';
import { fastener, owned } from '../testing/make.js';
import { bareAsk, bareWay, lampAndSpares, unitsOfKind } from '../testing/smallKits.js';
import { BAG_FILL, boxVolume, combinationSpanner, functional } from '../toolbox/tools/index.js';
import { ChainFinder, reachOf } from '../toolbox/chains/index.js';
import { DEFAULT_PRACTICE } from '../toolbox/practice.js';
import { certain, countCdf } from '../trip/odds/index.js';
import { homeMends, homeWith } from './done.js';
import type { KitProblem } from './optimum/kitProblem.js';
import { frontier } from './optimum/curve.js';
import { measuresOf, picture, pointOf } from './points.js';

const lamp = owned(functional('Lamp', ['light'], 50, [100, 10, 10], 30), { count: 2 });
const spanner = owned(combinationSpanner('10'));
const bolt = fastener({ head: { form: 'hex', size: '10' }, torque: { value: 8, source: 'manual' } });
const odd = fastener({ head: { form: 'hex', size: '13' }, torque: { value: 8, source: 'manual' } });
const finder = new ChainFinder([spanner], DEFAULT_PRACTICE);
const base = lampAndSpares([lamp, spanner]);
const problem: KitProblem = {
  ...base,
  tools: { ...base.tools, reaches: [bolt, odd].map((f) => reachOf(f, finder)) },
};
const [patch, fuse] = [supplyKind('patch'), supplyKind('fuse')];
const flat = (mend: number) => ({ ask: 1, mend, way: 0 });
const stops = (kind: string, tails: number[], ways: KitProblem['asks'][number]['ways']) =>
  bareAsk(kind, tails, ways, {
    exposure: certain({ ...TROUBLES.find((t) => t.stops)!, id: kind }, 1, { code: 'count.due', services: [] }),
  });

describe('a kit of three troubles, worked by hand', () => {
  test('grams, room and money: each piece and each packed unit as often as it is there', () => {
    expect(measuresOf(problem, { counts: [2, 0], stocked: [flat(0), flat(1)] })).toEqual({
      mass: 100 + 2 * patch.mass,
      bulk: expect.closeTo((2 * 10 + 2 * boxVolume(patch)) / BAG_FILL, 9),
      price: expect.closeTo(60 + 2 * patch.price, 9),
    });
    expect(measuresOf(problem, { counts: [0, 0], stocked: [] })).toEqual({ mass: 0, bulk: 0, price: 0 });
  });
  test('what it saves, by trouble; heads that it turns; what is in it', () => {
    const point = pointOf(problem, { counts: [1, 1], stocked: [flat(0)] }, 500);
    expect(point).toMatchObject({
      limit: 500,
      mass: 50 + spanner.mass + patch.mass,
      reached: 1,
      pieces: [
        [lamp.id, 1],
        [spanner.id, 1],
      ],
      supplies: [['patch', 1]],
      counts: [1, 1],
      stocked: [flat(0)],
    });
    expect(point.value).toBeCloseTo(0.5 * 4 + 0.6 * 2, 12);
    expect(point.hours).toBeCloseTo(0.5 * 4 + 0.6 * 2, 12);
    // All three are parts of one trouble here: its hours add up, its first way is told.
    expect(point.mends).toEqual([{ troubleId: TROUBLES[0]!.id, hours: point.hours, way: 'a way' }]);
    expect(pointOf(problem, { counts: [0, 0], stocked: [] }, 0)).toMatchObject({ mends: [], reached: 0, pieces: [] });
  });
  test('what is known already is not worked out anew', () => {
    const known = { reached: 7, available: [[false], [true], [true]] };
    const point = pointOf(problem, { counts: [1, 0], stocked: [flat(0)] }, 0, known);
    expect(point.reached).toBe(7);
    expect(point.value).toBeCloseTo(0.6 * 2, 12);
  });
  test('what is always packed is told by its units, not as a piece', () => {
    const always: KitProblem = { ...problem, always: [{ piece: 1, kind: 'patch', units: 3 }] };
    const of = (counts: number[], stocked = [flat(0)]) => pointOf(always, { counts, stocked }, 0);
    expect(of([1, 1]).supplies).toEqual([['patch', 3]]);
    expect(of([1, 1]).pieces).toEqual([[lamp.id, 1]]);
    expect(of([1, 0]).supplies).toEqual([['patch', 1]]);
    const more = [0, 1, 2, 3].map((mend) => flat(mend));
    expect(of([0, 1], more).supplies).toEqual([['patch', 4]]);
  });
});

describe('home by own means', () => {
  const limp = way('limps', 'limp', 0, 1, ['Do it']);
  const fails = way('never holds', 'proper', 0, 1, ['Do it']);
  const spare = bareWay({ supplies: [unitsOfKind('patch', 1)], gain: 2 });
  const free = bareWay({ gain: 1 });
  const many = stops('x', [0.6, 0.3], [spare, free, bareWay({ way: limp, grade: 'limp', gain: 9 })]);
  test('counts repairs in a row from the first that get a rider home', () => {
    expect(homeMends(many, { by: [0, 0], beyond: -1 })).toBe(2);
    expect(homeMends(many, { by: [0, -1], beyond: 1 })).toBe(1);
    expect(homeMends(many, { by: [0, 0], beyond: 1 })).toBe(Infinity);
    expect(homeMends(many, { by: [2, 0], beyond: 1 })).toBe(0);
    expect(homeMends(many, { by: [0, 0], beyond: 2 })).toBe(2);
    const none = stops('y', [0.6], [bareWay({ way: { ...fails, holds: 0 }, gain: 1 })]);
    expect(homeMends(none, { by: [0], beyond: 0 })).toBe(0);
  });
  test('is the chance that none of the troubles that end the ride comes oftener than that', () => {
    const asks = [
      stops('x', [0.6, 0.3], [spare]),
      stops('y', [0.2], [bareWay({ requires: [0], gain: 3 })]),
      bareAsk('nuisance', [0.9], [spare], {
        exposure: certain({ ...TROUBLES.find((t) => t.stops)!, stops: false }, 1, { code: 'count.due', services: [] }),
      }),
    ];
    const given: KitProblem = { ...problem, asks };
    const one = { counts: [1, 0], stocked: [{ ask: 0, mend: 0, way: 0 }] };
    expect(homeWith(given, one)).toBeCloseTo(countCdf(1, asks[0]!.law), 12);
    const bare = { counts: [0, 0], stocked: [] };
    expect(homeWith(given, bare)).toBeCloseTo(countCdf(0, asks[0]!.law) * countCdf(0, asks[1]!.law), 12);
    expect(pointOf(given, one, 0).home).toBeCloseTo(countCdf(1, asks[0]!.law), 12);
    expect(pointOf(given, bare, 0).home).toBeCloseTo(homeWith(given, bare), 12);
  });
});

test('the picture holds each kit of the curve once, at the least limit from which it is the best', () => {
  const curve = frontier(problem, { most: 300 });
  const shown = picture(problem, curve);
  const kits = [0, 1].flatMap((lamps) =>
    [0, 1, 2].flatMap((patches) =>
      [0, 1].map((fuses) => ({
        mass: 50 * lamps + patches * patch.mass + fuses * fuse.mass,
        value: 2 * lamps + 2 * [0, 0.6, 0.9][patches]! + 0.4 * fuses,
      })),
    ),
  );
  const best = kits
    .filter((k) => kits.every((o) => o === k || o.value < k.value || o.mass > k.mass))
    .sort((a, b) => a.mass - b.mass);
  expect(shown.points.map((p) => [p.limit, p.mass, p.value])).toEqual(
    best.map((k) => [k.mass, k.mass, expect.closeTo(k.value, 9)]),
  );
  expect(shown).toMatchObject({ most: 300, proven: true, gap: 0 });
  expect(shown.band.map((b) => b.limit)).toEqual(Array.from({ length: 161 }, (_, i) => Math.round((300 * i) / 160)));
  // Less than what is found is no bound; where nothing does what is demanded there is no band.
  const low = picture(problem, { ...curve, bound: curve.bound.map((b) => b - 1) });
  for (const b of low.band) expect(b.bound).toBe(b.best);
  const demanded: KitProblem = { ...problem, required: [0] };
  const above = picture(demanded, frontier(demanded, { most: 300 }));
  expect(Math.min(...above.band.map((b) => b.limit))).toBeGreaterThanOrEqual(50);
  expect(above.points[0]!.limit).toBe(50);
  for (const b of shown.band) expect([b.best, b.bound]).toEqual([curve.best[b.limit], curve.bound[b.limit]]);
});
