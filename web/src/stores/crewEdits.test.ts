import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { ME, ROW_SCHEMAS, type Crew, type Trip } from '@necessaire/core';
import { fixing, halves, joining, leaving, placed } from './crewEdits';

const doc = demoGarage();
const crew = doc.crews[0]!;
const [nine, three] = doc.trips as [Trip, Trip];
const bike = doc.bikes[0]!;
const [oke, tal] = doc.companions;
const after = <T>(changes: readonly { table: string; after: unknown }[], table: string) =>
  changes.find((c) => c.table === table)?.after as T | undefined;

describe('who rides along', () => {
  test('the first makes the crew, with the rider on the open bike, and the trip counts them', () => {
    const changes = joining({ crew: null, trip: { ...nine, companions: 0 }, bike }, oke!, false, () => crew.id);
    const made = after<Crew>(changes, 'crews')!;
    expect(ROW_SCHEMAS.crews.parse(made).members).toEqual([
      { who: ME, bikeId: bike.id },
      { who: oke!.id, bikeId: oke!.bikes[0]!.id },
    ]);
    expect(after<Trip>(changes, 'trips')!.companions).toBe(1);
    expect(changes.map((c) => c.table)).toEqual(['crews', 'trips']);
  });
  test('who is new to the garage comes into it with the same edit; who rides already changes nothing', () => {
    const changes = joining({ crew: null, trip: nine, bike }, oke!, true, () => crew.id);
    expect(changes[0]).toEqual({ table: 'companions', id: oke!.id, before: null, after: oke });
    expect(joining({ crew, trip: three, bike }, oke!, false, () => crew.id)).toEqual([]);
  });
  test('who leaves is in no part any more and carries nothing; an empty part goes, an empty split too', () => {
    const of: Crew = {
      ...crew,
      splits: [...crew.splits, { id: nine.id, name: 'Tal turns back', groups: [[tal!.id]], legs: [] }],
      fixed: [
        { item: 'piece x', by: tal!.id, count: 1 },
        { item: 'piece y', by: ME, count: 1 },
      ],
    };
    const changes = leaving(of, three, tal!.id);
    const left = after<Crew>(changes, 'crews')!;
    expect(left.members.map((m) => m.who)).not.toContain(tal!.id);
    expect(left.splits).toHaveLength(1);
    expect(left.splits[0]!.groups.flat()).toEqual([ME, oke!.id, doc.companions[2]!.id]);
    expect(left.fixed).toEqual([{ item: 'piece y', by: ME, count: 1 }]);
    expect(after<Trip>(changes, 'trips')!.companions).toBe(2);
    expect(leaving(of, null, tal!.id)).toHaveLength(1);
    // Joining and leaving is as before.
    const again = joining({ crew: left, trip: { ...three, companions: 2 }, bike }, tal!, false, () => crew.id);
    expect(
      after<Crew>(again, 'crews')!
        .members.map((m) => m.who)
        .sort(),
    ).toEqual(of.members.map((m) => m.who).sort());
  });
});

describe('who carries a thing', () => {
  test('one decision for each thing, the last; null takes it back; at home is all of it', () => {
    const one = fixing([], 'piece a', ME, 2);
    expect(one).toEqual([{ item: 'piece a', by: ME, count: 2 }]);
    const two = fixing(one, 'spare b', oke!.id, 4);
    expect(fixing(two, 'piece a', tal!.id, 1)).toEqual([
      { item: 'spare b', by: oke!.id, count: 4 },
      { item: 'piece a', by: tal!.id, count: 1 },
    ]);
    expect(fixing(two, 'piece a', null, 1)).toEqual([{ item: 'spare b', by: oke!.id, count: 4 }]);
    expect(fixing([], 'piece a', 'home', 1)[0]!.count).toBeGreaterThanOrEqual(200);
    for (const f of fixing(two, 'piece a', 'home', 1))
      expect(ROW_SCHEMAS.crews.shape.fixed.element.parse(f)).toEqual(f);
  });
});

describe('parts of a split', () => {
  const people = ['a', 'b', 'c', 'd', 'e'];
  test('halves hold everybody once, and differ by one at most', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5 }), (n) => {
        const parts = halves(people.slice(0, n));
        expect(parts.flat()).toEqual(people.slice(0, n));
        const sizes = parts.map((p) => p.length);
        expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
      }),
    );
  });
  test('wherever somebody goes they are in one part at most, and no part is empty', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...people), fc.integer({ min: -1, max: 4 })), { maxLength: 20 }),
        (moves) => {
          let groups = halves(people);
          for (const [who, to] of moves) {
            const next = placed({ groups }, who, to);
            if (!next) {
              // Only the last one of the last part cannot ride alone.
              expect(groups).toEqual([[who]]);
              continue;
            }
            groups = next;
            expect(new Set(groups.flat()).size).toBe(groups.flat().length);
            expect(groups.every((g) => g.length > 0)).toBe(true);
            expect(groups.flat().includes(who)).toBe(to >= 0);
          }
        },
      ),
    );
  });
});
