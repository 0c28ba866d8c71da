import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { isComplete, readEntry, typeEntry } from './entryLine.js';
import { CONDITIONS, EVIDENCE, FREE_ACCESS, newFastener, ROLES, type Condition, type Fastener } from './fastener.js';
import { SOURCES } from '../ground/fields.js';
import { STATIONS } from './stations.js';

const ID = '00000000-0000-4000-8000-000000000001';

describe('the entry line', () => {
  test('the sketch of a line: two ends, name, torque, depth', () => {
    const { draft, problems } = readEntry('2 ends 17 shock linkage 45nm sunk 60');
    expect(problems).toEqual([]);
    expect(draft).toMatchObject({
      head: { form: 'hex', size: '17' },
      far: { form: 'hex', size: '17' },
      name: 'Shock linkage',
      torque: { value: 45, source: 'user' },
      access: { recess: 60 },
    });
  });
  test('a size and a name are a complete row', () => {
    const reading = readEntry('27 axle nut');
    expect(isComplete(reading)).toBe(true);
    expect(reading.draft).toEqual({ head: { form: 'hex', size: '27' }, name: 'Axle nut' });
  });
  test('everything at once', () => {
    const { draft, problems } = readEntry(
      'i6 sprocket bolt x6 m8 35nm locked nut 12 behind loose side only accessory tried @rear',
    );
    expect(problems).toEqual([]);
    expect(draft).toMatchObject({
      head: { form: 'key', size: '6' },
      far: { form: 'hex', size: '12' },
      count: 6,
      thread: 'M8',
      torque: { value: 35 },
      condition: 'locked',
      shakesLoose: true,
      accessory: true,
      evidence: 'tried',
      station: 'rear-wheel',
      access: { approach: 'side only' },
      name: 'Sprocket bolt',
    });
  });
  test('a size after its name, words that are forms elsewhere, pounds and feet', () => {
    expect(readEntry('axle nut 27').draft).toMatchObject({ head: { size: '27' }, name: 'Axle nut' });
    expect(readEntry('10 hose clip bolt').draft).toMatchObject({ head: { size: '10' }, name: 'Hose clip bolt' });
    expect(readEntry('clip seat cover').draft).toMatchObject({ head: { form: 'clip' }, name: 'Seat cover' });
    expect(readEntry('13 stand 30 lbft').draft.torque?.value).toBeCloseTo(40.7, 1);
    expect(readEntry('13 stand 30 lbft').parts.map((p) => p.label)).toContain('30 lb·ft');
    expect(readEntry('13 stand 30nm').parts.map((p) => p.label)).toContain('30 N·m');
  });
  test('a small torque behind a nut is no size of the far end', () => {
    const { draft, problems } = readEntry('10 axle nut 0.1nm');
    expect(problems).toEqual([]);
    expect(draft).toMatchObject({ name: 'Axle nut', torque: { value: 0.1 } });
  });
  test('only a thread is known: the usual head, only assumed', () => {
    expect(readEntry('M8 foot peg').draft).toMatchObject({ head: { size: '13' }, thread: 'M8', evidence: 'assumed' });
  });
  test('a plug asks for a hollow that takes its body', () => {
    expect(readEntry('plug 16 spark plug').draft.access?.stud).toBe(50);
  });
  test('every field can be said in the line', () => {
    const { draft, problems } = readEntry(
      '14 stand pivot far 14 far sunk 20 far thin 6 40nm manual gets lost breaks role seat left out: inside work note: mind the spring',
    );
    expect(problems).toEqual([]);
    expect(draft).toMatchObject({
      name: 'Stand pivot',
      farAccess: { recess: 20, thin: 6 },
      torque: { value: 40, source: 'manual' },
      getsLost: true,
      breaks: true,
      role: 'seat',
      leftOut: 'inside work',
      note: 'mind the spring',
    });
    expect(readEntry('10 nut role:captain').problems[0]!.message).toMatch(/no such job/);
    expect(readEntry('10 "Loose link"').draft).toMatchObject({ name: 'Loose link' });
    expect(readEntry('10 "Loose link"').draft.shakesLoose).toBeUndefined();
  });
  test.each([
    ['10.3 nut', 0, 4, /reading, not a size/],
    ['10 nut 45nn', 7, 11, /cannot read "45nn"/],
    ['10 brake line 12', 14, 16, /second size: for the other end write "far 12"/],
    ['10 nut m7', 7, 9, /no thread M7/],
    ['t33 guard', 0, 3, /no six-lobe T33/],
    ['10 nut @moon', 7, 12, /no station "moon"/],
    ['10 nut x0', 7, 9, /count is 1 to 200/],
    ['10 nut 2000nm', 7, 13, /over 1000/],
    ['axle nut', 8, 8, /no size yet/],
  ])('%s: the culprit is marked and says why', (line, start, end, message) => {
    const reading = readEntry(line);
    expect(isComplete(reading)).toBe(false);
    expect(reading.problems).toHaveLength(1);
    expect(reading.problems[0]).toMatchObject({ start, end });
    expect(reading.problems[0]!.message).toMatch(message);
  });
  test('any text gives parts and problems inside the line, never a throw', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 120 }), (line) => {
        const reading = readEntry(line);
        for (const p of [...reading.parts, ...reading.problems]) {
          expect(p.start).toBeGreaterThanOrEqual(0);
          expect(p.end).toBeLessThanOrEqual(line.length);
        }
      }),
      { numRuns: 1000 },
    );
  });
});

const fastener = fc
  .record({
    head: fc.constantFrom<Fastener['head']>(
      { form: 'hex', size: '10' },
      { form: 'hex', size: '1/2in' },
      { form: 'key', size: '5' },
      { form: 'lobe', size: '30' },
      { form: 'ph', size: '2' },
      { form: 'plug', size: '16' },
      { form: 'hook', size: '45' },
    ),
    far: fc.option(fc.constantFrom<Fastener['head']>({ form: 'hex', size: '10' }, { form: 'key', size: '8' })),
    name: fc.constantFrom('Axle nut', 'Rack bolt', 'Loose link', 'Nut 12 of the seat', 'Dirty clip', 'Far end', 'M8'),
    count: fc.integer({ min: 1, max: 200 }),
    thread: fc.option(fc.constantFrom('M6', 'M8', 'M10')),
    torque: fc.option(
      fc.record({
        value: fc.integer({ min: 1, max: 9999 }).map((n) => n / 10),
        source: fc.constantFrom(...SOURCES),
      }),
    ),
    condition: fc.constantFrom(...(Object.keys(CONDITIONS) as Condition[])),
    shakesLoose: fc.boolean(),
    accessory: fc.boolean(),
    evidence: fc.constantFrom(...EVIDENCE),
    station: fc.constantFrom(...STATIONS),
    recess: fc.integer({ min: 0, max: 200 }),
    clearance: fc.option(fc.integer({ min: 5, max: 60 })),
    thin: fc.option(fc.integer({ min: 2, max: 12 })),
    swing: fc.option(fc.integer({ min: 5, max: 360 })),
    getsLost: fc.boolean(),
    breaks: fc.boolean(),
    role: fc.option(fc.constantFrom(...ROLES)),
    leftOut: fc.option(fc.constantFrom('no roadside job turns it', 'inside work: for the workshop')),
    note: fc.constantFrom('', 'mind the spacer', '13 goes on too: do not trust it'),
    farRecess: fc.integer({ min: 0, max: 90 }),
    approach: fc.constantFrom('any' as const, 'side only' as const, 'in line only' as const, 'out of line' as const),
  })
  .map(({ recess, clearance, thin, swing, approach, farRecess, ...rest }) =>
    newFastener({
      ...rest,
      id: ID,
      bikeId: ID,
      access: { ...FREE_ACCESS, recess, clearance, thin, swing, approach, stud: rest.head.form === 'plug' ? 50 : 0 },
      farAccess: { ...FREE_ACCESS, recess: farRecess },
    }),
  );

test('inch threads are said as such, and carry their usual heads', () => {
  expect(readEntry('7/16in rack bolt thread 1/4in').draft).toMatchObject({ thread: '1/4in', head: { size: '7/16in' } });
  expect(readEntry('thread 5/16-18 rack bolt').draft).toMatchObject({
    thread: '5/16in',
    head: { form: 'hex', size: '1/2in' },
  });
  expect(readEntry('10 x thread 9/32').problems[0]!.message).toMatch(/no thread 9\/32in here/);
});

test('a fastener typed out in either units and read again is the same', () => {
  fc.assert(
    fc.property(fastener, fc.constantFrom('metric' as const, 'inch' as const), (f, units) => {
      const reading = readEntry(typeEntry(f, units));
      expect(reading.problems).toEqual([]);
      expect(newFastener({ ...reading.draft, id: ID, bikeId: ID, head: reading.draft.head! })).toEqual(f);
    }),
    { numRuns: 2000 },
  );
});

test('lengths in inches stand right behind their figure', () => {
  expect(readEntry('10 sunk 2.4in clamp').draft).toMatchObject({ name: 'Clamp', access: { recess: 61 } });
  expect(readEntry('10 sunk 60 in line only').draft.access).toMatchObject({ recess: 60, approach: 'in line only' });
  expect(readEntry('10 stud 1" well 0.5in').draft.access).toMatchObject({ stud: 25.4, clearance: 12.7 });
  expect(readEntry('10 sunk 2.4in').parts.map((p) => p.label)).toContain('2.4 in deep');
});

test('a line longer than any row is refused with a word, not read', () => {
  const { draft, problems } = readEntry(`13 ${'axle nut far swing '.repeat(1000)}`);
  expect(draft).toEqual({});
  expect(problems[0]!.message).toMatch(/too long: a line holds 3000 characters/);
});
