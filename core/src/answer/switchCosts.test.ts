import { long } from '../testing/long.js';
import { DEFAULT_PRACTICE } from '../toolbox/practice.js';
import type { Solve } from '../ground/milp.js';
import { beforeAll, expect } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import { newBike } from '../bike/index.js';
import { emptyDocument, type GarageDocument } from '../garage/index.js';
import { askLightest, fastener, owned, uuid } from '../testing/make.js';
import { adjustable, combinationSpanner, plainBar, ratchet, socket } from '../toolbox/tools/index.js';
import { newLeg, newTrip } from '../trip/index.js';
import { answerFor } from './answer.js';
import { COMPARED, switchCosts } from './switchCosts.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

long(
  'each position of each switch is the difference of two whole answers',
  () => {
    const hex = (size: string, torque: number) =>
      fastener({ head: { form: 'hex', size }, torque: { value: torque, source: 'manual' } });
    const doc: GarageDocument = {
      ...emptyDocument({ name: 'Test', practice: DEFAULT_PRACTICE }),
      bikes: [newBike(uuid(1), 'Test')],
      trips: [{ ...newTrip(uuid(7), 'Long'), kit: askLightest(), legs: [{ ...newLeg(uuid(8), 'a'), days: 4 }] }],
      fasteners: [hex('10', 10), hex('24', 60)],
      pieces: [
        owned(ratchet('1/4in')),
        owned(socket('1/4in', '10'), { count: 2 }),
        owned(combinationSpanner('10'), { mass: 300 }),
        owned(adjustable(250, 30, 370)),
        owned(plainBar('1/2in', 380)),
        owned(socket('1/2in', '24')),
        owned(combinationSpanner('24')),
      ],
    };
    const question = { bikeId: uuid(1), tripId: uuid(7) };
    const shares: number[] = [];
    const costs = switchCosts(doc, question, solve, (s) => shares.push(s));
    expect(new Set(costs.map((c) => c.key))).toEqual(new Set(COMPARED));
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    const kit = (change: object) =>
      answerFor({ ...doc, garage: { ...doc.garage, practice: { ...DEFAULT_PRACTICE, ...change } } }, question, solve)
        .kit;
    const now = kit({});
    for (const { key, position, grams, home } of costs) {
      const other = kit({ [key]: position });
      expect(grams).toBeCloseTo(other.mass - now.mass, 6);
      expect(home).toBeCloseTo(other.home - now.home, 12);
    }
    // Without doubles the second socket stays at home.
    const none = costs.find((c) => c.key === 'doubles' && c.position === 'none')!;
    expect(none.grams).toBeLessThan(0);
    expect(costs.every((c) => c.position !== DEFAULT_PRACTICE[c.key])).toBe(true);
  },
  60_000,
);
