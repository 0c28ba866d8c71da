import { beforeAll, describe, expect, test } from '@jest/globals';
import {
  emptyDocument,
  newBike,
  newFastener,
  newPerson,
  newSupply,
  ROW_SCHEMAS,
  TROUBLES,
  type Companion,
  type Drill,
  type GarageDocument,
} from '@necessaire/core';
import { demoGarage } from '@necessaire/demo';
import { checked, endingOf, factOf, loggedMishap, timesOf, watchOfLog, type Said } from './proveEdits';

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
let doc: GarageDocument;
const puncture = TROUBLES.find((t) => t.id === 'puncture-tube')!;
const patch = puncture.ways.find((w) => w.name === 'Patch the tube')!;
const r = { trouble: puncture, way: patch };
const companion: Companion = {
  ...{ id: uuid(7), person: newPerson({ name: 'Ada', hand: 3 }), bikes: [newBike(uuid(8), 'Hers')], fasteners: [] },
  ...{ pieces: [], supplies: [], places: [], kinds: [], from: { by: 'line', line: 'Ada' }, note: '' },
};
beforeAll(() => {
  doc = { ...demoGarage(), companions: [companion] };
});
const drill = (more: Partial<Drill> = {}): Drill => ({
  id: uuid(1),
  bikeId: doc.bikes[0]!.id,
  tripId: null,
  trouble: 'puncture-tube',
  way: 'Patch the tube',
  wheel: 'front',
  who: 'me',
  started: '2026-06-01T08:00:00.000Z',
  ended: '2026-06-01T09:00:00.000Z',
  state: 'done',
  real: false,
  dry: false,
  dark: false,
  planned: 50,
  step: 1,
  since: null,
  seconds: [3000],
  stuck: [],
  tools: [],
  turned: [],
  note: '',
  ...more,
});
let n = 100;
const given = { nextId: () => uuid(n++), now: '2026-06-01T09:00:00.000Z', today: '2026-06-01' };
const fact = (said: Said, more: Partial<Drill> = {}) => factOf(doc, drill(more), r, said, given);
/** Whatever an edit writes is a row that the garage takes. */
const valid = (rows: ReturnType<typeof fact>['rows']) => {
  for (const { table, id, after } of rows) {
    expect(ROW_SCHEMAS[table].safeParse(after).success).toBe(true);
    expect(after!.id).toBe(id);
  }
};

describe('each reason becomes the fact that it is', () => {
  test('missing: lent to nobody, whatever it was', () => {
    const piece = doc.pieces[0]!;
    const f = fact({ reason: 'missing', item: `piece ${piece.id}`, name: piece.name });
    valid(f.rows);
    expect(f.rows).toHaveLength(1);
    expect(f.rows[0]).toMatchObject({
      table: 'loans',
      before: null,
      after: { item: `piece ${piece.id}`, settled: null },
    });
    expect(f.says).toContain(piece.name);
  });
  test('does not fit: the head is assumed again, by whoever tried', () => {
    const head = doc.fasteners[0]!;
    const f = fact({ reason: 'does not fit', fastenerId: head.id, tool: 'Socket 8' });
    valid(f.rows);
    expect(f.rows[0]).toMatchObject({ table: 'fasteners', before: head, after: { evidence: 'assumed' } });
    expect((f.rows[0]!.after as typeof head).trail.at(-1)).toMatchObject({ who: 'Mirel', when: given.now });
  });
  test('too weak: broken; cannot reach: its access', () => {
    const weak = fact({ reason: 'too weak', pieceId: doc.pieces[3]!.id });
    valid(weak.rows);
    expect(weak.rows[0]!.after).toMatchObject({ condition: 'broken' });
    const far = fact({
      reason: 'cannot reach',
      fastenerId: doc.fasteners[2]!.id,
      end: 'near',
      seen: { by: 'headroom', mm: 12 },
    });
    valid(far.rows);
    expect(far.rows[0]!.after).toMatchObject({ access: { headroom: 12 } });
  });
  test('lies elsewhere: a pin, and the same pin when it is said again', () => {
    const place = doc.places[0]!;
    const key = `piece ${doc.pieces[0]!.id} 1`;
    const first = fact({ reason: 'wrong place', item: key, placeId: place.id });
    valid(first.rows);
    expect(first.rows[0]).toMatchObject({ table: 'pins', before: null, after: { placeId: place.id, item: key } });
    const pinned = { ...doc, pins: [first.rows[0]!.after as GarageDocument['pins'][number]] };
    const again = factOf(pinned, drill(), r, { reason: 'wrong place', item: key, placeId: doc.places[1]!.id }, given);
    expect(again.rows[0]!.id).toBe(first.rows[0]!.id);
    expect(again.rows[0]!.before).toEqual(pinned.pins[0]);
  });
  test('does not know how: the rider’s skill, or the companion’s; nothing where it is as low as it gets', () => {
    const f = fact({ reason: 'do not know how' });
    expect(f.rows).toEqual([]);
    expect(f.garage!.rider.skills).toEqual({ wheels: patch.skill - 1 });
    const hers = fact({ reason: 'do not know how' }, { who: companion.id });
    valid(hers.rows);
    expect(hers.rows[0]).toMatchObject({ table: 'companions', before: companion });
    expect((hers.rows[0]!.after as Companion).person.skills).toEqual({ wheels: patch.skill - 1 });
    expect(hers.garage).toBeUndefined();
    const low = { ...doc, garage: { ...doc.garage, rider: newPerson({ hand: 1 }) } };
    expect(factOf(low, drill(), r, { reason: 'do not know how' }, given)).toEqual({ label: '', says: '', rows: [] });
  });
  test('what is no longer there changes nothing', () => {
    expect(fact({ reason: 'does not fit', fastenerId: uuid(999), tool: '' }).rows).toEqual([]);
    expect(fact({ reason: 'too weak', pieceId: uuid(999) }).rows).toEqual([]);
    expect(
      fact({ reason: 'cannot reach', fastenerId: uuid(999), end: 'far', seen: { by: 'swing', degrees: 9 } }).rows,
    ).toEqual([]);
    expect(fact({ reason: 'do not know how' }, { who: uuid(998) }).rows).toEqual([]);
  });
});

describe('the end of a drill', () => {
  const bike = newBike(uuid(20), 'Bike');
  const axle = newFastener({
    id: uuid(21),
    bikeId: bike.id,
    name: 'Axle',
    head: { form: 'hex', size: '27' },
    role: 'front axle',
  });
  const pinch = newFastener({
    id: uuid(22),
    bikeId: bike.id,
    name: 'Pinch',
    head: { form: 'hex', size: '8' },
    role: 'front axle pinch',
  });
  const garage: GarageDocument = {
    ...emptyDocument({ name: 'G' }),
    bikes: [bike],
    fasteners: [axle, pinch],
    supplies: [
      newSupply({ id: uuid(23), kind: 'patch', quantity: 1, bought: '2026-03-01' }),
      newSupply({ id: uuid(24), kind: 'patch', quantity: 6, bought: '2025-03-01' }),
      newSupply({ id: uuid(25), kind: 'patch', quantity: 3, fittedOn: bike.id, bought: '2020-03-01' }),
    ],
  };
  const book = { all: [], has: () => true, of: (kind: string) => ({ name: kind }) } as never;
  const end = (more: Partial<Drill> = {}, used: { kind: string; units: number }[] = [], watch = true) =>
    endingOf(garage, { bike, book }, drill({ turned: [axle.id, pinch.id], ...more }), r, used, { ...given, watch });
  test('proves the heads that were turned, and puts the work on the watch list', () => {
    const e = end();
    valid(e.rows);
    expect(e.proven).toEqual(['Axle', 'Pinch']);
    expect(e.rows.filter((x) => x.table === 'fasteners').map((x) => (x.after as typeof axle).evidence)).toEqual([
      'proven',
      'proven',
    ]);
    expect(e.watch).toMatchObject({ bikeId: bike.id, from: 'drill', since: given.today });
    expect(end({ real: true }).watch!.from).toBe('road');
    expect(end({}, [], false).watch).toBeNull();
  });
  test('proves no head that its tool did not fit', () => {
    const e = end({ stuck: [{ step: 0, reason: 'does not fit', item: 'Pinch' }] });
    expect(e.proven).toEqual(['Axle']);
  });
  test('takes what was used off the stock, the oldest first, and nothing that sits on the bike', () => {
    const e = end({}, [{ kind: 'patch', units: 7 }]);
    const left = new Map(
      e.rows.filter((x) => x.table === 'supplies').map((x) => [x.id, (x.after as { quantity: number }).quantity]),
    );
    expect([...left]).toEqual([
      [uuid(24), 0],
      [uuid(23), 0],
    ]);
    const two = end({}, [{ kind: 'patch', units: 2 }]).rows.filter((x) => x.table === 'supplies');
    expect(two.map((x) => [x.id, (x.after as { quantity: number }).quantity])).toEqual([[uuid(24), 4]]);
    // More than there is: what there is.
    expect(end({}, [{ kind: 'patch', units: 99 }]).rows.filter((x) => x.table === 'supplies')).toHaveLength(2);
    expect(end({}, [{ kind: 'patch', units: 2 }]).used).toEqual([{ name: 'patch', units: 2 }]);
  });
  test('a dry run, or one given up, leaves nothing', () => {
    for (const more of [{ dry: true }, { state: 'given up' as const }])
      expect(end(more, [{ kind: 'patch', units: 1 }])).toEqual({ rows: [], proven: [], watch: null, used: [] });
  });
});

describe('a mishap in the ride log', () => {
  const at = { id: uuid(40), today: '2026-06-20' };
  const ride = (more: object = {}) => ({ bike: doc.bikes[0]!.id, date: '2026-06-10', ...more });
  const of = (trouble: string, way: string | null, more: object = {}) =>
    watchOfLog(doc, doc.bikes[0]!, ride(more), { trouble, way }, at);
  test('puts its repair on the watch list, by the kit’s way and the heads that it turns', () => {
    const row = of('puncture-tube', 'Patch the tube')!;
    expect(ROW_SCHEMAS.watches.parse(row)).toEqual(row);
    expect(row).toMatchObject({ from: 'log', since: '2026-06-10', everyKm: 30, atKm: doc.bikes[0]!.odometer });
    expect(row.why).toContain('patch');
    // Named with what helps, it is the same way; unknown, the first.
    expect(of('puncture-tube', 'Patch the tube, with a prop')!.why).toBe(row.why);
    expect(of('tube-torn-front', null)!.why).toContain('turned');
  });
  test('but not for a bulb, another bike, a ride long past, or what nobody knows', () => {
    expect(of('bulb', null)).toBeNull();
    expect(of('puncture-tube', null, { bike: doc.bikes[1]!.id })).toBeNull();
    expect(of('puncture-tube', null, { bike: null })).toBeNull();
    expect(of('puncture-tube', 'Patch the tube', { date: '2026-05-21' })).not.toBeNull();
    expect(of('puncture-tube', 'Patch the tube', { date: '2026-05-20' })).toBeNull();
    expect(of('no such trouble', null)).toBeNull();
  });
});

describe('what happened on the road', () => {
  const at = { id: uuid(50), today: '2026-06-20' };
  test('goes into the ride of its day, with when and where; the second time it counts', () => {
    const first = loggedMishap(
      doc,
      doc.bikes[0]!.id,
      { trouble: 'bulb', used: '1 Headlamp bulb', said: '14:05 Bulb at 45, 21' },
      at,
    );
    expect(ROW_SCHEMAS.rides.parse(first.after)).toEqual(first.after);
    expect(first).toMatchObject({
      table: 'rides',
      id: uuid(50),
      before: null,
      after: { date: '2026-06-20', note: '14:05 Bulb at 45, 21' },
    });
    const then = { ...doc, rides: [...doc.rides, first.after as GarageDocument['rides'][number]] };
    const second = loggedMishap(
      then,
      doc.bikes[0]!.id,
      { trouble: 'bulb', used: '', said: '16:00 Bulb' },
      { ...at, id: uuid(51) },
    );
    expect(second).toMatchObject({
      id: uuid(50),
      after: {
        mishaps: [{ trouble: 'bulb', count: 2, used: '1 Headlamp bulb' }],
        note: '14:05 Bulb at 45, 21\n16:00 Bulb',
      },
    });
    const other = loggedMishap(then, doc.bikes[1]!.id, { trouble: 'fuse', used: '' }, { ...at, id: uuid(52) });
    expect(other).toMatchObject({ id: uuid(52), before: null, after: { note: '' } });
  });
});

describe('records of practice', () => {
  test('times of a way by somebody, in the order of the days', () => {
    const list = [
      drill({ started: '2026-06-03T08:00:00.000Z', seconds: [3060] }),
      drill({ started: '2026-06-01T08:00:00.000Z', seconds: [5040] }),
      drill({ dry: true, seconds: [60] }),
      drill({ who: companion.id, seconds: [600] }),
      drill({ state: 'paused', seconds: [600] }),
      drill({ way: 'New tube', seconds: [600] }),
    ];
    expect(timesOf(list, drill())).toEqual([84, 51]);
  });
  test('a check is written with odometer, trip and words that fit', () => {
    const bike = newBike(uuid(20), 'Bike');
    const row = checked(
      { bike: { ...bike, odometer: 1234 }, trip: null },
      'glue',
      'found',
      `  dry ${'x'.repeat(400)}`,
      {
        id: uuid(30),
        now: given.now,
        who: 'me',
      },
    );
    expect(ROW_SCHEMAS.checks.parse(row)).toEqual(row);
    expect(row).toMatchObject({ km: 1234, tripId: null, result: 'found', bikeId: bike.id });
    expect(row.note.startsWith('dry x')).toBe(true);
    expect(row.note).toHaveLength(300);
  });
});
