import { beforeAll, describe, expect, test } from '@jest/globals';
import ICAL from 'ical.js';
import { isCritical, newBike } from '../bike/index.js';
import { TROUBLES } from '../repairs/index.js';
import { newSupply } from '../repairs/supplies/index.js';
import type { GarageDocument } from '../garage/index.js';
import { checkRows } from '../answer/index.js';
import { demoCase, TODAY } from '../testing/proveCase.js';
import { uuid } from '../testing/make.js';
import { calendarFile, sequenceAt } from './calendar.js';
import type { CheckDone, Reminder } from './checkDone.js';
import {
  checksDue,
  checksFor,
  dayAfter,
  heldUp,
  passOf,
  WALK,
  type Check,
  type CheckDue,
  type CheckRows,
} from './checks/index.js';
import { CHECK_LOOKS } from './checks/looks.js';
import type { ProveCase } from './proveCase.js';
import { daysBetween } from './proven.js';
import type { Watch } from './watch.js';

let c: ProveCase;
let doc: GarageDocument;
let rows: CheckRows;
const LEAVES = '2026-06-20';
beforeAll(async () => {
  const made = await demoCase();
  doc = made.doc;
  c = { ...made.c, trip: { ...made.c.trip!, leaves: LEAVES } };
  rows = checkRows(doc, c);
});
const keys = (list: readonly Check[]) => list.map((k) => k.key);
const of = (key: string, at: ProveCase = c, with_: Partial<CheckRows> = {}) =>
  checksFor(at, { ...rows, ...with_ }).find((k) => k.key === key);
const done = (check: string, more: Partial<CheckDone> = {}): CheckDone => ({
  id: uuid(1),
  bikeId: c.bike.id,
  tripId: c.trip!.id,
  check,
  on: `${TODAY}T18:00:00.000Z`,
  km: c.bike.odometer,
  who: 'me',
  result: 'ok',
  note: '',
  ...more,
});
const due = (key: string, list: CheckDone[] = [], at: ProveCase = c, with_: Partial<CheckRows> = {}): CheckDue => {
  const all = { ...rows, ...with_ };
  return checksDue(checksFor(at, all), list, at, all.watches).find((k) => k.key === key)!;
};

describe('checks are made from data', () => {
  test('each is there once, has a way to do it, a reason, and a place on the walk', () => {
    const list = checksFor(c, rows);
    expect(new Set(keys(list)).size).toBe(list.length);
    for (const k of list) {
      expect(WALK).toContain(k.where);
      expect(k.guards).toBeGreaterThanOrEqual(0);
      expect(k.key.length).toBeLessThanOrEqual(160);
      for (const t of k.troubles) expect(c.exposures.map((e) => e.trouble.id)).toContain(t);
    }
    expect(CHECK_LOOKS.flatMap((l) => l.against).filter((id) => !TROUBLES.some((t) => t.id === id))).toEqual([]);
  });
  test('what a bike does not have is not looked at', () => {
    const shaft = {
      ...c,
      bike: { ...c.bike, drive: 'shaft' as const, wheels: 'cast' as const, cooling: 'air' as const },
    };
    expect(keys(checksFor(c, rows))).toEqual(expect.arrayContaining(['chain', 'spokes', 'coolant']));
    const others = keys(checksFor(shaft, rows));
    for (const key of ['chain', 'spokes', 'coolant', 'belt']) expect(others).not.toContain(key);
    expect(others).toContain('shaft');
  });
  test('torque marks go station by station, over what shakes loose and what lives hang on', () => {
    const watched = c.fasteners.filter((f) => f.leftOut === null && (f.shakesLoose || isCritical(f)));
    const marks = checksFor(c, rows).filter((k) => k.key.startsWith('marks '));
    expect(marks.map((k) => k.where).sort()).toEqual([...new Set(watched.map((f) => f.station))].sort());
    const guarded = c.exposures
      .filter((e) => ['fastener-lost', 'fastener-loose', 'critical-lost'].includes(e.trouble.id))
      .reduce((s, e) => s + e.atStake, 0);
    expect(marks.reduce((s, k) => s + k.guards, 0)).toBeCloseTo(guarded, 9);
    const front = watched.filter((f) => f.station === 'front-wheel');
    const front_ = marks.find((k) => k.where === 'front-wheel')!;
    expect(front_.about).toEqual({
      ...{ code: 'check.marks', station: 'front-wheel', names: front.map((f) => f.name), critical: true },
    });
  });
  test('tubes, glue and dates of what is packed, and nothing of what is not', () => {
    const tube = c.kit.spares.find((s) => s.kind === 'front tube');
    expect(of('tube front tube') !== undefined).toBe(tube !== undefined && tube.quantity > 0);
    const patches = c.kit.spares.find((s) => s.kind === 'patch')!;
    expect(of('glue')!.guards).toBe(patches.hours);
    // What it is for goes by the problem, whatever part of it a stock is told to be for.
    const part = { ...patches, for: [{ ...patches.for[0]!, troubleId: 'puncture-tube', trouble: 'A part of it' }] };
    expect(of('glue', { ...c, kit: { ...c.kit, spares: [part] } })!.troubles).toEqual(['puncture-tube']);
    const dated = newSupply({ id: uuid(40), kind: 'patch', quantity: 4, bought: '2024-01-10' });
    const k = of(`date ${uuid(40)} 2027-01-10`, c, { supplies: [dated] })!;
    expect(k).toMatchObject({ when: 'on a date', date: '2027-01-10', ofKit: true });
    const bare = { ...c, kit: { ...c.kit, spares: [], pieces: [] } };
    expect(checksFor(bare, { ...rows, supplies: [dated] }).filter((x) => x.ofKit)).toEqual([]);
    for (const more of [{ condition: 'spent' as const }, { mark: 'never' as const }, { fittedOn: c.bike.id }])
      expect(of(`date ${uuid(40)} 2027-01-10`, c, { supplies: [{ ...dated, ...more }] })).toBeUndefined();
  });
  test('what runs on charge is charged, a whistle is not', () => {
    const charged = checksFor(c, rows).filter((k) => k.key.startsWith('charge '));
    const pieceOf = (key: string) => c.kit.pieces.find((p) => key === `charge ${p.piece.id}`)!.piece;
    for (const k of charged) {
      const { functions, traits } = pieceOf(k.key);
      const electric = functions.some((f) =>
        ['electric air', 'jump-start', 'light', 'drill', 'read codes'].includes(f),
      );
      expect(electric || traits.includes('kept dry')).toBe(true);
    }
    expect(charged.some((k) => pieceOf(k.key).functions.includes('light'))).toBe(true);
    expect(charged.some((k) => /whistle/iu.test(pieceOf(k.key).name))).toBe(false);
    const jump = c.kit.pieces[0]!;
    const pack = { ...jump, piece: { ...jump.piece, id: uuid(41), functions: ['jump-start' as const] } };
    expect(of(`charge ${uuid(41)}`, { ...c, kit: { ...c.kit, pieces: [pack] } })!.about).toEqual({
      ...{ code: 'check.charge', name: jump.piece.name, everyDays: 90, lithium: true },
    });
    for (const k of charged)
      expect(k.about).toMatchObject({ lithium: pieceOf(k.key).functions.includes('jump-start') });
  });
  test('worn tools, lent things, what is to be bought and what has no place', () => {
    const worn = { ...c.kit.pieces[0]!, piece: { ...c.kit.pieces[0]!.piece, condition: 'worn' as const } };
    expect(of(`worn ${worn.piece.id}`, { ...c, kit: { ...c.kit, pieces: [worn] } })).toMatchObject({
      ofKit: true,
      guards: worn.hours,
    });
    const loan = {
      id: uuid(42),
      item: 'piece x',
      name: 'Pump',
      count: 1,
      to: 'Ada',
      date: '2026-05-01',
      settled: null,
      note: '',
    };
    const lent = { code: 'check.loan', name: 'Pump', to: 'Ada', on: '2026-05-01' };
    expect(of(`loan ${uuid(42)}`, c, { loans: [loan] })!.about).toEqual(lent);
    expect(of(`loan ${uuid(42)}`, c, { loans: [{ ...loan, to: 'missing' }] })!.about).toEqual({
      ...{ ...lent, to: 'missing' },
    });
    expect(of(`loan ${uuid(42)}`, c, { loans: [{ ...loan, settled: { how: 'back', date: TODAY } }] })).toBeUndefined();
    const buying = [...c.kit.spares.filter((s) => s.buy > 0), ...c.kit.pieces.filter((p) => p.toBuy)];
    expect(of('buy') !== undefined).toBe(buying.length > 0);
    expect(of('buy')!.guards).toBeCloseTo(
      buying.reduce((s, x) => s + x.hours, 0),
      9,
    );
    const lost = { ...c, packing: { stowed: c.packing.stowed.map((s, i) => (i === 0 ? { ...s, placeId: null } : s)) } };
    expect(of('no-place', lost)!.about).toEqual({
      code: 'check.no-place',
      names: [c.packing.stowed[0]!.item.name],
    });
    expect(of('no-place')).toBeUndefined();
  });
  test('a key with somebody else only where somebody rides along, a rehearsal only before a long trip', () => {
    expect(of('spare-key', c, { companions: 1 })).toBeDefined();
    expect(of('spare-key', c, { companions: 0 })).toBeUndefined();
    expect(of('rehearsal')).toBeDefined();
    const short = { ...c, trip: { ...c.trip!, legs: c.trip!.legs.slice(0, 1).map((l) => ({ ...l, days: 3 })) } };
    expect(of('rehearsal', short)).toBeUndefined();
    const four = { ...c, trip: { ...c.trip!, legs: c.trip!.legs.slice(0, 1).map((l) => ({ ...l, days: 4 })) } };
    expect(of('rehearsal', four)).toBeDefined();
    const none = checksFor({ ...c, trip: null }, rows);
    for (const key of ['papers', 'card', 'fuel-water']) expect(keys(none)).not.toContain(key);
  });
  test('sealant is looked at where it was put in, in tubeless tyres', () => {
    const sealed = { ...c.bike, prevention: [{ id: 'sealant', state: 'done' as const }] };
    expect(of('sealant', { ...c, bike: { ...sealed, tyres: 'tubeless' } })).toMatchObject({ goodFor: 180 });
    expect(of('sealant', { ...c, bike: sealed })).toBeUndefined();
    const may = { ...sealed, tyres: 'tubeless' as const, prevention: [{ id: 'sealant', state: 'may' as const }] };
    expect(of('sealant', { ...c, bike: may })).toBeUndefined();
  });
  test('work that falls due on the trip is done before it', () => {
    const service = {
      ...c.bike.services[0]!,
      everyKm: 500,
      everyDays: null,
      everyHours: null,
      lastKm: c.bike.odometer - 100,
    };
    const at = (lastKm: number) => ({ ...c, bike: { ...c.bike, services: [{ ...service, lastKm }] } });
    const key = `service ${service.id}`;
    expect(of(key, at(c.bike.odometer - 100))!.about).toMatchObject({
      ...{ code: 'check.service', name: service.name, overdue: false },
      due: { km: { every: 500, gone: 100 }, hours: null, days: null },
    });
    expect(of(key, at(c.bike.odometer - 600))!.about).toMatchObject({ overdue: true, due: { km: { gone: 600 } } });
    const never = { ...c, bike: { ...c.bike, services: [{ ...service, everyKm: 90_000 }] } };
    expect(of(key, never)).toBeUndefined();
  });
  test('one’s own checks stand among them, those of another bike do not', () => {
    const mine: Reminder = {
      id: uuid(43),
      bikeId: c.bike.id,
      name: 'Chain guide',
      how: 'Look at it',
      when: 'after some km',
      everyKm: 400,
      date: null,
      station: 'rear-wheel',
    };
    expect(of(uuid(43), c, { reminders: [mine] })).toMatchObject({ own: true, where: 'rear-wheel', everyKm: 400 });
    expect(of(uuid(43), c, { reminders: [{ ...mine, bikeId: uuid(9) }] })).toBeUndefined();
    expect(of(uuid(43), c, { reminders: [{ ...mine, station: null }] })!.where).toBe('table');
  });
});

describe('when a check is due', () => {
  test('before leaving: so many days before the day, said to be due three days ahead', () => {
    const k = due('papers');
    expect([k.due, k.standing]).toEqual(['2026-06-18', 'later']);
    const on = (today: string) => due('papers', [], { ...c, today }).standing;
    expect([on('2026-06-14'), on('2026-06-15'), on('2026-06-18'), on('2026-06-19')]).toEqual([
      'later',
      'due',
      'due',
      'overdue',
    ]);
    expect(due('papers', [], { ...c, trip: { ...c.trip!, leaves: null } })).toMatchObject({
      due: null,
      standing: 'later',
    });
  });
  test('done for this trip it is settled; for another trip it is asked anew', () => {
    expect(due('papers', [done('papers')]).standing).toBe('done');
    expect(due('papers', [done('papers', { result: 'found' })]).standing).toBe('found');
    expect(due('papers', [done('papers', { result: 'skipped' })]).standing).toBe('skipped');
    expect(due('papers', [done('papers', { tripId: uuid(8) })]).standing).toBe('later');
    expect(due('papers', [done('papers', { bikeId: uuid(8) })]).standing).toBe('later');
    // The latest word counts, in whatever order they lie.
    const both = [
      done('papers', { on: '2026-06-01T20:00:00.000Z' }),
      done('papers', { result: 'found', on: '2026-05-30T20:00:00.000Z' }),
    ];
    expect([due('papers', both).standing, due('papers', [...both].reverse()).standing]).toEqual(['done', 'done']);
  });
  test('what is good for some time holds over trips, and is overdue when it has run out', () => {
    const lately = done('rust', { tripId: uuid(8), on: '2026-05-20T10:00:00.000Z' });
    expect(due('rust', [lately]).standing).toBe('done');
    expect(due('rust', [{ ...lately, result: 'found' }]).standing).toBe('later');
    expect(due('rust', [{ ...lately, on: '2025-05-20T10:00:00.000Z' }]).standing).toBe('later');
    const run_out = done('rust', { on: '2025-05-20T10:00:00.000Z' });
    expect(due('rust', [run_out])).toMatchObject({ standing: 'overdue', due: dayAfter('2025-05-20', 180) });
  });
  test('each evening: on the days of the trip, once a day; what was found stays until it is fine', () => {
    const on = (today: string, list: CheckDone[] = []) => due('tyres', list, { ...c, today }).standing;
    expect(on('2026-06-19')).toBe('on the ride');
    expect(on('2026-06-20')).toBe('due');
    expect(on('2026-06-28')).toBe('due');
    expect(on('2026-06-29')).toBe('on the ride');
    const today = done('tyres', { on: '2026-06-21T19:00:00.000Z' });
    expect(on('2026-06-21', [today])).toBe('done');
    expect(on('2026-06-22', [today])).toBe('due');
    expect(on('2026-06-22', [{ ...today, result: 'found' }])).toBe('found');
  });
  test('on a date: overdue the day after, and done within the month before', () => {
    const dated = newSupply({ id: uuid(40), kind: 'patch', quantity: 4, bought: '2023-06-20' });
    const key = `date ${uuid(40)} 2026-06-20`;
    const on = (today: string, list: CheckDone[] = []) =>
      due(key, list, { ...c, today }, { supplies: [dated] }).standing;
    expect([on('2026-06-01'), on('2026-06-18'), on('2026-06-21')]).toEqual(['later', 'due', 'overdue']);
    expect(on('2026-06-01', [done(key)])).toBe('done');
    expect(on('2026-06-18', [done(key, { on: '2026-04-01T10:00:00.000Z' })])).toBe('due');
  });
  test('a watched thing by the odometer, one’s own every so many km, the first hundred once a trip', () => {
    const watch: Watch = {
      ...{
        id: uuid(44),
        bikeId: c.bike.id,
        name: 'Plug',
        why: 'Plugged',
        caution: 'Slowly.',
        station: 'rear-wheel',
        from: 'hand',
      },
      ...{
        since: TODAY,
        atKm: c.bike.odometer - 20,
        everyKm: 30,
        lastsKm: 100,
        lastsKmh: 80,
        looked: [],
        closed: null,
      },
    };
    const key = `watch ${uuid(44)}`;
    const at = (more: Partial<Watch>) => due(key, [], c, { watches: [{ ...watch, ...more }] });
    expect(at({})).toMatchObject({ standing: 'on the ride', inKm: 10 });
    expect(at({ atKm: c.bike.odometer - 30 }).standing).toBe('overdue');
    expect(
      at({ atKm: c.bike.odometer - 100, looked: [{ on: TODAY, km: c.bike.odometer, ok: true, note: '' }] }).standing,
    ).toBe('overdue');
    expect(at({ atKm: c.bike.odometer - 100 }).about).toMatchObject({ code: 'check.watch', ended: true });
    expect(at({}).about).toMatchObject({ ended: false, lastsKm: 100, lastsKmh: 80, everyKm: watch.everyKm });
    expect(due(key, [], c, { watches: [{ ...watch, closed: { on: TODAY, how: 'replaced' } }] })).toBeUndefined();
    const mine: Reminder = {
      id: uuid(43),
      bikeId: c.bike.id,
      name: 'Own',
      how: '',
      when: 'after some km',
      everyKm: 400,
      date: null,
      station: null,
    };
    const own = (km: number) => due(uuid(43), [done(uuid(43), { km })], c, { reminders: [mine] });
    expect(own(c.bike.odometer - 399)).toMatchObject({ standing: 'done', inKm: 1 });
    expect(own(c.bike.odometer - 400).standing).toBe('overdue');
    expect(due('first-100').standing).toBe('on the ride');
    expect(due('first-100', [done('first-100')]).standing).toBe('done');
    expect(due('first-100', [done('first-100', { tripId: uuid(8) })]).standing).toBe('on the ride');
  });
  test('a pass goes in the order of the walk, and leaves out what is settled', () => {
    const all = checksDue(checksFor(c, rows), [done('papers')], c, []);
    const order = all.map((k) => WALK.indexOf(k.where));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    const before = passOf(all, 'before');
    expect(keys(before)).not.toContain('papers');
    expect(before.every((k) => k.when === 'before leaving' || k.when === 'on a date')).toBe(true);
    const evening = passOf(all, 'evening');
    expect(evening.length).toBeGreaterThan(8);
    expect(evening.every((k) => k.when === 'each evening')).toBe(true);
  });
  test('what is found bad, or overdue, of the kit holds up what it is for', () => {
    const found = [done('glue', { result: 'found' })];
    const all = checksDue(checksFor(c, rows), found, c, []);
    expect(heldUp(all)).toContain('puncture-tube');
    expect(heldUp(checksDue(checksFor(c, rows), [done('glue')], c, [])).has('puncture-tube')).toBe(false);
    // A look at the bike that found something holds up no repair.
    expect(heldUp(checksDue(checksFor(c, rows), [done('tyres', { result: 'found' })], c, [])).size).toBe(0);
    const late = checksDue(checksFor(c, rows), [], { ...c, today: '2026-06-20' }, []);
    expect(heldUp(late)).toContain('puncture-tube');
  });
  test('days are counted by the calendar', () => {
    expect(daysBetween('2026-02-27', '2026-03-01')).toBe(2);
    expect(daysBetween('2026-06-01T23:59:00.000Z', '2026-06-02')).toBe(1);
    expect(daysBetween('2026-06-01', '2026-06-02T23:59:00.000Z')).toBe(1);
    expect(dayAfter('2026-12-31', 1)).toBe('2027-01-01');
    expect(dayAfter('2024-03-01', -1)).toBe('2024-02-29');
  });
});

describe('the calendar', () => {
  const words = (k: CheckDue) => ({ name: `Look at ${k.key}`, text: `How to look at ${k.key}` });
  const file = (list: readonly CheckDue[], now = '2026-06-01T10:00:00.000Z') =>
    calendarFile(list, {
      bike: c.bike,
      trip: { id: c.trip!.id, name: c.trip!.name, leaves: LEAVES, days: 9 },
      words,
      now,
    });
  /** Read by another program than wrote it. */
  const events = (text: string) =>
    new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((v) => {
      const e = new ICAL.Event(v);
      const alarms = v.getAllSubcomponents('valarm');
      return {
        uid: e.uid,
        summary: e.summary,
        description: e.description,
        start: e.startDate.toString(),
        end: e.endDate.toString(),
        whole: e.startDate.isDate,
        sequence: e.sequence,
        status: v.getFirstPropertyValue('status'),
        alarms: alarms.map((a) => [
          String(a.getFirstPropertyValue('action')),
          String(a.getFirstPropertyValue('trigger')),
        ]),
      };
    });
  const all = (list: CheckDone[] = []) => checksDue(checksFor(c, rows), list, c, []);
  test('has each dated check once, all day, with an alarm, and the trip itself', () => {
    const read = events(file(all()));
    const dated = all().filter((k) => k.due !== null && (k.when === 'before leaving' || k.when === 'on a date'));
    expect(read.length).toBe(dated.length + 1);
    expect(new Set(read.map((e) => e.uid)).size).toBe(read.length);
    expect(
      read.every(
        (e) => e.whole && e.alarms.length === 1 && e.alarms[0]![0] === 'DISPLAY' && e.alarms[0]![1] === '-PT4H',
      ),
    ).toBe(true);
    const papers = read.find((e) => e.summary === 'Look at papers')!;
    expect([papers.start, papers.end, papers.status]).toEqual(['2026-06-18', '2026-06-19', 'CONFIRMED']);
    expect(papers.description).toBe('How to look at papers');
    const trip = read.find((e) => e.summary === c.trip!.name)!;
    expect([trip.start, trip.end]).toEqual(['2026-06-20', '2026-06-29']);
    for (const e of read) expect(e.uid).toMatch(/^[\w.-]+@necessaire$/u);
  });
  test('made again it has the same ids and a higher sequence; what is done is cancelled, without an alarm', () => {
    const first = events(file(all()));
    const later = events(file(all([done('papers')]), '2026-06-02T10:00:00.000Z'));
    expect(later.map((e) => e.uid).sort()).toEqual(first.map((e) => e.uid).sort());
    expect(later[0]!.sequence).toBeGreaterThan(first[0]!.sequence);
    const papers = later.find((e) => e.summary === 'Look at papers')!;
    expect([papers.status, papers.alarms]).toEqual(['CANCELLED', []]);
    expect(sequenceAt('2026-06-01T10:01:00.000Z') - sequenceAt('2026-06-01T10:00:00.000Z')).toBe(1);
    expect(sequenceAt('2020-01-01T00:00:00.000Z')).toBe(0);
    expect(file(all())).toBe(file(all()));
  });
  test('keeps to the standard: lines end in CR LF and are folded at 75 octets, texts are escaped, no maker’s own fields', () => {
    const name = 'Ölkanne; “Größe”, \\ und mehr, sehr lang '.repeat(4);
    const text = calendarFile(
      all().filter((k) => k.key === 'papers'),
      { bike: c.bike, trip: null, words: () => ({ name, text: '' }), now: '2026-06-01T10:00:00.000Z' },
    );
    expect(text.startsWith('BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:')).toBe(true);
    expect(text.split('\r\n').every((line) => new TextEncoder().encode(line).length <= 75)).toBe(true);
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/u);
    expect(text).not.toContain('X-MICROSOFT');
    expect(events(text)[0]!.summary).toBe(name);
  });
  test('without a trip there are dates alone', () => {
    const bare = calendarFile([], {
      bike: newBike(uuid(2), 'Bike'),
      trip: null,
      words,
      now: '2026-06-01T10:00:00.000Z',
    });
    expect(events(bare)).toEqual([]);
  });
});
