import { describe, expect, test } from '@jest/globals';
import {
  fastenerSchema,
  guideOf,
  newBike,
  newFastener,
  typeEntry,
  type EntryReading,
  type Fastener,
} from '@necessaire/core';
import { enteredAs, readingOf, unchanged, withReading, type Entered, type Entering } from './entry';

const BIKE = '00000000-0000-4000-8000-000000000001';
const NEXT = '00000000-0000-4000-8000-000000000002';
const bike = newBike(BIKE, 'Test');
const base: Entering = {
  bike,
  fasteners: [],
  station: 'exhaust',
  editing: null,
  visit: guideOf(bike, []).next,
  nextId: NEXT,
  who: 'Mara',
  now: '2026-05-01T10:00:00.000Z',
};
const enter = (text: string, extra: Partial<Entering> = {}): Entered => {
  const c = { ...base, ...extra };
  return enteredAs(text, readingOf(text, c.visit !== null && !c.editing, { here: c.station }), c);
};
const row = (text: string, extra: Partial<Entering> = {}): Fastener => {
  const entered = enter(text, extra);
  if (entered.kind !== 'row') throw new Error(`${text}: ${entered.kind}`);
  expect(fastenerSchema.safeParse(entered.row).error?.issues ?? []).toEqual([]);
  return entered.row;
};

describe('a line on the walk', () => {
  test('a bare size answers what is asked for, with all that is usual there', () => {
    expect(base.visit!.look.key).toBe('front-axle');
    expect(row('24')).toMatchObject({
      id: NEXT,
      name: 'Front axle',
      station: 'front-wheel',
      look: 'front-axle',
      role: 'front axle',
      head: { form: 'hex', size: '24' },
      evidence: 'measured',
      trail: [{ evidence: 'measured', who: 'Mara', when: base.now, how: 'typed in the line' }],
    });
    expect(row('i22 far 27 60nm tried')).toMatchObject({
      name: 'Front axle',
      head: { form: 'key', size: '22' },
      far: { size: '27' },
      torque: { value: 60 },
      evidence: 'tried',
    });
  });
  test('a size with a name is a row of its own, at the station in view', () => {
    expect(row('10 tool holder x3')).toMatchObject({ name: 'Tool holder', station: 'exhaust', look: null, count: 3 });
    // A name that says where it sits goes there, unless the line says otherwise.
    expect(row('10 number board')).toMatchObject({ name: 'Number board', station: 'front-end' });
    expect(row('32 rear axle nut role none').role).toBeNull();
    expect(row('10 number board @exhaust')).toMatchObject({ station: 'exhaust' });
    // Another station than the one asked for cannot be its answer.
    expect(row('10 @cockpit')).toMatchObject({ name: 'Fastener', station: 'cockpit', look: null });
  });
  test('a name that the walk knows answers it: with its job, its thread and, unless it was named, its station', () => {
    expect(row('i5 heat shield x2')).toMatchObject({ station: 'exhaust', look: 'heat-shield', thread: 'M6', count: 2 });
    expect(row('32 rear axle nut 98nm')).toMatchObject({
      station: 'rear-wheel',
      look: 'rear-axle',
      role: 'rear axle',
      torque: { value: 98, source: 'user' },
    });
    expect(row('1/2in mirror stem @cockpit')).toMatchObject({ role: 'mirror', look: 'mirror' });
  });
  test('a far end that nobody spoke of stays assumed, and the row with it', () => {
    const visit = guideOf(bike, []).visits.find((v) => v.look.key === 'chain-adjuster')!;
    expect(row('12', { visit })).toMatchObject({ far: { size: '13' }, evidence: 'assumed' });
    expect(enter('12', { visit })).toMatchObject({ says: expect.stringMatching(/far end, hex 13, is still assumed/) });
    expect(row('12 far 13', { visit })).toMatchObject({ far: { size: '13' }, evidence: 'measured' });
  });
  test('what the server would not take is not made: every way to say the far end’s access is valid', () => {
    for (const words of ['far side only', 'far in line only', 'far out of line', 'side only far in line only'])
      expect(row(`2 ends 10 linkage ${words}`).farAccess.approach).toBe(
        words.replace(/^.*far /, '') as Fastener['farAccess']['approach'],
      );
    const old = row('2 ends 10 linkage far side only');
    expect(unchanged(enter(typeEntry(old), { editing: old }), old)).toBe(true);
    const bad: EntryReading = {
      draft: { head: { form: 'hex', size: '10' }, count: 900 },
      parts: [],
      asks: [],
      faults: [],
      stationSaid: false,
      roleSaid: false,
    };
    expect(enteredAs('x', bad, { ...base, visit: null })).toEqual({
      kind: 'nothing',
      message: expect.stringMatching(/^count: /),
    });
  });
  test('? assumes, - leaves out with or without a reason', () => {
    expect(row('?')).toMatchObject({ name: 'Front axle', evidence: 'assumed', leftOut: null });
    expect(row('-')).toMatchObject({ leftOut: 'not on this bike', look: 'front-axle' });
    expect(row('- inside work')).toMatchObject({ leftOut: 'inside work' });
  });
  test('a row that is still assumed is confirmed in its place', () => {
    const known = row('?');
    const rows = [known];
    const all = guideOf(bike, rows).visits.find((v) => v.look.key === 'front-axle')!;
    const sure = row('27', { visit: all });
    expect(sure.id).toBe(known.id);
    expect(sure.trail.map((s) => s.evidence)).toEqual(['assumed', 'measured']);
  });
  test('a reading goes to the bench of what is asked for, or of the row being corrected', () => {
    expect(enter('23.82')).toMatchObject({ kind: 'reading', isNew: true, value: 23.82, row: { look: 'front-axle' } });
    expect(enter('0.9370 in')).toMatchObject({ kind: 'reading' });
    const editing = row('13 stay');
    expect(enter('12,94', { editing })).toMatchObject({ kind: 'reading', isNew: false, row: { id: editing.id } });
    expect(withReading(editing, 12.94).gauge).toEqual({ readings: [12.94], surface: 'clean', tries: [] });
    // 5.5 is a size, not a reading.
    expect(row('5.5').head.size).toBe('5.5');
  });
  test('without a walk the signs mean nothing, and an empty line says what to write', () => {
    expect(enter('?', { visit: null }).kind).toBe('nothing');
    expect(enter('', {})).toEqual({ kind: 'nothing', message: expect.stringMatching(/size first/) });
    expect(enter('axle nut')).toEqual({ kind: 'nothing', message: expect.stringMatching(/no size yet/) });
  });
});

describe('correcting a row in the line', () => {
  const old = newFastener({
    id: NEXT,
    bikeId: BIKE,
    head: { form: 'hex', size: '13' },
    name: 'Rack bolt',
    station: 'racks',
    note: 'two\nlines',
    look: 'rear-rack',
    gauge: { readings: [12.9], surface: 'clean', tries: [] },
    trail: [{ evidence: 'measured', who: '', when: '2026-04-01T10:00:00.000Z', how: 'x' }],
  });
  test('what the line does not say stays; a step of the ladder is written down', () => {
    const changed = row('12 rack bolt tried @racks note: two lines', { editing: old });
    expect(changed).toMatchObject({
      id: old.id,
      head: { size: '12' },
      note: old.note,
      gauge: old.gauge,
      look: old.look,
    });
    expect(changed.trail.map((s) => s.evidence)).toEqual(['measured', 'tried']);
  });
  test('the same line changes nothing', () => {
    expect(unchanged(enter('13 rack bolt measured @racks note: two lines', { editing: old }), old)).toBe(true);
    expect(unchanged(enter('14 rack bolt measured @racks', { editing: old }), old)).toBe(false);
  });
});
