import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { bike, input, item, place, someItems, usual } from '../testing/stow.js';
import { THOROUGH } from '../testing/thorough.js';
import { stowCase } from './assign.js';
import { faultsAt, type BareFault, type StowCase } from './brokenRules.js';
import { LaidMemory } from './laid.js';
import { loadWarnings } from './load/index.js';
import { stowFaults } from './mending.js';
import {
  bears,
  longestPiece,
  openingMinutes,
  placesOf,
  roomTaken,
  slotCount,
  TIER_MINUTES,
  usableVolume,
} from './place.js';
import { nothingHeld } from './rules.js';
import type { StowInput } from './stowInput.js';
import { costOf, mayGo, SCALE } from './stowProblem.js';

const caseOf = (given: StowInput): StowCase => ({ p: stowCase(given).problem, input: given, memory: new LaidMemory() });

type Moves = [unit: number, bin: number][];

/** What the cheapest change costs that mends a fault and breaks nothing new, each tried: one piece elsewhere, else two exchanged; null for none. */
function cheapest(c: StowCase, where: readonly number[], fault: BareFault): number | null {
  const { p } = c;
  const known = faultsAt(c, where);
  const over = (load: (typeof known)['load']) => new Map(loadWarnings(c.input.bike, load).map((w) => [w.rule, w.over]));
  const before = over(known.load);
  const ids = new Set(known.faults.map((f) => f.id));
  const more = (moves: Moves): number => {
    const [to, fixed] = [[...where], p.fixed.copy()];
    for (const [u, bin] of moves) {
      to[u] = bin;
      fixed.set(u, bin);
    }
    const after = faultsAt({ ...c, p: { ...p, fixed } }, to);
    const mended = after.faults.every((f) => f.id !== fault.id && ids.has(f.id));
    const noWorse = [...over(after.load)].every(([rule, by]) => by <= (before.get(rule) ?? 0) + 1e-9);
    return mended && noWorse ? costOf(p, to) - costOf(p, where) : Infinity;
  };
  if (fault.rule === 'payload') return null;
  const mine = p.units.flatMap((unit, u) => {
    const k = p.placeOf.at(where[u]!);
    const isIt =
      fault.key !== null ? unit.host.key === fault.key : fault.placeId === null || p.places[k]?.id === fault.placeId;
    return k >= 0 && isIt ? [u] : [];
  });
  const least = (all: Moves[]) => Math.min(Infinity, ...all.map(more));
  const one = least(
    mine.flatMap((u) => p.bins.flatMap((_, b): Moves[] => (b !== where[u] && mayGo(p, u, b) ? [[[u, b]]] : []))),
  );
  if (one < Infinity) return one / SCALE;
  if (fault.placeId === null) return null;
  const two = least(
    mine.flatMap((u) =>
      where.flatMap((b, v): Moves[] =>
        v !== u &&
        b < p.loose &&
        p.placeOf.at(b) !== p.placeOf.at(where[u]!) &&
        mayGo(p, u, b) &&
        mayGo(p, v, where[u]!)
          ? [
              [
                [u, b],
                [v, where[u]!],
              ],
            ]
          : [],
      ),
    ),
  );
  return two < Infinity ? two / SCALE : null;
}
/** Where everything lies: the rider's choices, the rest where they stand in the list of places, or nowhere. */
function someWhere(c: StowCase, to: readonly number[]): number[] {
  const { p } = c;
  return p.units.map((_, u) => {
    if (p.fixed.at(u) >= 0) return p.fixed.at(u);
    const bin = to[u]! % (p.bins.length + 1);
    return bin < p.loose && mayGo(p, u, bin) ? bin : p.loose;
  });
}

describe('what mends a broken rule', () => {
  const small = usual.filter((p) =>
    ['Tank bag', 'Low frame, tied', "Rider's bum bag", 'Left pannier'].includes(p.name),
  );
  const touchy = { ...bike, payload: 82_000, rackLimit: 200, loadIndexFront: 40, loadIndexRear: 40 };
  test('is the cheapest of all that mend it and break nothing new: one piece elsewhere, else two exchanged', () => {
    const found = { mended: 0, exchanged: 0, none: 0 };
    fc.assert(
      fc.property(
        someItems(5),
        fc.array(fc.nat(3), { minLength: 1, maxLength: 4 }),
        fc.array(fc.nat(20), { minLength: 5, maxLength: 5 }),
        fc.boolean(),
        (list, to, rest, tight) => {
          const pins = list
            .slice(0, to.length)
            .map((i, n): [string, string] => [i.key, small[to[n]! % small.length]!.id]);
          const c = caseOf(input(list, small, pins, tight ? { bike: touchy } : {}));
          const where = someWhere(c, rest);
          const { faults } = stowFaults(c, where);
          for (const f of faults.filter((x) => x.rule !== 'loose' && x.rule !== 'blade')) {
            const least = cheapest(c, where, f);
            if (f.mending) found[f.mending.moves.length > 1 ? 'exchanged' : 'mended']++;
            else found.none++;
            expect([f.id, f.mending?.points ?? null]).toEqual([f.id, least === null ? null : expect.closeTo(least, 6)]);
          }
        },
      ),
      { numRuns: THOROUGH ? 300 : 40 },
    );
    expect(found.mended).toBeGreaterThan(3);
    expect(found.none).toBeGreaterThan(0);
  });
  test('two change places where neither has room elsewhere', () => {
    const [low, high] = [
      place(1, { inside: { length: 110, width: 60, height: 30 }, fill: 1, limit: 300 }),
      place(2, { inside: { length: 110, width: 60, height: 30 }, fill: 1, limit: 900 }),
    ];
    const [heavy, light] = [item(1, { mass: 800 }), item(2, { mass: 100 })].map((i) => ({
      ...i,
      size: { length: 105, width: 55, height: 28 },
      volume: 161,
    }));
    const c = caseOf(input([heavy!, light!], [low, high], [[heavy!.key, low.id]]));
    const { faults } = stowFaults(c, [0, 1]);
    expect(faults.map((f) => [f.rule, f.key, f.name, f.placeId])).toEqual([['weight', null, low.name, low.id]]);
    expect(faults[0]!.mending!.moves.map((m) => [m.key, m.placeId, m.placeName])).toEqual([
      [heavy!.key, high.id, high.name],
      [light!.key, low.id, low.name],
    ]);
  });
  test('what is on board in all is not less for lying elsewhere; its fault is told whole', () => {
    const load: Partial<StowInput> = { bike: { ...bike, payload: 80_100 } };
    const c = caseOf(input([item(1, { mass: 500 })], [place(1), place(2)], [], load));
    const { faults } = stowFaults(c, [0]);
    expect(faults).toEqual([
      {
        id: 'payload',
        rule: 'payload',
        key: null,
        placeId: null,
        name: null,
        message: [{ code: 'load.payload', carried: 80_500, allows: 80_100 }],
        breaks: ['payload'],
        mending: null,
        leaveOut: [],
      },
    ]);
  });
  test('a load over its limit is mended by whatever lies nearer, from any place', () => {
    const far = place(1, { onRack: true, at: { x: 1700, y: 0, z: 900 } });
    const near = place(2, { at: { x: 700, y: 0, z: 700 } });
    const c = caseOf(input([item(1, { mass: 500 })], [far, near], [], { bike: { ...bike, rackLimit: 300 } }));
    const { faults } = stowFaults(c, [0]);
    expect(faults.map((f) => [f.id, f.mending?.moves.map((m) => m.placeId)])).toEqual([['rack', [near.id]]]);
    // Nothing is moved that does not lie anywhere.
    expect(stowFaults(c, [c.p.loose]).faults.map((f) => f.rule)).toEqual(['loose']);
  });
});

describe('what a place is', () => {
  test('room: inside by its fill, less what lies there; a tube is round', () => {
    const inside = { length: 200, width: 100, height: 50 };
    expect(usableVolume(place(1, { inside, fill: 0.5 }))).toBeCloseTo(500, 9);
    expect(usableVolume(place(1, { inside, fill: 0.5, taken: 0.2 }))).toBeCloseTo(300, 9);
    expect(usableVolume(place(1, { inside, fill: 0.5, taken: 9 }))).toBe(0);
    expect(usableVolume(place(1, { inside, fill: 1, kind: 'tube' }))).toBeCloseTo(
      ((Math.PI / 4) * 50 ** 2 * 200) / 1000,
      9,
    );
    expect([
      roomTaken({ fill: 0.65 }, 100, false),
      roomTaken({ fill: 0.6 }, 100, true),
      roomTaken({ fill: 0.9 }, 100, true),
    ]).toEqual([100, expect.closeTo(75, 9), 100]);
  });
  test('weight: what its mount bears, less on tracks, less what lies there', () => {
    const of = (limit: number, roughLimit: number | null, takenMass: number) => ({ limit, roughLimit, takenMass });
    expect([false, true].map((rough) => bears(of(900, 500, 100), rough))).toEqual([800, 400]);
    expect([false, true].map((rough) => bears(of(900, null, 0), rough))).toEqual([900, 900]);
    expect([false, true].map((rough) => bears(of(900, 2000, 1000), rough))).toEqual([0, 0]);
  });
  test('how long a thing may be: the diagonal of a box or a bag that is worn, the length of the others, the longest slot', () => {
    const inside = { length: 120, width: 90, height: 80 };
    const longest = (kind: 'box' | 'body' | 'tube' | 'tie-on') => longestPiece(place(1, { inside, kind }));
    expect([longest('box'), longest('body'), longest('tube'), longest('tie-on')]).toEqual([170, 170, 120, 120]);
    const slots = [
      { count: 2, width: 20, length: 150 },
      { count: 3, width: 30, length: 210 },
    ];
    expect(longestPiece(place(1, { inside, kind: 'roll', slots }))).toBe(210);
    expect(longestPiece(place(1, { inside, kind: 'roll', slots: null }))).toBe(120);
    expect([slotCount({ slots }), slotCount({ slots: null })]).toEqual([5, 0]);
    expect(nothingHeld(place(1, { slots })).slots).toEqual([0, 0]);
    expect(nothingHeld(place(1))).toEqual({ mass: 0, room: 0, units: 0, sharp: 0, pierced: 0, slots: [] });
  });
  test('minutes: as the rider says, nought too; else by how soon it is at hand', () => {
    const of = (opening: number | null) => openingMinutes({ opening, tier: 'under straps or seat' });
    expect([of(0), of(7), of(null)]).toEqual([0, 7, TIER_MINUTES['under straps or seat']]);
  });
  test('places of a practice: what stays, what leaves with the luggage, what is worn', () => {
    const all = [
      place(1),
      place(2, { stays: false }),
      place(3, { kind: 'body', stays: false }),
      place(4, { kind: 'body' }),
    ];
    const ids = (lives: Parameters<typeof placesOf>[1]) => placesOf(all, lives).map((p) => all.indexOf(p));
    expect(ids('bike')).toEqual([0, 3]);
    expect(ids('luggage')).toEqual([1]);
    expect(ids('back')).toEqual([2, 3]);
    expect(ids('everyday')).toEqual([0, 1, 2, 3]);
  });
});
