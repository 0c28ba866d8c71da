import fc from 'fast-check';
import { ME, newCrew, newPerson, type Crew, type CrewCase, type Group, type Member } from '../crew/index.js';
import type { KitProblem } from '../kit/optimum/kitProblem.js';
import { newBike } from '../bike/index.js';
import { newTrip } from '../trip/index.js';
import { Items as ItemsOf } from '../kit/optimum/items.js';
import { small } from './smallKits.js';
import { uuid } from './make.js';

/** A rider of whom nothing is known but what they may carry: grams, and mL. */
export const bareMember = (i: number, limit: number, given: Partial<Member> = {}): Member => ({
  key: i === 0 ? ME : uuid(900 + i),
  name: `Rider ${i}`,
  person: newPerson(),
  bike: newBike(uuid(i), `Bike ${i}`),
  ...{ fasteners: [], pieces: [], supplies: [], places: [], kinds: [] },
  limit,
  room: null,
  limitBy: 'given',
  ...given,
});
/** Some riders on a problem, each piece owned by one of them in turn; nobody has to be able to do anything. */
export function bareCrew(problem: KitProblem, members: Member[], given: Partial<Crew> = {}): CrewCase {
  return {
    crew: newCrew({
      id: uuid(1),
      tripId: uuid(2),
      members: members.map((m) => ({ who: m.key, bikeId: m.bike.id })),
      ...given,
    }),
    trip: newTrip(uuid(2), 'A trip'),
    members,
    carriers: members.map((m) => ({
      ...{ key: m.key, name: m.name, limit: m.limit, room: m.room, member: m, vehicle: null },
    })),
    problem,
    of: problem.pieces.map((p, i) => [{ member: i % members.length, id: p.id, count: p.count }]),
    classes: new Map(),
    owned: new Map(),
    brings: new Map(),
    absent: new Set(),
    anyHelp: true,
    groups: [],
  };
}
/** Some of them together, with nothing that they have to be able to do but what is given. */
export const bareGroup = (key: string, kind: Group['kind'], carriers: number[], given: Partial<Group> = {}): Group => ({
  ...{ key, kind, name: key, splitId: null, carriers, members: carriers, legs: [] },
  ...{ demands: [], loose: [], tasks: [], never: [], fetched: [] },
  ...given,
});

/** Small crews of two or three on abstract problems: who must do what together, apart and alone, under limits. */
export const smallCrew: fc.Arbitrary<CrewCase> = fc
  .record({
    problem: small,
    riders: fc.integer({ min: 2, max: 3 }),
    counts: fc.array(fc.integer({ min: 1, max: 2 }), { minLength: 6, maxLength: 6 }),
    limits: fc.array(fc.integer({ min: 150, max: 1500 }), { minLength: 3, maxLength: 3 }),
    alone: fc.array(fc.integer({ min: 0, max: 7 }), { minLength: 3, maxLength: 3 }),
    half: fc.boolean(),
    fair: fc.constantFrom(0, 0.3, 0.7, 1),
  })
  .map(({ problem: given, riders, counts, limits, alone, half, fair }): CrewCase => {
    const pieces = given.pieces.slice(0, 3).map((p, i) => ({ ...p, count: counts[i]! }));
    const items = new ItemsOf(pieces);
    const few = (set: readonly number[]) => set.every((i) => i < pieces.length);
    // Sets are of first copies: a second copy is there for a second carrier.
    const requirements = given.requirements.map((r) => ({
      ...r,
      sets: r.sets.filter(few).map((s) => s.map((i) => items.item(i, 0))),
    }));
    const kinds = [...new Set(given.asks.flatMap((a) => a.ways.flatMap((w) => w.supplies.map((s) => s.kind))))].slice(
      0,
      1,
    );
    const asks = given.asks.map((a, i) => ({
      ...a,
      bikeId: uuid(i % riders),
      ways: a.ways
        .map((w) => ({ ...w, supplies: w.supplies.map((s) => ({ ...s, kind: kinds[0]! })) }))
        .filter((w) => w.requires.every((n) => requirements[n]!.sets.length > 0)),
    }));
    const problem = { ...given, pieces, items, requirements, asks };
    const members = Array.from({ length: riders }, (_, i) => bareMember(i, limits[i]!));
    const demandsOf = (list: readonly number[]) =>
      list.flatMap((ask) => {
        const options = asks[ask]!.ways.map((w, way) => ({ way, requires: w.requires, supplies: w.supplies }));
        return options.length > 0 && options.every((o) => o.requires.length + o.supplies.length > 0)
          ? [{ ask, options, grade: 'proper' as const }]
          : [];
      });
    const group = (key: string, kind: Group['kind'], carriers: number[], list: readonly number[]): Group =>
      bareGroup(key, kind, carriers, { demands: demandsOf(list) });
    const every = asks.map((_, i) => i);
    const people = members.map((_, i) => i);
    return {
      ...bareCrew(problem, members, { fair }),
      groups: [
        group('all', 'all', people, every),
        ...(half ? [group('half', 'part', people.slice(0, 2), every)] : []),
        ...people.map((i) =>
          group(
            `alone ${i}`,
            'alone',
            [i],
            every.filter((a) => alone[i]! & (1 << a)),
          ),
        ),
      ],
    };
  });

/** All ways to give so many copies to so many carriers, some of them to none. */
export function handOuts(copies: number, carriers: number): number[][] {
  let out: number[][] = [[]];
  for (let r = 0; r < carriers; r++)
    out = out.flatMap((by) => {
      const left = copies - by.reduce((s, n) => s + n, 0);
      return Array.from({ length: left + 1 }, (_, n) => [...by, n]);
    });
  return out;
}
