import { beforeAll, describe, expect, test } from '@jest/globals';
import {
  answerFor,
  atHand,
  pieceKey,
  proveCaseOf,
  reviewOf,
  ROW_SCHEMAS,
  spareKey,
  stockOf,
  type GarageDocument,
  type ProveCase,
  type Review,
  type ReviewRows,
} from '@necessaire/core';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { withRows, type RowChange } from './changes';
import { fallRows, fixedRows, kitWay, lentRows, missedRows, reviewRows, usedRows, withMusts } from './roadEdits';

const TODAY = '2026-06-01';
const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
let doc: GarageDocument;
let c: ProveCase;
beforeAll(async () => {
  doc = demoGarage();
  const question = { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id, today: TODAY };
  c = proveCaseOf(doc, question, answerFor(doc, question, await loadSolver()), TODAY);
});
let n = 900;
const at = { nextId: () => uuid(n++), now: '2026-06-01T14:05:00.000Z', today: TODAY, place: '47.1, 9.2' };
/** The garage after an edit; whatever an edit writes is a row that a garage takes. */
function after(rows: readonly RowChange[]): GarageDocument {
  for (const { table, id, after: row } of rows) {
    expect([table, ROW_SCHEMAS[table].safeParse(row).error]).toEqual([table, undefined]);
    expect(row?.id).toBe(id);
  }
  // No row is changed twice in one edit.
  expect(new Set(rows.map((x) => `${x.table} ${x.id}`)).size).toBe(rows.length);
  return withRows(
    doc,
    rows.map(({ table, id, after: row }) => ({ table, id, row })),
    new Map(),
  );
}
const owned = (d: GarageDocument, kind: string) => stockOf(d.supplies, c.bike, TODAY, d.kinds).owned.get(kind) ?? 0;
const rowsOf = (d: GarageDocument): ReviewRows => ({
  ...{ bikes: d.bikes, rides: d.rides, drills: d.drills, happened: d.happened, reviews: d.reviews },
});

describe('what is written down on the way', () => {
  test('a spare that was used goes off the stock, a tool does not; both are in the log with time and place', () => {
    const there = after(usedRows(doc, c, { item: spareKey('cable tie'), name: 'Cable ties' }, at, 3));
    expect(owned(there, 'cable tie')).toBe(owned(doc, 'cable tie') - 3);
    expect(there.happened).toEqual([
      expect.objectContaining({ what: 'used', item: 'supply cable tie', units: 3, place: '47.1, 9.2', on: at.now }),
    ]);
    const tool = c.kit.pieces[0]!.piece;
    const then = after(usedRows(doc, c, { item: pieceKey(tool.id), name: tool.name }, at));
    expect([then.pieces, then.supplies]).toEqual([doc.pieces, doc.supplies]);
    expect(then.happened[0]).toMatchObject({ item: `piece ${tool.id}`, tripId: c.trip!.id });
  });
  test('what was lent is out of every kit', () => {
    const tool = c.kit.pieces.find((p) => p.piece.count === 1)!.piece;
    const there = after(lentRows(doc, { item: pieceKey(tool.id), name: tool.name }, 'Ada', at));
    expect(there.loans).toEqual([expect.objectContaining({ to: 'Ada', date: TODAY, settled: null })]);
    expect(atHand(there).pieces.some((p) => p.id === tool.id)).toBe(false);
    const spare = after(lentRows(doc, { item: spareKey('cable tie'), name: 'Cable ties' }, '', at));
    expect(owned(atHand(spare), 'cable tie')).toBe(owned(doc, 'cable tie') - 1);
    // What nobody owns cannot be lent.
    expect(lentRows(doc, { item: spareKey('clutch cable'), name: 'x' }, '', at)).toEqual([]);
  });
  test('a fall puts the bike on the watch list; what was missed is only noted', () => {
    const there = after(fallRows(c, at));
    expect(there.happened.map((h) => h.what)).toEqual(['fall']);
    expect(there.watches).toEqual([
      expect.objectContaining({ bikeId: c.bike.id, from: 'road', atKm: c.bike.odometer, since: TODAY }),
    ]);
    const noted = after(missedRows(c, '  Chain breaker ', 'chain', at));
    expect(noted.happened).toEqual([
      expect.objectContaining({ what: 'missed', name: 'Chain breaker', trouble: 'chain', units: 0 }),
    ]);
    expect({ ...noted, happened: [] }).toEqual(doc);
  });
  test('a repair logged as fixed does all that its steps would have done, but sets no time', () => {
    const r = kitWay(c, 'puncture-tube')!;
    const { rows, ending } = fixedRows(doc, c, r, { ...at, who: 'me', dark: false, said: '14:05 Puncture' });
    const there = after(rows);
    expect(there.drills).toHaveLength(1);
    expect(there.drills[0]).toMatchObject({ real: true, state: 'done', dry: false, tools: r.tools, turned: r.turned });
    expect(owned(there, 'patch')).toBe(owned(doc, 'patch') - 2);
    expect(ending.used).toEqual([{ name: c.book.of('patch').name, units: 2 }]);
    expect(there.rides.find((x) => x.date === TODAY)?.mishaps).toEqual([
      expect.objectContaining({ trouble: 'puncture-tube', count: 1 }),
    ]);
    expect(there.watches).toHaveLength(1);
    for (const id of r.turned) expect(there.fasteners.find((f) => f.id === id)?.evidence).toBe('proven');
    const review = reviewOf(c, rowsOf(there), { from: TODAY, to: TODAY });
    expect(review.times).toEqual([]);
    const used = new Set(review.carried.filter((t) => t.used > 0).map((t) => t.item));
    expect([...used].sort()).toEqual([...r.tools.map(pieceKey), spareKey('patch')].sort());
    expect(kitWay(c, 'no such trouble')).toBeNull();
  });
});

describe('a review taken over', () => {
  const none = { home: [], musts: [], bought: [], km: false };
  const review = (): Review => reviewOf(c, rowsOf(doc), { from: '2026-05-24', to: TODAY });
  test('leaves its own row and nothing else where nothing is accepted', () => {
    const there = after(reviewRows(doc, c, review(), none, at));
    expect(there.reviews).toHaveLength(1);
    expect(there.reviews[0]).toMatchObject({ from: '2026-05-24', to: TODAY, bikeId: c.bike.id, made: at.now });
    expect({ ...there, reviews: [] }).toEqual(doc);
  });
  test('done again it replaces its row', () => {
    const once = after(reviewRows(doc, c, review(), none, at));
    const rows = reviewRows(once, c, review(), none, at, once.reviews[0]!.id);
    expect(rows).toHaveLength(1);
    expect(rows[0]).toMatchObject({ id: once.reviews[0]!.id, before: once.reviews[0] });
  });
  test('what stays at home is marked so, tools and spares, and leaves the saved kit in use', () => {
    const [tool, other] = c.kit.pieces.map((p) => p.piece);
    const spare = c.kit.spares.find((s) => s.owned > 0)!;
    const kept = {
      ...{ id: uuid(1), name: 'k', bikeId: c.bike.id, tripId: c.trip!.id, made: at.now, frozen: false },
      pieces: [tool!, other!].map((p) => ({ pieceId: p.id, name: p.name, count: 1, mass: p.mass })),
      supplies: [{ kind: spare.kind, name: spare.name, quantity: 1, mass: 1 }],
      figures: { mass: 1, bulk: 1, price: 1, atStake: 1, home: 1 },
    } as unknown as GarageDocument['kits'][number];
    const packed = { ...doc, kits: [kept], trips: doc.trips.map((t) => ({ ...t, kit: { ...t.kit, use: kept.id } })) };
    const using = { ...c, trip: packed.trips[0]! };
    const accepted = { ...none, home: [pieceKey(tool!.id), spareKey(spare.kind)] };
    const rows = reviewRows(packed, using, review(), accepted, at);
    const there = new Map(rows.map((x) => [x.id, x.after]));
    expect(there.get(tool!.id)).toMatchObject({ mark: 'never' });
    expect(there.has(other!.id)).toBe(false);
    for (const s of packed.supplies.filter((x) => x.kind === spare.kind))
      expect(there.get(s.id)).toMatchObject({ mark: 'never', quantity: s.quantity });
    expect(there.get(kept.id)).toMatchObject({ pieces: [{ pieceId: other!.id }], supplies: [] });
    // A locked kit stays as it is.
    const locked = { ...packed, kits: [{ ...kept, frozen: true }] };
    expect(reviewRows(locked, using, review(), accepted, at).some((x) => x.table === 'kits')).toBe(false);
  });
  test('what was bought again lies beside what is left, of the same fit', () => {
    const r = { ...review(), buy: [{ kind: 'front tube', name: 'Front tube', buy: 2 }] };
    const there = after(reviewRows(doc, c, r, { ...none, bought: ['front tube', 'patch'] }, at));
    expect(there.supplies.slice(doc.supplies.length)).toEqual([
      expect.objectContaining({ kind: 'front tube', quantity: 2, bought: TODAY, fits: '80/100-21, straight' }),
    ]);
  });
  test('the trip’s km go into the log and onto the odometer, into the day’s ride where there is one', () => {
    const r = review();
    const total = r.ride!.km.paved + r.ride!.km.gravel + r.ride!.km.track;
    const there = after(reviewRows(doc, c, r, { ...none, km: true }, at));
    expect(there.rides.find((x) => x.date === TODAY)).toMatchObject({ ...r.ride, bike: c.bike.id });
    expect(there.bikes[0]!.odometer).toBe(c.bike.odometer + total);
    const mishaps = [{ trouble: 'mirror', count: 1, used: '' }];
    const begun = {
      id: uuid(5),
      bike: c.bike.id,
      date: TODAY,
      km: { paved: 0, gravel: 0, track: 0 },
      crossings: 0,
      mishaps,
      note: 'x',
    };
    const joined = reviewRows({ ...doc, rides: [begun] }, c, r, { ...none, km: true }, at);
    expect(joined.find((x) => x.table === 'rides')).toMatchObject({ id: begun.id, after: { ...begun, ...r.ride } });
    expect(after(reviewRows(doc, c, { ...r, ride: null }, { ...none, km: true }, at)).bikes).toEqual(doc.bikes);
  });
  test('the kit must allow what was missed for, each once, at the grade that the trip asks for', () => {
    const trip = c.trip!;
    const must = { by: 'repair' as const, trouble: 'chain', grade: trip.kit.grade };
    expect(withMusts(trip, ['chain', 'chain']).kit.musts).toEqual([...trip.kit.musts, must]);
    expect(withMusts(withMusts(trip, ['chain']), ['chain']).kit.musts).toEqual([...trip.kit.musts, must]);
    expect(withMusts(trip, [])).toBe(trip);
    const there = after(reviewRows(doc, c, review(), { ...none, musts: ['chain'] }, at));
    expect(there.trips[0]!.kit.musts).toContainEqual(must);
  });
});
