import { DEFAULT_PRACTICE, positionsOf, type Practice } from '../toolbox/practice.js';
import type { Solve } from '../ground/milp.js';
import { long } from '../testing/long.js';
import { THOROUGH } from '../testing/thorough.js';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { newBike, type Fastener } from '../bike/index.js';
import { answerFor } from '../answer/index.js';
import { looksOf, proposal } from '../bike/walk/index.js';
import { ChainFinder, cureOf, reachOf, reachWithOffer } from '../toolbox/chains/index.js';
import { emptyDocument, type GarageDocument } from '../garage/index.js';
import { fastener, owned, uuid } from '../testing/make.js';
import {
  bitHolder,
  catalogue,
  combinationSpanner,
  driverHandle,
  functional,
  newPiece,
  offeredPieces,
  setModels,
  usablePieces,
  type Piece,
} from '../toolbox/tools/index.js';
import { exposuresIn } from '../trip/odds/index.js';
import { newLeg, newTrip } from '../trip/index.js';
import { buyList, type BuyList } from './buyList.js';
import { functionNeeds } from './needs.js';
import { ownSets } from './ownSets.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

const ONE = { bikeId: uuid(1), tripId: null };
const nm = (value: number) => ({ value, source: 'manual' as const });
const hex = (size: string, extra: Partial<Fastener> = {}) =>
  fastener({ head: { form: 'hex', size }, torque: nm(8), ...extra });
const garage = (fasteners: Fastener[], pieces: Piece[] = []): GarageDocument => ({
  ...emptyDocument({ name: 'Test', practice: { ...DEFAULT_PRACTICE, quality: 'good' } }),
  bikes: [newBike(uuid(1), 'One'), newBike(uuid(2), 'Two')],
  fasteners,
  pieces,
});

describe('what to buy', () => {
  test('for mass one gap is cured with the lightest way there is, which the cure outweighs only to hold the head better', () => {
    const bolt = hex('13');
    const list = buyList(garage([bolt]), ONE, 'mass');
    const offered = catalogue().map((m, i) => newPiece(m, { id: `o${i}`, count: 2 }));
    const cure = cureOf(bolt, [], offered, DEFAULT_PRACTICE)!;
    const [lightest] = reachWithOffer(bolt, [], offered, DEFAULT_PRACTICE, (p) => p.mass);
    expect(list).toMatchObject({ sets: [], hopeless: [], proven: true });
    expect(list.mass).toBe(lightest!.reduce((s, p) => s + p.mass, 0));
    expect(list.mass).toBeLessThan(Math.round(cure.mass));
    expect(cure.chains[0]!.links.at(-1)!.mode.grip).not.toBe('open');
  });
  test('for money a set wins as soon as enough of its pieces are missing, and what is left is told', () => {
    const sizes = ['10', '15', '20', '25', '27', '30', '40'];
    const handle = [owned(driverHandle('1/4in')), owned(bitHolder('1/4in'))];
    const gaps = sizes.map((size) => fastener({ head: { form: 'lobe-pin', size }, torque: nm(1) }));
    const one = buyList(garage(gaps.slice(0, 1), handle), ONE, 'money');
    expect(one.sets).toEqual([]);
    expect(one.singles.map((s) => s.piece.name)).toEqual(['Bit pinned T10']);
    const some = buyList(garage(gaps.slice(0, 6), handle), ONE, 'money');
    const all = buyList(garage(gaps, handle), ONE, 'money');
    const singly = gaps.length * one.price;
    expect(all.price).toBeLessThan(singly);
    expect(all.sets.map((s) => s.set.name)).toEqual(['Bits, pinned six-lobe, seven']);
    expect(all.sets[0]!.left).toEqual([]);
    expect(all.cures).toHaveLength(7);
    // With one head fewer the set may still be the cheaper; then its odd piece is left over.
    expect(some.price).toBeLessThanOrEqual(6 * one.price);
    if (some.sets.length > 0) expect(some.sets[0]!.left).toEqual(['Bit pinned T40']);
    const catalogued = new Map(catalogue().map((m) => [m.name, m.mass]));
    for (const list of [one, some, all]) {
      const sum = (of: (p: Piece) => number) => list.singles.reduce((s, x) => s + x.count * of(x.piece), 0);
      const used = list.sets.flatMap((x) => x.used).reduce((s, name) => s + catalogued.get(name)!, 0);
      expect(list.price).toBeCloseTo(sum((p) => p.price) + list.sets.reduce((s, x) => s + x.set.price, 0), 1);
      expect(list.mass).toBe(Math.round(sum((p) => p.mass) + used));
      expect(list.proven).toBe(true);
    }
    for (const row of all.sets) expect([...row.used, ...row.left].sort()).toEqual([...row.set.holds].sort());
  });
  long(
    'every list, bought and put in the toolbox, reaches every gap that it says it cures',
    () => {
      const demo = demoGarage('lightest');
      const bike = newBike(uuid(1), 'One');
      const walked: GarageDocument = {
        ...garage(looksOf(bike).map((l, i) => proposal(l, bike, uuid(300 + i)))),
        pieces: [],
      };
      const thinned = { ...demo, pieces: demo.pieces.filter((_, i) => i % 3 !== 0) };
      const qualities = positionsOf('quality');
      for (const base of [walked, thinned])
        for (const quality of THOROUGH ? qualities : [qualities[base === walked ? 0 : qualities.length - 1]!])
          for (const least of ['money', 'mass'] as const) {
            // Each quality once for money; for grams where a toolbox is there already.
            if ((least === 'mass') === (base === walked)) continue;
            const doc = { ...base, garage: { ...base.garage, practice: { ...DEFAULT_PRACTICE, quality } } };
            const bikeId = doc.bikes[0]!.id;
            const list = buyList(doc, { bikeId, tripId: null }, least);
            expect(list.cures.length).toBeGreaterThan(3);
            const bought = [
              ...list.singles.map((s, i) => ({ ...s.piece, id: uuid(8000 + i), count: s.count })),
              ...list.sets.flatMap(({ set }, k) =>
                setModels(set).map((m, i) => newPiece(m, { id: uuid(9000 + 100 * k + i) })),
              ),
            ];
            // As the screen does it: through the document, and judged as every drawer is.
            const after = { ...doc, pieces: [...doc.pieces, ...bought] };
            const finder = new ChainFinder(usablePieces(after.pieces, bikeId), doc.garage.practice);
            for (const f of list.cures)
              expect([quality, least, f.name, reachOf(f, finder).best.length > 0]).toEqual([
                quality,
                least,
                f.name,
                true,
              ]);
            const spent = bought.reduce((s, p) => s + (p.set ? 0 : p.price * p.count), 0);
            if (list.sets.length === 0) expect(list.price).toBeCloseTo(spent, 1);
          }
      expect(buyList(thinned, { bikeId: demo.bikes[0]!.id, tripId: null }, 'money').price).toBeLessThanOrEqual(
        buyList(thinned, { bikeId: demo.bikes[0]!.id, tripId: null }, 'mass').price + 1e-9,
      );
    },
    120_000,
  );
  test('what a trip’s troubles ask for and the toolbox does not do is on the list, the cheapest that does it', () => {
    const doc = demoGarage('lightest');
    const pieces = doc.pieces.filter((p) => !p.functions.includes('inflate') && !p.functions.includes('lever tyre'));
    const asked = { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id };
    const now = buyList({ ...doc, pieces }, asked, 'money');
    const needs = answerFor({ ...doc, pieces }, asked, solve).kit.missing;
    expect(now.functions).toEqual(needs);
    expect(needs.length).toBeGreaterThan(0);
    for (const { does, count } of needs) {
      const able = now.singles.filter((s) => s.piece.functions.includes(does));
      expect(able.reduce((n, s) => n + s.count, 0)).toBeGreaterThanOrEqual(count);
    }
  });
  test('quality by torque: cheap where a cheap one bears it, good where it does not', () => {
    const list = (torque: number, quality: Practice['quality']) => {
      const doc = garage([hex('19', { torque: nm(torque) })]);
      return buyList({ ...doc, garage: { ...doc.garage, practice: { ...DEFAULT_PRACTICE, quality } } }, ONE, 'money');
    };
    const names = (l: BuyList) => l.singles.map((s) => s.piece.quality);
    expect(names(list(20, 'by-torque'))).toEqual(['cheap']);
    expect(names(list(20, 'good'))).toEqual(['good']);
    const cheap = list(20, 'cheap').singles[0]!.piece;
    // A torque between what its cheap and its good make bear asks for the good one, or for something stouter.
    const heavy = list(Math.max(...cheap.modes.map((m) => m.bears)) * 0.9, 'by-torque');
    for (const { piece } of heavy.singles)
      expect(Math.max(...piece.modes.map((m) => m.bears))).toBeGreaterThan(
        Math.max(...cheap.modes.map((m) => m.bears)) * 0.9,
      );
    expect(list(20, 'by-torque').price).toBeLessThan(list(20, 'good').price);
  });
  test('another bike that the purchase helps is named; nothing missing, nothing to buy', () => {
    const mine = hex('13');
    const theirs = hex('13', { id: uuid(77), bikeId: uuid(2), name: 'Their bolt' });
    const list = buyList(garage([mine, theirs]), ONE, 'money');
    expect(list.forOthers).toEqual([{ bike: 'Two', fasteners: ['Their bolt'] }]);
    const none = buyList(garage([mine], [owned(combinationSpanner('13'))]), ONE, 'money');
    expect(none).toMatchObject({ singles: [], sets: [], price: 0, mass: 0, cures: [] });
  });
  test('another bike is helped at heads that its own tools do not turn and the purchase does, no others', () => {
    const mine = hex('13');
    const two = (name: string, size: string, more: Partial<Fastener> = {}) =>
      hex(size, { bikeId: uuid(2), name, ...more });
    const theirs = [two('Helped', '13'), two('Left out', '13', { leftOut: 'workshop' }), two('Still out', '22')];
    const others = (pieces: Piece[], fasteners = [mine, ...theirs]) =>
      buyList(garage(fasteners, pieces), ONE, 'mass').forOthers;
    expect(others([])).toEqual([{ bike: 'Two', fasteners: ['Helped'] }]);
    // A spanner of theirs that stays at home turns nothing on the way; one that comes along does.
    const spanner = (more: Partial<Piece>) => owned(combinationSpanner('13'), { onlyBike: uuid(2), ...more });
    expect(others([spanner({ mark: 'never' })])).toEqual([{ bike: 'Two', fasteners: ['Helped'] }]);
    expect(others([spanner({})])).toEqual([]);
    expect(others([], [mine, theirs[2]!])).toEqual([]);
    // Nothing bought helps nobody.
    expect(others([owned(combinationSpanner('13'), { onlyBike: uuid(1) })])).toEqual([]);
  });
  test('what is marked to stay at home leaves its gap', () => {
    const bolt = hex('13');
    const list = buyList(garage([bolt], [owned(combinationSpanner('13'), { mark: 'never' })]), ONE, 'mass');
    expect(list.cures).toEqual([bolt]);
    expect(list.singles).toHaveLength(1);
    const odd = hex('13', { leftOut: 'workshop' });
    expect(buyList(garage([odd, hex('13', { bikeId: uuid(2) })]), ONE, 'mass')).toMatchObject({
      cures: [],
      singles: [],
    });
  });
  test('a head that nothing turns is hopeless, and none of its money is asked for', () => {
    const list = buyList(garage([hex('63')]), ONE, 'money');
    expect(list.hopeless.map((f) => f.head.size)).toEqual(['63']);
    expect(list).toMatchObject({ cures: [], singles: [], price: 0, proven: true });
  });
  describe('of what the trip’s troubles ask for', () => {
    const trip = {
      ...newTrip(uuid(7), 'Trip'),
      legs: [{ ...newLeg(uuid(8), 'a'), days: 9, km: { paved: 0, gravel: 0, track: 900 } }],
    };
    const asked = { bikeId: uuid(1), tripId: uuid(7) };
    const withPieces = (pieces: Piece[]) => ({ ...garage([], pieces), trips: [trip] });
    const all = functionNeeds(exposuresIn(withPieces([]), asked));
    const offered = offeredPieces('good');
    const doer = (does: readonly (typeof all)[number][]) =>
      owned(
        functional(
          'Does it all',
          does.map((f) => f.does),
          900,
          [10, 10, 10],
          0,
        ),
        { count: 9 },
      );
    test('all is there: nothing to buy', () => {
      expect(all.length).toBeGreaterThan(5);
      expect(buyList(withPieces([doer(all)]), asked, 'money')).toMatchObject({ functions: [], singles: [], price: 0 });
    });
    test.each(['money', 'mass'] as const)('one is missing: the least %s that does it as often as is asked', (least) => {
      const of = (p: Piece) => (least === 'money' ? p.price : p.mass);
      for (const need of all) {
        const rest = doer(all.filter((f) => f !== need));
        const able = offered.filter((p) => p.functions.includes(need.does)).sort((a, b) => of(a) - of(b));
        const list = buyList(withPieces([rest]), asked, least);
        expect(list.functions).toEqual([need]);
        if (able.length === 0) continue;
        // Copies of the least, as far as there are so many of one kind.
        const copies = able.flatMap((p) => Array.from({ length: p.count }, () => of(p)));
        const sum = copies.slice(0, need.count).reduce((s, x) => s + x, 0);
        const bought = list.singles.reduce((s, x) => s + x.count * of(x.piece), 0);
        if (list.sets.length === 0) expect([need.does, bought]).toEqual([need.does, expect.closeTo(sum, 6)]);
        expect(list.proven).toBe(true);
      }
    });
    test('what is there counts: only the rest of it is bought', () => {
      const many = all.find((f) => f.count > 1)!;
      const rest = doer(all.filter((f) => f !== many));
      const one = owned(functional('One', [many.does], 10, [10, 10, 10], 0));
      const list = buyList(withPieces([rest, one]), asked, 'money');
      expect(list.functions).toEqual([{ does: many.does, count: many.count - 1 }]);
      expect(list.singles.reduce((n, s) => n + s.count, 0)).toBe(many.count - 1);
      // What stays at home does nothing on the way.
      const never = buyList(withPieces([rest, { ...one, mark: 'never' }]), asked, 'money');
      expect(never.functions).toEqual([many]);
    });
  });
});

test('the maker’s kit against what the lightest kit takes of it', () => {
  const doc = demoGarage('lightest');
  const kit = answerFor(doc, { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id }, solve).kit;
  const [set] = ownSets(doc.pieces, kit);
  expect(set!.name).toBe('Maker’s kit, one cylinder');
  expect(set!.taken.length + set!.left.length).toBe(set!.pieces.length);
  expect(set!.taken.every((p) => kit.pieces.some((k) => k.piece.id === p.id))).toBe(true);
  expect(set!.mass - set!.freedMass).toBeCloseTo(
    set!.taken.reduce((s, p) => s + p.mass * p.count, 0),
    9,
  );
  expect(set!.pieces.every((p) => p.price === 0)).toBe(true);
});
