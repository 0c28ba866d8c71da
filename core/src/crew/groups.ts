import { at, present } from '../ground/numbers.js';
import { countPmf } from '../trip/odds/index.js';
import { gradeMeets, GRADES, type Grade } from '../repairs/index.js';
import type { LackFact } from '../kit/index.js';
import type { Ask, AskWay, KitProblem } from '../kit/optimum/kitProblem.js';
import type { Trip } from '../trip/index.js';
import { STRANGERS_BIKE } from '../kit/strangers.js';
import { coverProblem, type Task } from '../toolbox/cover/index.js';
import type { Crew } from './crew.js';
import type { Carrier } from './carrier.js';
import { fetchHours } from './fetch.js';
import { skillIn } from './person.js';
import type { Member } from './member.js';

/** One way in which a group could mend a trouble: what its tools must do, and what it uses up. */
export interface GroupOption {
  way: number;
  requires: readonly number[];
  supplies: readonly { kind: string; units: number }[];
}
/** A trouble that a group has to be able to mend, once at least. */
export interface GroupDemand {
  ask: number;
  options: GroupOption[];
  grade: Grade;
}
/** Heads that a group has to turn since they come loose most often. */
export interface LooseDemand {
  bikeId: string;
  shares: { ask: number; requires: number; share: number }[];
}
/** People who are together at some time, with what must then be possible by what they carry. */
export interface Group {
  key: string;
  kind: 'all' | 'part' | 'alone';
  /** What it is called: the split's name, or who it is. */
  name: string;
  splitId: string | null;
  /** Numbers of carriers: members, and vehicles that are with them. */
  carriers: number[];
  members: number[];
  /** Share of each leg that counts here: whether the leg is one of the group's. */
  legs: boolean[];
  demands: GroupDemand[];
  loose: LooseDemand[];
  /** Heads that must all be turned: those of every bike that the pieces reach, for the whole crew. */
  tasks: Task[];
  /** Troubles for which somebody rides and fetches what is missing, within the hours that the crew allows. */
  fetched: number[];
  /** Troubles that nobody of the group could mend, whatever is carried, with why. */
  never: { ask: number; why: LackFact[] }[];
}

/** Share of what comes loose that must be tightened by whoever is apart from the others. Planning value. */
export const LOOSE_SHARE = 0.5;

/**
 * P(N ≥ 1) of a trouble on some of the legs.
 * @returns 0 to 1
 */
export function oddsOn(ask: Ask, legs: readonly boolean[]): number {
  const { byLeg } = ask.exposure;
  const share = byLeg.length === 0 ? 1 : byLeg.reduce((s, x, i) => s + (legs[i] ? x : 0), 0);
  if (share === 0) return 0;
  return 1 - countPmf(0, share >= 1 - 1e-12 ? ask.law : { mean: ask.law.mean * share, shape: ask.law.shape });
}

/** The grade that is asked, or the best that is known where that is less. */
function gradeFor(ask: Ask, asked: Grade): Grade {
  const known = [...ask.ways.map((w) => w.grade), ...ask.barred.map((b) => b.way.grade)];
  if (known.some((g) => gradeMeets(g, asked))) return asked;
  return GRADES.find((g) => known.includes(g)) ?? 'limp';
}

/** Whether an option asks for no more than another. */
const noMore = (a: GroupOption, b: GroupOption): boolean =>
  a.requires.every((n) => b.requires.includes(n)) &&
  a.supplies.every((s) => b.supplies.some((t) => t.kind === s.kind && t.units >= s.units));

/** Whether somebody of the group can go a way: by skill, and with company where it takes company. */
export function canGo(
  way: Pick<AskWay, 'way'>,
  ask: Pick<Ask, 'exposure'>,
  people: readonly Pick<Member, 'person'>[],
  anyHelp: boolean,
): boolean {
  if (way.way.when.includes('company') && people.length < 2) return false;
  if (anyHelp) return true;
  return people.some((m) => skillIn(m.person, ask.exposure.trouble.subject) >= way.way.skill);
}

export interface GroupsGiven {
  crew: Crew;
  trip: Trip;
  members: readonly Member[];
  carriers: readonly Carrier[];
  problem: KitProblem;
  anyHelp: boolean;
  absent: ReadonlySet<number>;
}

function demandOf(given: GroupsGiven, a: number, people: readonly Member[], grade: Grade): GroupDemand | LackFact[] {
  const ask = at(given.problem.asks, a);
  const able = ask.ways.flatMap((w, way): GroupOption[] =>
    gradeMeets(w.grade, grade) && canGo(w, ask, people, given.anyHelp)
      ? [{ way, requires: w.requires, supplies: unfitted(ask, w) }]
      : [],
  );
  const options = able.filter((o, i) => !able.some((p, k) => k !== i && noMore(p, o) && (!noMore(o, p) || k < i)));
  if (options.length > 0) return { ask: a, options, grade };
  if (ask.ways.some((w) => gradeMeets(w.grade, grade))) return [{ code: 'lack.nobody-here' }];
  return ask.barred.find((b) => gradeMeets(b.way.grade, grade))?.why ?? [{ code: 'lack.grade' }];
}
/** What one mend uses beyond what sits beside the live part. */
const unfitted = (ask: Ask, w: AskWay) =>
  w.supplies.map((s) => ({ kind: s.kind, units: s.units - (ask.fitted.get(s.kind) ?? 0) })).filter((s) => s.units > 0);

const NO_BOLTS: ReadonlySet<string> = new Set(['spoke', 'valve']);
/** Heads that come loose on a bike, each with its share. */
function looseOf(problem: KitProblem, bikeId: string): LooseDemand['shares'] {
  const asks = problem.asks.flatMap((ask, a) =>
    ask.bikeId === bikeId && ask.exposure.trouble.id === 'fastener-loose' ? [{ ask, a }] : [],
  );
  const total = asks.reduce((s, x) => s + x.ask.law.mean, 0);
  return asks.flatMap(({ ask, a }) => {
    const [way] = ask.ways;
    const [requires] = way?.requires ?? [];
    const by = requires === undefined ? null : problem.requirements[requires]?.by;
    // Spokes and valve cores are seen to in the evening: an hour apart is for bolts and nuts.
    const ids = by && 'head' in by ? by.fasteners : [];
    const heads = problem.tools.reaches.filter((r) => ids.includes(r.fastener.id));
    if (heads.every((r) => NO_BOLTS.has(r.fastener.head.form))) return [];
    return requires !== undefined ? [{ ask: a, requires, share: ask.law.mean / total }] : [];
  });
}

/** Of what comes loose on a bike the heads that do so most, up to the share that whoever is apart must tighten. */
function mostLoose(problem: KitProblem, bikeId: string): LooseDemand | null {
  const shares = looseOf(problem, bikeId).sort((a, b) => b.share - a.share || a.ask - b.ask);
  const taken: LooseDemand['shares'] = [];
  let sum = 0;
  for (const s of shares) {
    if (sum >= LOOSE_SHARE - 1e-9) break;
    taken.push(s);
    sum += s.share;
  }
  return taken.length > 0 ? { bikeId, shares: taken } : null;
}

/** Subjects in which nobody waits for somebody to come back with the means. */
const AT_ONCE: ReadonlySet<string> = new Set(['people', 'getting out', 'service', 'luggage']);
/** Whether somebody rides for what is missing, within the hours that the crew allows. */
const fetches = (crew: Crew, trip: Trip, ask: Ask): boolean =>
  crew.fetch > 0 &&
  ask.exposure.trouble.stops &&
  !AT_ONCE.has(ask.exposure.trouble.subject) &&
  fetchHours(trip, ask.exposure.away.workshopKm) <= crew.fetch;

/** Riders and cars that have to manage by themselves, with what they then want to be able to do. */
interface Base {
  group: Pick<Group, 'key' | 'kind' | 'name' | 'splitId' | 'carriers' | 'legs'>;
  wanted: (ask: Ask) => boolean;
  grade: Grade;
}

/** Legs that are named; none named are all. */
const legsOf = (trip: Trip, ids: readonly string[]): boolean[] =>
  trip.legs.map((l) => ids.length === 0 || ids.includes(l.id));
/** Members that are there. */
const ridersOf = ({ members, absent }: GroupsGiven): number[] => members.map((_, i) => i).filter((i) => !absent.has(i));
/** What is wanted on some legs: what is likely enough there, and what the rider demands. */
const wantedOn =
  ({ problem: { question } }: GroupsGiven, legs: readonly boolean[]) =>
  (ask: Ask): boolean =>
    ask.must !== null || (oddsOn(ask, legs) >= question.likely && !question.leftOut.includes(ask.exposure.trouble.id));

/** The whole crew: legs on which the same cars are there make one group. */
function wholeCrew(given: GroupsGiven): Base[] {
  const { trip, carriers, absent, problem } = given;
  const byCars = new Map<string, { cars: number[]; legs: boolean[] }>();
  const there = carriers.map(({ vehicle }) => (vehicle ? legsOf(trip, vehicle.legs) : null));
  for (let l = 0; l < Math.max(1, trip.legs.length); l++) {
    const cars = carriers.flatMap((_, i) => {
      const legs = at(there, i);
      return legs && !absent.has(i) && (legs[l] ?? true) ? [i] : [];
    });
    const known = byCars.get(cars.join()) ?? { cars, legs: trip.legs.map(() => false) };
    if (l < trip.legs.length) known.legs[l] = true;
    byCars.set(cars.join(), known);
  }
  return [...byCars.values()].map(({ cars, legs }) => ({
    group: {
      key: `all ${cars.map((i) => at(carriers, i).key).join(' ')}`.trim(),
      kind: 'all',
      name: cars.length > 0 ? `with ${cars.map((i) => at(carriers, i).name).join(' and ')}` : 'everybody',
      splitId: null,
      carriers: [...ridersOf(given), ...cars],
      legs,
    },
    wanted: wantedOn(given, legs),
    grade: problem.question.grade,
  }));
}

/** The parts of each split that somebody rides in; whoever is in none of its parts is one alone. */
function splitParts(given: GroupsGiven): Base[] {
  const { crew, trip, carriers, absent } = given;
  const index = new Map(carriers.map((c, i) => [c.key, i]));
  return crew.splits.flatMap((split) => {
    const legs = legsOf(trip, split.legs);
    const parts = split.groups.map((g) =>
      g.flatMap((k) => {
        const i = index.get(k);
        return i === undefined || absent.has(i) ? [] : [i];
      }),
    );
    const named = new Set(parts.flat());
    const rest = ridersOf(given)
      .filter((i) => !named.has(i))
      .map((i) => [i]);
    return [...parts, ...rest].flatMap((part, n): Base[] =>
      part.some((i) => at(carriers, i).member)
        ? [
            {
              group: {
                key: `split ${split.id} ${n}`,
                kind: 'part',
                name: part.map((i) => at(carriers, i).name).join(', '),
                splitId: split.id,
                carriers: [...part].sort((a, b) => a - b),
                legs,
              },
              wanted: wantedOn(given, legs),
              grade: 'ride-out',
            },
          ]
        : [],
    );
  });
}

/** Each rider alone, with what the crew says that each must be able to do. */
function eachAlone(given: GroupsGiven): Base[] {
  const { crew, trip, carriers } = given;
  const riders = ridersOf(given);
  if (crew.alone.length === 0 || riders.length < 2) return [];
  return riders.map((i) => ({
    group: {
      key: `alone ${at(carriers, i).key}`,
      kind: 'alone',
      name: at(carriers, i).name,
      splitId: null,
      carriers: [i],
      legs: legsOf(trip, []),
    },
    wanted: (ask) => crew.alone.includes(ask.exposure.trouble.id),
    grade: 'ride-out',
  }));
}

/** What a group must be able to do: repairs, what comes loose, and, of the whole crew, every head. */
function withDemands(given: GroupsGiven, { group, wanted, grade }: Base): Group {
  const { crew, trip, carriers, problem } = given;
  const members = group.carriers.filter((i) => at(carriers, i).member);
  const people = members.map((i) => present(at(carriers, i).member));
  const bikes = new Set(people.map((m) => m.bike.id));
  const demands: GroupDemand[] = [];
  const never: Group['never'] = [];
  const fetched: number[] = [];
  problem.asks.forEach((ask, a) => {
    if (!bikes.has(ask.bikeId) || !wanted(ask)) return;
    if (ask.exposure.trouble.id === 'fastener-loose' && group.kind !== 'all') return;
    if (people.length > 1 && fetches(crew, trip, ask)) {
      fetched.push(a);
      return;
    }
    const made = demandOf(given, a, people, gradeFor(ask, grade));
    if (Array.isArray(made)) never.push({ ask: a, why: made });
    else if (made.options.every((o) => o.requires.length + o.supplies.length > 0)) demands.push(made);
  });
  const tightens = group.kind === 'part' || (group.kind === 'alone' && crew.alone.includes('fastener-loose'));
  const loose = tightens ? people.flatMap((m) => mostLoose(problem, m.bike.id) ?? []) : [];
  // A stranger's bike is met by everybody together.
  const reaches = problem.tools.reaches.filter(
    ({ fastener: { bikeId } }) => bikes.has(bikeId) || bikeId === STRANGERS_BIKE,
  );
  const tasks = group.kind === 'all' ? coverProblem(reaches, problem.pieces).tasks : [];
  return { ...group, members, demands, loose, tasks, never, fetched };
}

/** Every group that has to manage by itself: the whole crew, with and without what is there on some legs only; each part of a split; each alone. */
export function groupsOf(given: GroupsGiven): Group[] {
  if (ridersOf(given).length === 0) return [];
  return [...wholeCrew(given), ...splitParts(given), ...eachAlone(given)].map((base) => withDemands(given, base));
}
