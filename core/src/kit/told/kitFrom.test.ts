import { describe, expect, test } from '@jest/globals';
import { DEFAULT_PRACTICE } from '../../toolbox/practice.js';
import { ChainFinder, reachOf } from '../../toolbox/chains/index.js';
import { coverProblem } from '../../toolbox/cover/index.js';
import { catalogue, combinationSpanner, functional, type PieceFunction } from '../../toolbox/tools/index.js';
import { KNOWN, supplyKind } from '../../repairs/supplies/index.js';
import { PREVENTIONS, TROUBLES, way, type Grade, type Trouble, type Way } from '../../repairs/index.js';
import { countCdf, poisson } from '../../trip/odds/index.js';
import { certain } from '../../trip/odds/exposure.js';
import { newKitQuestion } from '../../trip/index.js';
import { fastener, owned, uuid } from '../../testing/make.js';
import type { Contents } from '../done.js';
import type { KitFacts } from '../kit.js';
import type { LackFact } from '../lacks.js';
import { Items, setsOfTask } from '../optimum/items.js';
import { tailsOf, type Ask, type AskWay, type KitProblem } from '../optimum/kitProblem.js';
import { kitFrom } from './kitFrom.js';

const tool = (name: string, does: PieceFunction[], mass: number, more: object = {}) =>
  owned(functional(name, does, mass, [100, 40, 30], 20), more);
const pump = tool('Pump', ['inflate'], 130);
const levers = tool('Lever', ['lever tyre'], 140, { count: 2 });
const pliers = tool('Pliers', ['grip'], 180);
const spanner = owned(combinationSpanner('27'), { mass: 300, price: 15 });
const other = owned(combinationSpanner('27'), { mass: 310, price: 15, name: 'Other 27' });
const pieces = [pump, levers, pliers, spanner, other];
const axle = fastener({
  ...{ id: uuid(70), bikeId: uuid(1), name: 'Axle Nut', station: 'rear-wheel' as const },
  ...{ head: { form: 'hex' as const, size: '27' }, torque: { value: 60, source: 'manual' as const } },
});
const reaches = [reachOf(axle, new ChainFinder(pieces, DEFAULT_PRACTICE))];
const items = new Items(pieces);
const task = coverProblem(reaches, pieces).tasks[0]!;

const wayOf = (name: string, grade: Grade, more: Partial<AskWay> = {}, of: Partial<Way> = {}): AskWay => ({
  ...{ way: { ...way(name, grade, 0, 1, ['Do it']), ...of }, grade, requires: [], supplies: [] },
  ...{ mass: 0, gain: 1, hours: 1, time: 0.5 },
  ...more,
});
const uses = (kind: string, units: number) => [{ kind, units, grams: supplyKind(kind).mass }];
const ask = (trouble: Partial<Trouble>, mean: number, ways: AskWay[], more: Partial<Ask> = {}): Ask => {
  const of = { ...TROUBLES[0]!, ...trouble };
  const law = poisson(mean);
  return {
    ...{ key: of.id, name: of.name, bikeId: uuid(1), law, ...tailsOf(law), ways },
    exposure: {
      ...certain(of, mean, { code: 'count.due', services: [] }),
      ...{ law, odds: 1 - Math.exp(-mean), atStake: mean * 6 },
    },
    ...{ barred: [], fitted: new Map(), must: null },
    ...more,
  };
};
const PATCH = wayOf(
  'Patch',
  'proper',
  { requires: [0, 1, 2], supplies: uses('patch', 2), gain: 10, hours: 5 },
  { holds: 0.9 },
);
const FLAT = wayOf('Ride on the flat', 'limp');
const JUMP: { way: Way; why: LackFact[]; lacks: { does: PieceFunction; count: number }[] } = {
  way: way('Jump it', 'proper', 10, 1, ['Do it']),
  why: [{ code: 'lack.tools', does: 'jump-start', count: 2 }],
  lacks: [{ does: 'jump-start', count: 2 }],
};
const BULB = wayOf('New bulb', 'proper', { supplies: uses('fuse', 1), gain: 2, hours: 2 });
const puncture = () => ask({ id: 'puncture', name: 'Puncture', stops: true }, 0.4, [FLAT, PATCH]);
const battery = () => ask({ id: 'battery', name: 'Battery flat', stops: true }, 0.1, [], { barred: [JUMP] });
const bulb = () =>
  ask({ id: 'bulb', name: 'Dead lamp', stops: false }, 0.2, [BULB], { fitted: new Map([['fuse', 1]]) });

const problemOf = (more: Partial<KitProblem> = {}): KitProblem => ({
  tools: {
    ...{ reaches, pieces, functions: [], choices: [], losable: () => true },
    ...{ practice: DEFAULT_PRACTICE, offered: new Set<string>() },
  },
  ...{ pieces, items },
  requirements: [
    { label: 'inflate', by: { does: 'inflate', count: 1 }, sets: [[items.item(0, 0)]], loose: false },
    {
      ...{ label: 'lever tyre', by: { does: 'lever tyre' as const, count: 2 }, loose: false },
      sets: [[items.item(1, 0), items.item(1, 1)]],
    },
    {
      ...{ label: 'Axle Nut', by: { head: task, fasteners: task.fasteners, any: false }, loose: false },
      sets: setsOfTask(task, items)!,
    },
  ],
  asks: [puncture(), battery(), bulb()],
  ...{ marked: [], required: [], unmet: [{ code: 'lack.grade' as const }], others: [], slack: 0, slackMass: 0 },
  fitted: new Map([[uuid(1), new Map([['fuse', 1]])]]),
  ...{ book: KNOWN, always: [], practice: DEFAULT_PRACTICE, prevention: [] },
  question: { ...newKitQuestion(), service: 0.9, likely: 0.02, grade: 'ride-out' },
  ...more,
});
const twice = [
  { ask: 0, mend: 0, way: 1 },
  { ask: 0, mend: 1, way: 1 },
];
const contents = (counts: number[], stocked: Contents['stocked'] = twice): Contents => ({ counts, stocked });
const facts = (more: Partial<KitFacts> = {}): KitFacts => ({
  ...{ as: 'lightest', proven: true, gap: 0, served: true, owned: new Map([['patch', 3]]) },
  ...more,
});
const FULL = [1, 2, 0, 1, 0];
const kitOf = (counts = FULL, more: Partial<KitProblem> = {}, with_: Partial<KitFacts> = {}, stocked = twice) =>
  kitFrom(problemOf(more), contents(counts, stocked), facts(with_));
const full = kitOf();
const [t1, t2] = puncture().tails as [number, number];
/** What two patched punctures save beyond riding on the flat. */
const patched = 4 * (t1 + t2);
const flat = 0.4;

describe('what a kit does against each trouble', () => {
  const [a, b, c] = full.mends;
  test('mends, the best way, and how often they suffice', () => {
    expect(a).toMatchObject({
      ...{ key: 'puncture', troubleId: 'puncture', name: 'Puncture', bikeId: uuid(1), ask: 0 },
      ...{ way: 1, wayName: 'Patch', grade: 'proper', mends: 2, lacks: [], below: false },
      ...{ covered: countCdf(2, poisson(0.4)), hoursSaved: expect.closeTo(patched + flat, 9) },
      // Six hours each are at stake, five of them can be saved: the stake counts.
      hoursLeft: expect.closeTo(0.4 * 6 - patched - flat, 9),
    });
    expect(a!.ways).toEqual([
      { name: 'Patch', hours: 0.5, worth: 1, supplies: uses('patch', 2), holds: 0.9, home: true },
      { name: 'Ride on the flat', hours: 0.5, worth: 0.4, supplies: [], holds: 1, home: false },
    ]);
    expect(a!.others).toEqual([]);
  });
  test('what cannot be had says why, and is below what was asked', () => {
    expect(b).toMatchObject({
      ...{ way: null, wayName: '', grade: null, mends: 0, below: true, covered: Math.exp(-0.1) },
      ...{ lacks: JUMP.why, ways: [], others: [{ name: 'Jump it', why: JUMP.why }] },
      ...{ hoursSaved: 0, hoursLeft: expect.closeTo(0.6, 9) },
    });
    expect(full.missing).toEqual([{ does: 'jump-start', count: 2 }]);
    // Only the lightest kit promises a grade.
    expect(kitOf(FULL, {}, { as: 'worth' }).mends[1]).toMatchObject({ below: false });
  });
  test('what sits on the bike is used once and weighs nothing', () => {
    expect(c).toMatchObject({ mends: 1, grade: 'proper', covered: countCdf(1, poisson(0.2)), below: false });
    expect(c!.hoursSaved).toBeCloseTo(2 * bulb().tails[0]!, 9);
    expect(full.spares.find((s) => s.kind === 'fuse')).toMatchObject({
      ...{ quantity: 1, fitted: 1, mass: 0, buy: 0, for: [{ troubleId: 'bulb', mends: 1, units: 1, mean: 0.2 }] },
    });
  });
  test('without a lever, the axle’s spanner or patches the next best way is left, and says what it lacks', () => {
    const lacking = (counts: number[], stocked = twice) => {
      const [m] = kitOf(counts, {}, {}, stocked).mends;
      expect(m).toMatchObject({ wayName: 'Ride on the flat', grade: 'limp', mends: 0, below: true, lacks: [] });
      expect(m!.hoursSaved).toBeCloseTo(flat, 9);
      expect(m!.others[0]).toMatchObject({ name: 'Patch' });
      return m!.others[0]!.why;
    };
    const left = { code: 'lack.left-at-home', tools: [], spares: [] };
    const lever = { code: 'lack.tools', does: 'lever tyre', count: 2 };
    expect(lacking([1, 1, 0, 1, 0])).toEqual([{ ...left, tools: [lever] }]);
    expect(lacking([1, 2, 0, 0, 0])).toEqual([{ ...left, tools: [{ code: 'lack.tools-for', head: 'Axle Nut' }] }]);
    expect(lacking(FULL, [])).toEqual([{ ...left, spares: [supplyKind('patch').name] }]);
  });
  test('in all: hours, value, and home by own means over what ends the ride', () => {
    expect(full.saved).toBeCloseTo(patched + flat + c!.hoursSaved, 9);
    expect(full.value).toBeCloseTo(9 * (t1 + t2) + flat + 2 * bulb().tails[0]!, 9);
    expect(full.atStake).toBeCloseTo(a!.hoursLeft + b!.hoursLeft + c!.hoursLeft, 9);
    expect(full.home).toBeCloseTo(a!.covered * b!.covered, 9);
  });
});

describe('why each piece is in a kit', () => {
  const piece = (kit: typeof full, id: string) => kit.pieces.find((p) => p.piece.id === id)!;
  const trouble = { id: 'puncture', name: 'Puncture' };
  test('by what it does, what it turns, and the hours that hang on one copy of it', () => {
    expect(full.pieces.map((p) => [p.piece.name, p.count])).toEqual([
      ['Pump', 1],
      ['Lever', 2],
      [spanner.name, 1],
    ]);
    for (const id of [pump.id, levers.id])
      expect(piece(full, id)).toMatchObject({ serves: [trouble], turnsFor: [], needed: [], neededBy: [], uses: 0.4 });
    expect(piece(full, spanner.id)).toMatchObject({
      ...{ serves: [], turnsFor: [trouble], needed: [axle.id], standsInFor: [], uses: 0.4 },
      neededBy: [{ id: axle.id, name: 'axle nut', bikeId: uuid(1), station: 'rear-wheel', heads: [axle.head] }],
    });
    for (const p of full.pieces) {
      expect(p.hours).toBeCloseTo(patched, 9);
      expect(p.without).toEqual([
        {
          ...{ trouble: 'Puncture', way: 'Patch', instead: 'Ride on the flat', grade: 'limp' },
          hours: expect.closeTo(patched, 9),
        },
      ]);
    }
  });
  test('where nothing else does it, no way is left', () => {
    const only = kitOf(FULL, { asks: [{ ...puncture(), ways: [{ ...PATCH }] }] }, {}, [{ ask: 0, mend: 0, way: 0 }]);
    expect(piece(only, pump.id).without).toMatchObject([{ instead: null, grade: null }]);
  });
  test('what nothing asks for is there for no hours, and is told', () => {
    expect(piece(kitOf([1, 2, 1, 1, 0]), pliers.id)).toMatchObject({
      ...{ serves: [], turnsFor: [], hours: 0, without: [], uses: 0, standsInFor: [], lighter: null },
    });
  });
  test('one of two that turn the same stands in for the other, should it be lost', () => {
    const both = kitOf([1, 2, 0, 1, 1]);
    expect(piece(both, spanner.id)).toMatchObject({ needed: [], hours: 0, standsInFor: [other.name] });
    expect(piece(both, other.id)).toMatchObject({ needed: [], hours: 0, standsInFor: [spanner.name] });
    const problem = problemOf();
    const kept = kitFrom(
      { ...problem, tools: { ...problem.tools, losable: () => false } },
      contents([1, 2, 0, 1, 1]),
      facts(),
    );
    expect(piece(kept, other.id).standsInFor).toEqual([]);
  });
  test('a lighter one is named where it saves a hundred grams, and never for what is to be bought', () => {
    const light = catalogue()
      .filter((m) => m.functions.includes('inflate'))
      .reduce((x, y) => (y.mass < x.mass ? y : x));
    const with_ = (mass: number, offered: string[] = []) => {
      const list = [{ ...pump, mass }, ...pieces.slice(1)];
      const problem = problemOf({ pieces: list });
      const tools = { ...problem.tools, pieces: list, offered: new Set(offered) };
      return piece(kitFrom({ ...problem, tools }, contents(FULL), facts()), pump.id);
    };
    expect(with_(light.mass + 100)).toMatchObject({
      ...{ toBuy: false, lighter: { name: light.name, mass: light.mass, price: light.price, saves: 100 } },
    });
    expect(with_(light.mass + 99).lighter).toBeNull();
    expect(with_(light.mass + 500, [pump.id])).toMatchObject({ toBuy: true, lighter: null });
  });
});

describe('the spares of a kit', () => {
  const patch = supplyKind('patch');
  const spare = (kit: typeof full, kind = 'patch') => kit.spares.find((s) => s.kind === kind)!;
  test('how many, what for, how often they suffice, what is owned and what is to be bought', () => {
    expect(spare(full)).toMatchObject({
      ...{ of: patch, name: patch.name, unit: patch.unit, quantity: 4, fitted: 0, always: 0, owned: 3, buy: 1 },
      ...{ mass: 4 * patch.mass, enough: countCdf(2, poisson(0.4)), expected: expect.closeTo(0.8, 9) },
      for: [{ troubleId: 'puncture', trouble: 'Puncture', mends: 2, units: 2, mean: 0.4 }],
      hours: expect.closeTo(patched, 9),
    });
    expect(full.spares.map((s) => s.kind)).toEqual(['patch', 'fuse']);
  });
  test('two troubles share a stock: what each saves counts, and both have to suffice', () => {
    const leak = ask({ id: 'leak', name: 'Slow leak' }, 0.3, [
      wayOf('Patch it', 'proper', { supplies: uses('patch', 1) }),
    ]);
    const kit = kitOf(FULL, { asks: [puncture(), leak] }, {}, [...twice, { ask: 1, mend: 0, way: 0 }]);
    expect(spare(kit)).toMatchObject({
      ...{ quantity: 5, buy: 2, enough: countCdf(2, poisson(0.4)) * countCdf(1, poisson(0.3)) },
      ...{ expected: expect.closeTo(0.4 * 2 + 0.3, 9), hours: expect.closeTo(patched + leak.tails[0]!, 9) },
    });
  });
  test('what is always packed is packed whatever it is used for, and no piece of the kit', () => {
    const stash = owned(functional('Patches', [], 60, [50, 50, 10], 3));
    const list = [...pieces, stash];
    const always = { always: [{ piece: 5, kind: 'patch', units: 6 }], pieces: list, items: new Items(list) };
    const fitted = new Map([[uuid(1), new Map([['patch', 6]])]]);
    const kit = kitOf([...FULL, 1], { ...always, fitted });
    expect(kit.pieces.some((p) => p.piece.id === stash.id)).toBe(false);
    expect(spare(kit)).toMatchObject({ quantity: 6, always: 6, fitted: 0, mass: 6 * patch.mass, buy: 3 });
    const idle = kitOf([...FULL, 1], { ...always, fitted, asks: [battery()] }, {}, []);
    expect(spare(idle)).toMatchObject({ quantity: 6, always: 6, fitted: 0, for: [], enough: 1, expected: 0, hours: 0 });
  });
  test('a kept kit has what its list says, used or not', () => {
    const kept = kitOf(FULL, {}, { as: 'kept', keptName: 'Old', supplies: new Map([['patch', 5]]) });
    expect(kept).toMatchObject({ as: 'kept', keptName: 'Old' });
    expect(spare(kept)).toMatchObject({ quantity: 5, mass: 5 * patch.mass });
    const few = kitOf(FULL, {}, { as: 'kept', supplies: new Map([['patch', 1]]) }, []);
    expect(few.mends[0]!.others[0]!.why).toEqual([{ code: 'lack.left-at-home', tools: [], spares: [patch.name] }]);
  });
});

describe('sums of a kit', () => {
  test('grams, millilitres and euros', () => {
    const patch = supplyKind('patch');
    const [sealant] = PREVENTIONS.filter((p) => p.mass > 0);
    const kit = kitOf(FULL, { prevention: [sealant!] });
    const tools = 130 + 2 * 140 + 300;
    expect(kit).toMatchObject({ toolMass: tools, spareMass: 4 * patch.mass, preventionMass: sealant!.mass });
    expect(kit.mass).toBeCloseTo(tools + 4 * patch.mass + sealant!.mass, 9);
    expect(kit.worth).toBe(20 + 2 * 20 + 15);
    expect(kit.price).toBeCloseTo(75 + 4 * patch.price, 9);
    const box = (s: { length: number; width: number; height: number }) => (s.length * s.width * s.height) / 1000;
    expect(kit.bulk).toBeCloseTo((3 * 120 + box(spanner.size) + 4 * box(patch.size)) / 0.65, 6);
    expect(kit.prevention).toEqual([sealant]);
  });
  test('what it reaches, whether it keeps to the rider’s limit, and how it was found', () => {
    expect(full).toMatchObject({ reached: [axle.id], withinWorth: true, proven: true, gap: 0, served: true });
    expect(full).toMatchObject({ as: 'lightest', keptName: null, unmet: [{ code: 'lack.grade' }] });
    expect(kitOf([1, 2, 0, 0, 0]).reached).toEqual([]);
    const limited = { practice: { ...DEFAULT_PRACTICE, worth: 74 } };
    expect(kitOf(FULL, limited)).toMatchObject({ withinWorth: false });
    expect(kitOf(FULL, {}, { proven: false, gap: 0.2, served: false })).toMatchObject({
      ...{ proven: false, gap: 0.2, served: false },
    });
  });
  test('what is missing is counted beyond what the toolbox has, marked ones of it left out', () => {
    const missing = (more: object) => {
      const list = [{ ...pump, functions: ['inflate' as const, 'jump-start' as const], ...more }, ...pieces.slice(1)];
      return kitOf(FULL, { pieces: list }).missing;
    };
    expect(missing({})).toEqual([{ does: 'jump-start', count: 1 }]);
    expect(missing({ mark: 'never' })).toEqual([{ does: 'jump-start', count: 2 }]);
    const many = {
      ...JUMP,
      lacks: [
        { does: 'tow' as const, count: 1 },
        { does: 'jump-start' as const, count: 3 },
      ],
    };
    const asks = [{ ...battery(), barred: [JUMP, many] }];
    expect(kitOf(FULL, { asks }, {}, []).missing).toEqual([
      { does: 'jump-start', count: 3 },
      { does: 'tow', count: 1 },
    ]);
    // What is not likely enough is not asked for.
    const question = { ...problemOf().question, likely: 0.5 };
    expect(kitOf(FULL, { asks, question }, {}, []).missing).toEqual([]);
  });
});
