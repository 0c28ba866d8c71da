import type { Solve } from '../ground/milp.js';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { smallGarage } from '../testing/smallGarage.js';
import { SUBJECTS } from '../repairs/index.js';
import { answerFor } from './answer.js';
import { howSure, RATE_RANGE, type HowSure } from './sure.js';

// Without a record of own rides, which would weigh against the rates.
const doc = { ...smallGarage(demoGarage()), rides: [] };
const question = { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id, today: null };
let solve: Solve;
let sure: HowSure;
const told: number[] = [];
beforeAll(async () => {
  solve = await loadSolver();
  sure = howSure(doc, question, solve, (share) => told.push(share));
}, 60_000);

describe('how sure the kit is', () => {
  test('all rates and those of each subject are looked at, at both ends of their range', () => {
    const groups = new Set(sure.looks.map((l) => l.of));
    expect(groups.has('all')).toBe(true);
    for (const s of SUBJECTS) if (s !== 'service') expect([s, groups.has(s)]).toEqual([s, true]);
    expect(sure.looks.length).toBe(groups.size * 2);
    expect(new Set(sure.looks.map((l) => l.factor))).toEqual(new Set([1 / RATE_RANGE, RATE_RANGE]));
    expect(told.at(-1)).toBeLessThanOrEqual(1);
    expect(told).toEqual([...told].sort((a, b) => a - b));
  });
  test('an end of the range is the kit of a garage whose rates are written so', () => {
    const high = sure.looks.find((l) => l.of === 'all' && l.factor === RATE_RANGE)!;
    // Three times every rate is three times the factor of the trip.
    const trips = doc.trips.map((t) => ({ ...t, factors: { ...t.factors, age: t.factors.age * RATE_RANGE } }));
    const kit = answerFor({ ...doc, trips }, question, solve).kit;
    expect(high.mass).toBeCloseTo(kit.mass, 6);
    expect(high.saved).toBeCloseTo(kit.saved, 6);
  });
  test('the more goes wrong, the more is carried and saved; what stays and what flips make up the kit', () => {
    const [low, high] = [1 / RATE_RANGE, RATE_RANGE].map((f) =>
      sure.looks.find((l) => l.of === 'all' && l.factor === f)!,
    );
    const { kit } = answerFor(doc, question, solve);
    expect(low!.mass).toBeLessThan(kit.mass);
    expect(high!.mass).toBeGreaterThan(kit.mass);
    expect(low!.saved).toBeLessThan(kit.saved);
    const things = kit.pieces.length + kit.spares.filter((s) => s.quantity > s.fitted).length;
    expect(sure.robust.length + sure.flipping.filter((s) => s.now > 0).length).toBe(things);
    for (const s of sure.robust) expect([s.name, s.least > 0, s.flips]).toEqual([s.name, true, []]);
    for (const s of sure.flipping) {
      expect([s.name, s.least]).toEqual([s.name, 0]);
      expect(s.most).toBeGreaterThan(0);
    }
  });
});
