import { describe, expect, test } from '@jest/globals';
import { newBike, newFastener } from '../../bike/index.js';
import { emptyDocument, type GarageDocument } from '../../garage/index.js';
import { newSupply, supplyKind } from '../../repairs/supplies/index.js';
import { owned, uuid } from '../../testing/make.js';
import { combinationSpanner, functional } from '../../toolbox/tools/index.js';
import { newLeg, newTrip } from '../../trip/index.js';
import { exposuresIn } from '../../trip/odds/index.js';
import { kitCase } from '../toolCase.js';
import { preventionOf, type KitProblem } from './kitProblem.js';
import { worthOf } from './tools.js';
import { priceOfGram } from './worth.js';

const bike = { ...newBike(uuid(1), 'One'), tyres: 'tubed' as const };
const head = (n: number, size: string, given: Partial<GarageDocument['fasteners'][number]> = {}) =>
  newFastener({
    id: uuid(n),
    bikeId: bike.id,
    head: { form: 'hex', size },
    name: `Bolt ${n}`,
    condition: 'clean',
    ...given,
  });
const doc: GarageDocument = {
  ...emptyDocument({ name: 'Small' }),
  bikes: [bike],
  fasteners: [
    head(10, '27', { role: 'rear axle', thread: 'M16' }),
    head(11, '24', { role: 'front axle', thread: 'M16' }),
    head(12, '10', { thread: 'M6', count: 3 }),
    head(13, '8', { thread: 'M5', count: 1 }),
    head(14, '13', { thread: 'M8', shakesLoose: true }),
  ],
  pieces: [
    owned(combinationSpanner('27')),
    owned(combinationSpanner('24')),
    owned(combinationSpanner('10')),
    owned(combinationSpanner('13')),
    owned(functional('Tyre lever', ['lever tyre'], 80, [200, 20, 10], 5), { count: 2 }),
    owned(functional('Brush', ['brush'], 10, [100, 10, 10], 1)),
    owned(functional('Pump', ['inflate', 'hand air'], 150, [200, 30, 30], 15)),
  ],
  trips: [
    {
      ...newTrip(uuid(4), 'Trip'),
      companions: 0,
      legs: [{ ...newLeg(uuid(5), 'Leg'), km: { paved: 0, gravel: 1000, track: 0 } }],
    },
  ],
};
const question = { bikeId: bike.id, tripId: uuid(4), today: null };
const problemOf = (d: GarageDocument) => kitCase(d, question).problem;
const askOf = (d: GarageDocument, key: string) => {
  const { problem } = { problem: problemOf(d) };
  const ask = problem.asks.find((a) => a.key === `${bike.id} ${key}`)!;
  return { ask, problem, labels: (way: number) => ask.ways[way]!.requires.map((n) => problem.requirements[n]!.label) };
};
const patch = 'Patch the tube';

describe('what a way asks of a kit', () => {
  test('heads of its jobs, functions, and what it uses up', () => {
    const { ask, labels } = askOf(doc, 'puncture-tube');
    const k = ask.ways.findIndex((w) => w.way.name === patch);
    expect(labels(k).sort()).toEqual(['Bolt 10', 'Bolt 11', 'inflate', 'lever tyre']);
    const way = ask.ways[k]!;
    expect(way.supplies).toEqual([{ kind: 'patch', units: 2, grams: 6 }]);
    expect(way.mass).toBe(2 * supplyKind('patch').mass);
    expect(way.requires).toEqual([...new Set(way.requires)].sort((a, b) => a - b));
    expect([ask.must, ask.barred.some((b) => b.way.name === patch)]).toEqual([null, false]);
    // As often as the trip says; later mends are asked for less.
    const exposure = exposuresIn(doc, question).find((e) => e.trouble.id === 'puncture-tube')!;
    expect(ask.law.mean).toBeCloseTo(exposure.law.mean, 12);
    expect(ask.tails[0]).toBeCloseTo(1 - Math.exp(-ask.law.mean), 6);
    expect(ask.tails.reduce((a, b) => a + b, ask.rest)).toBeCloseTo(ask.law.mean, 6);
    for (let j = 1; j < ask.tails.length; j++) expect(ask.tails[j]!).toBeLessThan(ask.tails[j - 1]!);
  });
  const whyNot = (d: GarageDocument) =>
    askOf(d, 'puncture-tube').ask.barred.find((b) => b.way.name === patch) ?? { why: [], lacks: [] };
  test('what stands in its way is said: no such head, none reached, no tool, a spare that stays at home', () => {
    const without = (n: number): GarageDocument => ({
      ...doc,
      fasteners: doc.fasteners.filter((f) => f.id !== uuid(n)),
    });
    expect(whyNot(without(10)).why).toEqual([{ code: 'lack.unmarked', role: 'rear axle' }]);
    expect(whyNot({ ...doc, pieces: doc.pieces.filter((p) => !p.name.includes('24')) }).why).toEqual([
      { code: 'lack.out-of-reach', what: 'front axle' },
    ]);
    const oneLever = doc.pieces.map((p) => (p.name === 'Tyre lever' ? { ...p, count: 1 } : p));
    expect(whyNot({ ...doc, pieces: oneLever })).toMatchObject({
      why: [{ code: 'lack.tools', does: 'lever tyre', count: 2 }],
      lacks: [{ does: 'lever tyre', count: 2 }],
    });
    const never = [newSupply({ id: uuid(30), kind: 'patch', quantity: 4, mark: 'never' })];
    expect(whyNot({ ...doc, supplies: never }).why).toEqual([{ code: 'lack.stays-home', spare: 'Tube patches' }]);
    // Where some of the kind stay at home and others do not, it is packed.
    const some = [...never, newSupply({ id: uuid(31), kind: 'patch', quantity: 4 })];
    expect(whyNot({ ...doc, supplies: some }).why).toEqual([]);
    expect(whyNot(doc).why).toEqual([]);
  });
});

describe('lost and loose fasteners', () => {
  const mean = (id: string) => exposuresIn(doc, question).find((e) => e.trouble.id === id)!.law.mean;
  const asks = (d: GarageDocument, id: string) => problemOf(d).asks.filter((a) => a.key.startsWith(`${bike.id} ${id}`));
  test('lost ones are split by thread, as many as there are of each; what shakes loose counts five times', () => {
    const all = asks(doc, 'fastener-lost');
    expect(all.map((a) => a.key.split(' ').at(-1)).sort()).toEqual(['M5', 'M6', 'M8']);
    // 3 of M6, 1 of M5, 1 of M8 that counts five times; axles are critical, and not among them.
    const share = (t: string) => all.find((a) => a.key.endsWith(t))!.law.mean / mean('fastener-lost');
    expect([share('M6'), share('M5'), share('M8')].map((x) => Math.round(x * 9 * 1e6) / 1e6)).toEqual([3, 1, 5]);
  });
  test('a bolt of its thread goes in with any head of it that is turned, and not at all where none is', () => {
    const bolt = (thread: string) => {
      const { ask, labels } = askOf(doc, `fastener-lost ${thread}`);
      const k = ask.ways.findIndex((w) => w.supplies.some((s) => s.kind.startsWith('bolt')));
      return { ask, kinds: ask.ways[k]?.supplies.map((s) => s.kind), labels: k < 0 ? [] : labels(k) };
    };
    expect(bolt('M6')).toMatchObject({ kinds: ['bolt M6'], labels: ['brush', 'Bolt 12'] });
    const five = bolt('M5');
    expect(five.kinds).toBeUndefined();
    expect(five.ask.barred.find((b) => b.way.name === 'New bolt of its thread')!.why).toEqual([
      { code: 'lack.head-out-of-reach' },
    ]);
    // Ties need no head.
    expect(five.ask.ways.map((w) => w.way.name)).toContain('Ties in its place');
  });
  test('those found loose need their own head’s tools; where nothing turns it, nothing tightens it', () => {
    const all = asks(doc, 'fastener-loose');
    const none = all.find((a) => a.key.endsWith('none'))!;
    expect([none.ways, none.must]).toEqual([[], null]);
    expect(none.barred.length).toBeGreaterThan(0);
    for (const b of none.barred) expect(b.why).toEqual([{ code: 'lack.head-out-of-reach' }]);
    const total = all.reduce((s, a) => s + a.law.mean, 0);
    expect(total).toBeCloseTo(mean('fastener-loose'), 9);
    for (const a of all.filter((x) => x !== none)) for (const w of a.ways) expect(w.requires.length).toBeGreaterThan(0);
  });
});

describe('what is demanded', () => {
  const musts = (list: GarageDocument['trips'][number]['kit']['musts']): GarageDocument => ({
    ...doc,
    trips: doc.trips.map((t) => ({ ...t, kit: { ...t.kit, musts: list } })),
  });
  test('a head to turn is a requirement of every kit, or it is said why not', () => {
    const axle = problemOf(musts([{ by: 'turn', role: 'rear axle' }]));
    expect(axle.required.map((n) => axle.requirements[n]!.label)).toEqual(['Bolt 10']);
    expect(axle.unmet).toEqual([]);
    expect(problemOf(musts([{ by: 'turn', role: 'sprocket' }])).unmet).toEqual([
      { code: 'lack.unmarked', role: 'sprocket' },
    ]);
    const less = { ...musts([{ by: 'turn', role: 'rear axle' }]), pieces: doc.pieces.slice(1) };
    expect(problemOf(less)).toMatchObject({ required: [], unmet: [{ code: 'lack.out-of-reach', what: 'Bolt 10' }] });
  });
  test('a repair is carried at its grade, or it is said why not', () => {
    const must = [{ by: 'repair' as const, trouble: 'puncture-tube', grade: 'proper' as const }];
    expect(askOf(musts(must), 'puncture-tube').ask.must).toBe('proper');
    const few = { ...musts(must), pieces: doc.pieces.slice(0, 4) };
    const { ask, problem } = askOf(few, 'puncture-tube');
    expect(ask.must).toBeNull();
    expect(problem.unmet).toMatchObject([{ code: 'lack.repair', name: ask.name }]);
  });
  test('pieces that are marked are in every kit, in as many copies as the mark asks for', () => {
    const marked = doc.pieces.map((p, i) => ({
      ...p,
      mark: i === 4 ? ('twice' as const) : i === 0 ? ('always' as const) : null,
    }));
    const problem = problemOf({ ...doc, pieces: marked });
    const by = problem.marked.map((job) => problem.pieces[problem.items.owner[job[0]![0]!]!]!.name).sort();
    expect(by).toEqual(['Combination spanner 27', 'Tyre lever', 'Tyre lever']);
  });
  test('a spare that sits on the bike is one problem’s, and weighs nothing', () => {
    const fitted = [newSupply({ id: uuid(40), kind: 'front tube', quantity: 1, fittedOn: bike.id })];
    const problem = problemOf({ ...doc, supplies: fitted });
    expect(problem.fitted.get(bike.id)!.get('front tube')).toBe(1);
    for (const list of [problem.asks, ...problem.others.map((o) => o.asks)])
      expect(list.reduce((s, a) => s + (a.fitted.get('front tube') ?? 0), 0)).toBeLessThanOrEqual(1);
    expect(problem.asks.some((a) => a.fitted.get('front tube') === 1)).toBe(true);
  });
});

describe('what counts of a bike and a question', () => {
  test('measures: those done and those that are asked for, none that is only possible or is fitted from new', () => {
    const ids = (given: Partial<typeof bike>, also: string[] = []) =>
      preventionOf({ ...bike, ...given }, also).map((p) => p.id);
    const [done, may] = [
      { id: 'levers-turn', state: 'done' as const },
      { id: 'hand-guards', state: 'may' as const },
    ];
    expect(ids({})).toEqual([]);
    expect(ids({ prevention: [done, may] })).toEqual(['levers-turn']);
    expect(ids({ prevention: [may] }, ['hand-guards'])).toEqual(['hand-guards']);
    expect(ids({ prevention: [{ ...may, state: 'done' }], fitted: ['hand guards'] }, ['hand-guards'])).toEqual([]);
    expect(ids({}, ['nothing known'])).toEqual([]);
  });
  test('worth: euros of the copies that are carried', () => {
    const pieces = [owned(combinationSpanner('10'), { price: 3 }), owned(combinationSpanner('13'), { price: 5 })];
    expect(worthOf({ pieces } as unknown as KitProblem, [2, 1])).toBe(11);
    expect(worthOf({ pieces } as unknown as KitProblem, [0, 0])).toBe(0);
  });
  test('price of a gram: minutes for each 100 g, in hours or in their money', () => {
    const price = (value: 'hours' | 'money', hourEuros: number) =>
      priceOfGram({ question: { knee: 1.2, value, hourEuros } });
    expect(price('hours', 20)).toBeCloseTo(1.2 / 60 / 100, 15);
    expect(price('money', 20)).toBeCloseTo((1.2 / 60 / 100) * 20, 15);
    // Time that costs nothing still keeps a gram from being free.
    expect(price('money', 0)).toBeCloseTo((1.2 / 60 / 100) * 0.01, 15);
  });
});
