import type { Solve } from '../ground/milp.js';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { answerFor } from '../answer/index.js';
import type { GarageDocument } from '../garage/index.js';
import { loadSolver } from '@necessaire/solver';
import { newSupply, type Supply } from '../repairs/supplies/index.js';
import { brakeHose } from '../testing/supplies.js';
import { uuid } from '../testing/make.js';
import { alwaysPacked } from './always.js';

let solve: Solve;
let plain: ReturnType<typeof kitOf>;
beforeAll(async () => {
  solve = await loadSolver();
  plain = kitOf(demo);
});
const demo = demoGarage();
const [bike] = demo.bikes as [GarageDocument['bikes'][number]];
const asked = { bikeId: bike.id, tripId: demo.trips[0]!.id, today: null };
const kitOf = (doc: GarageDocument) => answerFor(doc, asked, solve).kit;
const marked = (fields: Partial<Supply>): GarageDocument => ({
  ...demo,
  kinds: [brakeHose],
  supplies: [
    ...demo.supplies,
    newSupply({ id: uuid(901), kind: 'brake hose', quantity: 2, mark: 'always', ...fields }),
  ],
});

describe('spares that are always packed', () => {
  test('a spare that mends nothing is carried for its grams, told among the spares, and stowed', () => {
    const doc = marked({ fits: '' });
    const answer = answerFor(doc, asked, solve);
    const spare = answer.kit.spares.find((s) => s.kind === 'brake hose')!;
    expect(spare).toMatchObject({ quantity: 2, always: 2, fitted: 0, mass: 280, hours: 0, name: 'brake hose' });
    expect(answer.kit.mass).toBeCloseTo(plain.mass + 280, 6);
    expect(answer.kit.saved).toBeCloseTo(plain.saved, 9);
    expect(answer.kit.pieces.some((p) => p.piece.id === uuid(901))).toBe(false);
    expect(answer.packing.stowed.some((s) => s.item.key === 'supply brake hose')).toBe(true);
  });
  test('what is useful too is used: it saves its hours, and costs no more than its grams', () => {
    const tube = { ...newSupply({ id: uuid(902), kind: 'front tube', quantity: 1, mark: 'always' as const }) };
    const kit = kitOf({ ...demo, supplies: [...demo.supplies, tube] });
    const spare = kit.spares.find((s) => s.kind === 'front tube')!;
    expect(spare.always).toBe(1);
    expect(spare.quantity).toBeGreaterThanOrEqual(1);
    expect(kit.saved).toBeGreaterThan(plain.saved);
    expect(spare.for.map((f) => f.trouble).join()).toMatch(/tube torn beyond patching/);
    expect(kit.mass).toBeLessThanOrEqual(plain.mass + 750 + 1e-6);
  });
  test('spent, past its date, for another bike or on the bike: not packed', () => {
    const packed = (fields: Partial<Supply>) => alwaysPacked(marked(fields), bike, '2026-11-29').length;
    expect([
      packed({}),
      packed({ condition: 'spent' }),
      packed({ quantity: 0 }),
      packed({ fittedOn: bike.id }),
    ]).toEqual([1, 0, 0, 0]);
    expect(packed({ kind: 'patch', bought: '2019-01-01' })).toBe(0);
    expect(packed({ kind: 'front tube', fits: '120/90-18' })).toBe(0);
  });
  test('what stays at home is in no kit, and the ways that use it say why', () => {
    const doc = {
      ...demo,
      supplies: demo.supplies.map((s) => (s.kind === 'cable tie' ? { ...s, mark: 'never' as const } : s)),
    };
    const kit = kitOf(doc);
    expect(kit.spares.some((s) => s.kind === 'cable tie')).toBe(false);
    const { name } = plain.spares.find((s) => s.kind === 'cable tie')!;
    expect(kit.mends.flatMap((m) => m.others.flatMap((o) => o.why))).toContainEqual({
      code: 'lack.stays-home',
      spare: name,
    });
  });
});
