import { describe, expect, test } from '@jest/globals';
import { DEFAULT_PRACTICE, type Practice } from '../toolbox/practice.js';
import { newBike, type Fastener } from '../bike/index.js';
import { emptyDocument, type GarageDocument } from '../garage/index.js';
import { newSupply } from '../repairs/supplies/index.js';
import { fastener, owned, uuid } from '../testing/make.js';
import { combinationSpanner, functional, offeredPieces, type Piece } from '../toolbox/tools/index.js';
import { newLeg, newTrip } from '../trip/index.js';
import { drives, fastenersFor, toolCase, toolsFrom } from './toolCase.js';

const hex = (size: string, more: Partial<Fastener> = {}): Fastener =>
  fastener({ head: { form: 'hex', size }, torque: { value: 8, source: 'manual' }, ...more });
const trip = {
  ...newTrip(uuid(7), 'Trip'),
  along: [uuid(2)],
  legs: [{ ...newLeg(uuid(8), 'a'), days: 9, km: { paved: 0, gravel: 0, track: 900 } }],
};
const garage = (
  fasteners: Fastener[],
  pieces: Piece[],
  practice: Partial<Practice> = {},
  more: Partial<GarageDocument> = {},
): GarageDocument => ({
  ...emptyDocument({ name: 'Test', practice: { ...DEFAULT_PRACTICE, ...practice } }),
  bikes: [newBike(uuid(1), 'One'), newBike(uuid(2), 'Two'), newBike(uuid(3), 'Three')],
  trips: [trip],
  fasteners,
  pieces,
  ...more,
});
const home = { bikeId: uuid(1), tripId: null };
const away = { bikeId: uuid(1), tripId: uuid(7) };
const names = (pieces: readonly Piece[]) => pieces.map((p) => p.name);

describe('where the tools come from', () => {
  test('the toolbox; while that is empty what could be bought stands in', () => {
    const from = (pieces: Piece[], says: Practice['from']) => toolsFrom(garage([], pieces, { from: says }));
    const spanner = owned(combinationSpanner('10'));
    expect(from([], 'toolbox')).toBe('toolbox-first');
    expect(from([spanner], 'toolbox')).toBe('toolbox');
    expect(from([], 'catalogue')).toBe('catalogue');
    expect(from([spanner], 'toolbox-first')).toBe('toolbox-first');
  });
  test('out of the toolbox alone: all that this bike may use, and nothing offered', () => {
    const mine = owned(combinationSpanner('10'));
    const others = owned(combinationSpanner('13'), { onlyBike: uuid(2) });
    const never = owned(combinationSpanner('14'), { mark: 'never' });
    const c = toolCase(garage([hex('10'), hex('13'), hex('14')], [mine, others, never]), home);
    expect(c.pieces.map((p) => p.id)).toEqual([mine.id, never.id]);
    expect(c.reaches.map((r) => r.best.length > 0)).toEqual([true, false, false]);
    expect(c.offered.size).toBe(0);
  });
});

describe('what is offered', () => {
  const ten = hex('10');
  const through = fastener({
    head: { form: 'hex', size: '13' },
    far: { form: 'key', size: '6' },
    torque: { value: 20, source: 'manual' },
  });
  test('of the catalogue: what turns one of the heads at either end, stands between, or does what is asked for', () => {
    const c = toolCase(garage([ten, through], [], { from: 'catalogue' }), away);
    const offered = new Set(names(c.pieces));
    for (const name of [
      'Combination spanner 10',
      'Combination spanner 13',
      'L-key 6',
      'Socket ¼ in, 10',
      'Ratchet ¼ in',
    ])
      expect([name, offered.has(name)]).toEqual([name, true]);
    for (const name of ['Combination spanner 14', 'L-key 5', 'Socket ¼ in, 8'])
      expect([name, offered.has(name)]).toEqual([name, false]);
    // What does nothing that a trouble asks for, and turns nothing, is left out; what inflates is not.
    const plain = offeredPieces(DEFAULT_PRACTICE.quality).filter((p) => p.modes.length === 0);
    const asked = plain.filter((p) => p.functions.includes('inflate'));
    expect(asked.length).toBeGreaterThan(0);
    for (const p of asked) expect([p.name, offered.has(p.name)]).toEqual([p.name, true]);
    const functions = new Set(c.pieces.flatMap((p) => p.functions));
    for (const p of plain) if (p.functions.every((f) => !functions.has(f))) expect(offered.has(p.name)).toBe(false);
    expect(plain.some((p) => !offered.has(p.name))).toBe(true);
    expect([...c.offered].sort()).toEqual(c.pieces.map((p) => p.id).sort());
    expect(c.pieces.every((p) => !c.losable(p))).toBe(true);
    expect(c.reaches.every((r) => r.best.length > 0)).toBe(true);
  });
  test('beside the toolbox only for heads that it does not reach', () => {
    const own = owned(combinationSpanner('10'));
    const c = toolCase(garage([ten, through], [own], { from: 'toolbox-first' }), home);
    expect(c.pieces[0]!.id).toBe(own.id);
    expect(c.offered.has(own.id)).toBe(false);
    const offered = names(c.pieces.filter((p) => c.offered.has(p.id)));
    expect(offered).toContain('Combination spanner 13');
    expect(offered).toContain('L-key 6');
    expect(offered).not.toContain('Combination spanner 10');
    expect(c.pieces).toHaveLength(c.offered.size + 1);
    // A head that the toolbox reaches stays with its own way; the other gets the offered ones.
    expect(c.reaches[0]!.best[0]!.links.map((l) => l.piece.id)).toEqual([own.id]);
    expect(c.reaches[1]!.best.length).toBeGreaterThan(0);
  });
  test('nothing where the toolbox reaches every head and does all that is asked for', () => {
    const c = toolCase(garage([ten], [owned(combinationSpanner('10'))], { from: 'toolbox-first' }), home);
    expect(c.offered.size).toBe(0);
    expect(c.pieces).toHaveLength(1);
  });
  test('for a trouble that asks for more of a kind than there is', () => {
    const spanner = owned(combinationSpanner('10'));
    const lever = (count: number, mark: Piece['mark'] = null) =>
      owned(functional('Own lever', ['lever tyre'], 100, [200, 20, 10], 5), { count, mark });
    const levers = (own: Piece) =>
      toolCase(garage([ten], [spanner, own], { from: 'toolbox-first' }), away).pieces.filter(
        (p) => p.id !== own.id && p.functions.includes('lever tyre'),
      ).length;
    const asked = toolCase(garage([ten], [spanner], { from: 'toolbox-first' }), away).functions;
    expect(levers(lever(0))).toBeGreaterThan(0);
    expect(levers(lever(1))).toBeGreaterThan(0);
    expect(levers(lever(3))).toBe(0);
    // What stays at home does nothing on the way.
    expect(levers(lever(3, 'never'))).toBeGreaterThan(0);
    expect(asked).toBeDefined();
  });
});

describe('whose heads', () => {
  const mine = hex('10');
  const left = hex('12', { leftOut: 'workshop' });
  const theirs = hex('13', { bikeId: uuid(2) });
  const third = hex('14', { bikeId: uuid(3) });
  const ids = (others: Practice['others'], on: typeof trip | undefined) =>
    fastenersFor(garage([mine, left, theirs, third], [], { others }), uuid(1), on).map((f) => f.id);
  test('the bike’s own; those that ride along where the practice says so; a stranger’s on top', () => {
    expect(ids('own', trip)).toEqual([mine.id]);
    expect(ids('along', trip)).toEqual([mine.id, theirs.id]);
    expect(ids('along', undefined)).toEqual([mine.id]);
    const any = ids('any', trip);
    expect(any.slice(0, 2)).toEqual([mine.id, theirs.id]);
    expect(any.length).toBeGreaterThan(8);
  });
});

test('what is always packed is a piece of the case, unless a kept kit speaks for itself', () => {
  const hose = newSupply({ id: uuid(90), kind: 'brake hose', quantity: 2, mark: 'always' });
  const ofTrip = (use: string | null, from: Practice['from']) =>
    toolCase(
      garage(
        [hex('10')],
        [owned(combinationSpanner('10'))],
        { from },
        {
          supplies: [hose],
          trips: [{ ...trip, kit: { ...trip.kit, use } }],
        },
      ),
      away,
    );
  for (const from of ['toolbox', 'toolbox-first', 'catalogue'] as const) {
    const c = ofTrip(null, from);
    expect([from, c.pieces.some((p) => p.id === hose.id), c.offered.has(hose.id)]).toEqual([from, true, false]);
    expect(ofTrip(uuid(50), from).pieces.some((p) => p.id === hose.id)).toBe(false);
  }
});

test('doubles follow the days of the trip', () => {
  const lost = (days: number, tripId: string | null) =>
    toolCase(
      garage(
        [],
        [owned(combinationSpanner('10'))],
        { doubles: 'all' },
        {
          trips: [{ ...trip, legs: [{ ...trip.legs[0]!, days }] }],
        },
      ),
      { bikeId: uuid(1), tripId },
    ).losable(owned(combinationSpanner('10')));
  expect([lost(30, uuid(7)), lost(1, uuid(7)), lost(30, null)]).toEqual([true, false, false]);
});

test('a piece stands between hand and head where it turns a square or a bar', () => {
  const by = (name: string) => offeredPieces('good').find((p) => p.name === name)!;
  expect([by('Ratchet ¼ in'), by('Combination spanner 10'), by('L-key 6')].map(drives)).toEqual([true, false, false]);
});
