import { beforeAll, describe, expect, test } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import { newBike } from '../bike/index.js';
import { ChainFinder, DEFAULT_PRACTICE, reachOf } from '../chains/index.js';
import type { Solve } from '../cover/index.js';
import { expectedMends, exposures, poissonCdf, TROUBLES, type Exposure } from '../odds/index.js';
import { fastener, owned, uuid } from '../testing/make.js';
import { combinationSpanner, functional, ratchet, socket, tyreLever } from '../tools/index.js';
import { newLeg, newTrip } from '../trip/index.js';
import { functionNeeds } from './needs.js';
import { lightestKit, mendOf } from './kit.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});
const exposure = (id: string, lambda: number, without = 10): Exposure => {
  const trouble = TROUBLES.find((t) => t.id === id)!;
  return {
    trouble,
    lambda,
    law: { mean: lambda, shape: null },
    planned: lambda,
    experience: null,
    byLeg: [1],
    odds: 1 - Math.exp(-lambda),
    without,
    atStake: lambda * (without - trouble.mend),
    formula: '',
  };
};
const all = { stock: () => 99, function: () => 9, turns: () => true };

describe('what a kit gives against one trouble', () => {
  test('mends are the least that any stock allows, in whole mends', () => {
    const flat = exposure('puncture-tube', 1.2);
    const m = mendOf(flat, { ...all, stock: () => 5 });
    expect(m.mends).toBe(2);
    expect(m.covered).toBeCloseTo(poissonCdf(2, 1.2), 12);
    expect(m.hoursSaved).toBeCloseTo(expectedMends(2, 1.2) * (10 - flat.trouble.mend), 12);
    expect(m.hoursSaved + m.hoursLeft).toBeCloseTo(flat.atStake, 12);
  });
  test('what is lacking is named, and then there is no mend', () => {
    const flat = exposure('puncture-tube', 1);
    const lacks = (has: Partial<typeof all>) => mendOf(flat, { ...all, ...has });
    expect(lacks({ stock: () => 1 })).toMatchObject({ mends: 0, lacks: ['no tube patches'] });
    expect(lacks({ function: () => 1 }).lacks).toEqual(['2 pieces to lever tyre']);
    expect(lacks({ turns: () => false }).lacks).toEqual(['rear axle is out of reach', 'front axle is out of reach']);
    expect(mendOf(flat, { ...all, turns: () => null }).lacks[0]).toBe('no fastener is marked as rear axle');
    expect(lacks({ function: () => 0 }).hoursSaved).toBe(0);
  });
  test('a mend that uses nothing up may be done as often as it takes', () => {
    expect(mendOf(exposure('battery', 3), all)).toMatchObject({ mends: Infinity, covered: 1, hoursLeft: 0 });
  });
  test('a mend that takes longer than being stranded saves nothing', () => {
    expect(mendOf(exposure('puncture-tube', 1, 0.5), all)).toMatchObject({ hoursSaved: 0, hoursLeft: 0 });
  });
});

describe('functions that troubles ask for', () => {
  test('only from two trips in a hundred, and one pair of levers serves every flat', () => {
    const needs = functionNeeds([
      exposure('puncture-tube', 0.5),
      exposure('tube-torn-front', 0.5),
      exposure('battery', 0.01),
    ]);
    expect(needs).toEqual([
      { does: 'inflate', count: 1 },
      { does: 'lever tyre', count: 2 },
    ]);
  });
});

describe('the lightest kit', () => {
  const bike = newBike(uuid(1), 'Test');
  const trip = {
    ...newTrip(uuid(2), 'Trip'),
    legs: [{ ...newLeg(uuid(3), 'a'), km: { paved: 0, gravel: 0, track: 600 } }],
  };
  const head = { form: 'hex' as const, size: '10' };
  const kitOf = (pieces: ReturnType<typeof owned>[], withTrip = true) => {
    const finder = new ChainFinder(pieces, DEFAULT_PRACTICE);
    const reaches = [reachOf(fastener({ head, torque: { value: 8, source: 'manual' } }), finder)];
    const list = withTrip ? exposures(bike, trip) : [];
    return lightestKit({
      tools: {
        reaches,
        pieces,
        functions: functionNeeds(list),
        losable: () => false,
        practice: DEFAULT_PRACTICE,
        offered: new Set(),
      },
      bikeId: bike.id,
      exposures: list,
      stocks: [],
      owned: new Map(),
      solve,
    });
  };
  test('takes the lighter of two ways, and the function that a trouble asks for', () => {
    const spanner = owned(combinationSpanner('10'));
    const set = [owned(ratchet('1/4in')), owned(socket('1/4in', '10'))];
    const pump = owned(functional('Pump', ['inflate'], 130, [200, 30, 30], 20));
    expect(kitOf([spanner, ...set, pump], false).pieces.map((p) => p.piece.name)).toEqual(['Combination spanner 10']);
    const kit = kitOf([spanner, ...set, pump]);
    expect(kit.pieces.map((p) => p.piece.name)).toEqual(['Combination spanner 10', 'Pump']);
    expect(kit.pieces[1]!.serves).toContain('Puncture, tubed');
    expect(kit.pieces[0]!.needed).toHaveLength(1);
  });
  test('says what nothing in the drawer does', () => {
    const kit = kitOf([owned(combinationSpanner('10')), owned(tyreLever(null, true))]);
    expect(kit.missing).toEqual(
      expect.arrayContaining([
        { does: 'inflate', count: 1 },
        { does: 'lever tyre', count: 1 },
      ]),
    );
  });
  test('a piece marked always comes along and is said to', () => {
    const kit = kitOf(
      [owned(combinationSpanner('10')), owned(functional('Charm', ['light'], 5, [10, 10, 10], 0), { mark: 'always' })],
      false,
    );
    expect(kit.pieces.map((p) => [p.piece.name, p.needed.length])).toEqual([
      ['Combination spanner 10', 1],
      ['Charm', 0],
    ]);
  });
});
