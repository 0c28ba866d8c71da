import { present } from '../ground/numbers.js';
import { exposuresIn, troublesIn } from '../trip/odds/index.js';
import { needsOf } from '../repairs/index.js';
import { kitCase } from '../kit/toolCase.js';
import type { KitRows } from '../kit/rows.js';
import type { KitProblem } from '../kit/optimum/kitProblem.js';
import type { Trip } from '../trip/index.js';
import { whyNot, type OwnKind } from '../repairs/supplies/index.js';
import { alike, type Alike } from './alike.js';
import type { Carrier } from './carrier.js';
import { ME, type Crew } from './crew.js';
import { bookWith, belongsTo, fitClasses, type FitClass } from './fitClass.js';
import { groupsOf, type Group } from './groups.js';
import { membersOf, type Member } from './member.js';
import type { CrewRows } from './rows.js';

/** A crew as the optimum sees it: one problem over all bikes and all that anybody owns, and who has to be able to do what. */
export interface CrewCase {
  crew: Crew;
  trip: Trip;
  members: Member[];
  carriers: Carrier[];
  problem: KitProblem;
  /** For each piece of the problem whose copies it stands for; empty for what would be bought. */
  of: Alike['of'][];
  /** Stocks, by key; way supplies of the problem name these keys. */
  classes: ReadonlyMap<string, FitClass>;
  groups: Group[];
  /** Carriers who are not there: nothing of theirs counts, and nobody's bike of theirs has to get home. */
  absent: ReadonlySet<number>;
  /** Whether a way counts although nobody of the crew has the skill: somebody may help. */
  anyHelp: boolean;
  /** Units owned of each stock, by carrier number. */
  owned: ReadonlyMap<string, readonly number[]>;
  /** Units of each stock that somebody always brings, by carrier number: they carry them whatever they are good for. */
  brings: ReadonlyMap<string, readonly number[]>;
}

/** Kinds of one's own of everybody; the first who uses a name says what it is. */
function kindsOf(members: readonly Member[]): OwnKind[] {
  const out = new Map<string, OwnKind>();
  for (const k of members.flatMap((m) => m.kinds)) if (!out.has(k.name)) out.set(k.name, k);
  return [...out.values()];
}

/** The rows of all members in one garage, for one trip that they ride together. Whose a piece was is told apart by its id. */
export function mergedRows(doc: CrewRows, members: readonly Member[], pieces: readonly Alike[], trip: Trip): KitRows {
  const kinds = new Set(troublesIn(doc).flatMap((t) => t.ways.flatMap((w) => needsOf(w).supplies.map((s) => s.kind))));
  const uses = (kind: string) => kinds.has(kind) || (kinds.has('bolt') && kind.startsWith('bolt '));
  const [first, ...rest] = members;
  const ridden = members.map((m) => m.bike);
  const lead = present(first).bike.id;
  return {
    // The rider's other bikes stay at home, but what was ridden on them is part of the record.
    bikes: [...ridden, ...doc.bikes.filter((b) => ridden.every((r) => r.id !== b.id))],
    fasteners: members.flatMap((m) => m.fasteners),
    pieces: pieces.map((a) => a.piece),
    // Spares that somebody always brings are theirs to carry: the crew counts them as a stock in their hands.
    supplies: members.flatMap((m) =>
      m.supplies.map((s) => (s.mark === 'always' && uses(s.kind) ? { ...s, mark: null } : s)),
    ),
    kinds: kindsOf(members),
    loans: [],
    kits: [],
    mends: doc.mends,
    rides: doc.rides,
    drills: doc.drills,
    crews: doc.crews,
    othersRide: new Set(members.filter((m) => m.key !== ME).map((m) => m.bike.id)),
    trips: [
      {
        ...trip,
        companions: members.length - 1,
        along: rest.map((m) => m.bike.id).filter((id) => id !== lead),
        kit: { ...trip.kit, use: null, ask: 'lightest' },
      },
    ],
    garage: {
      ...doc.garage,
      // Who can do what is looked at person by person, and what one bike asks for is everybody's.
      practice: {
        ...doc.garage.practice,
        others: doc.garage.practice.others === 'any' ? 'any' : 'along',
        skill: 'all',
        doubles: 'none',
        worth: null,
      },
    },
  };
}

/** The problem with a stock of its own wherever one bike's spare is no other's. */
function withClasses(
  problem: KitProblem,
  members: readonly Member[],
  own: readonly OwnKind[],
): { problem: KitProblem; classes: Map<string, FitClass> } {
  const bikes = members.map((m) => m.bike);
  const kinds = new Set(problem.asks.flatMap((a) => a.ways.flatMap((w) => w.supplies.map((s) => s.kind))));
  const classes = new Map<string, FitClass>();
  const classOf = new Map<string, string>();
  for (const kind of kinds)
    for (const c of fitClasses(kind, bikes, own)) {
      classes.set(c.key, c);
      for (const bike of c.bikes) classOf.set(`${bike} ${kind}`, c.key);
    }
  const keyFor = (bikeId: string, kind: string) => classOf.get(`${bikeId} ${kind}`) ?? kind;
  const fitted = new Map(
    [...problem.fitted].map(([bike, kinds]) => [bike, new Map([...kinds].map(([kind, n]) => [keyFor(bike, kind), n]))]),
  );
  return {
    classes,
    problem: {
      ...problem,
      fitted,
      others: [],
      book: bookWith(problem.book, classes, bikes),
      asks: problem.asks.map((a) => ({
        ...a,
        fitted: new Map([...a.fitted].map(([kind, n]) => [keyFor(a.bikeId, kind), n])),
        ways: a.ways.map((w) => ({
          ...w,
          supplies: w.supplies.map((s) => ({ ...s, kind: keyFor(a.bikeId, s.kind) })),
        })),
      })),
    },
  };
}

/**
 * A crew's problem: all bikes' troubles, everybody's pieces, the groups that have to get home.
 * @param today ISO date, for what has passed its own; null where dates do not count
 * @returns null where nobody of the crew is there any more, or the trip is gone
 */
export function crewCase(doc: CrewRows, crew: Crew, today: string | null = null): CrewCase | null {
  const trip = doc.trips.find((t) => t.id === crew.tripId);
  const members = membersOf(doc, crew);
  const [lead] = members;
  if (!trip || !lead) return null;
  const pieces = alike(members);
  const rows = mergedRows(doc, members, pieces, trip);
  const question = { bikeId: lead.bike.id, tripId: trip.id, today };
  const { problem: plain } = kitCase(rows, question, undefined, exposuresIn(rows, question));
  const { problem, classes } = withClasses(plain, members, rows.kinds);
  const carriers: Carrier[] = [
    ...members.map((m): Carrier => ({
      key: m.key,
      name: m.name,
      limit: m.limit,
      room: m.room,
      member: m,
      vehicle: null,
    })),
    ...crew.vehicles.map((v): Carrier => ({
      key: v.id,
      name: v.name,
      limit: v.limit,
      room: v.litres * 1000,
      member: null,
      vehicle: v,
    })),
  ];
  const whose = new Map(pieces.map((a) => [a.piece.id, a.of]));
  members.forEach((m, member) => {
    for (const s of m.supplies) whose.set(s.id, [{ member, id: s.id, count: 1 }]);
  });
  const bikes = members.map((m) => m.bike);
  const owned = new Map<string, number[]>();
  for (const [key, c] of classes)
    owned.set(
      key,
      carriers.map(({ member }) =>
        (member?.supplies ?? []).reduce((n, s) => {
          const good = s.fittedOn === null && belongsTo(s, c, bikes, rows.kinds);
          return good && whyNot(s, present(bikes.find((b) => c.bikes.includes(b.id))), today, rows.kinds) === null
            ? n + s.quantity
            : n;
        }, 0),
      ),
    );
  const brings = new Map(
    [...classes].map(([key, k]) => [
      key,
      carriers.map(({ member }) =>
        (member?.supplies ?? []).reduce(
          (n, s) =>
            s.mark === 'always' && s.fittedOn === null && belongsTo(s, k, bikes, rows.kinds) ? n + s.quantity : n,
          0,
        ),
      ),
    ]),
  );
  const anyHelp = doc.garage.practice.skill === 'all';
  const absent = new Set<number>();
  return {
    crew,
    trip,
    members,
    carriers,
    problem,
    absent,
    anyHelp,
    of: problem.pieces.map((p) => whose.get(p.id) ?? []),
    classes,
    brings,
    groups: groupsOf({ crew, trip, members, carriers, problem, anyHelp, absent }),
    owned,
  };
}

/**
 * The same crew with some of the carriers gone, and all that they carry.
 * @param gone numbers of the carriers who are not there
 */
export function without(c: CrewCase, gone: readonly number[]): CrewCase {
  const absent = new Set([...c.absent, ...gone]);
  return { ...c, absent, groups: groupsOf({ ...c, absent }) };
}
