import { long } from '../testing/long.js';
import { THOROUGH } from '../testing/thorough.js';
import { positionsOf, type Practice } from '../toolbox/practice.js';
import type { Solve } from '../ground/milp.js';
import fc from 'fast-check';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { answerFor, type Answer } from '../answer/index.js';
import { newBike, ROLES, type Bike } from '../bike/index.js';
import type { GarageDocument } from '../garage/index.js';
import { hasTraits, TROUBLES } from '../repairs/index.js';
import { meansOf, simulate } from './simulation/index.js';
import { newSupply, supplyKind } from '../repairs/supplies/index.js';
import { fastener, owned, uuid } from '../testing/make.js';
import { smallGarage } from '../testing/smallGarage.js';
import { catalogue, combinationSpanner, newPiece } from '../toolbox/tools/index.js';
import { newLeg, newTrip, type KitQuestion } from '../trip/index.js';
import { keptOf } from './keeping.js';
import { wayMet } from './needMet.js';
import { contentsOfKept } from './choose.js';
import { kitCase, toolsFrom } from './toolCase.js';
import { pointOf } from './points.js';
import { canBeSwapped } from './weighs.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});
const demo = THOROUGH ? demoGarage() : smallGarage(demoGarage());
const [bike] = demo.bikes as [Bike];
const ask = (doc: GarageDocument, kit: Partial<KitQuestion>): GarageDocument => ({
  ...doc,
  trips: doc.trips.map((t) => ({ ...t, kit: { ...t.kit, ...kit } })),
});
const practised = (doc: GarageDocument, practice: Partial<Practice>): GarageDocument => ({
  ...doc,
  garage: { ...doc.garage, practice: { ...doc.garage.practice, ...practice } },
});
const answer = (doc: GarageDocument): Answer =>
  answerFor(doc, { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id }, solve);

describe('a way is there or it is not', () => {
  long(
    'what the kit goes lacks nothing, what it lacks it does not go: one function says both',
    () => {
      fc.assert(
        fc.property(
          fc.constantFrom<KitQuestion['ask']>('worth', 'lightest', 'most'),
          fc.integer({ min: 100, max: 4000 }),
          fc.constantFrom(...positionsOf('air')),
          fc.constantFrom(...positionsOf('levers')),
          fc.constantFrom(...positionsOf('reamer')),
          (how, mass, air, levers, reamer) => {
            const doc = practised(ask(demo, { ask: how, mass }), { air, levers, reamer });
            const a = answer(doc);
            const having = {
              kit: a.kit,
              chains: a.kitChains,
              fasteners: doc.fasteners.filter((f) => f.bikeId === bike.id),
              practice: doc.garage.practice,
            };
            for (const t of TROUBLES) {
              const mends = a.kit.mends.filter((m) => m.troubleId === t.id && m.bikeId === bike.id);
              // Troubles in parts hang on a head each, which their steps do not name.
              if (mends.length !== 1) continue;
              for (const w of t.ways.filter((x) => hasTraits(x.only, bike))) {
                const goes = mends[0]!.ways.some((x) => x.name === w.name);
                const other = mends[0]!.others.find((x) => x.name === w.name);
                expect([t.id, w.name, goes]).toEqual([t.id, w.name, other === undefined]);
                if (goes) expect([t.id, w.name, wayMet(w, having, bike)]).toEqual([t.id, w.name, true]);
                else {
                  expect(other!.why.length).toBeGreaterThan(0);
                  const [left] = other!.why;
                  if (left?.code !== 'lack.left-at-home') continue;
                  expect([t.id, w.name, wayMet(w, having, bike)]).toEqual([t.id, w.name, false]);
                  expect(left.tools.length + left.spares.length).toBeGreaterThan(0);
                }
              }
            }
          },
        ),
        { numRuns: 3, endOnFailure: true },
      );
    },
    120_000,
  );
});

describe('a kept kit speaks for itself', () => {
  const full = answer(demo);
  const empty = {
    ...keptOf(full.kit, {
      id: uuid(900),
      name: 'Habit',
      bikeId: bike.id,
      tripId: null,
      made: '2026-05-01T10:00:00.000Z',
      chosen: full.chosen,
    }),
    pieces: [],
    supplies: [],
  };
  test('with nothing in it reaches nothing and mends only what needs nothing', () => {
    const a = answer(ask({ ...demo, kits: [empty] }, { use: empty.id }));
    expect(a.kit).toMatchObject({ as: 'kept', keptName: 'Habit', reached: [], mass: 0 });
    expect(a.kitChains).toEqual({});
    expect(a.reached).toBe(full.reached);
    expect(a.kit.home).toBeLessThan(full.kit.home);
    for (const m of a.kit.mends)
      for (const w of m.ways) expect(w.supplies.every((s) => a.kit.spares.some((x) => x.kind === s.kind))).toBe(true);
  });
  test('is the same wherever it is asked about, and the same as itself', () => {
    const kept = keptOf(full.kit, {
      id: uuid(901),
      name: 'All',
      bikeId: bike.id,
      tripId: null,
      made: '2026-05-01T10:00:00.000Z',
      chosen: full.chosen,
    });
    const doc = ask({ ...demo, kits: [kept] }, { use: kept.id });
    const a = answer(doc);
    const { problem } = kitCase(doc, { bikeId: bike.id, tripId: demo.trips[0]!.id });
    const point = pointOf(problem, contentsOfKept(problem, kept), 0);
    expect(point.reached).toBe(a.kit.reached.length);
    expect(point.home).toBeCloseTo(a.kit.home, 9);
    expect(point.hours).toBeCloseTo(a.kit.saved, 9);
    expect(a.kit.reached.length).toBe(full.kit.reached.length);
    expect(a.kit.mass).toBeCloseTo(full.kit.mass, 6);
    expect(a.kit.saved).toBeCloseTo(full.kit.saved, 6);
  });
});

describe('what sits on the bike already', () => {
  // With all tools, so that wheels come out.
  const all: GarageDocument = { ...demo, pieces: demoGarage().pieces };
  const fitted = (kind: string, quantity: number): GarageDocument => ({
    ...all,
    supplies: [
      ...demo.supplies.filter((s) => s.kind !== kind),
      newSupply({ id: uuid(950), kind, quantity, fittedOn: bike.id }),
    ],
  });
  long.each(['wire', 'front tube'])(
    '%s is one stock, however many troubles draw on it',
    (kind) => {
      let seen = 0;
      for (const how of ['lightest', 'worth'] as const)
        for (const n of how === 'worth' ? [4] : [1]) {
          const without = answer(
            ask({ ...all, supplies: all.supplies.filter((s) => s.kind !== kind) }, { ask: how, likely: 0.01 }),
          );
          const with_ = answer(ask(fitted(kind, n), { ask: how, likely: 0.01 }));
          const spare = with_.kit.spares.find((s) => s.kind === kind);
          if (!spare) continue;
          seen++;
          expect(spare.fitted).toBeLessThanOrEqual(n);
          expect(spare.quantity).toBe(spare.for.reduce((s, f) => s + f.mends * f.units, 0));
          expect(spare.mass).toBeCloseTo((spare.quantity - spare.fitted) * supplyKind(kind).mass, 6);
          expect(spare.buy).toBe(Math.max(0, spare.quantity - spare.fitted));
          // What is there already saves its own grams at most.
          if (how === 'lightest')
            expect(with_.kit.mass).toBeGreaterThanOrEqual(without.kit.mass - n * supplyKind(kind).mass - 1e-6);
          expect(with_.kit.mass).toBeLessThanOrEqual(without.kit.mass + (how === 'worth' ? 600 : 1e-6));
        }
      expect(seen).toBe(2);
    },
    60_000,
  );
  long('whoever rides counts it too, and never gets home oftener than the sums say', () => {
    const a = answer(ask(fitted('front tube', 1), { ask: 'lightest', likely: 0.02 }));
    const [ridden] = simulate(demo.trips[0]!, a.ridden, [meansOf('kit', a.kit)], 20_000, 7, true);
    expect(ridden!.home).toBeLessThanOrEqual(1);
    // Each stock set aside trouble by trouble is a floor: the simulation shares it, and so lies at or above, within its own error.
    expect(ridden!.home).toBeGreaterThanOrEqual(a.kit.home - 5 * ridden!.homeError);
    const alone = answer(ask({ ...all, supplies: [] }, { ask: 'lightest', likely: 0.02 }));
    expect(a.kit.spares.reduce((s, x) => s + x.quantity, 0)).toBeGreaterThanOrEqual(
      alone.kit.spares.reduce((s, x) => s + x.quantity, 0) - 1,
    );
  });
});

describe('how a repair ends', () => {
  const alone: GarageDocument = {
    ...demo,
    trips: [
      {
        ...newTrip(uuid(800), 'Far'),
        companions: 0,
        legs: [
          {
            ...newLeg(uuid(801), 'a'),
            helpKm: 46,
            workshopKm: 120,
            signal: false,
            km: { paved: 300, gravel: 300, track: 100 },
          },
        ],
      },
    ],
  };
  const way = (a: Answer, trouble: string, name: string) =>
    a.kit.mends.find((m) => m.troubleId === trouble && m.bikeId === bike.id)!.ways.find((w) => w.name === name);
  test('a flat tyre ridden over 46 km takes as long as 46 km take', () => {
    const a = answer(alone);
    expect(way(a, 'puncture-tube', 'Ride on the flat, walking pace')!.hours).toBeCloseTo(5 / 60 + 46 / 6, 6);
    const near = answer({
      ...alone,
      trips: alone.trips.map((t) => ({ ...t, legs: t.legs.map((l) => ({ ...l, helpKm: 2 })) })),
    });
    expect(way(near, 'puncture-tube', 'Ride on the flat, walking pace')!.hours).toBeCloseTo(5 / 60 + 2 / 6, 6);
  });
  long(
    'a way that seldom holds counts for little: the spare key before the ride back',
    () => {
      const a = answer(demo);
      for (const m of a.kit.mends)
        for (const w of m.ways) {
          const e = a.exposures.find((x) => x.trouble.id === m.troubleId);
          if (!e || w.holds > 0.5) continue;
          expect(w.holds * w.worth * (e.without - w.hours) - (1 - w.holds) * w.hours).toBeLessThan(
            e.without * w.worth * 0.55,
          );
        }
      const key = answer(ask(demo, { ask: 'most', mass: 4000 })).kit.mends.find(
        (m) => m.troubleId === 'key-lost' || /key/i.test(m.name),
      )!;
      if (key.ways.length > 1) expect(key.ways[0]!.holds).toBeGreaterThanOrEqual(key.ways[1]!.holds);
    },
    60_000,
  );
  test('calling for help is not getting home unaided', () => {
    const a = answer(demo);
    const hurt = a.kit.mends.find((m) => m.troubleId === 'injury-serious')!;
    expect(hurt.ways.every((w) => !w.home)).toBe(true);
    expect(hurt.mends).toBe(0);
  });
  test('alone no leads start a bike; a kick starter does, and a bike that starts by pushing', () => {
    const leads = newPiece(
      catalogue().find((m) => m.name === 'Jump leads, thin')!,
      { id: uuid(960) },
    );
    const roles = ROLES.map((role, i) =>
      fastener({ head: { form: 'hex', size: '10' }, role, bikeId: uuid(1), id: uuid(970 + i) }),
    );
    const at = (given: Partial<Bike>, companions: number) =>
      answer({
        ...alone,
        bikes: [{ ...newBike(uuid(1), 'One'), ...given }],
        fasteners: roles,
        pieces: [owned(combinationSpanner('10')), leads],
        supplies: [],
        places: [],
        trips: alone.trips.map((t) => ({ ...t, companions })),
      }).kit.mends.find((m) => m.troubleId === 'battery')!;
    expect(at({}, 0).grade).toBeNull();
    expect(at({}, 1).ways.map((w) => w.name)).toContain('Jump it from a companion’s bike');
    expect(at({ starter: 'electric and kick' }, 0)).toMatchObject({ grade: 'proper', wayName: 'Kick it over' });
    expect(at({ pushStarts: true }, 0)).toMatchObject({ grade: 'proper', wayName: 'Push it off' });
    expect(at({ starter: 'pull cord' }, 0)).toMatchObject({ grade: 'proper', wayName: 'Pull the cord' });
  });
});

describe('limits and demands', () => {
  /** By day with each second of its tools: a kit under a limit of room or money is a programme of its own, which takes its time. */
  const few = THOROUGH ? demo : { ...demo, pieces: demo.pieces.filter((p, i) => i % 2 === 0 || p.mark !== null) };
  long(
    'what the bag may be worth binds every kit that is made',
    () => {
      for (const how of ['worth', 'lightest', 'most'] as const) {
        const free = answer(ask(few, { ask: how, mass: 2000 })).kit;
        const limit = Math.round(free.worth * 0.6);
        const bound = answer(practised(ask(few, { ask: how, mass: 2000 }), { worth: limit })).kit;
        if (how !== 'lightest') expect([how, bound.worth <= limit]).toEqual([how, true]);
        expect(bound.withinWorth).toBe(bound.worth <= limit + 1e-9);
        // No set that reaches all may be so cheap: then the lightest is said to be above it.
        if (bound.withinWorth)
          expect(bound.pieces.map((p) => p.piece.id)).not.toEqual(free.pieces.map((p) => p.piece.id));
        else expect(how).toBe('lightest');
      }
    },
    120_000,
  );
  long(
    'room and price bind, and the kit under them saves no more than the free one',
    () => {
      const free = answer(ask(few, { ask: 'most', mass: 1500 })).kit;
      const bulk = answer(ask(few, { ask: 'most', mass: 1500, bulk: free.bulk * 0.6 })).kit;
      expect(bulk.bulk).toBeLessThanOrEqual(free.bulk * 0.6 + 1e-6);
      expect(bulk.saved).toBeLessThanOrEqual(free.saved * (1 + free.gap) + 1e-6);
      const price = answer(ask(few, { ask: 'most', mass: 1500, price: free.price * 0.6 })).kit;
      expect(price.price).toBeLessThanOrEqual(free.price * 0.6 + 1e-6);
    },
    120_000,
  );
  long(
    'a demanded repair and demanded heads are in every kit, or it is said why not',
    () => {
      const musts: KitQuestion['musts'] = [
        { by: 'repair', trouble: 'spokes', grade: 'proper' },
        { by: 'turn', role: 'front axle' },
        { by: 'turn', role: 'rear axle' },
      ];
      for (const how of ['worth', 'most', 'lightest'] as const) {
        const { kit } = answer(ask({ ...demo, pieces: demoGarage().pieces }, { ask: how, mass: 3000, musts }));
        expect(kit.unmet).toEqual([]);
        const spokes = kit.mends.find((m) => m.troubleId === 'spokes' && m.bikeId === bike.id)!;
        expect(spokes.ways.some((w) => w.name === 'New spoke, tune by sound')).toBe(true);
        for (const role of ['front axle', 'rear axle'])
          for (const f of demo.fasteners.filter((x) => x.bikeId === bike.id && x.role === role && x.leftOut === null))
            expect(kit.reached).toContain(f.id);
      }
      const one = demo.pieces.filter((p) => p.name === 'Combination spanner 8').slice(0, 1);
      const none = answer(ask({ ...demo, pieces: one }, { musts }));
      expect(none.kit.unmet.length).toBeGreaterThan(0);
      for (const lack of none.kit.unmet) if (lack.code === 'lack.repair') expect(lack.why.length).toBeGreaterThan(0);
      expect(none.kit.unmet.map((l) => l.code)).toContain('lack.repair');
    },
    120_000,
  );
});

describe('an empty toolbox', () => {
  long(
    'shows the best kit that could be bought, which turns every fastener; what is ticked off is owned, the rest stays to be bought',
    () => {
      const few = demo.fasteners.filter((f) => f.bikeId === bike.id && f.leftOut === null).slice(0, THOROUGH ? 12 : 5);
      const doc: GarageDocument = {
        ...ask(demo, { ask: 'lightest', musts: [] }),
        pieces: [],
        supplies: [],
        fasteners: few,
      };
      const { kit, unknown } = answer(doc);
      expect(unknown.mass).toBeNull();
      expect(kit.pieces.length).toBeGreaterThan(2);
      expect(kit.pieces.every((p) => p.toBuy)).toBe(true);
      expect([...kit.reached].sort()).toEqual(few.map((f) => f.id).sort());
      // Pressed “I own it”: the tool goes into the toolbox, and the practice says where the rest comes from.
      const had = kit.pieces[0]!;
      const then = answer({
        ...doc,
        pieces: [{ ...had.piece, id: uuid(990), count: had.count }],
        garage: { ...doc.garage, practice: { ...doc.garage.practice, from: 'toolbox-first' } },
      }).kit;
      expect(then.pieces.find((p) => p.piece.name === had.piece.name)?.toBuy ?? false).toBe(false);
      expect(then.pieces.some((p) => p.toBuy)).toBe(true);
      // Whoever said where tools come from is taken at their word.
      const bought = { ...doc.garage, practice: { ...doc.garage.practice, from: 'catalogue' as const } };
      expect(toolsFrom({ ...doc, garage: bought })).toBe('catalogue');
      expect(toolsFrom(doc)).toBe('toolbox-first');
      expect(toolsFrom({ ...doc, pieces: [had.piece] })).toBe('toolbox');
    },
    120_000,
  );
});

describe('advice', () => {
  test('no plug, spoke or axle is to be swapped for a commoner head', () => {
    const heads = demo.fasteners.filter((f) => f.bikeId === bike.id);
    for (const f of heads) {
      const own =
        ['plug', 'spoke', 'valve', 'clip', 'hook'].includes(f.head.form) || f.role === 'rear axle' || f.role === 'plug';
      if (own) expect([f.name, canBeSwapped(f)]).toEqual([f.name, false]);
    }
    expect(canBeSwapped(fastener({ head: { form: 'hex', size: '11' }, role: 'luggage rack' }))).toBe(true);
  });
  test('what a purchase would save at once is said: a reamer for the drill that the toolbox has', () => {
    const models = ['Powered drill, small', 'Hand pump', 'Combination pliers 160'].map((n) =>
      catalogue().find((m) => m.name === n)!,
    );
    const doc: GarageDocument = {
      ...demo,
      bikes: [{ ...newBike(uuid(1), 'One'), tyres: 'tubeless' }],
      fasteners: [],
      places: [],
      supplies: [],
      pieces: models.map((m, i) => newPiece(m, { id: uuid(980 + i) })),
      trips: demo.trips.map((t) => ({ ...t, kit: { ...t.kit, ask: 'lightest' as const } })),
    };
    const drill = answer(doc).kit.pieces.find((p) => p.piece.name === 'Powered drill, small')!;
    expect(drill.lighter).toMatchObject({ name: 'Hand reamer', mass: 42, saves: 678 });
  });
  test('ring pliers stand in for no multi-tool', () => {
    expect(catalogue().find((m) => m.name.startsWith('Retaining-ring'))!.functions).toEqual(['spread rings']);
  });
});
