import { pathText } from '../ground/faults.js';
import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { FILE_VERSION, MOST_BYTES, readGarageFile, writeGarageFile } from './file.js';

const text = writeGarageFile(demoGarage('lightest'));
const faults = (broken: string) => {
  const read = readGarageFile(broken);
  return read.ok ? [] : read.faults.map((f) => `${f.path}: ${f.message}`);
};
const changed = (change: (file: ReturnType<typeof JSON.parse>) => void) => {
  const file = JSON.parse(text);
  change(file);
  return JSON.stringify(file);
};

const readOk = (text: string) => {
  const read = readGarageFile(text);
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return read.document;
};

describe('the garage file', () => {
  test('comes back byte for byte, twice', () => {
    const read = readGarageFile(text);
    if (!read.ok) throw new Error(read.faults[0]!.message);
    expect(writeGarageFile(read.document)).toBe(text);
    expect(text.endsWith('\n')).toBe(true);
  });
  test('what one wrote for an emergency goes along only where it is handed over, and comes back', () => {
    expect(text).not.toContain('"card"');
    const card = { name: 'Ada Moor', riders: 'Tom, 0100 11', call: '0100 22', health: '0 negative' };
    const written = writeGarageFile(demoGarage('lightest'), card);
    const read = readGarageFile(written);
    expect(read).toMatchObject({ ok: true, card });
    // The garage beside it is the same to the byte.
    expect(read.ok && writeGarageFile(read.document)).toBe(text);
    expect(readGarageFile(text)).toMatchObject({ ok: true, card: null });
    expect(faults(changed((f) => (f.card = { ...card, name: 'x'.repeat(201) })))[0]).toContain('card.name');
    expect(faults(changed((f) => (f.card = { ...card, more: 1 })))[0]).toContain('card');
  });
  test('the order of keys in the incoming file does not matter', () => {
    const shuffled = JSON.stringify(JSON.parse(text), (_k, v) =>
      v && typeof v === 'object' && !Array.isArray(v) ? Object.fromEntries(Object.entries(v).reverse()) : v,
    );
    const read = readGarageFile(shuffled);
    expect(read.ok && writeGarageFile(read.document)).toBe(text);
  });
  test('a switch of the practice that a file does not name stands as it was before it was asked', () => {
    const before = readOk(text).garage.practice;
    expect(before.pressures).not.toBe('once');
    const read = readOk(changed((f) => delete f.garage.practice.pressures));
    expect(read.garage.practice).toEqual({ ...before, pressures: 'once' });
    expect(faults(changed((f) => (f.garage.practice.colour = 'red')))).toHaveLength(1);
  });
  test('a file of version 6: no kinds of its own, no marks on spares, no own rates', () => {
    const old = changed((f) => {
      f.version = 6;
      delete f.kinds;
      delete f.garage.rates;
      for (const s of f.supplies) delete s.mark;
    });
    const read = readGarageFile(old);
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    expect(read.document.kinds).toEqual([]);
    expect(read.document.garage.rates).toEqual([]);
    expect(new Set(read.document.supplies.map((s) => s.mark))).toEqual(new Set([null]));
    expect(read.document).toEqual(readOk(changed(() => {})));
  });
  test('a file of version 4: slots all alike, no rider, no weights of bikes', () => {
    const old = changed((f) => {
      f.version = 4;
      delete f.packings;
      delete f.garage.rider;
      delete f.garage.goals;
      for (const b of f.bikes)
        for (const k of ['frontAxle', 'centreHeight', 'loadIndexFront', 'loadIndexRear', 'rackLimit']) delete b[k];
      for (const p of f.places) {
        for (const k of ['takenMass', 'roughLimit', 'onRack', 'opening']) delete p[k];
        if (p.slots) p.slots = { count: 16, width: 40, length: 240 };
      }
      for (const p of f.pieces) {
        delete p.hollow;
        p.traits = p.traits.filter((t: string) => t !== 'kept dry' && t !== 'nests');
      }
      for (const t of f.trips) delete t.pillion;
    });
    const read = readGarageFile(old);
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    const { document } = read;
    expect(document.places.find((p) => p.kind === 'roll')!.slots).toEqual([{ count: 16, width: 40, length: 240 }]);
    expect(document.places.find((p) => p.kind === 'tube')).toMatchObject({
      slots: null,
      takenMass: 0,
      roughLimit: null,
    });
    expect(document.pieces.find((p) => p.name === 'Head torch')!.traits).toContain('kept dry');
    expect(document.garage).toMatchObject({ rider: { mass: 92_000 }, goals: { ride: 2, together: 2 } });
    expect(document.bikes[0]).toMatchObject({ frontAxle: null, rackLimit: null });
    expect(document.packings).toEqual([]);
    expect(readGarageFile(writeGarageFile(document)).ok).toBe(true);
  });
  test('a garage of version 7 has no words of its own yet; those of version 8 are written and read', () => {
    const old = changed((f) => {
      f.version = 7;
      delete f.garage.words;
    });
    const read = readGarageFile(old);
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    expect(read.document.garage.words).toEqual([]);
    const words = [{ said: 'knarz', means: 'form:key' }];
    const learned = { ...read.document, garage: { ...read.document.garage, words } };
    const again = readGarageFile(writeGarageFile(learned));
    expect(again.ok && again.document.garage.words).toEqual(words);
    expect(faults(changed((f) => (f.garage.words = [{ said: 'x', means: 'form:moon' }]))).join()).toMatch(
      /garage\.words/,
    );
  });
  test.each<[string, string, RegExp]>([
    ['cut short', text.slice(0, text.length / 2), /not JSON or was cut short/],
    ['empty', '', /not JSON/],
    ['another program’s', '{"type":"FeatureCollection"}', /no Necessaire garage/],
    ['an array', '[]', /no Necessaire garage/],
    ['null', 'null', /no Necessaire garage/],
    [
      'a later version',
      changed((f) => (f.version = FILE_VERSION + 1)),
      /reads versions 1 to \d+: it needs to be newer/,
    ],
    ['version nought', changed((f) => (f.version = 0)), /^version: this program reads versions/],
    ['a version below nought', changed((f) => (f.version = -1)), /^version: this program reads versions/],
    ['half a version', changed((f) => (f.version = 1.5)), /^version: this program reads versions/],
    ['a version as text', changed((f) => (f.version = '5')), /^version: this program reads versions/],
    ['no version', changed((f) => delete f.version), /^version: this program reads versions/],
    ['a figure', '7', /no Necessaire garage/],
    ['a text', '"necessaire"', /no Necessaire garage/],
    ['as large as may be', ' '.repeat(MOST_BYTES), /not JSON/],
    ['deep nesting', `${'['.repeat(20_000)}${']'.repeat(20_000)}`, /no Necessaire garage/],
    ['huge', ' '.repeat(MOST_BYTES + 1), /over 8 MB/],
  ])('%s is refused', (_what, broken, message) => {
    expect(faults(broken).join()).toMatch(message);
  });
  test.each<[string, (f: ReturnType<typeof JSON.parse>) => void, RegExp]>([
    ['a wrong size', (f) => (f.fasteners[3].head.size = '99'), /fasteners\[3\]\.head\.size: there is no/],
    ['a negative mass', (f) => (f.pieces[0].mass = -1), /pieces\[0\]\.mass: too small: at least 0/],
    ['infinity', (f) => (f.pieces[0].mass = '1e999'), /pieces\[0\]\.mass: must be number/],
    ['a field too many', (f) => (f.bikes[0].colour = 'red'), /bikes\[0\]: has unknown fields \(colour\)/],
    ['a field too few', (f) => delete f.bikes[0].name, /bikes\[0\]\.name: is missing/],
    ['an id twice', (f) => (f.pieces[1].id = f.pieces[0].id), /pieces\[1\]\.id: this id occurs twice/],
    [
      'a bike that is not there',
      (f) => (f.fasteners[0].bikeId = f.pieces[0].id),
      /fasteners\[0\]\.bikeId: no such bike/,
    ],
    [
      'a pin to another bike’s place',
      (f) => f.pins.push({ id: f.pieces[0].id, bikeId: f.bikes[0].id, placeId: f.places[11].id, item: 'piece x 1' }),
      /pins\[0\]\.placeId: no such place/,
    ],
    [
      'a prototype',
      (f) => Object.defineProperty(f.bikes[0], '__proto__', { value: { x: 1 }, enumerable: true }),
      /bikes\[0\]: has unknown fields/,
    ],
  ])('%s is refused with its path', (_what, change, message) => {
    expect(faults(changed(change)).join('\n')).toMatch(message);
  });
  test('what cannot be written is taken out of a name; a name of nothing else is refused with its path', () => {
    const named = (value: string) => readGarageFile(changed((f) => (f.bikes[0].name = value)));
    const read = named('a\u0000b\u202ec\ud800');
    expect(read.ok && read.document.bikes[0]!.name).toBe('abc');
    expect(faults(changed((f) => (f.bikes[0].name = '\u202e\u0000')))).toEqual(['bikes[0].name: give it a name']);
  });
  test.each<[string, (f: ReturnType<typeof JSON.parse>) => void, RegExp]>([
    ['too many rows', (f) => (f.bikes = Array(60).fill({})), /^bikes: a garage holds up to 50 bikes/],
    ['a million empty rows', (f) => (f.fasteners = Array(1_000_000).fill({})), /^fasteners: a garage holds up to/],
    ['a million legs', (f) => (f.trips[0].legs = Array(1_000_000).fill({})), /legs: too many/],
    [
      'half a million values in lists of lists',
      (f) => (f.trips[0].legs = Array(100).fill(Array(6000).fill([]))),
      /^\(whole file\): holds over/,
    ],
    ['a long list inside a row', (f) => (f.trips[0].legs = Array(30_000).fill({})), /legs: too many/],
    ['rows that are no list', (f) => (f.bikes = { length: 3 }), /^bikes: /],
    ['a row nested without end', (f) => (f.bikes[0] = JSON.parse('['.repeat(3000) + ']'.repeat(3000))), /nested/],
  ])('%s is refused before anything is made of it', (_what, change, message) => {
    const read = readGarageFile(changed(change).replaceAll('\n', '').replaceAll('  ', ''));
    expect(read.ok).toBe(false);
    if (!read.ok) expect(`${read.faults[0]!.path}: ${read.faults[0]!.message}`).toMatch(message);
  });
  test('infinite numbers written as JSON', () => {
    expect(faults(text.replace(/"mass": \d+/, '"mass": 1e999')).join()).toMatch(/mass: must be number/);
  });
  test('any JSON is refused or read, never thrown at', () => {
    fc.assert(
      fc.property(fc.json(), (json) => {
        expect(readGarageFile(json).ok).toBe(false);
      }),
      { numRuns: 300 },
    );
  });
  test('paths as a reader writes them', () => {
    expect(pathText(['fasteners', 3, 'head', 'size'])).toBe('fasteners[3].head.size');
  });
});
