import { long } from '../../testing/long.js';
import type { Milp, MilpAnswer, Solve } from '../../ground/milp.js';
import fc from 'fast-check';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { kitCase, kitFor, savedWith, type Kit } from '../index.js';
import { measuresOf } from '../points.js';
import { countCdf, countPmf, poisson } from '../../trip/odds/index.js';
import { assign, searchOn } from '../../stow/index.js';
import { answerFor } from '../../answer/index.js';
import { figure } from '../../testing/figure.js';
import { smallGarage } from '../../testing/smallGarage.js';
import { runs, THOROUGH } from '../../testing/thorough.js';
import { bruteForce, demanding, MOST, small } from '../../testing/smallKits.js';
import { contentsAt } from '../choose.js';
import { frontier, TOLERANCE } from './curve.js';
import { lightestJoint } from './lightest.js';
import { mostUnder } from './kitMilp.js';
import { tailsOf, type KitProblem } from './kitProblem.js';
import { demandsMet } from './tools.js';
import { priceOfGram, worthItsWeight } from './worth.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});
const UNKNOWN: MilpAnswer = { status: 'unknown', values: [], objective: Infinity, bound: -Infinity };
/** A solver that runs out of time when its turn comes: with nothing, or with a solution that nobody proved. */
const givingUp = (turns: readonly ('answers' | 'nothing' | 'unproven')[]): Solve =>
  (() => {
    let i = 0;
    return (model: Milp) => {
      const turn = turns[i++ % turns.length];
      if (turn === 'nothing') return UNKNOWN;
      const answer = solve(model);
      return turn === 'unproven' && answer.status === 'optimal'
        ? { ...answer, status: 'best found', bound: -Infinity }
        : answer;
    };
  })();
const turns = fc.array(fc.constantFrom('answers' as const, 'nothing' as const, 'unproven' as const), {
  minLength: 1,
  maxLength: 4,
});
const asked = (problem: KitProblem, question: Partial<KitProblem['question']>): KitProblem => ({
  ...problem,
  question: { ...problem.question, ...question },
});
const none: ReadonlyMap<string, number> = new Map();

describe('what is demanded', () => {
  long('is in every kit of the curve, which saves what trying everything saves', () => {
    fc.assert(
      fc.property(demanding, (problem) => {
        const best = bruteForce(problem);
        const curve = frontier(problem, { most: MOST });
        const wrong = Array.from(best, (b, m) => [m, b, curve.best[m]!, curve.bound[m]!] as const).filter(
          ([, truth, says, bound]) =>
            truth < 0 ? says !== -Infinity : !(Math.abs(says - truth) <= 0.02 && bound >= truth - 1e-9),
        );
        expect(wrong).toEqual([]);
        for (let m = 0; m <= MOST; m += 90) {
          if (best[m]! < 0) continue;
          const contents = contentsAt(curve, m);
          expect(measuresOf(problem, contents).mass).toBeLessThanOrEqual(m + 1e-9);
          expect(demandsMet(problem, contents.counts)).toBe(true);
        }
      }),
      runs(160, 40),
    );
  });
  test('is there at its lightest where it saves nothing', () => {
    fc.assert(
      fc.property(demanding, (given) => {
        const asks = given.asks.map((a) => ({ ...a, ways: a.ways.map((w) => ({ ...w, gain: 0, hours: 0 })) }));
        const problem = { ...given, asks };
        const from = (best: ArrayLike<number>) => Array.from(best).findIndex((v) => v >= 0);
        expect(from(frontier(problem, { most: MOST }).best)).toBe(from(bruteForce(problem)));
      }),
      runs(100, 25),
    );
  });
  test('the general solver says the same', () => {
    fc.assert(
      fc.property(demanding, fc.integer({ min: 0, max: MOST }), (problem, mass) => {
        const best = bruteForce(problem)[mass]!;
        const found = mostUnder(asked(problem, { mass }), solve);
        if (best < 0) expect(found).toBe('infeasible');
        else expect(found).toMatchObject({ proven: true, value: expect.closeTo(best, 2) });
      }),
      { numRuns: THOROUGH ? 240 : 60, endOnFailure: true },
    );
  });
});

describe('what is worth its weight', () => {
  test('saves most over the price of its grams, of all kits that there are', () => {
    fc.assert(
      fc.property(demanding, fc.double({ min: 0.5, max: 300, noNaN: true }), (given, knee) => {
        const problem = asked(given, { knee });
        const price = priceOfGram(problem);
        const best = bruteForce(problem);
        const top = best.reduce((t, v, m) => (v >= 0 ? Math.max(t, v - price * m) : t), -Infinity);
        // What weighs more than is looked at is left to other tests.
        if (top === -Infinity) return;
        const found = worthItsWeight(problem)!;
        expect(found.bound).toBeGreaterThanOrEqual(top - 1e-6);
        expect(savedWith(problem, found).value).toBeGreaterThanOrEqual(found.value - 1e-9);
        expect(measuresOf(problem, found).mass).toBeCloseTo(found.mass, 6);
        if (found.proven && found.mass <= MOST) expect(found.value - price * found.mass).toBeCloseTo(top, 2);
      }),
      runs(320, 80),
    );
  });
  test('without demands it is proven', () => {
    fc.assert(
      fc.property(small, fc.double({ min: 0.5, max: 300, noNaN: true }), (given, knee) => {
        expect(worthItsWeight(asked(given, { knee }))!.proven).toBe(true);
      }),
      runs(160, 40),
    );
  });
});

describe('a solver that gives up', () => {
  test('nothing is called proven that is not the best there is', () => {
    fc.assert(
      fc.property(demanding, fc.integer({ min: 0, max: MOST }), turns, (given, mass, order) => {
        const problem = asked(given, { mass, bulk: 199_999, price: 99_999 });
        const best = bruteForce(problem)[mass]!;
        const found = mostUnder(problem, givingUp(order));
        if (found === null) return;
        if (found === 'infeasible') expect(best).toBeLessThan(0);
        else if (found.proven) expect(found.value).toBeCloseTo(best, 2);
        else expect(found.bound).toBeGreaterThanOrEqual(best - 2e-3);
      }),
      { numRuns: THOROUGH ? 240 : 60, endOnFailure: true },
    );
  });
  long('a limit that limits nothing changes nothing, whoever answers', () => {
    const doc = smallGarage(demoGarage());
    const question = { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id };
    const { problem } = kitCase(doc, question);
    const same = (a: Kit, b: Kit) => {
      expect([b.mass, b.saved, b.proven]).toEqual([a.mass, a.saved, a.proven]);
      expect(b.pieces.map((p) => p.piece.id)).toEqual(a.pieces.map((p) => p.piece.id));
    };
    for (const ask of ['worth', 'most'] as const) {
      const plain = kitFor(asked(problem, { ask, mass: 650 }), solve, none);
      const wide = asked(problem, { ask, mass: 650, bulk: 200_000, price: 100_000 });
      for (const by of [solve, () => UNKNOWN]) {
        same(plain, kitFor(wide, by, none));
        same(plain, kitFor({ ...wide, practice: { ...wide.practice, worth: 100_000 } }, by, none));
      }
    }
  });
  long(
    'the lightest kit and the packing are not called proven either',
    () => {
      const doc = smallGarage(demoGarage());
      const trips = doc.trips.map((t) => ({ ...t, kit: { ...t.kit, ask: 'lightest' as const } }));
      const question = { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id };
      const { problem } = kitCase({ ...doc, trips }, question);
      const best = lightestJoint(problem, solve);
      const low = { ...problem, practice: { ...problem.practice, worth: best.set.counts.length } };
      const cut = lightestJoint(low, () => UNKNOWN);
      const whole = lightestJoint(low, solve);
      if (cut.proven) expect(cut.total).toBeCloseTo(whole.total, 6);
      const answer = answerFor({ ...doc, trips }, question, solve);
      const searched = searchOn(answer.stow, answer.packing, () => UNKNOWN);
      const truth = assign(answer.stow, { solve });
      if (searched.proven) expect(searched.bound).toBeCloseTo(truth.bound, 1);
      expect(searched.bound).toBeLessThanOrEqual(truth.cost + 1e-6);
    },
    60_000,
  );
});

describe('long trips', () => {
  test('every mend that matters is counted, and what is left beyond matters to nobody', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 60, noNaN: true }), figure(0, 80), (mean, gain) => {
        const { tails, rest } = tailsOf(poisson(mean), gain);
        expect(tails.reduce((a, b) => a + b, rest)).toBeCloseTo(mean, 6);
        expect(rest * gain).toBeLessThanOrEqual(1e-4 + 1e-9);
        tails.forEach((p, j) => expect(p).toBeCloseTo(1 - countCdf(j, poisson(mean)), 9));
      }),
      { numRuns: 200 },
    );
  });
  test.each([5.2, 15])('Λ %d: the stock that a limit allows saves the plain sum of its mends', (mean) => {
    fc.assert(
      fc.property(small, fc.integer({ min: 0, max: MOST }), (given, limit) => {
        const ask = given.asks[0]!;
        const way = {
          ...ask.ways[0]!,
          requires: [],
          supplies: [{ kind: 'fuse', units: 1, grams: 2 }],
          mass: 2,
          gain: 10,
          hours: 10,
        };
        const law = poisson(mean);
        const problem = { ...given, requirements: [], asks: [{ ...ask, law, ...tailsOf(law, 10), ways: [way] }] };
        const mends = Math.floor(limit / 2);
        let saved = 0;
        // Σ P(N ≥ j) × 10 h for as many fuses as there are, from the plain probabilities.
        for (let n = 1; n < 200; n++) saved += Math.min(n, mends) * countPmf(n, law) * 10;
        const curve = frontier(problem, { most: MOST });
        expect(Math.abs(curve.best[limit]! - saved)).toBeLessThanOrEqual(TOLERANCE);
        expect(curve.bound[limit]!).toBeGreaterThanOrEqual(saved - 1e-3);
      }),
      runs(40, 10),
    );
  });
});
