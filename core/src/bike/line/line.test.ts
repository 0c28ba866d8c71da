import { long } from '../../testing/long.js';
import { runs } from '../../testing/thorough.js';
import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { tokensOf } from '../../ground/line/index.js';
import { FASTENER_LINES } from '../../testing/corpus/fasteners.js';
import { corpusOf } from '../../testing/corpus/read.js';
import { isComplete, readEntry, typeEntry, wordsOf } from './index.js';
import { CONDITIONS, EVIDENCE, newFastener, ROLES, type Condition, type Fastener } from '../fastener.js';
import { line as lineSchema } from '../../ground/text.js';
import { THREADS } from '../../ground/sizes/index.js';
import { SOURCES } from '../../ground/fields.js';
import { STATIONS } from '../stations.js';

/** What a line says of a thing that it speaks of. */
const says = (line: string, what: string, inch = false) =>
  readEntry(line, { inch }).parts.find((p) => p.what === what)?.says;

const ID = '00000000-0000-4000-8000-000000000001';

describe('the entry line', () => {
  test('the sketch of a line: two ends, name, torque, depth', () => {
    const { draft, faults } = readEntry('2 ends 17 shock linkage 45nm sunk 60');
    expect(faults).toEqual([]);
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
    const { draft, faults } = readEntry(
      'i6 sprocket bolt x6 m8 35nm locked nut 12 behind loose side only accessory tried @rear',
    );
    expect(faults).toEqual([]);
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
    const torque = { code: 'line.torque', typed: null, source: null };
    expect(says('13 stand 30 lbft', 'torque')).toEqual({ ...torque, typed: '30 lb·ft', value: 40.7 });
    expect(says('13 stand 30 lbft', 'torque', true)).toEqual({ ...torque, value: 40.7 });
    expect(says('13 stand 30nm', 'torque')).toEqual({ ...torque, value: 30 });
    expect(says('13 stand 30nm', 'torque', true)).toEqual({ ...torque, typed: '30 N·m', value: 30 });
    expect(says('13 stand 30nm manual', 'torque')).toEqual({ ...torque, value: 30, source: 'manual' });
  });
  test.each([
    ['10 m8 bolt', 'M8', 'Bolt', 1],
    ['10 m8x1.25 bolt', 'M8', 'M8x1.25 bolt', 1],
    ['10 m8x30 bolt', 'M8', 'M8x30 bolt', 1],
    ['10 m8 x 30 bolt', 'M8', 'M8 x 30 bolt', 1],
    ['10 m8x1.25x30 bolt', 'M8', 'M8x1.25x30 bolt', 1],
    ['10 bolt m8 x4', 'M8', 'Bolt', 4],
    ['10 bolt m8x4', 'M8', 'Bolt', 4],
    ['10 bolt m8x3', 'M8', 'Bolt', 3],
    ['10 m8x5 bolt', 'M8', 'M8x5 bolt', 1],
    ['10 m8 x5 bolt', 'M8', 'Bolt', 5],
    ['10 m8x1.25 x4 bolt', 'M8', 'M8x1.25 bolt', 4],
    ['10 thread m6 bolt', 'M6', 'Bolt', 1],
    ['10 1/4-20 bolt', '1/4in', 'Bolt', 1],
    ['10 thread 5/16 bolt', '5/16in', 'Bolt', 1],
    ['10 thread 5/16-18 bolt', '5/16in', 'Bolt', 1],
  ])('a thread with what stands behind it: %s', (line, thread, name, count) => {
    const { draft, faults, asks } = readEntry(line);
    expect([faults, asks]).toEqual([[], []]);
    expect([draft.thread, draft.name, draft.count ?? 1]).toEqual([thread, name, count]);
  });
  test.each([
    ['10 bolt swing 1', { swing: 1 }],
    ['10 bolt swing 360°', { swing: 360 }],
    ['10 bolt swing 30 degrees', { swing: 30 }],
    ['10 bolt sunk 60', { recess: 60 }],
    ['10 bolt well 0.5in', { clearance: 12.7 }],
    ['10 bolt room 5000', { headroom: 5000 }],
    ['10 bolt thin 4 mm', { thin: 4 }],
    ['10 bolt stud 25', { stud: 25 }],
    ['10 bolt sunk 60 in line only', { recess: 60, approach: 'in line only' }],
    ['10 bolt out of line', { approach: 'out of line' }],
  ])('what stands in the way: %s', (line, access) => {
    const { draft, faults } = readEntry(line);
    expect(faults).toEqual([]);
    const nothing = { approach: 'any', clearance: null, headroom: null, recess: 0, stud: 0, swing: null, thin: null };
    expect(draft.access).toEqual({ ...nothing, ...access });
    expect(draft.name).toBe('Bolt');
  });
  test.each(['10 bolt swing 0', '10 bolt swing 361', '10 bolt sunk 5001'])('what cannot be is refused: %s', (line) => {
    expect(readEntry(line).faults).toHaveLength(1);
  });
  test('a length of nothing is asked about, a figure that is nothing refused, each with what it may be', () => {
    const { asks } = readEntry('10 bolt 60 mm');
    expect(asks[0]!.question).toBe('What is “60 mm”?');
    expect(asks[0]!.options.map((x) => x.says)).toEqual(['how deep the head sits', 'part of the name']);
    const depth = asks[0]!.options[0]!.line;
    expect(depth).toBe('10 bolt sunk 60');
    expect(readEntry(depth).draft.access).toMatchObject({ recess: 60 });
    // A length that is a size of the far end too.
    expect(readEntry('10 bolt 12 mm').asks[0]!.options.map((x) => x.line)).toEqual([
      '10 bolt far 12',
      '10 bolt sunk 12',
      '10 bolt "12 mm"',
    ]);
    expect(readEntry('10 bolt 45nn').faults[0]!.message).toMatch(/^cannot read "45nn": a size is 10/u);
  });
  test('a pitch above three is none, and no count either', () => {
    expect(readEntry('10 m8x3.5 bolt').faults.map((f) => f.message)).toEqual(['a count is 1 to 200']);
    expect(
      readEntry('10 m8x1.25 bolt')
        .parts.filter((x) => x.what === 'name')
        .map((x) => x.says),
    ).toEqual(['m8x1.25']);
  });
  test.each([
    ['10 bolt 12', ['12nm', 'far 12', '"12"']],
    ['10 bolt 45', ['45nm', '"45"']],
    ['10 bolt 1/2in', ['far 1/2in', 'sunk 1/2in', '"1/2in"']],
    ['10 bolt i5', ['far i5', '"i5"']],
  ])('a second figure is taken for nothing unasked: %s', (line, options) => {
    const { asks, faults, draft } = readEntry(line);
    const said = line.slice('10 bolt '.length);
    expect(faults).toEqual([]);
    expect(asks.map((a) => [a.question, a.options.map((o) => o.line)])).toEqual([
      [`What is “${said}”?`, options.map((o) => `10 bolt ${o}`)],
    ]);
    expect([draft.far, draft.torque, draft.name]).toEqual([undefined, undefined, 'Bolt']);
  });
  test('what is said already is not offered again; a torque is in the units on show', () => {
    const lines = (line: string, inch = false) => readEntry(line, { inch }).asks[0]!.options.map((o) => o.line);
    expect(lines('10 bolt 8nm 12')).toEqual(['10 bolt 8nm far 12', '10 bolt 8nm "12"']);
    expect(lines('10 bolt far 13 12')).toEqual(['10 bolt far 13 12nm', '10 bolt far 13 "12"']);
    expect(lines('10 bolt 12', true)).toEqual(['10 bolt 12lbft', '10 bolt far 12', '10 bolt "12"']);
    expect(readEntry('10 bolt 12', { inch: true }).asks[0]!.options[0]!.says).toBe('torque, 12 lb·ft');
  });
  test.each([
    ['16 plug cover', 'plug', 'Cover', '16 "plug" cover'],
    ['seat key 5', 'key', 'Seat', 'seat "key" 5'],
    ['switch key 5', 'key', 'Switch', 'switch "key" 5'],
  ])('a word that is a form and may be of the name: %s', (line, form, name, other) => {
    const { draft, parts, asks, faults } = readEntry(line);
    expect([asks, faults, draft.head!.form, draft.name]).toEqual([[], [], form, name]);
    const others = parts.flatMap((x) => x.others);
    expect(others.map((o) => o.line)).toEqual([other]);
    expect(readEntry(other).draft.name!.toLowerCase()).toContain(form);
  });
  test.each([
    ['10 "a bolt"', 'a bolt'],
    ['10 "B" bolt', 'B bolt'],
    ['10 bolt (6 nm)', 'Bolt'],
    ['10 bolt #2', 'Bolt #2'],
    ['10 bolt i', 'Bolt i'],
    ['10 ?', undefined],
  ])('the name of %s', (line, name) => {
    const { draft, faults, asks } = readEntry(line);
    expect([draft.name, faults, asks]).toEqual([name, [], []]);
  });
  test('a figure that reads like a torque is offered as one, any other as a word', () => {
    const options = (line: string) => readEntry(line).faults[0]!.options.map((o) => o.line);
    expect(options('10 bolt 45nn')).toEqual(['10 bolt 45nm', '10 bolt "45nn"']);
    expect(options('10 bolt 45xn')).toEqual(['10 bolt "45xn"']);
    expect(options('10 bolt t33')).toEqual(['10 bolt t30', '10 bolt t27']);
  });
  test('a figure before the word of its form', () => {
    expect(readEntry('6.3 rear spoke nipple').draft).toMatchObject({ head: { form: 'spoke', size: '6.3' } });
  });
  test.each([
    ['Seat bolt', '10 Seat bolt'],
    ['Behind', '10 "Behind"'],
    ['Nut m8', '10 "Nut m8"'],
    ['Bolt 12', '10 "Bolt 12"'],
  ])('a name that would be read as something else is written in quotes: %s', (name, line) => {
    const written = typeEntry(newFastener({ id: ID, bikeId: ID, head: { form: 'hex', size: '10' }, name }));
    expect(written.startsWith(`${line} `)).toBe(true);
    expect(readEntry(written).draft.name).toBe(name);
  });
  test('a small torque behind a nut is no size of the far end', () => {
    const { draft, faults } = readEntry('10 axle nut 0.1nm');
    expect(faults).toEqual([]);
    expect(draft).toMatchObject({ name: 'Axle nut', torque: { value: 0.1 } });
  });
  test('only a thread is known: the usual head, only assumed', () => {
    expect(readEntry('M8 foot peg').draft).toMatchObject({ head: { size: '13' }, thread: 'M8', evidence: 'assumed' });
  });
  test('a plug asks for a hollow that takes its body', () => {
    expect(readEntry('plug 16 spark plug').draft.access?.stud).toBe(50);
  });
  test('every field can be said in the line', () => {
    const { draft, faults } = readEntry(
      '14 stand pivot far 14 far sunk 20 far thin 6 40nm manual gets lost breaks role seat left out: inside work note: mind the spring',
    );
    expect(faults).toEqual([]);
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
    expect(readEntry('10 nut role:captain').faults[0]!.message).toMatch(/no such role/);
    expect(readEntry('10 "Loose link"').draft).toMatchObject({ name: 'Loose link' });
    expect(readEntry('10 "Loose link"').draft.shakesLoose).toBeUndefined();
  });
  test.each([
    ['10.3 nut', 0, 4, /reading, not a size/],
    ['10 nut 45nn', 7, 11, /cannot read "45nn"/],
    ['10 nut m7', 7, 9, /no thread M7/],
    ['t33 guard', 0, 3, /no six-lobe T33/],
    ['10 nut @moon', 7, 12, /no station "moon"/],
    ['10 nut x0', 7, 9, /count is 1 to 200/],
    ['10 nut 2000nm', 7, 13, /over 1000/],
    ['axle nut', 8, 8, /no size yet/],
  ])('%s: the culprit is marked and says why', (line, start, end, message) => {
    const reading = readEntry(line);
    expect(isComplete(reading)).toBe(false);
    expect(reading.asks).toEqual([]);
    expect(reading.faults).toHaveLength(1);
    expect(reading.faults[0]).toMatchObject({ start, end });
    expect(reading.faults[0]!.message).toMatch(message);
  });
  long('every stretch stands inside the line, and every word of it belongs to one', () => {
    const words = fc.constantFrom(
      ...'10 13mm i5 t30 axle nut far 12 x4 m8 45nm 36 sunk 60 loose @rear zorb plug hook 1/2 - " note two half'.split(
        ' ',
      ),
    );
    const line = fc.oneof(
      fc.string({ maxLength: 120, unit: 'grapheme' }),
      fc.array(words, { maxLength: 12 }).map((w) => w.join(' ')),
    );
    fc.assert(
      fc.property(line, (text) => {
        const { parts, asks, faults } = readEntry(text, { here: 'exhaust' });
        const stretches = [...parts, ...asks, ...faults];
        const outside = stretches.filter((p) => p.start < 0 || p.end > text.length);
        const alone = tokensOf(text)
          .filter((w) => w.kind !== 'mark' && /[\p{L}\p{N}]/u.test(w.text))
          .filter((t) => !stretches.some((p) => p.start <= t.start && t.end <= p.end));
        expect([outside, alone]).toEqual([[], []]);
      }),
      runs(2000, 500),
    );
  });
  test('what is offered settles what it was offered for', () => {
    for (const { line } of corpusOf(FASTENER_LINES)) {
      const before = readEntry(line, { here: 'exhaust' });
      for (const a of before.asks.filter((x) => x.word === null))
        for (const o of a.options) {
          const after = readEntry(o.line, { here: 'exhaust' });
          expect([o.line, after.asks.map((x) => x.question), after.faults.map((x) => x.message)]).toEqual([
            o.line,
            before.asks.filter((x) => x !== a).map((x) => x.question),
            [],
          ]);
        }
    }
  });
  test('what is nearest to a size that there is not keeps its form', () => {
    for (const [line, form] of [
      ['i9 nut', 'key'],
      ['ph9', 'ph'],
      ['t33 pin', 'lobe-pin'],
      ['plug 12', 'plug'],
    ] as const) {
      const options = readEntry(line).faults[0]?.options.filter((o) => !o.line.includes('"')) ?? [];
      for (const o of options) expect([o.line, readEntry(o.line).draft.head?.form]).toEqual([o.line, form]);
    }
    expect(readEntry('i9 nut').faults[0]?.options.map((o) => o.line)).toEqual(['i8 nut', 'i10 nut']);
  });
  test('a station and a job that the name says are guesses, each with its other', () => {
    const { parts, draft } = readEntry('32 rear axle nut note: new', { here: 'exhaust' });
    const guesses = parts.filter((p) => p.others.length > 0).map((p) => [p.what, p.says, p.others[0]?.line]);
    expect(guesses).toEqual([
      ['at', 'Drive and rear wheel', '32 rear axle nut @exhaust note: new'],
      ['job', 'rear axle', '32 rear axle nut role none note: new'],
    ]);
    expect(draft).toMatchObject({ station: 'rear-wheel', note: 'new' });
    expect(draft.role).toBeUndefined();
    const none = readEntry('32 rear axle nut role none', { here: 'exhaust' });
    expect([none.draft.role, none.roleSaid, none.parts.some((p) => p.what === 'job' && p.others.length > 0)]).toEqual([
      null,
      true,
      false,
    ]);
    // Where no station is in view, nothing is guessed.
    expect(readEntry('32 rear axle nut').draft.station).toBeUndefined();
  });
  test('inches by their decimals, bare where inches are shown', () => {
    expect(readEntry('0.312 rack bolt', { inch: true }).draft.head).toEqual({ form: 'hex', size: '5/16in' });
    expect(readEntry('1.125 rear axle', { inch: true }).draft.head).toEqual({ form: 'hex', size: '1 1/8in' });
    expect(readEntry('.4375 rack bolt', { inch: true }).draft.head).toEqual({ form: 'hex', size: '7/16in' });
    expect(readEntry('1.125 rear axle').faults[0]?.message).toMatch(/1.125 is a reading, not a size/);
  });
  test('the rider’s own words stand for forms, or for words of names, and are not asked about again', () => {
    expect(readEntry('6 knarz seat').asks[0]).toMatchObject({ word: 'knarz', start: 2, end: 7 });
    const own = [{ said: 'Knarz', means: 'form:key' }];
    expect(readEntry('6 knarz seat', { own }).draft).toEqual({ head: { form: 'key', size: '6' }, name: 'Seat' });
    expect(readEntry('knarz 6', { own }).draft.head).toEqual({ form: 'key', size: '6' });
    expect(readEntry('13 schraube', { own: [{ said: 'schraube', means: 'name' }] })).toMatchObject({
      asks: [],
      draft: { name: 'Schraube' },
    });
    expect(readEntry('13 schraube', { known: wordsOf(['Lange Schraube']) }).asks).toEqual([]);
  });
});

/** Any text that a field on one line can hold, as the schema leaves it. */
const anyLine = (most: number) =>
  fc.string({ maxLength: most, unit: 'binary' }).map((text) => lineSchema(most * 4).parse(text));

const access = fc.record({
  recess: fc.integer({ min: 0, max: 200 }),
  clearance: fc.option(fc.integer({ min: 5, max: 60 })),
  headroom: fc.option(fc.integer({ min: 5, max: 90 })),
  thin: fc.option(fc.integer({ min: 2, max: 12 })),
  stud: fc.integer({ min: 0, max: 40 }),
  swing: fc.option(fc.integer({ min: 5, max: 360 })),
  approach: fc.constantFrom('any' as const, 'side only' as const, 'in line only' as const, 'out of line' as const),
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
    name: fc.oneof(
      fc.constantFrom(
        'Axle nut',
        'Rack bolt',
        'Loose link',
        'Nut 12 of the seat',
        'Dirty clip',
        'Far end',
        'M8',
        '3" strap',
        'axle',
      ),
      anyLine(60).filter((n) => n !== ''),
    ),
    count: fc.integer({ min: 1, max: 200 }),
    thread: fc.option(fc.constantFrom(...THREADS)),
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
    access,
    farAccess: access,
    getsLost: fc.boolean(),
    breaks: fc.boolean(),
    role: fc.option(fc.constantFrom(...ROLES)),
    leftOut: fc.option(
      fc.oneof(
        fc.constantFrom('no roadside job turns it', 'inside work: for the workshop', 'see note: "12"'),
        anyLine(40).filter((t) => t !== ''),
      ),
    ),
    note: fc.oneof(fc.constantFrom('', 'mind the spacer', '13 goes on too: do not trust it'), anyLine(60)),
  })
  .map(({ access: near, ...rest }) =>
    newFastener({
      ...rest,
      note: rest.note.replace(/\s+/gu, ' ').trim(),
      id: ID,
      bikeId: ID,
      access: rest.head.form === 'plug' && near.stud === 0 ? { ...near, stud: 50 } : near,
    }),
  );

test('inch threads are said as such, and carry their usual heads', () => {
  expect(readEntry('7/16in rack bolt thread 1/4in').draft).toMatchObject({ thread: '1/4in', head: { size: '7/16in' } });
  expect(readEntry('thread 5/16-18 rack bolt').draft).toMatchObject({
    thread: '5/16in',
    head: { form: 'hex', size: '1/2in' },
  });
  expect(readEntry('10 x thread 9/32').faults[0]!.message).toMatch(/no thread 9\/32in here/);
});

long('a fastener typed out in either units and read again is the same', () => {
  fc.assert(
    fc.property(fastener, fc.constantFrom('metric' as const, 'inch' as const), (f, units) => {
      const reading = readEntry(typeEntry(f, units));
      expect(reading.faults).toEqual([]);
      expect(newFastener({ ...reading.draft, id: ID, bikeId: ID, head: reading.draft.head! })).toEqual(f);
    }),
    runs(2000, 500),
  );
});

test('lengths in inches stand right behind their figure', () => {
  expect(readEntry('10 sunk 2.4in clamp').draft).toMatchObject({ name: 'Clamp', access: { recess: 61 } });
  expect(readEntry('10 sunk 60 in line only').draft.access).toMatchObject({ recess: 60, approach: 'in line only' });
  expect(readEntry('10 stud 1" well 0.5in').draft.access).toMatchObject({ stud: 25.4, clearance: 12.7 });
  for (const inch of [true, false])
    expect(says('10 sunk 2.4in', 'access', inch)).toEqual({ code: 'line.length', mm: 61, of: 'recess' });
  for (const [line, of] of [
    ['10 well 34', 'clearance'],
    ['10 room 80', 'headroom'],
    ['10 thin 8', 'thin'],
    ['10 stud 12', 'stud'],
  ] as const)
    expect(says(line, 'access')).toMatchObject({ code: 'line.length', of });
  expect(says('10 swing 30', 'access')).toBe('30° swing');
  expect(says('10 side only', 'access')).toBe('side only');
});

test('a line longer than any row is refused with a word, not read', () => {
  const { draft, faults } = readEntry(`13 ${'axle nut far swing '.repeat(1000)}`);
  expect(draft).toEqual({});
  expect(faults[0]!.message).toMatch(/too long: a line holds 3000 characters/);
});

describe('counts', () => {
  const counted = (line: string) => {
    const { draft, parts, asks, faults } = readEntry(line);
    const others = parts.flatMap((p) => p.others.map((o) => o.line));
    return [draft.head?.size, draft.count, others.join(), asks.length + faults.length];
  };
  test.each([
    ['10 rack bolt x4', '10', 4, ''],
    ['x4 10 rack bolt', '10', 4, ''],
    ['4 off 10 rack bolt', '10', 4, ''],
    ['10 x4 rack bolt', '10', 4, ''],
    ['4x 10 rack bolt', '10', 4, ''],
    ['10 x 3 rack bolt', '10', 3, ''],
    ['3 x 10 rack bolt', '10', 3, ''],
    ['4 x 10 rack bolt', '10', 4, ''],
    ['12 x 10 rack bolt', '10', 12, '12 x10 rack bolt'],
    ['36 x2 axle nut', '36', 2, ''],
    ['axle nut 36 x2', '36', 2, ''],
  ])('%s', (line, size, count, other) => expect(counted(line)).toEqual([size, count, other, 0]));
});
test('a second figure that may be the far end is offered as one', () => {
  const offers = (line: string) => readEntry(line).asks.flatMap((a) => a.options.map((o) => o.line));
  expect(offers('10 rack bolt 12')).toContain('10 rack bolt far 12');
  expect(offers('10 rack bolt 30nm 12')).toContain('10 rack bolt 30nm far 12');
});
test('of several phrases in a name the longest says where it sits', () => {
  const at = (name: string) => readEntry(`10 ${name}`, { here: 'engine' }).draft.station;
  expect(at('fork front axle bolt')).toBe('front-wheel');
  expect(at('front axle fork bolt')).toBe('front-wheel');
  expect(at('throttle body clamp')).toBe('plug-top');
});
