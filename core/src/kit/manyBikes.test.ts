import type { Solve } from '../ground/milp.js';
import { beforeAll, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { DEFAULT_PRACTICE } from '../toolbox/practice.js';
import { answerFor } from '../answer/index.js';
import { newBike } from '../bike/index.js';
import { emptyDocument } from '../garage/index.js';
import { fastener, owned, uuid } from '../testing/make.js';
import { combinationSpanner, functional, type Piece } from '../toolbox/tools/index.js';
import { manyBikes, type Carried } from './manyBikes.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});
const counts = (list: readonly Carried[]) => new Map(list.map((c) => [c.piece.id, c.count]));
const mass = (list: readonly Carried[]) => list.reduce((s, c) => s + c.piece.mass * c.count, 0);

test('each bike’s set is its own lightest; core and difference make it up; moves lead from one to the other', () => {
  const demo = demoGarage('lightest');
  const tripId = demo.trips[0]!.id;
  const many = manyBikes(demo, tripId, solve);
  expect(many.bikes).toHaveLength(2);
  for (const set of many.bikes) {
    expect(set.mass).toBeCloseTo(many.coreMass + set.extraMass, 6);
    const whole = counts(many.core);
    for (const c of set.extra) whole.set(c.piece.id, (whole.get(c.piece.id) ?? 0) + c.count);
    expect(whole).toEqual(counts(set.carried));
  }
  const [a, b] = many.bikes as [(typeof many.bikes)[0], (typeof many.bikes)[0]];
  const move = many.moves.find((m) => m.from === a.bike.name && m.to === b.bike.name)!;
  const after = counts(a.carried);
  for (const c of move.takeOut) after.set(c.piece.id, after.get(c.piece.id)! - c.count);
  for (const c of move.putIn) after.set(c.piece.id, (after.get(c.piece.id) ?? 0) + c.count);
  expect(new Map([...after].filter(([, n]) => n > 0))).toEqual(counts(b.carried));
});

test('without a trip each bike’s set is what the kit of that bike alone weighs', () => {
  // With a trip a kit may carry a heavier tool that spares it a spare.
  const demo = demoGarage('lightest');
  const many = manyBikes(demo, null, solve);
  for (const set of many.bikes)
    expect(set.mass).toBeCloseTo(answerFor(demo, { bikeId: set.bike.id, tripId: null }, solve).kit.toolMass, 6);
});

test('one set for all is no lighter than any bike’s, and no heavier than all of them laid together', () => {
  const demo = demoGarage('lightest');
  const many = manyBikes(demo, null, solve);
  const most = Math.max(...many.bikes.map((b) => b.mass));
  expect(many.oneMass).toBeGreaterThanOrEqual(most - 1e-6);
  const together = new Map<string, Carried>();
  for (const set of many.bikes)
    for (const c of set.carried) if ((together.get(c.piece.id)?.count ?? 0) < c.count) together.set(c.piece.id, c);
  expect(many.oneMass).toBeLessThanOrEqual(mass([...together.values()]) + 1e-6);
  expect(mass(many.one)).toBeCloseTo(many.oneMass, 9);
});

test('a piece for one bike alone is in no core and not in the one set', () => {
  const demo = demoGarage('lightest');
  const [first] = manyBikes(demo, null, solve).core;
  const doc = {
    ...demo,
    pieces: demo.pieces.map((p) => (p.id === first!.piece.id ? { ...p, onlyBike: demo.bikes[0]!.id } : p)),
  };
  const many = manyBikes(doc, null, solve);
  expect(many.core.some((c) => c.piece.id === first!.piece.id)).toBe(false);
  expect(many.one.some((c) => c.piece.id === first!.piece.id)).toBe(false);
});

test('two bikes with one head in common: what moves, and what one set for both takes', () => {
  const hex = (size: string, bikeId: string) =>
    fastener({ head: { form: 'hex', size }, bikeId, torque: { value: 8, source: 'manual' } });
  const spanner = (size: string, more: Partial<Piece> = {}) => owned(combinationSpanner(size), more);
  const [ten, thirteen, fourteen] = [spanner('10'), spanner('13'), spanner('14', { onlyBike: uuid(2) })];
  const doc = {
    ...emptyDocument({
      name: 'Test',
      practice: { ...DEFAULT_PRACTICE, from: 'catalogue' as const, others: 'any' as const },
    }),
    bikes: [newBike(uuid(1), 'One'), newBike(uuid(2), 'Two')],
    fasteners: [hex('10', uuid(1)), hex('13', uuid(1)), hex('10', uuid(2)), hex('14', uuid(2))],
    pieces: [ten, thirteen, fourteen],
  };
  const many = manyBikes(doc, null, solve);
  const names = (list: readonly Carried[]) => list.map((c) => `${c.piece.name} ×${c.count}`);
  expect(names(many.core)).toEqual([`${ten.name} ×1`]);
  expect(many.coreMass).toBe(ten.mass);
  expect(many.bikes.map((b) => [b.bike.name, names(b.extra), b.mass, b.extraMass, b.proven])).toEqual([
    ['One', [`${thirteen.name} ×1`], ten.mass + thirteen.mass, thirteen.mass, true],
    ['Two', [`${fourteen.name} ×1`], ten.mass + fourteen.mass, fourteen.mass, true],
  ]);
  expect(many.moves.map((m) => [m.from, m.to, names(m.takeOut), names(m.putIn)])).toEqual([
    ['One', 'Two', [`${thirteen.name} ×1`], [`${fourteen.name} ×1`]],
    ['Two', 'One', [`${fourteen.name} ×1`], [`${thirteen.name} ×1`]],
  ]);
  // What belongs to one bike is not in the set for both, so that its head stays out of reach there.
  expect(names(many.one)).toEqual([`${ten.name} ×1`, `${thirteen.name} ×1`]);
  expect(many.oneMass).toBe(ten.mass + thirteen.mass);
  const none = manyBikes({ ...doc, bikes: [], fasteners: [] }, null, solve);
  expect(none).toMatchObject({ core: [], coreMass: 0, bikes: [], moves: [], one: [], oneMass: 0 });
});

test('two copies on one bike and one on the other: one is shared, one moves', () => {
  const lever = owned(functional('Lever', ['lever tyre'], 90, [200, 20, 10], 5), { count: 3, mark: 'twice' });
  const only = owned(functional('Lamp', ['light'], 40, [50, 20, 10], 5), { mark: 'always', onlyBike: uuid(1) });
  const doc = {
    ...emptyDocument({ name: 'Test', practice: DEFAULT_PRACTICE }),
    bikes: [newBike(uuid(1), 'One'), newBike(uuid(2), 'Two')],
    pieces: [lever, only],
  };
  const many = manyBikes(doc, null, solve);
  expect(many.core.map((c) => [c.piece.name, c.count])).toEqual([['Lever', 2]]);
  expect(many.coreMass).toBe(180);
  expect(many.bikes.map((b) => b.mass)).toEqual([220, 180]);
  expect(many.moves.map((m) => [m.takeOut.length, m.putIn.length])).toEqual([
    [1, 0],
    [0, 1],
  ]);
});
