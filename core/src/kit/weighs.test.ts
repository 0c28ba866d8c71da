import { long } from '../testing/long.js';
import { DEFAULT_PRACTICE } from '../toolbox/practice.js';
import type { Solve } from '../ground/milp.js';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { answerFor } from '../answer/index.js';
import { newBike, type Fastener } from '../bike/index.js';
import { emptyDocument, type GarageDocument } from '../garage/index.js';
import { fastener, owned, uuid } from '../testing/make.js';
import { combinationSpanner, ringSpanner, type Piece } from '../toolbox/tools/index.js';
import { canBeSwapped, whatWeighs } from './weighs.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});
const nm = (value: number) => ({ value, source: 'manual' as const });
const hex = (size: string, name: string): Fastener => fastener({ head: { form: 'hex', size }, name, torque: nm(10) });
const garage = (fasteners: Fastener[], pieces: Piece[]): GarageDocument => ({
  ...emptyDocument({ name: 'Test', practice: DEFAULT_PRACTICE }),
  bikes: [newBike(uuid(1), 'Test')],
  fasteners,
  pieces,
});
const question = { bikeId: uuid(1), tripId: null };

test('heads that come with their part, and jobs whose part is made for one place, are not swapped', () => {
  const of = (form: Fastener['head']['form'], role: Fastener['role'] = null) =>
    canBeSwapped({ head: { form, size: '10' }, role });
  expect((['plug', 'spoke', 'valve', 'clip', 'hook'] as const).map((form) => of(form))).toEqual(Array(5).fill(false));
  expect((['hex', 'key', 'lobe', 'ph'] as const).map((form) => of(form))).toEqual(Array(4).fill(true));
  const own = [
    'front axle',
    'rear axle',
    'steering',
    'brake union',
    'brake pads',
    'plug',
    'spoke',
    'valve core',
  ] as const;
  expect(own.map((role) => of('hex', role))).toEqual(own.map(() => false));
  const rest = ['oil drain', 'oil filter', 'battery'] as const;
  expect(rest.map((role) => of('hex', role))).toEqual(rest.map(() => false));
  expect(of('hex', 'exhaust fixing')).toBe(true);
});

describe('where the weight is', () => {
  test('a head that holds a spanner alone frees just that spanner', () => {
    const s10 = owned(combinationSpanner('10'));
    const s14 = owned(combinationSpanner('14'));
    const odd = hex('14', 'Odd one');
    const { mass, swaps } = whatWeighs(garage([hex('10', 'A'), hex('10', 'B'), odd], [s10, s14]), question, solve);
    expect(mass).toBe(s10.mass + s14.mass);
    expect(swaps).toHaveLength(1);
    expect(swaps[0]).toMatchObject({ fastener: odd, grams: s14.mass, leaves: [s14.name], comes: [] });
    expect(swaps[0]!.euros).toBeCloseTo(s14.price, 9);
  });
  test('what a mark costs: the grams that leave with it', () => {
    const needed = owned(combinationSpanner('10'));
    const loved = owned(ringSpanner('12', '13'), { mark: 'always' });
    const light = owned(ringSpanner('8', '10'), { mark: 'never', mass: 5 });
    const { marks } = whatWeighs(garage([hex('10', 'A')], [needed, loved, light]), question, solve);
    expect(marks.map((m) => [m.piece.id, m.grams])).toEqual([
      [loved.id, loved.mass],
      [light.id, needed.mass - 5],
    ]);
  });
  test('the purchase that drops the most weight is found, and it does just that', () => {
    const heavy = [owned(combinationSpanner('12')), owned(combinationSpanner('13'))];
    const doc = garage([hex('12', 'A'), hex('13', 'B')], heavy);
    const { purchases, mass, solved, candidates } = whatWeighs(doc, question, solve);
    expect(solved).toBeGreaterThan(0);
    expect(candidates).toBeGreaterThanOrEqual(solved);
    const top = purchases[0]!;
    expect(top.grams).toBeGreaterThan(0);
    const bought = garage(doc.fasteners, [...heavy, owned(top.model)]);
    expect(mass - whatWeighs(bought, question, solve).mass).toBeCloseTo(top.grams, 6);
    for (const p of purchases) expect(p.grams).toBeLessThanOrEqual(top.grams);
  });
  long('on the demo: each swap is the difference of two whole answers', () => {
    const whole = demoGarage('lightest');
    const ofBike = whole.fasteners.filter((f) => f.bikeId === whole.bikes[1]!.id);
    const demo = { ...whole, fasteners: ofBike.filter((_, i) => i % 3 === 0) };
    const asked = { bikeId: demo.bikes[1]!.id, tripId: demo.trips[0]!.id };
    const shares: number[] = [];
    const weighs = whatWeighs(demo, asked, solve, (s) => shares.push(s));
    const toolMass = (doc: GarageDocument) => answerFor(doc, asked, solve).kit.toolMass;
    expect(weighs.mass).toBeCloseTo(toolMass(demo), 6);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(weighs.swaps.length).toBeGreaterThanOrEqual(3);
    for (const swap of weighs.swaps)
      expect([swap.fastener.name, canBeSwapped(swap.fastener)]).toEqual([swap.fastener.name, true]);
    for (const swap of weighs.swaps.slice(0, 3)) {
      const without = { ...demo, fasteners: demo.fasteners.filter((f) => f.id !== swap.fastener.id) };
      expect(weighs.mass - toolMass(without)).toBeCloseTo(swap.grams, 6);
    }
    const top = weighs.purchases[0];
    if (top) expect(top.grams).toBeGreaterThan(0);
  });
});
