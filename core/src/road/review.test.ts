import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { GarageDocument } from '../garage/index.js';
import { newTrip, type Ride, type Trip } from '../trip/index.js';
import { KAPPA } from '../trip/odds/index.js';
import type { ProveCase } from '../prove/index.js';
import { demoCase, doneDrill, TODAY } from '../testing/proveCase.js';
import { uuid } from '../testing/make.js';
import { pieceKey, spareKey, type Happened } from './happened.js';
import { daysOfTrip, idleBefore, IDLE_TRIPS, reviewedFrom, reviewOf, type ReviewRows } from './review.js';
import { reviewedSchema, type Reviewed } from './reviewed.js';

let c: ProveCase;
let doc: GarageDocument;
beforeAll(async () => {
  ({ c, doc } = await demoCase());
});
const rowsWith = (more: Partial<ReviewRows> = {}): ReviewRows => ({
  ...{ bikes: doc.bikes, rides: [], drills: [], happened: [], reviews: [] },
  ...more,
});
const days = { from: '2026-05-23', to: TODAY };
const happened = (more: Partial<Happened>): Happened => ({
  id: uuid(1),
  bikeId: c.bike.id,
  tripId: c.trip?.id ?? null,
  on: '2026-05-30T14:00:00.000Z',
  what: 'used',
  item: '',
  name: 'x',
  units: 1,
  trouble: '',
  place: '',
  ...more,
});
const reviewed = (to: string, carried: readonly (readonly [item: string, used: number])[], more = {}): Reviewed => ({
  id: uuid(Number(to.replaceAll('-', ''))),
  bikeId: c.bike.id,
  tripId: null,
  name: 'a trip',
  from: to,
  to,
  made: `${to}T20:00:00Z`,
  carried: carried.map(([item, used]) => ({ item, name: item, mass: 100, used })),
  missed: [],
  ...more,
});
const ride = (date: string, more: Partial<Ride> = {}): Ride => ({
  id: uuid(70),
  bike: c.bike.id,
  date,
  km: { paved: 100, gravel: 50, track: 20 },
  crossings: 0,
  mishaps: [],
  note: '',
  ...more,
});

describe('the days that a review looks back on', () => {
  const leaving = (leaves: string | null, days: number): Trip => {
    const trip = newTrip(uuid(3), 't');
    return { ...trip, leaves, legs: [{ ...c.trip!.legs[0]!, days }] };
  };
  test('are the trip’s own, as far as they are ridden', () => {
    const of = (leaves: string | null, n: number) => daysOfTrip(rowsWith(), c.bike.id, leaving(leaves, n), TODAY);
    expect(of('2026-05-20', 5)).toEqual({ from: '2026-05-20', to: '2026-05-24' });
    expect(of('2026-05-20', 0.5)).toEqual({ from: '2026-05-20', to: '2026-05-20' });
    expect(of('2026-05-30', 9)).toEqual({ from: '2026-05-30', to: TODAY });
    // One that is still to come says nothing.
    expect(of('2026-06-09', 9)).toEqual({ from: TODAY, to: TODAY });
  });
  test('else begin with the first thing written down since the last review of this bike', () => {
    const rows = rowsWith({
      rides: [ride('2026-05-02'), ride('2026-05-12'), ride('2026-05-09', { bike: doc.bikes[1]?.id ?? null })],
      happened: [happened({ on: '2026-05-14T10:00:00Z' })],
      drills: [
        doneDrill(c, 'puncture-tube', 'Patch the tube', { ended: '2026-05-10T09:00:00Z', real: true }),
        doneDrill(c, 'puncture-tube', 'Patch the tube', { ended: '2026-05-08T09:00:00Z' }),
      ],
      reviews: [reviewed('2026-05-07', []), reviewed('2026-05-20', [], { bikeId: uuid(9) })],
    });
    expect(daysOfTrip(rows, c.bike.id, leaving(null, 3), TODAY)).toEqual({ from: '2026-05-10', to: TODAY });
    // A trip that was reviewed already is not looked back on again.
    expect(daysOfTrip(rows, c.bike.id, leaving('2026-05-05', 2), TODAY).from).toBe('2026-05-10');
  });
});

describe('what was used, missed and never touched', () => {
  test('a repair that was broken off after a step had its tools in the hand; one of another bike had not', () => {
    const [tool, other] = [c.kit.pieces[0]!.piece, c.kit.pieces[1]!.piece];
    const real = { real: true, ended: '2026-05-30T12:00:00Z', state: 'given up' as const };
    const rows = rowsWith({
      drills: [
        doneDrill(c, 'puncture-tube', 'Patch the tube', { ...real, step: 2, tools: [tool.id] }),
        {
          ...doneDrill(c, 'puncture-tube', 'Patch the tube', { ...real, step: 2, tools: [other.id] }),
          bikeId: uuid(9),
        },
      ],
      happened: [happened({ item: '' })],
    });
    const used = new Map(reviewOf(c, rows, days).carried.map((t) => [t.item, t.used]));
    expect([used.get(pieceKey(tool.id)), used.get(pieceKey(other.id)), used.has('')]).toEqual([1, 0, false]);
  });
  test('of two looks back on the same day the later one is the last; one of the day itself is not before it', () => {
    const past = [
      { ...reviewed('2026-05-10', [['a', 0]]), made: '2026-05-10T21:00:00Z' },
      { ...reviewed('2026-05-10', [['a', 1]]), made: '2026-05-10T22:00:00Z' },
      reviewed('2026-05-01', [['a', 0]]),
    ];
    expect(idleBefore(past, c.bike.id, 'a', '2026-05-20')).toBe(0);
    expect(idleBefore([past[0]!, past[2]!], c.bike.id, 'a', '2026-05-20')).toBe(2);
    expect(idleBefore([past[0]!, past[2]!], c.bike.id, 'a', '2026-05-10')).toBe(1);
  });
  test('the trip’s own km stand in where none of this bike’s were written down on these days', () => {
    const legs = c.trip!.legs;
    const own = {
      km: {
        paved: legs.reduce((s, l) => s + l.km.paved, 0),
        gravel: legs.reduce((s, l) => s + l.km.gravel, 0),
        track: legs.reduce((s, l) => s + l.km.track, 0),
      },
      crossings: legs.reduce((s, l) => s + l.crossings, 0),
    };
    const of = (rides: Ride[], more: Partial<ProveCase> = {}) =>
      reviewOf({ ...c, ...more }, rowsWith({ rides }), days).ride;
    expect(of([])).toEqual(own);
    expect(of([ride('2026-05-30', { bike: uuid(9) }), ride('2026-04-30')])).toEqual(own);
    expect(of([ride('2026-05-30', { km: { paved: 0, gravel: 0, track: 0 } })])).toEqual(own);
    expect(of([ride('2026-05-30')])).toBeNull();
    expect(of([], { trip: null })).toBeNull();
    const still = { ...c.trip!, legs: legs.map((l) => ({ ...l, km: { paved: 0, gravel: 0, track: 0 } })) };
    expect(of([], { trip: still })).toBeNull();
  });
  test('tools by repairs on the road and by the log, spares by the log alone; at home does not count', () => {
    const tool = c.kit.pieces[0]!.piece;
    const other = c.kit.pieces[1]!.piece;
    const spare = c.kit.spares.find((s) => s.quantity > 0)!;
    const real = { real: true, tools: [tool.id, tool.id], ended: '2026-05-30T12:00:00Z' };
    const rows = rowsWith({
      drills: [
        doneDrill(c, 'puncture-tube', 'Patch the tube', real),
        doneDrill(c, 'puncture-tube', 'Patch the tube', { ...real, real: false, tools: [other.id] }),
        doneDrill(c, 'puncture-tube', 'Patch the tube', { ...real, ended: '2026-05-02T12:00:00Z', tools: [other.id] }),
        doneDrill(c, 'puncture-tube', 'Patch the tube', { ...real, state: 'given up', step: 0, tools: [other.id] }),
      ],
      happened: [
        happened({ item: spareKey(spare.kind), units: 2 }),
        happened({ item: pieceKey(tool.id), units: 0 }),
        happened({ item: pieceKey(other.id), what: 'missed' }),
        happened({ item: pieceKey(other.id), bikeId: uuid(9) }),
      ],
    });
    const r = reviewOf(c, rows, days);
    const used = new Map(r.carried.map((t) => [t.item, t.used]));
    expect(used.get(pieceKey(tool.id))).toBe(2);
    expect(used.get(pieceKey(other.id))).toBe(0);
    expect(used.get(spareKey(spare.kind))).toBe(2);
    expect(r.carried.reduce((s, t) => s + t.mass, 0)).toBeCloseTo(c.kit.toolMass + c.kit.spareMass, 6);
    // What the rider sets right replaces what was written down.
    const right = reviewOf(c, rows, days, new Map([[pieceKey(other.id), 1]]));
    expect(right.carried.find((t) => t.item === pieceKey(other.id))).toMatchObject({ used: 1, idle: 0 });
  });
  test('a moment belongs to the day of the rider’s own clock', () => {
    const tool = c.kit.pieces[0]!.piece;
    // Nine in the evening far to the west is tomorrow already by UTC.
    const late = happened({ on: '2026-06-02T02:00:00.000Z', item: pieceKey(tool.id) });
    const west = (moment: string) => new Date(Date.parse(moment) - 5 * 3_600_000).toISOString().slice(0, 10);
    const of = (rows: ReviewRows) => reviewOf(c, rows, days).carried.find((t) => t.item === pieceKey(tool.id))?.used;
    expect(of(rowsWith({ happened: [late], dayOf: west }))).toBe(1);
    expect(of(rowsWith({ happened: [late] }))).toBe(0);
  });
  test('a thing is idle from the third trip in a row, and one touch begins anew', () => {
    const tool = c.kit.pieces[0]!;
    const key = pieceKey(tool.piece.id);
    const idle = (reviews: Reviewed[]) => reviewOf(c, rowsWith({ reviews }), days).idle.find((t) => t.item === key);
    const two = [reviewed('2026-04-01', [[key, 0]]), reviewed('2026-05-01', [[key, 0]])];
    expect(idle(two)).toMatchObject({ idle: IDLE_TRIPS, mass: tool.piece.mass * tool.count, guards: tool.hours });
    expect(idle(two.slice(1))).toBeUndefined();
    expect(idle([two[0]!, reviewed('2026-05-01', [[key, 1]])])).toBeUndefined();
    expect(idle([two[0]!, reviewed('2026-05-01', [])])).toBeUndefined();
    expect(idle([two[0]!, reviewed('2026-05-01', [[key, 0]], { bikeId: uuid(9) })])).toBeUndefined();
    // A review of these very days, made before, does not count twice.
    expect(idle([two[0]!, reviewed('2026-05-25', [[key, 0]])])).toBeUndefined();
  });
  test('trips in a row are counted as a plain loop over the list counts them', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -1, max: 1 }), { maxLength: 8 }), (trips) => {
        // −1: not along, 0: along and not touched, 1: used; the oldest first.
        const reviews = trips.map((t, i) => reviewed(`2026-01-${String(i + 10)}`, t < 0 ? [] : [['x', t]]));
        let n = 0;
        for (let i = trips.length - 1; i >= 0 && trips[i] === 0; i--) n++;
        expect(idleBefore(reviews, c.bike.id, 'x', '2026-02-01')).toBe(n);
        expect(idleBefore([...reviews].reverse(), c.bike.id, 'x', '2026-02-01')).toBe(n);
      }),
      { seed: 11 },
    );
  });
  test('it is worth its grams where a hundred of them guard the minutes that the trip asks for', () => {
    const reviews = c.kit.pieces.flatMap((p) => {
      const key = pieceKey(p.piece.id);
      return [reviewed('2026-04-01', [[key, 0]]), reviewed('2026-05-01', [[key, 0]])];
    });
    const all = reviewOf(
      c,
      rowsWith({
        reviews: [
          reviewed(
            '2026-04-01',
            reviews.flatMap((r) => r.carried.map((x) => [x.item, 0] as const)),
          ),
          reviewed(
            '2026-05-01',
            reviews.flatMap((r) => r.carried.map((x) => [x.item, 0] as const)),
          ),
        ],
      }),
      days,
    ).idle;
    expect(all.length).toBe(c.kit.pieces.length);
    for (const t of all)
      expect([t.name, t.worthIt]).toEqual([
        t.name,
        (t.guards * 60) / (t.mass / 100) >= c.trip!.kit.knee || t.mass === 0,
      ]);
    // What is not worth it is asked about first, the heaviest before the rest.
    const first = all.findIndex((t) => t.worthIt);
    expect(all.slice(0, first).every((t) => !t.worthIt)).toBe(true);
    expect(all.slice(first).every((t) => t.worthIt)).toBe(true);
    const masses = all.slice(first).map((t) => t.mass);
    expect(masses).toEqual([...masses].sort((a, b) => b - a));
  });
  test('missed is what was said to be, and what a repair did not find; each once, with its trouble where one is known', () => {
    const stuck = (item: string) => ({ step: 1, reason: 'missing' as const, item });
    const rows = rowsWith({
      happened: [
        happened({ what: 'missed', name: 'Chain breaker' }),
        happened({ what: 'missed', name: 'Bulb', on: '2026-05-01T00:00:00Z' }),
        happened({ what: 'missed', name: 'Fuse', trouble: 'fuse' }),
      ],
      drills: [
        doneDrill(c, 'chain', 'x', {
          real: true,
          stuck: [stuck('chain breaker'), stuck(''), { ...stuck('Axle nut'), reason: 'does not fit' }],
        }),
        doneDrill(c, 'chain', 'x', { real: false, stuck: [stuck('Pump')] }),
        doneDrill(c, 'fuse', 'x', { real: true, stuck: [stuck('Fuse')] }),
      ],
    });
    expect(reviewOf(c, rows, days).missed).toEqual([
      { name: 'chain breaker', trouble: 'chain' },
      { name: 'Fuse', trouble: 'fuse' },
    ]);
  });
});

describe('what it says of rates, minutes and km', () => {
  test('the trip’s own km count where nobody logged any, and move each rate by the closed form', () => {
    const quiet = reviewOf(c, rowsWith(), days);
    const km = (on: 'paved' | 'gravel' | 'track') => c.trip!.legs.reduce((s, l) => s + l.km[on], 0);
    expect(quiet.ride).toEqual({
      km: { paved: km('paved'), gravel: km('gravel'), track: km('track') },
      crossings: c.trip!.legs.reduce((s, l) => s + l.crossings, 0),
    });
    for (const m of quiet.rates) {
      expect([m.trouble, m.before, m.events]).toEqual([m.trouble, 1, 0]);
      expect(m.after).toBeCloseTo(KAPPA / (KAPPA + m.expected), 12);
    }
    const logged = reviewOf(c, rowsWith({ rides: [ride('2026-05-30')] }), days);
    expect(logged.ride).toBeNull();
    const expected = (r: typeof quiet, id: string) => r.rates.find((x) => x.trouble === id)!.expected;
    const trouble = c.troubles.find((t) => t.id === 'puncture-tube')!;
    const { paved, gravel, track } = trouble.rate;
    expect(expected(logged, trouble.id)).toBeCloseTo((100 * paved + 50 * gravel + 20 * track) / 1000, 12);
    // A ride that was begun by a mishap has no km yet: the trip’s stand in for them.
    const bare = { paved: 0, gravel: 0, track: 0 };
    expect(reviewOf(c, rowsWith({ rides: [ride('2026-05-30', { km: bare })] }), days).ride).toEqual(quiet.ride);
  });
  test('what happened stands first, and rides before these days are what was known', () => {
    const mishaps = [{ trouble: 'puncture-tube', count: 2, used: '' }];
    const old = ride('2026-03-01', { km: { paved: 0, gravel: 3000, track: 0 } });
    const r = reviewOf(c, rowsWith({ rides: [old, ride('2026-05-30', { id: uuid(71), mishaps })] }), days);
    const rate = c.troubles.find((t) => t.id === 'puncture-tube')!.rate;
    const was = 3 * rate.gravel;
    const now = (100 * rate.paved + 50 * rate.gravel + 20 * rate.track) / 1000;
    expect(r.rates[0]).toMatchObject({ trouble: 'puncture-tube', events: 2 });
    expect(r.rates[0]!.before).toBeCloseTo(KAPPA / (KAPPA + was), 12);
    expect(r.rates[0]!.after).toBeCloseTo((KAPPA + 2) / (KAPPA + was + now), 12);
  });
  test('minutes stand beside their plan, and what is planned next follows own times', () => {
    const fix = { real: true, planned: 40, seconds: [3600], ended: '2026-05-30T12:00:00Z' };
    const times = reviewOf(
      c,
      rowsWith({
        drills: [
          doneDrill(c, 'puncture-tube', 'Patch the tube', fix),
          // Only pressed through: says nothing.
          doneDrill(c, 'puncture-tube', 'Patch the tube', { ...fix, id: uuid(501), seconds: [60] }),
        ],
      }),
      days,
    ).times;
    expect(times).toHaveLength(1);
    expect(times[0]).toMatchObject({ planned: 40, took: 60, name: 'Puncture, tubed' });
    // One own time of one and a half times the plan, and the plan: 1.25 of it, and a fifth off for the second time.
    expect(times[0]!.next).toBeCloseTo(40 * 1.25 * 2 ** -0.32, 9);
  });
  test('what is to be bought is what the kit packs and nobody owns', () => {
    const buy = reviewOf(c, rowsWith(), days).buy;
    expect(buy).toEqual(c.kit.spares.filter((s) => s.buy > 0).map(({ kind, name, buy }) => ({ kind, name, buy })));
  });
});

test('the row that it leaves is one that a garage holds, with all that was along', () => {
  const r = reviewOf(c, rowsWith({ happened: [happened({ what: 'missed', name: 'Pump' })] }), days);
  const row = reviewedFrom(c, r, { id: uuid(8), made: `${TODAY}T19:00:00Z` });
  expect(reviewedSchema.parse(row)).toEqual(row);
  expect(row).toMatchObject({ from: days.from, to: days.to, name: c.trip!.name, missed: ['Pump'] });
  expect(row.carried.map((x) => x.item)).toEqual(r.carried.map((x) => x.item));
});
