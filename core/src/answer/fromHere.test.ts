import { long } from '../testing/long.js';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import type { Solve } from '../ground/milp.js';
import type { GarageDocument } from '../garage/index.js';
import { smallGarage } from '../testing/smallGarage.js';
import { THOROUGH } from '../testing/thorough.js';
import { answerFor, type Answer } from './answer.js';
import { fromHere } from './fromHere.js';

let solve: Solve;
let doc: GarageDocument;
let answer: Answer;
let question: { bikeId: string; tripId: string; today: string };
beforeAll(async () => {
  solve = await loadSolver();
  doc = smallGarage(demoGarage());
  question = { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id, today: '2026-06-01' };
  answer = answerFor(doc, question, solve);
});

/** The garage with so many of every spare that the kit packs. */
const stocked = (share: number): GarageDocument => ({
  ...doc,
  supplies: [
    ...doc.supplies.filter((s) => s.fittedOn !== null),
    ...answer.kit.spares.map((s, i) => ({
      ...doc.supplies[0]!,
      id: `0000000a-0000-4000-8000-${String(i).padStart(12, '0')}`,
      kind: s.kind,
      fits: '',
      quantity: Math.floor((s.quantity - s.fitted) * share),
      bought: null,
      opened: null,
      fittedOn: null,
      mark: null,
    })),
  ],
});

describe('the trip from here', () => {
  long('with all that was packed it is what the packed kit gives; the later the leg, the less can happen', () => {
    const full = stocked(1);
    const all = fromHere(full, question, answer.kit, 0, solve);
    expect(all.less).toEqual([]);
    expect(all.home).toBeCloseTo(all.packed.home, 12);
    expect(all.home).toBeCloseTo(answer.kit.home, 2);
    // By day from the first leg, the middle and the last; at night from each.
    const count = doc.trips[0]!.legs.length;
    const from = THOROUGH ? [...Array(count).keys()].slice(1) : [count >> 1, count - 1];
    expect(count).toBeGreaterThan(2);
    let before = all;
    for (const i of from) {
      const now = fromHere(full, question, answer.kit, i, solve);
      expect(now.home).toBeGreaterThanOrEqual(before.home - 1e-9);
      expect(now.atStake).toBeLessThanOrEqual(before.atStake + 1e-9);
      before = now;
    }
  });
  long('with spares used up it is worse, and says what there is less of', () => {
    const now = fromHere(stocked(0), question, answer.kit, 1, solve);
    const full = fromHere(stocked(1), question, answer.kit, 1, solve);
    expect(now.less.map((l) => l.left)).toEqual(now.less.map(() => 0));
    expect(now.less.length).toBeGreaterThan(5);
    expect(now.home).toBeLessThan(full.home);
    expect(now.atStake).toBeGreaterThan(full.atStake);
    expect(now.packed).toEqual(full.packed);
  });
  test('a leg that is not there is refused', () => {
    expect(() => fromHere(doc, question, answer.kit, 99, solve)).toThrow('not on this trip');
    expect(() => fromHere(doc, { ...question, tripId: question.bikeId }, answer.kit, 0, solve)).toThrow(
      'not on this trip',
    );
  });
});
