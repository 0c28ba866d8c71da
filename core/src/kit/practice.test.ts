import { DEFAULT_PRACTICE, type Practice } from '../toolbox/practice.js';
import type { Solve } from '../ground/milp.js';
import fc from 'fast-check';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { loadSolver } from '@necessaire/solver';
import { answerFor } from '../answer/index.js';
import { newBike, type Fastener } from '../bike/index.js';
import { ChainFinder, reachOf } from '../toolbox/chains/index.js';
import { coverProblem, lightestSet, reachedBy } from '../toolbox/cover/index.js';
import { emptyDocument, type GarageDocument } from '../garage/index.js';
import { askLightest, fastener, owned, uuid } from '../testing/make.js';
import {
  adapter,
  bit,
  combinationSpanner,
  lKey,
  openSpanner,
  ratchet,
  ringSpanner,
  socket,
  tHandle,
  type Piece,
} from '../toolbox/tools/index.js';
import { newLeg, newTrip } from '../trip/index.js';
import { getsLostOrBreaks } from './doubles.js';
import { toolCase } from './toolCase.js';
import { alternativesOf, markCost } from './weighs.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});
const nm = (value: number) => ({ value, source: 'manual' as const });
const hex = (size: string, more: Partial<Fastener> = {}): Fastener =>
  fastener({ head: { form: 'hex', size }, torque: nm(10), ...more });
const LONG = {
  ...newTrip(uuid(7), 'Long'),
  kit: askLightest(),
  legs: [{ ...newLeg(uuid(8), 'a'), days: 5, km: { paved: 1, gravel: 0, track: 0 } }],
};
const garage = (fasteners: Fastener[], pieces: Piece[], practice: Partial<Practice> = {}): GarageDocument => ({
  ...emptyDocument({ name: 'Test', practice: { ...DEFAULT_PRACTICE, ...practice } }),
  bikes: [newBike(uuid(1), 'Test'), newBike(uuid(2), 'Other')],
  trips: [LONG],
  fasteners,
  pieces,
});
const onTrip = { bikeId: uuid(1), tripId: uuid(7) };
const atHome = { bikeId: uuid(1), tripId: null };
const carried = (doc: GarageDocument, question: { bikeId: string; tripId: string | null } = atHome) =>
  answerFor(doc, question, solve).kit.pieces.map((k) => (k.count > 1 ? `${k.piece.name} ×${k.count}` : k.piece.name));

describe('doubles', () => {
  const small = owned(socket('1/4in', '10'), { count: 2 });
  const set = [owned(ratchet('1/4in')), small];
  test('what gets lost is carried twice on a long trip, not on a short one, not when none are wanted', () => {
    expect(carried(garage([hex('10')], set), onTrip)).toContain('Socket ¼ in, 10 ×2');
    expect(carried(garage([hex('10')], set))).toContain('Socket ¼ in, 10');
    expect(carried(garage([hex('10')], set, { doubles: 'none' }), onTrip)).toContain('Socket ¼ in, 10');
  });
  test('another way to the head is a double as well, and is said to stand in', () => {
    const spanner = owned(combinationSpanner('10'), { mass: 900 });
    const kit = answerFor(garage([hex('10')], [set[0]!, { ...small, count: 1 }, spanner]), onTrip, solve).kit;
    // The spanner alone does: it is not of the kind that gets lost, but the lighter set with the socket needs it too.
    expect(kit.pieces.map((k) => k.piece.id)).toEqual([spanner.id]);
    const light = { ...spanner, mass: 5 };
    const both = answerFor(
      garage([hex('10'), hex('8')], [set[0]!, { ...small, count: 1 }, owned(socket('1/4in', '8')), light], {
        doubles: 'all',
      }),
      onTrip,
      solve,
    ).kit;
    expect(both.pieces.find((k) => k.piece.id === small.id)?.standsInFor).toEqual([light.name]);
  });
  test('bits, small sockets and cheap or worn ratchets are what gets lost or breaks', () => {
    expect(getsLostOrBreaks(owned(bit({ form: 'lobe', size: '30' })))).toBe(true);
    expect(getsLostOrBreaks(owned(socket('1/4in', '10')))).toBe(true);
    expect(getsLostOrBreaks(owned(socket('1/4in', '13')))).toBe(false);
    expect(getsLostOrBreaks(owned(ratchet('1/4in')))).toBe(false);
    expect(getsLostOrBreaks(owned(ratchet('1/4in'), { quality: 'cheap' }))).toBe(true);
  });
  test('with everything vital any one piece may go and every head that can be doubled is still reached; no lighter set does that', () => {
    const models = [
      ratchet('1/4in'),
      tHandle('1/4in'),
      socket('1/4in', '10'),
      socket('1/4in', '13'),
      combinationSpanner('10'),
      ringSpanner('10', '13'),
      openSpanner('8', '10'),
    ];
    fc.assert(
      fc.property(
        fc.subarray(models, { minLength: 3 }),
        fc.array(fc.constantFrom('8', '10', '13'), { minLength: 1, maxLength: 3 }),
        fc.array(fc.constantFrom(1, 2), { minLength: 7, maxLength: 7 }),
        (some, heads, counts) => {
          const pieces = some.map((m, i) => owned(m, { count: counts[i]! }));
          const finder = new ChainFinder(pieces, DEFAULT_PRACTICE);
          const reaches = heads.map((s) => reachOf(hex(s), finder)).filter((r) => r.best.length > 0);
          const all = new Map(pieces.map((p) => [p.id, p.count]));
          const less = (m: Map<string, number>, id: string) => new Map(m).set(id, (m.get(id) ?? 0) - 1);
          // Oracle: every choice of copies; a head counts as doubled against a piece where the whole toolbox less one copy reaches it.
          const holds = (m: Map<string, number>) =>
            reaches.every(
              (r) =>
                reachedBy(r, m) &&
                pieces.every((p) => !reachedBy(r, less(all, p.id)) || !m.get(p.id) || reachedBy(r, less(m, p.id))),
            );
          let best = Infinity;
          const go = (i: number, m: Map<string, number>, mass: number) => {
            if (i === pieces.length) {
              if (mass < best && holds(m)) best = mass;
              return;
            }
            for (let n = 0; n <= pieces[i]!.count; n++)
              go(i + 1, new Map(m).set(pieces[i]!.id, n), mass + n * pieces[i]!.mass);
          };
          go(0, new Map(), 0);
          const set = lightestSet(
            coverProblem(reaches, pieces, [], () => true),
            solve,
          );
          expect(holds(new Map(pieces.map((p, i) => [p.id, set.counts[i]!])))).toBe(true);
          expect(set.total).toBeCloseTo(best, 6);
        },
      ),
      { numRuns: 60 },
    );
  });
  test('a piece marked twice comes with two of it, or with the one there is', () => {
    expect(carried(garage([], [owned(lKey('5'), { mark: 'twice', count: 3 })]))).toEqual(['L-key 5 ×2']);
    expect(carried(garage([], [owned(lKey('5'), { mark: 'twice' })]))).toEqual(['L-key 5']);
  });
});

describe('where the tools come from', () => {
  test('drawer first: owned where it reaches, bought for the rest and said so', () => {
    const own = owned(combinationSpanner('10'), { mass: 500 });
    const doc = garage([hex('10'), hex('13')], [own], { from: 'toolbox-first' });
    const kit = answerFor(doc, atHome, solve).kit;
    const bought = kit.pieces.filter((k) => k.toBuy);
    expect(kit.pieces.filter((k) => !k.toBuy).map((k) => k.piece.id)).toEqual([own.id]);
    expect(bought).toHaveLength(1);
    expect(kit.reached).toHaveLength(2);
    expect(answerFor({ ...doc, garage: garage([], []).garage }, atHome, solve).kit.reached).toHaveLength(1);
  });
  test('the catalogue alone is never heavier than drawer first for the same heads', () => {
    const doc = (from: Practice['from']) =>
      garage([hex('10'), hex('13')], [owned(combinationSpanner('10'), { mass: 500 })], { from, doubles: 'none' });
    const mass = (from: Practice['from']) => answerFor(doc(from), atHome, solve).kit.toolMass;
    expect(mass('catalogue')).toBeLessThanOrEqual(mass('toolbox-first'));
    expect(answerFor(doc('catalogue'), atHome, solve).kit.pieces.every((k) => k.toBuy)).toBe(true);
  }, 60_000);
  test('cheap pieces bear less, so that a torque they do not bear asks for a good one', () => {
    const bought = (quality: Practice['quality'], torque: number) =>
      answerFor(
        garage([hex('19', { torque: nm(torque) })], [], { from: 'toolbox-first', quality }),
        atHome,
        solve,
      ).kit.pieces.map((k) => k.piece);
    const least = (pieces: Piece[]) => Math.min(...pieces.flatMap((p) => p.modes.map((m) => m.bears)));
    expect(bought('cheap', 20).every((p) => p.quality === 'cheap')).toBe(true);
    expect(bought('good', 20).every((p) => p.quality === 'good')).toBe(true);
    // At the same grams the cheaper one is taken, as long as it bears what is asked.
    expect(bought('by-torque', 20).some((p) => p.quality === 'cheap')).toBe(true);
    expect(least(bought('by-torque', 90))).toBeGreaterThanOrEqual(90);
  }, 60_000);
});

describe('one drive, worth, company', () => {
  test('with one middle drive the small one stays at home where the middle one reaches', () => {
    const pieces = [
      owned(ratchet('1/4in')),
      owned(ratchet('3/8in')),
      owned(adapter('3/8in', '1/4in')),
      owned(socket('1/4in', '10')),
      owned(socket('3/8in', '10')),
      owned(socket('1/4in', '8')),
    ];
    expect(carried(garage([hex('10')], pieces))).toEqual(['Ratchet ¼ in', 'Socket ¼ in, 10']);
    expect(carried(garage([hex('10')], pieces, { drive: 'middle' }))).toEqual(['Ratchet ⅜ in', 'Socket ⅜ in, 10']);
    // Where nothing in the middle drive does, the others still count.
    expect(carried(garage([hex('8')], pieces, { drive: 'middle' }))).toEqual(['Ratchet ¼ in', 'Socket ¼ in, 8']);
  });
  test('what the bag may be worth: the least within it, and a plain word when no set keeps to it', () => {
    const light = owned(combinationSpanner('10'), { mass: 20, price: 80 });
    const cheap = owned(ringSpanner('8', '10'), { mass: 90, price: 9 });
    const kit = (worth: number | null) => answerFor(garage([hex('10')], [light, cheap], { worth }), atHome, solve).kit;
    expect([kit(null).toolMass, kit(null).worth, kit(null).withinWorth]).toEqual([20, 80, true]);
    expect([kit(50).toolMass, kit(50).worth, kit(50).withinWorth]).toEqual([90, 9, true]);
    expect([kit(5).toolMass, kit(5).withinWorth]).toEqual([20, false]);
  });
  test('the bikes that ride along are reached too, unless it is for the own bike only', () => {
    const own = hex('10');
    const theirs = hex('14', { bikeId: uuid(2) });
    const pieces = [owned(combinationSpanner('10')), owned(combinationSpanner('14'))];
    const doc = (practice: Partial<Practice>, along: string[]) => ({
      ...garage([own, theirs], pieces, practice),
      trips: [{ ...LONG, along }],
    });
    expect(carried(doc({}, [uuid(2)]), onTrip)).toHaveLength(2);
    expect(carried(doc({ others: 'own' }, [uuid(2)]), onTrip)).toHaveLength(1);
    expect(carried(doc({}, []), onTrip)).toHaveLength(1);
    expect(carried(doc({}, [uuid(99)]), onTrip)).toHaveLength(1);
  });
});

test('a gap that only a mark makes is said to be one', () => {
  const never = owned(combinationSpanner('10'), { mark: 'never' });
  const [f] = answerFor(garage([hex('10')], [never]), atHome, solve).fasteners;
  expect([f!.reached, f!.barred]).toEqual([false, ['Combination spanner 10']]);
});

describe('alternatives side by side', () => {
  const pieces = [owned(combinationSpanner('10')), owned(ringSpanner('10', '13')), owned(combinationSpanner('13'))];
  const doc = garage([hex('10'), hex('13')], pieces, { doubles: 'none' });
  test('each way’s figure is the difference of two whole answers', () => {
    const ten = doc.fasteners[0]!;
    const ways = alternativesOf(doc, atHome, ten.id, solve);
    const now = answerFor(doc, atHome, solve).kit.toolMass;
    expect(ways.length).toBe(2);
    for (const way of ways) {
      // Oracle: the same drawer without what else turns that head; the 13 may still be turned by the ring.
      const other = pieces.find((p) => p.name !== way.chain[0] && p.name !== 'Combination spanner 13')!;
      const only = { ...doc, pieces: pieces.filter((p) => p !== other) };
      const alone = answerFor(only, atHome, solve).kit.toolMass;
      expect(way.set).toBeCloseTo(Math.min(alone, way.set), 6);
      expect(now - way.set).toBeCloseTo(way.grams, 6);
    }
    expect(Math.max(...ways.map((w) => w.grams))).toBe(0);
  });
  test('what a mark, or keeping a piece to one bike, costs', () => {
    const [ten, ring] = [
      { ...pieces[0]!, mark: 'always' as const },
      { ...pieces[1]!, onlyBike: uuid(2) },
    ];
    const marked = { ...doc, pieces: [ten, ring, pieces[2]!] };
    const now = answerFor(marked, atHome, solve).kit.toolMass;
    const freed = (id: string) =>
      answerFor(
        { ...marked, pieces: marked.pieces.map((p) => (p.id === id ? { ...p, mark: null, onlyBike: null } : p)) },
        atHome,
        solve,
      ).kit.toolMass;
    expect(markCost(marked, atHome, ten.id, solve)!.grams).toBeCloseTo(now - freed(ten.id), 6);
    expect(markCost(marked, atHome, ring.id, solve)!.grams).toBeCloseTo(now - freed(ring.id), 6);
    expect(markCost(marked, atHome, pieces[2]!.id, solve)).toBeNull();
  });
  test('a case of a bike that is not there is refused', () => {
    expect(() => toolCase(doc, { bikeId: uuid(50), tripId: null })).toThrow(/not in this garage/);
  });
});
