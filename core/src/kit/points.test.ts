import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import fc from 'fast-check';
import { frontier, type Curve } from './optimum/curve.js';
import { PrizeProblem, type Priced } from './optimum/prize.js';
import type { KitProblem } from './optimum/kitProblem.js';
import { homeWith, savedWith } from './done.js';
import { compareKits, keptOf, listOf, withFigures } from './keeping.js';
import { writeKit } from './packingCsv.js';
import { unitsOf } from './stock.js';
import { kitFrom } from './told/index.js';
import { between, concaveHull, picture, stepsOf, type CurvePicture } from './points.js';
import { kitCase } from './toolCase.js';
import { contentsAt, contentsOfKept } from './choose.js';

const doc = demoGarage();
const question = { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id, today: '2026-11-25' };
let problem: KitProblem;
let curve: Curve;
let shown: CurvePicture;
beforeAll(() => {
  problem = kitCase(doc, question).problem;
  curve = frontier(problem, { most: 5000, solves: 24 });
  shown = picture(problem, curve);
});

describe('the picture of the curve', () => {
  test('rises, keeps to its limits, and says of each kit what the kit does, looked at by itself', () => {
    expect(shown.points.length).toBeGreaterThan(40);
    let last = -Infinity;
    for (const p of shown.points) {
      expect(p.value).toBeGreaterThan(last);
      last = p.value;
      expect(p.mass).toBeLessThanOrEqual(p.limit + 1e-9);
      expect(p.value).toBeCloseTo(curve.best[p.limit]!, 9);
      const contents = { counts: p.counts, stocked: p.stocked };
      expect(savedWith(problem, contents).hours).toBeCloseTo(p.hours, 9);
      expect(homeWith(problem, contents)).toBeCloseTo(p.home, 12);
      expect(new Map(p.supplies)).toEqual(unitsOf(problem, p.stocked));
      expect(p.mends.reduce((s, m) => s + m.hours, 0)).toBeCloseTo(p.hours, 9);
    }
    for (const b of shown.band) expect(b.bound).toBeGreaterThanOrEqual(b.best);
    // Any price of a gram bounds all of it from above.
    const { bound } = new PrizeProblem(problem).solve(0.003) as Priced;
    for (const p of shown.points) expect(p.value).toBeLessThanOrEqual(bound + 0.003 * p.limit + 1e-6);
  });
  test('the hull is concave, over all points, and flattens where it says', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 40 })), {
          minLength: 1,
          maxLength: 30,
        }),
        (steps) => {
          let [mass, value] = [0, 0];
          const points = steps.map(([m, v]) => ({ mass: (mass += m), value: (value += v) }));
          const hull = concaveHull(points);
          const slopes = hull.slice(1).map((p, i) => (p.value - hull[i]!.value) / (p.mass - hull[i]!.mass));
          expect(slopes).toEqual([...slopes].sort((a, b) => b - a));
          for (const p of points) {
            const right = hull.findIndex((h) => h.mass >= p.mass);
            const [a, b] = [hull[Math.max(0, right - 1)]!, hull[right]!];
            const at =
              a === b || b.mass === a.mass
                ? b.value
                : a.value + ((b.value - a.value) * (p.mass - a.mass)) / (b.mass - a.mass);
            expect(p.value).toBeLessThanOrEqual(at + 1e-9);
          }
        },
      ),
    );
  });
  test('a step is where other tools save more, or the same ones a 220th of it all; what saves no more is none', () => {
    const steps = (of: readonly (readonly [best: number, by: number])[]) =>
      stepsOf({ most: of.length - 1, best: Float64Array.from(of, ([v]) => v), by: Int16Array.from(of, ([, b]) => b) });
    const none = -Infinity;
    expect(
      steps([
        [none, -1],
        [1, 0],
        [1, 0],
        [1.001, 0],
        [2, 1],
        [3, 1],
        [3.1, 1],
        [220, 1],
      ]),
    ).toEqual([1, 4, 6, 7]);
    // Other tools that save the same are no step, and nothing that saves nothing is the first one.
    expect(
      steps([
        [0, 0],
        [0, 1],
        [none, 2],
        [5, 2],
        [5, 3],
      ]),
    ).toEqual([0, 3]);
    expect(
      steps([
        [none, -1],
        [none, -1],
      ]),
    ).toEqual([]);
  });
  test('steps between two kits: what leaves and comes makes up the grams', () => {
    const [a, b] = [shown.points[10]!, shown.points[30]!];
    const name = (id: string) => id;
    const there = between(a, b, name);
    const back = between(b, a, name);
    expect(there.leaves).toEqual(back.comes);
    expect(there.mass).toBeCloseTo(-back.mass, 9);
    expect(between(a, a, name)).toEqual({ leaves: [], comes: [], mass: 0, hours: 0 });
    // Of two tools of one name each is itself: one that leaves is no less of the other.
    const spanner = () => 'Combination spanner 10';
    const one = { ...a, pieces: [['x', 1]] as [string, number][], supplies: [['patch', 2]] as [string, number][] };
    const two = { ...one, pieces: [...one.pieces, ['y', 2]] as [string, number][], supplies: [] };
    expect(between(one, two, spanner)).toMatchObject({
      leaves: [{ name: 'Tube patches', count: 2 }],
      comes: [{ name: 'Combination spanner 10', count: 2 }],
    });
    expect(between({ ...one, pieces: [['x', 3]] }, two, spanner).leaves[0]).toEqual({ name: spanner(), count: 2 });
  });
});

describe('kits kept', () => {
  const facts = {
    as: 'most' as const,
    proven: true,
    gap: 0,
    withinWorth: true,
    served: true,
    owned: new Map<string, number>(),
  };
  const given = {
    id: question.bikeId,
    name: 'Kept',
    bikeId: question.bikeId,
    tripId: question.tripId,
    made: '2026-11-25T10:00:00.000Z',
  };
  test('written down and looked at again it does at least what it did', () => {
    const contents = contentsAt(curve, 3000);
    const kit = kitFrom(problem, contents, facts);
    const kept = keptOf(kit, { ...given, chosen: 70 });
    expect(kept.figures.mass).toBe(kit.mass);
    const again = contentsOfKept(problem, kept);
    expect(again.counts).toEqual(contents.counts);
    // The same spares set aside anew, one by one: never worse than a hundredth behind.
    expect(savedWith(problem, again).hours).toBeGreaterThan(kit.saved * 0.99);
    expect(kitFrom(problem, again, { ...facts, supplies: again.supplies }).mass).toBeCloseTo(kit.mass, 6);
  });
  test('side by side, as a table, and with figures of a list', () => {
    const [small, big] = [800, 3000].map((m) =>
      keptOf(kitFrom(problem, contentsAt(curve, m), facts), { ...given, chosen: 70 }),
    );
    const { different, same } = compareKits(small!, big!);
    expect(different.length).toBeGreaterThan(0);
    const grams = different.reduce((s, d) => s + (d.inSecond - d.inFirst) * d.mass, 0);
    expect(grams).toBeCloseTo(big!.figures.mass - small!.figures.mass, 6);
    expect(compareKits(big!, big!).different).toEqual([]);
    expect(compareKits(big!, big!).same).toHaveLength(big!.pieces.length + big!.supplies.length);
    expect(same.every((d) => d.inFirst === d.inSecond)).toBe(true);
    const lines = writeKit(big!).trim().split('\r\n');
    expect(lines).toHaveLength(1 + big!.pieces.length + big!.supplies.length);
    const list = listOf(
      { pieces: [{ piece: doc.pieces[0]!, count: 1 }], supplies: [{ kind: 'patch', quantity: 3 }] },
      given,
    );
    const withThem = withFigures(list, { ...shown.points[0]!, mass: 42 }, 20, 70);
    expect(withThem.figures).toMatchObject({ mass: 42, chosen: 70, atStake: 20 - shown.points[0]!.hours });
  });
});
