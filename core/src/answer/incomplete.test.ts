import type { Solve } from '../ground/milp.js';
import fc from 'fast-check';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { newBike, newFastener } from '../bike/index.js';
import { emptyDocument, TABLES, type GarageDocument } from '../garage/index.js';
import { coverageOf } from '../toolbox/coverage/index.js';
import { ChainFinder } from '../toolbox/chains/index.js';
import { buyList, chosenKit, kitCase, manyBikes, picture, pointOf, whatWeighs } from '../kit/index.js';
import { frontier, levels } from '../kit/optimum/index.js';
import { asRidden, simulate, meansOf } from '../kit/simulation/index.js';
import { uuid } from '../testing/make.js';
import { long } from '../testing/long.js';
import { THOROUGH } from '../testing/thorough.js';
import { combinationSpanner, newPiece, usablePieces } from '../toolbox/tools/index.js';
import { newLeg, newTrip, type KitQuestion, type Trip } from '../trip/index.js';
import { newPlace } from '../stow/index.js';
import { answerFor, type Answer } from './answer.js';
import { preventionCosts } from './preventionCosts.js';
import { wholeAnswer } from './whole.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

/** Every number that an answer says, so that none of them is no number. */
function numbersIn(value: unknown, path = ''): [string, number][] {
  if (typeof value === 'number') return [[path, value]];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([k, v]) => numbersIn(v, `${path}.${k}`));
}
const sane = (a: Answer, doc: GarageDocument) => {
  // A stock that never runs out is endless; everything else is a plain number.
  const none = numbersIn(a).filter(([path, n]) => !Number.isFinite(n) && !/mends$|worstPlay$/.test(path));
  expect(none).toEqual([]);
  expect(a.reached).toBeLessThanOrEqual(a.chosen);
  expect(a.kit.home >= 0 && a.kit.home <= 1).toBe(true);
  // What cannot be known says what is missing.
  const km = a.exposures.some((e) => e.lambda > 0) && doc.trips[0]!.legs.length > 0;
  expect(a.unknown.home === null).toBe(km);
  expect(a.unknown.reached === null).toBe(a.chosen > 0);
};

const bike = newBike(uuid(1), 'New');
const whole: GarageDocument = {
  ...emptyDocument({ name: 'New' }),
  bikes: [bike],
  fasteners: [newFastener({ id: uuid(2), bikeId: bike.id, head: { form: 'hex', size: '10' }, name: 'Seat bolt' })],
  pieces: [newPiece(combinationSpanner('10'), { id: uuid(3) })],
  trips: [{ ...newTrip(uuid(4), 'Trip'), legs: [newLeg(uuid(5), 'Leg')] }],
  places: [newPlace(uuid(6), bike)],
};
const LEFT_OUT: Record<string, (d: GarageDocument) => GarageDocument> = {
  'no fastener': (d) => ({ ...d, fasteners: [] }),
  'no tool': (d) => ({ ...d, pieces: [] }),
  'no trip': (d) => ({ ...d, trips: [] }),
  'no leg': (d) => ({ ...d, trips: d.trips.map((t) => ({ ...t, legs: [] })) }),
  'no leg, pressures changed all the same': (d) => ({
    ...d,
    trips: d.trips.map((t) => ({ ...t, legs: [], air: { ...t.air, times: 6 } })),
  }),
  'a leg of no distance': (d) => ({
    ...d,
    trips: d.trips.map((t) => ({
      ...t,
      legs: t.legs.map((l) => ({ ...l, days: 0, hours: 0, km: { paved: 0, gravel: 0, track: 0 } })),
    })),
  }),
  'no place': (d) => ({ ...d, places: [] }),
  'all left out': (d) => ({ ...d, fasteners: d.fasteners.map((f) => ({ ...f, leftOut: 'not on this bike' })) }),
};
const names = Object.keys(LEFT_OUT);
const asked = (d: GarageDocument, kit: Partial<KitQuestion>): GarageDocument => ({
  ...d,
  trips: d.trips.map((t): Trip => ({ ...t, kit: { ...t.kit, ...kit } })),
});

/** Everything else that is asked of a garage, as the screens ask it. */
function others(doc: GarageDocument, question: { bikeId: string; tripId: string | null }): void {
  const { problem } = kitCase(doc, question);
  const curve = frontier(problem, { most: 900, solves: 20 });
  for (const p of picture(problem, curve).points) expect(Number.isFinite(p.mass + p.value + p.home)).toBe(true);
  for (const l of levels(problem, [100, 400, 900], 5))
    expect(pointOf(problem, l, l.limit).mass).toBeLessThanOrEqual(l.limit + 1e-9);
  expect(buyList(doc, question, 'money').price).toBeGreaterThanOrEqual(0);
  expect(manyBikes(doc, question.tripId, solve).bikes.length).toBeLessThanOrEqual(1);
  expect(whatWeighs(doc, question, solve)).toBeDefined();
  coverageOf(doc.fasteners, new ChainFinder(usablePieces(doc.pieces, bike.id), doc.garage.practice));
  expect(preventionCosts(doc, question, solve).every((c) => Number.isFinite(c.grams + c.hours))).toBe(true);
  sane(wholeAnswer(doc, question, solve), doc);
}

describe('an incomplete garage', () => {
  const ASKS = ['worth', 'lightest', 'most'] as const;
  // By day two parts left out together are asked one question, a different one from pair to pair.
  const pairs = names.flatMap((a, i) =>
    names
      .slice(i)
      .map((b, k): [string, string, readonly (typeof ASKS)[number][]] => [
        a,
        b,
        THOROUGH || a === b ? ASKS : [ASKS[(i + k) % 3]!],
      ]),
  );
  long.each(pairs)(
    '%s, %s',
    (a, b, asks) => {
      for (const ask of asks) {
        const doc = asked(LEFT_OUT[b]!(LEFT_OUT[a]!(whole)), { ask });
        const tripId = doc.trips[0]?.id ?? null;
        const question = { bikeId: bike.id, tripId };
        const answer = answerFor(doc, question, solve);
        sane(answer, doc);
        // Each part left out by itself is looked at from every side.
        if (ask === 'worth' && a === b) others(doc, question);
        const trip = doc.trips[0];
        if (trip) {
          const [ridden] = simulate(trip, answer.ridden, [meansOf('kit', answer.kit)], 200, 1);
          expect(Number.isFinite(ridden!.hours + ridden!.home)).toBe(true);
          expect(asRidden(answer.exposures).length).toBe(answer.exposures.length);
        }
      }
    },
    60_000,
  );

  test('no bike: said in words, not by a fault inside', () => {
    expect(() => answerFor({ ...whole, bikes: [] }, { bikeId: bike.id, tripId: null }, solve)).toThrow(
      /that bike is not in this garage: choose another/,
    );
  });

  long(
    'the demo with any of its rows left out',
    () => {
      const demo = demoGarage();
      const kept = fc.record(
        Object.fromEntries(
          // With no tool at all the whole catalogue stands in, for seventy fasteners: the small garage above asks that by day, this one at night.
          TABLES.filter((t) => t !== 'bikes').map((t) => [
            t,
            t === 'pieces' && !THOROUGH
              ? fc.constantFrom('all', 'half', 'first')
              : fc.constantFrom('all', 'none', 'half', 'first'),
          ]),
        ) as Record<string, fc.Arbitrary<string>>,
      );
      const cut = <T>(rows: readonly T[], how: string): T[] =>
        how === 'none'
          ? []
          : how === 'half'
            ? rows.filter((_, i) => i % 2 === 0)
            : how === 'first'
              ? rows.slice(0, 1)
              : [...rows];
      fc.assert(
        fc.property(
          kept,
          fc.constantFrom<KitQuestion['ask']>('worth', 'lightest', 'most'),
          fc.boolean(),
          (how, ask, legs) => {
            const doc = asked(
              {
                ...demo,
                ...Object.fromEntries(Object.entries(how).map(([t, h]) => [t, cut(demo[t as 'pieces'], h)])),
              } as GarageDocument,
              { ask },
            );
            const cutLegs = legs ? doc : { ...doc, trips: doc.trips.map((t) => ({ ...t, legs: [] })) };
            const question = { bikeId: demo.bikes[0]!.id, tripId: cutLegs.trips[0]?.id ?? null };
            sane(answerFor(cutLegs, question, solve), cutLegs);
            const { problem } = kitCase(cutLegs, question);
            expect(chosenKit(cutLegs, question, problem, solve, new Map()).kit.mass).toBeGreaterThanOrEqual(0);
          },
        ),
        { numRuns: 4, endOnFailure: true },
      );
    },
    120_000,
  );
});
