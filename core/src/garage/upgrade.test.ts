import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, test } from '@jest/globals';
import { FILE_VERSION, readGarageFile, writeGarageFile } from './file.js';
import { editToNow, garageFrom12, garageTo12, rowTo6 } from './upgrade.js';
import { uuid } from '../testing/make.js';
import { DEFAULT_PRACTICE } from '../toolbox/practice.js';
import type { GarageDocument } from './garage.js';

/** Files as the program of each version wrote them: never changed, for riders have such files. */
const VERSIONS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11];
const textOf = (version: number): string =>
  readFileSync(fileURLToPath(new URL(`../testing/fixtures/garage-v${version}.json`, import.meta.url)), 'utf8');
const raw = (version: number) => JSON.parse(textOf(version)) as Record<string, Record<string, unknown>[]>;
const read = (version: number): GarageDocument => {
  const result = readGarageFile(textOf(version));
  if (!result.ok) throw new Error(JSON.stringify(result.faults));
  return result.document;
};
const piece = (doc: GarageDocument, name: string) => doc.pieces.find((p) => p.name === name);

describe('files of every version are read, with the meaning that they had', () => {
  test.each(VERSIONS)('version %i: all rows, and what is written is of today', (version) => {
    const doc = read(version);
    for (const table of ['bikes', 'fasteners', 'pieces', 'supplies', 'trips', 'places'] as const) {
      const was = raw(version)[table] ?? [];
      expect([table, doc[table].map((r) => r.id)]).toEqual([table, was.map((r) => r['id'])]);
      // What the old file said is still said, but for what a later version tells apart.
      for (const [i, row] of was.entries())
        for (const [key, value] of Object.entries(row))
          if (!['functions', 'traits', 'slots', 'legs', 'kit'].includes(key))
            expect([table, key, (doc[table][i] as unknown as Record<string, unknown>)[key]]).toEqual([
              table,
              key,
              value,
            ]);
    }
    const written = writeGarageFile(doc);
    expect(JSON.parse(written)).toMatchObject({ version: FILE_VERSION });
    const again = readGarageFile(written);
    expect(again.ok && again.document).toEqual(doc);
  });
  test('version 1 asked nothing of strokes, wheels and evidence', () => {
    const doc = read(1);
    expect(doc.bikes[0]).toMatchObject({
      strokes: 4,
      plugs: 1,
      starter: 'electric',
      wheels: 'spoked',
      brakeFront: 'disc',
      tank: 12,
      consumption: 4.5,
      fitted: [],
    });
    expect(doc.fasteners.every((f) => f.gauge === null && f.trail.length === 0 && !f.getsLost && f.look === null)).toBe(
      true,
    );
    expect(doc.pieces.every((p) => p.condition === 'good' && p.quality === 'good' && !p.weighed && p.kept === '')).toBe(
      true,
    );
    expect(doc.garage.practice.least).toBe('mass');
  });
  test('version 8 knew a rider by their weight alone, and nobody who rides along', () => {
    const doc = read(8);
    expect(doc.garage.rider).toEqual({
      ...{ mass: 88_000, name: '', hand: 3, skills: {}, firstAid: false, mayCarry: null, onBody: 0, bodyLitres: 0 },
    });
    expect([doc.companions, doc.crews, doc.loans]).toEqual([[], [], []]);
    expect(doc.garage.words).toEqual([{ said: 'knarz', means: 'form:key' }]);
  });
  test('version 9 left on no day, rehearsed nothing and compared no gauges', () => {
    const doc = read(9);
    expect(doc.trips.every((t) => t.leaves === null)).toBe(true);
    expect(doc.garage.gauge).toBeNull();
    expect([doc.drills, doc.checks, doc.reminders, doc.watches, doc.memories]).toEqual([[], [], [], [], []]);
    expect(doc.garage.rider).toMatchObject({ name: 'Ines', hand: 2, skills: { wheels: 3 }, firstAid: true });
    expect([doc.companions.length, doc.crews[0]?.members.length, doc.loans[0]?.to]).toEqual([1, 2, 'a stranger']);
  });
  test('version 10 wrote nothing down on the way but rides, and never looked back', () => {
    const doc = read(10);
    expect([doc.happened, doc.reviews]).toEqual([[], []]);
    expect(doc.trips[0]?.leaves).toBe('2026-06-12');
    expect(doc.garage.gauge).toEqual({ shows: 215, good: 205, on: '2026-05-01' });
    expect([doc.drills.map((d) => d.real), doc.checks.length, doc.watches.length]).toEqual([[false, true], 2, 1]);
  });
  test('version 11 wrote the positions of the practice in English: each is the code of the same position', () => {
    const doc = read(11);
    expect(doc.garage.practice).toEqual({
      ...{ adjustable: 'holds', ratchet: 'never', standing: 'ratchet', drive: 'middle', least: 'price' },
      ...{ from: 'toolbox-first', doubles: 'all', others: 'any', quality: 'cheap', air: 'gas', tubes: 'tubeless-too' },
      ...{
        levers: 'one',
        plugs: 'pins',
        reamer: 'drill',
        lives: 'back',
        skill: 'all',
        hand: 'done',
        pressures: 'once',
      },
      ...{ rescue: 'phone', sparkPlug: 'leave', worth: 850 },
    });
    expect(doc.happened.map((h) => [h.what, h.place])).toEqual([['used', 'ford below the mill']]);
    // The default positions are in the file of version 10.
    expect(read(10).garage.practice).toEqual({ ...DEFAULT_PRACTICE, pressures: 'ground' });
  });
  test('what version 12 wrote is what version 11 reads again; what is no position stays, to be refused', () => {
    const { practice } = raw(11)['garage'] as unknown as { practice: Record<string, unknown> };
    expect(garageFrom12(garageTo12({ name: 'G', practice }))).toEqual({ name: 'G', practice });
    const odd = { practice: { air: 'bellows', drive: 7, colour: 'red' } };
    expect([garageTo12(odd), garageTo12({ name: 'G' }), garageTo12({ practice: null })]).toEqual([
      odd,
      { name: 'G' },
      { practice: null },
    ]);
  });
  test('version 2 rode its legs by days, alone, in mild weather', () => {
    const legs = read(2).trips[0]?.legs ?? [];
    expect(legs.length).toBeGreaterThan(3);
    for (const leg of legs)
      expect(leg).toMatchObject({ hours: 6 * leg.days, night: 0, temperature: 20, fuelGapKm: null });
    expect(read(2).trips[0]).toMatchObject({ along: [], route: null, coverKm: null, pillion: 0 });
    // Version 3 knew the hours itself.
    expect(read(3).trips[0]?.legs[0]?.hours).toBe(6.5);
  });
  test('version 3 did not tell what makes the air, nor what clamps', () => {
    const doc = read(3);
    expect(piece(doc, 'Hand pump')?.functions).toEqual(['inflate', 'hand air']);
    expect(piece(doc, 'Electric pump')?.functions).toEqual(['inflate', 'electric air']);
    expect(piece(doc, 'Locking pliers 180')?.functions).toEqual(['grip', 'clamp']);
    expect(doc.bikes[0]).toMatchObject({ fit: {}, pushStarts: false, prevention: [] });
    expect(doc.supplies.every((s) => s.condition === 'new' && s.fittedOn === null && s.fits === '')).toBe(true);
    expect(doc.trips[0]?.kit).toMatchObject({ ask: 'lightest', grade: 'ride-out', likely: 0.02, knee: 1.2, musts: [] });
    expect(doc.garage.practice).toMatchObject({ levers: 'two', rescue: 'carry' });
  });
  test('version 4 knew one kind of slot, no rider, and nothing that must be kept dry', () => {
    const doc = read(4);
    expect(doc.places.find((p) => p.slots)?.slots).toEqual([{ count: 16, length: 240, width: 40 }]);
    expect(doc.places.every((p) => p.takenMass === 0 && p.roughLimit === null && !p.onRack && !p.wrapped)).toBe(true);
    expect(doc.garage).toMatchObject({ rider: { mass: 92_000 }, goals: { ride: 2, locked: 2 } });
    expect(doc.bikes[0]).toMatchObject({ frontAxle: null, centreHeight: null, rackLimit: null });
    expect(piece(doc, 'Head torch')?.traits).toEqual(['fragile', 'kept dry']);
  });
  test('version 5 had leads and packs in one, version 6 no marks on spares, version 7 no own words', () => {
    for (const version of [1, 2, 3, 4, 5])
      expect(piece(read(version), 'Jump leads, thin')?.functions).toEqual(['jump leads']);
    expect(read(6).supplies.every((s) => s.mark === null)).toBe(true);
    expect(read(6).garage.rates).toEqual([]);
    expect(read(7).garage.words).toEqual([]);
  });
});

describe('an edit that an older version left in the outbox goes out as it is written now', () => {
  const edit = (change: Record<string, unknown>) =>
    ({ id: uuid(1), label: 'x', changes: [change] }) as unknown as Parameters<typeof editToNow>[0];
  test.each(VERSIONS)('version %i: rows made, set whole or deleted become what the file’s become', (version) => {
    const doc = read(version);
    for (const table of ['bikes', 'fasteners', 'pieces', 'supplies', 'trips', 'places'] as const)
      for (const [i, row] of (raw(version)[table] ?? []).entries()) {
        const now = JSON.parse(JSON.stringify(doc[table][i])) as Record<string, unknown>;
        for (const kind of ['make', 'delete'] as const) {
          const [c] = editToNow(edit({ kind, table, id: row['id'], base: 1, row }), version).changes;
          expect([table, kind, c?.kind === 'set' ? null : c?.row]).toEqual([table, kind, expect.objectContaining(now)]);
        }
        const fields = Object.keys(row).map((field) => ({ field, was: row[field], now: row[field] }));
        const [set] = editToNow(edit({ kind: 'set', table, id: row['id'], base: 1, fields }), version).changes;
        for (const f of set?.kind === 'set' ? set.fields : [])
          if (f.field in now)
            expect([table, f.field, f.was, f.now]).toEqual([table, f.field, now[f.field], now[f.field]]);
        expect(set?.kind === 'set' && set.fields.length).toBe(fields.length);
      }
  });
  test('the garage’s own fields too; a field that was not there stays so, and none comes in by itself', () => {
    const [c] = editToNow(
      edit({
        kind: 'set',
        table: 'garage',
        id: uuid(2),
        base: 3,
        fields: [
          { field: 'rider', was: { mass: 80_000 }, now: { mass: 82_000 } },
          { field: 'words', now: [] },
        ],
      }),
      8,
    ).changes;
    expect(c).toMatchObject({
      base: 3,
      fields: [
        { field: 'rider', was: { mass: 80_000, hand: 3 }, now: { mass: 82_000, skills: {} } },
        { field: 'words', was: undefined, now: [] },
      ],
    });
  });
  test('one of today is left as it is', () => {
    const given = edit({ kind: 'make', table: 'rides', id: uuid(3), row: { id: uuid(3) } });
    expect(editToNow(given, FILE_VERSION)).toBe(given);
  });
});

describe('leads and packs of version 5', () => {
  const now = (row: Record<string, unknown>) => rowTo6('pieces', row)['functions'];
  test.each<[unknown, unknown, unknown]>([
    ['Jump leads 2 m', ['jump-start'], ['jump leads']],
    ['A lead', ['light', 'jump-start'], ['light', 'jump leads']],
    ['Cables', ['jump-start'], ['jump leads']],
    ['Cable', ['jump-start', 'light'], ['jump leads', 'light']],
    ['Jump pack', ['jump-start', 'light'], ['jump-start', 'light']],
    ['Leader', ['jump-start'], ['jump-start']],
    ['Cable cutter', ['cut'], ['cut']],
    [7, ['jump-start'], ['jump-start']],
    ['Leads', 'jump-start', 'jump-start'],
    ['Leads', undefined, undefined],
  ])('%j that can %j', (name, functions, expected) => {
    expect(now({ name, ...(functions === undefined ? {} : { functions }) })).toEqual(expected);
  });
});
