import fc from 'fast-check';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import type { Solve } from '../ground/milp.js';
import { Matrix, Vector } from '../ground/numbers.js';
import { item, leastOfAll, place, unit } from '../testing/stow.js';
import { boundStow } from './bound.js';
import { solveStow } from './exact.js';
import { costOf, keepsRules, type Cut, type StowProblem } from './stowProblem.js';
import { searchStow } from './stowSearch.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

/** Small assignments of every kind as numbers: roll and box, weight, room, slots, sides, groups, blades, choices of the rider, cuts. */
const someProblem = fc
  .record({ units: fc.integer({ min: 1, max: 4 }), boxes: fc.integer({ min: 1, max: 2 }), roll: fc.boolean() })
  .chain(({ units: n, boxes, roll }) => {
    const places = boxes + Number(roll);
    // A roll has two groups of slots, each a bin of its own.
    const placeOf = [...Array.from({ length: boxes }, (_, k) => k), ...(roll ? [boxes, boxes] : [])];
    const bins = placeOf.length;
    const each = <T>(of: fc.Arbitrary<T>, k = n) => fc.array(of, { minLength: k, maxLength: k });
    const points = fc.oneof(
      { weight: 5, arbitrary: fc.integer({ min: 0, max: 400 }) },
      { weight: 1, arbitrary: fc.constant(Infinity) },
    );
    return fc
      .record({
        cost: each(each(points, bins)),
        loose: each(fc.integer({ min: 1000, max: 1400 })),
        mass: each(fc.integer({ min: 50, max: 900 })),
        room: each(each(fc.integer({ min: 20, max: 600 }), places)),
        bears: each(fc.oneof(fc.integer({ min: 100, max: 1500 }), fc.constant(1e6)), places),
        roomIn: each(fc.integer({ min: 100, max: 1200 }), places),
        count: each(fc.integer({ min: 1, max: 2 }), bins),
        y: each(fc.integer({ min: -300, max: 300 }), places),
        sideBefore: fc.integer({ min: -200, max: 200 }),
        sideCost: fc.constantFrom(0, 0.5, 2),
        group: each(fc.integer({ min: -1, max: 1 })),
        spread: each(fc.constantFrom(0, 30, 150), 2),
        sharp: each(fc.boolean()),
        pierced: each(fc.boolean()),
        fixed: each(fc.option(fc.nat(bins - 1), { freq: 4, nil: -1 })),
        cuts: fc.array(
          fc.record({ place: fc.nat(boxes - 1), units: fc.subarray([...Array(n).keys()], { minLength: 1 }) }),
          { maxLength: 2 },
        ),
      })
      .map((q): { p: StowProblem; cuts: Cut[] } => ({
        // A set that the rider fixed together is no cut: the program has nothing to move.
        cuts: q.cuts.filter((c) => c.units.some((u) => q.fixed[u]! < 0)),
        p: {
          units: Array.from({ length: n }, (_, i) => unit(item(i))),
          places: Array.from({ length: places }, (_, k) => place(k)),
          bins: placeOf.map((k, b) => ({
            place: k,
            slot: k < boxes ? null : b - boxes,
            count: k < boxes ? Infinity : q.count[b]!,
          })),
          loose: bins,
          placeOf: Vector.of([...placeOf, -1]),
          cost: Matrix.of(q.cost.map((row, u) => [...row, q.loose[u]!])),
          mass: Vector.of(q.mass),
          room: Matrix.of(q.room.map((row) => row.map((r, k) => (k < boxes ? r : 0)))),
          bears: Vector.of(q.bears),
          roomIn: Vector.of(q.roomIn.map((r, k) => (k < boxes ? r : Infinity))),
          y: Vector.of(q.y.map((y) => y / 1000)),
          sideBefore: q.sideBefore,
          sideCost: q.sideCost,
          group: Vector.of(q.group),
          spread: Vector.of(q.spread),
          groupNames: ['drive', 'wheels'],
          sharp: q.sharp,
          // One thing is not both: nothing can be parted from itself.
          pierced: q.pierced.map((x, u) => x && !q.sharp[u]),
          parted: Array.from({ length: places }, (_, k) => k >= boxes),
          fixed: Vector.of(q.fixed),
          everyday: q.sharp.map(() => false),
        },
      }));
  });

/** The same where no limit binds and nothing is parted. */
const unlimited = (given: StowProblem): StowProblem => ({
  ...given,
  bears: given.bears.map(() => 1e9),
  roomIn: given.roomIn.map(() => 1e9),
  bins: given.bins.map((b) => ({ ...b, count: Infinity })),
  sharp: given.sharp.map(() => false),
  sideCost: 0,
});
const allOpen = (p: StowProblem) => p.units.map(() => p.bins.map(() => true));

describe('an assignment as numbers, against every one that there is', () => {
  test('the whole-number programme finds the cheapest, keeps every rule and proves it', () => {
    fc.assert(
      fc.property(someProblem, ({ p, cuts }) => {
        const least = leastOfAll(p, cuts);
        const solved = solveStow(p, allOpen(p), cuts, solve);
        if (solved === null || solved === 'infeasible') throw new Error(`${solved}, where ${least} is the least`);
        expect([keepsRules(p, solved.where, cuts), solved.proven]).toEqual([true, true]);
        expect(costOf(p, solved.where)).toBeCloseTo(least, 4);
        expect(solved.bound).toBeCloseTo(least, 2);
      }),
      { numRuns: 150 },
    );
  });
  test('a bin that is closed is not used; where all are closed what may move is loose', () => {
    fc.assert(
      fc.property(someProblem, ({ p }) => {
        const closed = p.units.map(() => p.bins.map(() => false));
        const solved = solveStow(p, closed, [], solve);
        if (solved === null || solved === 'infeasible') throw new Error(String(solved));
        expect(solved.where).toEqual(p.units.map((_, u) => (p.fixed.at(u) >= 0 ? p.fixed.at(u) : p.loose)));
      }),
      { numRuns: 30 },
    );
  });
  test('the bound is never above the least, and closes no bin that something no dearer than what is known needs', () => {
    fc.assert(
      fc.property(someProblem, fc.constantFrom(2, 60), ({ p }, more) => {
        const least = leastOfAll(p, []);
        const first = boundStow(p, least + more, 25);
        const again = boundStow(p, least + more, 25, first);
        for (const { bound, open } of [first, again]) {
          expect(bound).toBeLessThanOrEqual(least + 1e-6);
          const solved = solveStow(p, open, [], solve);
          if (solved === null || solved === 'infeasible') throw new Error(`${solved}, where ${least} was left open`);
          expect(costOf(p, solved.where)).toBeCloseTo(least, 4);
        }
        expect(again.bound).toBeGreaterThanOrEqual(first.bound);
      }),
      { numRuns: 80 },
    );
  });
  test('without a limit that binds the bound is the least itself', () => {
    fc.assert(
      fc.property(someProblem, ({ p: given }) => {
        const free = unlimited(given);
        const least = leastOfAll(free, []);
        expect(boundStow(free, least + 1000, 5).bound).toBeCloseTo(least, 4);
      }),
      { numRuns: 80 },
    );
  });
  test('without limits and without groups to keep together, just the bins that cost too much are closed', () => {
    let closed = 0;
    fc.assert(
      fc.property(someProblem, fc.constantFrom(0, 2, 60), fc.boolean(), ({ p: given }, more, together) => {
        const p = {
          ...unlimited(given),
          spread: together ? given.spread : given.spread.map(() => 0),
        };
        const known = leastOfAll(p, []) + more;
        const { open } = boundStow(p, known, 1);
        p.units.forEach((_, u) => {
          if (p.fixed.at(u) >= 0) return;
          p.bins.forEach((_b, bin) => {
            const forced = leastOfAll(
              { ...p, fixed: Vector.of(p.units.map((_x, v) => (v === u ? bin : p.fixed.at(v)))) },
              [],
            );
            const least = Number.isFinite(p.cost.at(u, bin)) ? forced : Infinity;
            closed += Number(!open[u]![bin]);
            // Where groups want to be together not all that costs too much is found.
            if (!together) expect([u, bin, open[u]![bin]]).toEqual([u, bin, least <= known + 1e-6]);
            if (!open[u]![bin]) expect(least).toBeGreaterThan(known);
          });
        });
      }),
      { numRuns: 60 },
    );
    expect(closed).toBeGreaterThan(20);
  });
  test('the search keeps every rule and cut, never says less than it costs, and nearly always finds the cheapest', () => {
    let found = 0;
    fc.assert(
      fc.property(someProblem, ({ p, cuts }) => {
        const least = leastOfAll(p, cuts);
        const quick = searchStow(p, cuts, { rounds: 6 });
        expect([keepsRules(p, quick.where, cuts), Math.abs(quick.cost - costOf(p, quick.where)) < 1e-6]).toEqual([
          true,
          true,
        ]);
        expect(quick.cost).toBeGreaterThanOrEqual(least - 1e-6);
        found += Number(quick.cost < least + 1e-6);
      }),
      { numRuns: 100 },
    );
    expect(found).toBeGreaterThan(90);
  });
});
