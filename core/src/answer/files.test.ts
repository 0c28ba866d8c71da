import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { crewAnswer, crewCase, firstShare, moved, type CrewAnswer, type CrewCase } from '../crew/index.js';
import { readGarageFile, writeGarageFile } from '../garage/index.js';
import { uuid } from '../testing/make.js';
import { riderFile } from './riderFile.js';
import { companionFrom } from './theirs.js';

const doc = demoGarage();
let c: CrewCase;
let answer: CrewAnswer;
beforeAll(() => {
  c = crewCase(doc, doc.crews[0]!)!;
  const first = firstShare(c);
  // The rider carries something that is somebody else’s.
  const theirs = c.problem.pieces.findIndex((_, p) => c.of[p]!.length > 0 && c.of[p]!.every((o) => o.member > 0));
  const item = `piece ${c.problem.pieces[theirs]!.id}`;
  answer = crewAnswer(c, { ...first, ...moved(c, first, item, -1, 0) }, false);
});
let n = 5000;
const nextId = () => uuid(n++);

describe('files', () => {
  test('a rider’s list is a garage of theirs that reads back, with the list as a saved kit', () => {
    for (const [i, m] of c.members.entries()) {
      const file = riderFile(c, answer, i, { nextId, made: '2026-11-29T10:00:00.000Z' });
      const read = readGarageFile(writeGarageFile(file));
      if (!read.ok) throw new Error(JSON.stringify(read.faults));
      expect(read.document.bikes.map((b) => b.name)).toEqual([m.bike.name]);
      const [kit] = read.document.kits;
      expect(read.document.trips[0]!.kit.use).toBe(kit!.id);
      const carried =
        kit!.pieces.reduce((s, p) => s + p.mass * p.count, 0) + kit!.supplies.reduce((s, x) => s + x.mass, 0);
      expect(carried).toBeCloseTo(answer.carriers[i]!.mass, 3);
    }
    // What is somebody else’s says whose it is; kinds of one stock are one line of the kit.
    const mine = riderFile(c, answer, 0, { nextId, made: '2026-11-29T10:00:00.000Z' });
    const borrowed = answer.carriers[0]!.tokens.filter(
      (t) => t.item.startsWith('piece ') && t.of.some((o) => o.member !== 0),
    );
    for (const t of borrowed) {
      const whose = t.of.filter((o) => o.member !== 0).map((o) => c.members[o.member]!.name);
      const row = mine.pieces.find((p) => t.item === `piece ${p.id}`)!;
      expect(row).toMatchObject({ note: `From ${whose.join(', ')}.`, count: t.count, mark: null, onlyBike: null });
    }
    expect(borrowed.length).toBeGreaterThan(0);
    const own = answer.carriers[0]!.tokens.find(
      (t) => t.item.startsWith('piece ') && t.of.every((o) => o.member === 0),
    )!;
    expect(mine.pieces.find((p) => own.item === `piece ${p.id}`)!.note).not.toMatch(/^From /u);
    const kinds = mine.kits[0]!.supplies.map((x) => x.kind);
    expect(new Set(kinds).size).toBe(kinds.length);
    expect(mine.kits[0]).toMatchObject({
      frozen: true,
      name: 'Shared kit: Mirel',
      figures: { mass: answer.carriers[0]!.mass },
    });
    expect(mine.trips[0]).toMatchObject({ companions: c.members.length - 1, along: [], pillion: 0 });
    expect(() => riderFile(c, answer, 9, { nextId, made: '2026-11-29T10:00:00.000Z' })).toThrow(RangeError);
  });

  test('a companion’s file becomes theirs under ids of its own, what is too much is said', () => {
    const { companion, left } = companionFrom(doc, { nextId, read: '2026-11-29' });
    expect(companion.person.name).toBe('Mirel');
    expect(left).toEqual({});
    const ids = new Set(
      [...doc.bikes, ...doc.fasteners, ...doc.pieces, ...doc.supplies, ...doc.places].map((r) => r.id),
    );
    for (const row of [
      ...companion.bikes,
      ...companion.fasteners,
      ...companion.pieces,
      ...companion.supplies,
      ...companion.places,
    ])
      expect(ids.has(row.id)).toBe(false);
    const bikes = new Set(companion.bikes.map((b) => b.id));
    expect(companion.fasteners.every((f) => bikes.has(f.bikeId))).toBe(true);
    expect(companion.places.every((p) => bikes.has(p.bikeId))).toBe(true);
    expect(companion.supplies.filter((s) => s.fittedOn !== null).every((s) => bikes.has(s.fittedOn!))).toBe(true);
    const many = {
      ...doc,
      supplies: Array.from({ length: 151 }, (_, i) => ({ ...doc.supplies[0]!, id: uuid(8000 + i) })),
    };
    expect(companionFrom(many, { nextId, read: '2026-11-29' }).left).toEqual({ supplies: 1 });
  });
});
