import { at, present } from '../../ground/numbers.js';
import type { Practice } from '../../toolbox/practice.js';
import type { Bike } from '../../bike/index.js';
import { isCritical, usualThread } from '../../bike/index.js';
import type { Reach } from '../../toolbox/chains/index.js';
import { coverProblem, leastCopies, type FunctionNeed, type Task } from '../../toolbox/cover/index.js';
import { eachOnce } from '../../ground/facts.js';
import type { KitRows } from '../rows.js';
import {
  gradeMeets,
  hoursOfWay,
  PREVENTIONS,
  preventionsFor,
  savedByWay,
  type Grade,
  type Prevention,
  type Way,
} from '../../repairs/index.js';
import { countPmf, exposuresIn, lostByThread, type CountLaw, type Exposure } from '../../trip/odds/index.js';
import { threadMm } from '../../ground/sizes/index.js';
import { bookOf, boltKind, stockOf, type SupplyBook } from '../../repairs/supplies/index.js';
import { type Piece, type PieceFunction } from '../../toolbox/tools/index.js';
import { newKitQuestion, type KitQuestion, type Trip } from '../../trip/index.js';
import type { LackFact } from '../lacks.js';
import type { ToolCase } from './leastTools.js';
import { Items, setsOfEnds, setsOfFunction, setsOfTask } from './items.js';
import { gainOf, practisedWays, type PractisedWay } from './ways.js';

/** Something that the tools must be able to do: a head, or a function. Ways hang on these. */
export interface Requirement {
  label: string;
  by: { head: Task; fasteners: string[]; any: boolean } | { does: PieceFunction; count: number };
  /** Sets of items that do it. */
  sets: number[][];
  /** Whether its sets are of single ends, so that a kit must be looked at again. */
  loose: boolean;
}

/** One way to mend, as the kit sees it. */
export interface AskWay {
  way: Way;
  grade: Grade;
  /** Requirements, by number. */
  requires: number[];
  /** What it uses up: units, and grams of one. */
  supplies: { kind: string; units: number; grams: number }[];
  /** Of what one mend uses up, grams. */
  mass: number;
  /** What one mend saves: in the question's value, and in hours. */
  gain: number;
  hours: number;
  /** Hours that it takes, what is to be walked or towed in it. */
  time: number;
}

/** One trouble of one bike, with how often it comes and the ways that can be had. */
export interface Ask {
  key: string;
  name: string;
  bikeId: string;
  exposure: Exposure;
  law: CountLaw;
  /** P(N ≥ 1), P(N ≥ 2), … as far as it counts. */
  tails: number[];
  /** Expected count beyond those. */
  rest: number;
  ways: AskWay[];
  /** Ways that cannot be had, with why. */
  barred: { way: Way; why: LackFact[]; lacks: FunctionNeed[] }[];
  /** Units beside the live part that are this trouble's to use, by kind: they weigh nothing. Each unit is one trouble's only. */
  fitted: ReadonlyMap<string, number>;
  /** The grade at which the kit must mend it once, whatever that weighs; null where nothing is demanded. */
  must: Grade | null;
}

/** Units of one kind that are always packed, and the number of the piece that stands for them. */
export interface Always {
  piece: number;
  kind: string;
  units: number;
}

/** The choice of tools, spares, consumables and prevention at once. */
export interface KitProblem {
  tools: ToolCase;
  pieces: readonly Piece[];
  items: Items;
  requirements: Requirement[];
  asks: Ask[];
  /** Sets of which one must be in the kit whatever it is: marks. */
  marked: number[][][];
  /** Requirements that every kit must meet, by number: heads that the rider demands. */
  required: number[];
  /** What is demanded and cannot be had, in words. */
  unmet: LackFact[];
  /** Units beside live parts, by bike and kind: one stock, however many troubles draw on it. */
  fitted: ReadonlyMap<string, ReadonlyMap<string, number>>;
  /** The same with the units beside live parts shared out in every other way, where these are few. */
  others: KitProblem[];
  /** Where they are many: how much more another share could save at most, in the question's value, and how much lighter it could be, grams. */
  slack: number;
  slackMass: number;
  /** What is said of each kind of spare. */
  book: SupplyBook;
  /** Spares that are packed whatever they are good for: each is a piece among the pieces, and its units are free to use. */
  always: readonly Always[];
  question: KitQuestion & { service: number };
  practice: Practice;
  /** Measures taken before leaving that count in the rates, with their grams. */
  prevention: readonly Prevention[];
}

/** Mends of one trouble that are looked at one by one, at most. */
const MOST_MENDS = 400;
/** What all further mends together may save, in the question's value, below which they are not looked at one by one. */
const NOTHING = 1e-4;
/** Threads above this are never lost on the road without being noticed. */
const LARGEST_SPARE_BOLT = 10;

/** P(N ≥ 1), P(N ≥ 2), … as far as a mend of so much gain matters, and the expected count beyond. */
export function tailsOf(law: CountLaw, gain = 1): { tails: number[]; rest: number } {
  const tails: number[] = [];
  let left = 1;
  let rest = law.mean;
  for (let j = 0; j < MOST_MENDS && rest * gain > NOTHING; j++) {
    left -= countPmf(j, law);
    // What is left of one after many subtractions is no chance any more.
    if (left < 1e-12) break;
    tails.push(left);
    rest -= left;
  }
  return { tails, rest: Math.max(0, rest) };
}

const scaled = (law: CountLaw, share: number): CountLaw => ({ mean: law.mean * share, shape: law.shape });

class Builder {
  readonly requirements: Requirement[] = [];
  private readonly byKey = new Map<string, number>();
  private readonly taskOf = new Map<string, Task>();
  readonly items: Items;

  constructor(
    private readonly tools: ToolCase,
    readonly book: SupplyBook,
    /** Kinds of spare that the rider leaves at home. */
    readonly never: ReadonlySet<string>,
  ) {
    this.items = new Items(tools.pieces);
    for (const t of coverProblem(tools.reaches, tools.pieces).tasks)
      for (const id of t.fasteners) this.taskOf.set(id, t);
  }

  /** Requirement of a fastener's head; null when the pieces do not reach it. */
  head(fastenerId: string): number | null {
    const task = this.taskOf.get(fastenerId);
    if (!task) return null;
    const key = `head ${task.fasteners[0]}`;
    return this.once(key, () => {
      const sets = setsOfTask(task, this.items);
      const label = present(this.tools.reaches.find((r) => r.fastener.id === fastenerId)).fastener.name;
      return {
        label,
        by: { head: task, fasteners: task.fasteners, any: false },
        sets: sets ?? at(setsOfEnds(task, this.items), 0),
        loose: sets === null,
      };
    });
  }
  /** Any one of several heads. */
  anyHead(fastenerIds: readonly string[], label: string): number | null {
    const numbers = fastenerIds.map((id) => this.head(id)).filter((n) => n !== null);
    if (numbers.length === 0) return null;
    const distinct = [...new Set(numbers)].filter((n) => !at(this.requirements, n).loose).sort((a, b) => a - b);
    if (distinct.length === 0) return at(numbers, 0);
    if (distinct.length === 1) return at(distinct, 0);
    return this.once(`any ${distinct.join()}`, () => {
      const sets = new Map<string, number[]>();
      for (const n of distinct) for (const s of at(this.requirements, n).sets) sets.set(s.join(), s);
      const first = at(this.requirements, at(distinct, 0)).by as { head: Task; fasteners: string[] };
      return {
        label,
        by: { head: first.head, fasteners: [...fastenerIds], any: true },
        sets: [...sets.values()],
        loose: false,
      };
    });
  }
  /** Requirement of a function; null when the pieces do not have it so often. */
  does(does: PieceFunction, count: number): number | null {
    const able = this.tools.pieces
      .map((_, p) => p)
      .filter((p) => at(this.tools.pieces, p).functions.includes(does) && this.items.copies(p) > 0);
    if (able.reduce((n, p) => n + this.items.copies(p), 0) < count) return null;
    return this.once(`does ${does} ${count}`, () => ({
      label: does,
      by: { does, count },
      sets: setsOfFunction(able, count, this.items),
      loose: false,
    }));
  }
  private once(key: string, make: () => Requirement): number {
    let n = this.byKey.get(key);
    if (n === undefined) {
      n = this.requirements.push(make()) - 1;
      this.byKey.set(key, n);
    }
    return n;
  }
}

/** What all ways of one bike are asked of: its heads, the requirements that are built up, and the kit's question. */
interface AskedOf {
  bike: Bike;
  reaches: readonly Reach[];
  build: Builder;
  question: KitQuestion;
}
/**
 * A lost fastener: the requirement of any head of its thread, and the thread, which says which spare bolt goes in. Where nothing turns a head of that
 * thread, a bolt of it cannot be tightened.
 */
interface Lost {
  extra: number[];
  bolt: string | null;
  turned: boolean;
}

const NONE_LOST: Lost = { extra: [], bolt: null, turned: true };

/** The way as the kit sees it, or why it cannot be had. */
function askWay(
  { way, needs, barred }: PractisedWay,
  exposure: Exposure,
  { bike, reaches, build, question }: AskedOf,
  { extra, bolt, turned }: Lost,
): { ok: AskWay } | { why: LackFact[]; lacks: FunctionNeed[] } {
  if (barred) return { why: [barred], lacks: [] };
  const requires = [...extra];
  const lacks: LackFact[] = [];
  const missing: FunctionNeed[] = [];
  for (const { role, ifAny } of needs.heads) {
    const marked = reaches.filter((r) => r.fastener.role === role && r.fastener.bikeId === bike.id);
    if (marked.length === 0 && !ifAny) lacks.push({ code: 'lack.unmarked', role });
    for (const r of marked) {
      const n = build.head(r.fastener.id);
      if (n === null) lacks.push({ code: 'lack.out-of-reach', what: role });
      else requires.push(n);
    }
  }
  for (const { does, count } of needs.functions) {
    const n = build.does(does, count);
    if (n === null) {
      lacks.push({ code: 'lack.tools', does, count });
      missing.push({ does, count });
    } else requires.push(n);
  }
  if (!turned && needs.supplies.some((s) => s.kind === 'bolt')) lacks.push({ code: 'lack.head-out-of-reach' });
  for (const { kind } of needs.supplies)
    if (build.never.has(kind)) lacks.push({ code: 'lack.stays-home', spare: build.book.of(kind).name });
  for (const { kind } of needs.supplies) if (!build.book.has(kind)) lacks.push({ code: 'lack.unknown-spare', kind });
  if (lacks.length > 0) return { why: eachOnce(lacks), lacks: missing };
  const used = (kind: string, units: number) => ({ kind, units, grams: build.book.of(kind).mass });
  const supplies = needs.supplies.flatMap(({ kind, units }) =>
    kind === 'bolt' ? (bolt ? [used(boltKind(bolt), units)] : []) : [used(kind, units)],
  );
  return {
    ok: {
      way,
      grade: way.grade,
      requires: [...new Set(requires)].sort((a, b) => a - b),
      supplies,
      mass: supplies.reduce((s, x) => s + x.grams * x.units, 0),
      gain: gainOf(way, exposure.trouble, exposure.without, exposure.away, question),
      hours: savedByWay(way, exposure.without, exposure.away),
      time: hoursOfWay(way, exposure.away),
    },
  };
}

/** Rates that measures before leaving leave over, as factors by trouble. */
function preventedBy(list: readonly Prevention[]): (troubleId: string) => number {
  return (id) => list.reduce((f, p) => f * (p.factors[id] ?? 1), 1);
}

/** Measures of a bike that count: those done, and with `may` those that might be. */
export function preventionOf(bike: Bike, also: readonly string[] = []): Prevention[] {
  const open = new Set(preventionsFor(bike).map((p) => p.id));
  return PREVENTIONS.filter(
    (p) => open.has(p.id) && (bike.prevention.some((x) => x.id === p.id && x.state === 'done') || also.includes(p.id)),
  );
}

/** Bikes whose troubles a kit is for: the one asked about, and those that ride along unless the practice says otherwise. */
export function bikesFor(doc: KitRows, bikeId: string, trip: Trip | undefined): Bike[] {
  const along = doc.garage.practice.others === 'own' ? [] : (trip?.along ?? []);
  return doc.bikes
    .filter((b) => b.id === bikeId || along.includes(b.id))
    .sort((a, b) => Number(b.id === bikeId) - Number(a.id === bikeId));
}

/** What the asks of all bikes are built from. */
interface AsksFrom {
  doc: KitRows;
  trip: Trip;
  tools: ToolCase;
  build: Builder;
  today: string | null;
}

function asksOf(
  bike: Bike,
  { doc, trip, tools, build, today }: AsksFrom,
  prevention: readonly Prevention[],
  musts: ReadonlyMap<string, Grade>,
): Ask[] {
  const practice = doc.garage.practice;
  const reduced = preventedBy(prevention);
  const chosen = tools.reaches.filter((r) => r.fastener.bikeId === bike.id);
  const out: Ask[] = [];
  const of: AskedOf = { bike, reaches: tools.reaches, build, question: trip.kit };
  const add = (exposure: Exposure, key: string, name: string, law: CountLaw, lost: Lost) => {
    if (law.mean <= 0) return;
    const ways: AskWay[] = [];
    const barred: Ask['barred'] = [];
    for (const p of practisedWays(exposure.trouble, bike, trip, practice)) {
      const made = askWay(p, exposure, of, lost);
      if ('ok' in made) ways.push(made.ok);
      else if (!p.way.helped) barred.push({ way: p.way, ...made });
    }
    const most = ways.reduce((m, w) => Math.max(m, w.gain), 0);
    const wanted = musts.get(exposure.trouble.id) ?? null;
    out.push({
      key: `${bike.id} ${key}`,
      name,
      bikeId: bike.id,
      exposure,
      law,
      ...tailsOf(law, most),
      ways,
      barred,
      fitted: new Map(),
      must: wanted !== null && ways.some((w) => gradeMeets(w.grade, wanted)) ? wanted : null,
    });
  };
  for (const exposure of exposuresIn(doc, { bikeId: bike.id, tripId: trip.id, today })) {
    const { trouble } = exposure;
    const law = scaled(exposure.law, reduced(trouble.id));
    const critical = trouble.id === 'critical-lost';
    if (critical || trouble.id === 'fastener-lost') {
      // Lost fasteners by thread: the spare bolt goes in with any head of that thread that the kit turns.
      const mine = chosen.filter((r) => isCritical(r.fastener) === critical);
      for (const { thread, share } of lostByThread(mine.map((r) => r.fastener))) {
        if (threadMm(thread) > LARGEST_SPARE_BOLT) continue;
        const heads = mine
          .filter((r) => (r.fastener.thread ?? usualThread(r.fastener.head)) === thread)
          .map((r) => r.fastener.id);
        const any = build.anyHead(heads, `a head on ${thread}`);
        add(exposure, `${trouble.id} ${thread}`, `${trouble.name}: ${thread}`, scaled(law, share), {
          extra: any === null ? [] : [any],
          bolt: thread,
          turned: any !== null,
        });
      }
    } else if (trouble.id === 'fastener-loose') {
      // Found loose: only its own head's tools tighten it. Heads with the same tools count together.
      const weight = (r: Reach) => r.fastener.count * (r.fastener.shakesLoose ? 5 : 1);
      const total = chosen.reduce((s, r) => s + weight(r), 0);
      const groups = new Map<number | null, { share: number; names: string[] }>();
      for (const r of chosen) {
        const n = build.head(r.fastener.id);
        const g = groups.get(n) ?? { share: 0, names: [] };
        g.share += weight(r) / total;
        g.names.push(r.fastener.name);
        groups.set(n, g);
      }
      for (const [n, g] of groups) {
        const name = `${trouble.name}: ${g.names.slice(0, 2).join(', ').toLowerCase()}${g.names.length > 2 ? ` and ${g.names.length - 2} more` : ''}`;
        if (n !== null)
          add(exposure, `${trouble.id} ${n}`, name, scaled(law, g.share), { extra: [n], bolt: null, turned: true });
        else {
          const before = out.length;
          add(exposure, `${trouble.id} none`, name, scaled(law, g.share), NONE_LOST);
          // What never happens on this trip is not asked for at all.
          const last = out[before];
          if (!last) continue;
          const why: LackFact[] = [{ code: 'lack.head-out-of-reach' }];
          out[before] = {
            ...last,
            ways: [],
            must: null,
            barred: last.ways.map((w) => ({ way: w.way, why, lacks: [] })),
          };
        }
      }
    } else add(exposure, trouble.id, trouble.name, law, NONE_LOST);
  }
  return out;
}

/** How the units beside the live parts are shared out among the troubles that could use them. */
interface Allotment {
  asks: Ask[];
  /** Every other way to share them out, where these are few. */
  others: Ask[][];
  /** Where they are many: what no other way of sharing saves more than this one, in the question's value, and grams that none is lighter by. */
  slack: number;
  slackMass: number;
}
/** Ways of sharing out that are looked at one by one. */
const FEW_ALLOTMENTS = 4;

/** All ways to share so many units among so many takers; null where they are too many to look at. */
function shares(units: number, takers: number): number[][] | null {
  let out: number[][] = [[]];
  for (let t = 0; t < takers; t++) {
    const last = t === takers - 1;
    out = out.flatMap((given) => {
      const left = units - given.reduce((a, b) => a + b, 0);
      return last ? [[...given, left]] : Array.from({ length: left + 1 }, (_, n) => [...given, n]);
    });
    if (out.length > FEW_ALLOTMENTS) return null;
  }
  return out;
}

/**
 * Shares out what sits beside the live parts: each unit is one trouble's only. It goes where the next mend with it saves most, and what another
 * share could do better is either looked at as well or bounded.
 */
function allot(
  given: readonly Ask[],
  fitted: ReadonlyMap<string, ReadonlyMap<string, number>>,
  book: SupplyBook,
): Allotment {
  const out: Allotment = { asks: [...given], others: [], slack: 0, slackMass: 0 };
  const give = (asks: Ask[], a: number, kind: string, n: number) => {
    if (n === 0) return;
    const mine = new Map(at(asks, a).fitted);
    mine.set(kind, (mine.get(kind) ?? 0) + n);
    asks[a] = { ...at(asks, a), fitted: mine };
  };
  for (const [bikeId, kinds] of fitted)
    for (const [kind, units] of kinds) {
      const wanting = given.flatMap((ask, a) => {
        if (ask.bikeId !== bikeId) return [];
        const uses = ask.ways.flatMap((w) => w.supplies.filter((s) => s.kind === kind).map((s) => ({ w, n: s.units })));
        if (uses.length === 0) return [];
        const best = uses.reduce((x, y) => (y.w.gain / y.n > x.w.gain / x.n ? y : x));
        // Where another way does as well without it, it is better given to a trouble that has no other.
        const instead = ask.ways
          .filter((w) => w.supplies.every((s) => s.kind !== kind))
          .reduce((m, w) => Math.max(m, w.gain), 0);
        return [{ a, units: best.n, gain: best.w.gain, more: best.w.gain - instead, given: 0 }];
      });
      let left = units;
      while (left > 0) {
        const worth = (x: (typeof wanting)[number]) =>
          ((at(given, x.a).tails[Math.floor(x.given / x.units)] ?? 0) * x.more) / x.units;
        const next = wanting.filter((x) => worth(x) > 0).sort((x, y) => worth(y) - worth(x) || x.a - y.a)[0];
        if (!next) break;
        const n = Math.min(left, next.units - (next.given % next.units));
        next.given += n;
        left -= n;
      }
      const before = [out.asks, ...out.others].map((list) => [...list]);
      for (const x of wanting) give(out.asks, x.a, kind, x.given);
      if (wanting.length < 2) {
        for (const list of out.others) for (const x of wanting) give(list, x.a, kind, x.given);
        continue;
      }
      const all = shares(units, wanting.length);
      if (all && before.length * all.length <= FEW_ALLOTMENTS) {
        const chosen = wanting.map((x) => x.given).join();
        out.others = before.flatMap((list, b) =>
          all
            .filter((share) => b > 0 || share.join() !== chosen)
            .map((share) => {
              const next = [...list];
              wanting.forEach((x, i) => give(next, x.a, kind, at(share, i)));
              return next;
            }),
        );
        continue;
      }
      for (const list of out.others) for (const x of wanting) give(list, x.a, kind, x.given);
      // At another trouble's hand a unit saves at most that trouble's next mend, or its own grams.
      for (const x of wanting) {
        const beyond = units - x.given;
        const from = Math.floor(x.given / x.units);
        for (let j = 0; j * x.units < beyond; j++) out.slack += (at(given, x.a).tails[from + j] ?? 0) * x.gain;
        out.slackMass += beyond * book.of(kind).mass;
      }
    }
  return out;
}

/**
 * Everything that a kit is chosen from and for: the bikes' troubles with their ways, what the ways hang on, and the pieces.
 * @param question.today ISO date, for what has passed its own; null where dates do not count
 * @param also measures that count as if they were done
 */
export function kitProblem(
  doc: KitRows,
  question: { bikeId: string; tripId: string | null; today?: string | null },
  tools: ToolCase,
  also: readonly string[] = [],
): KitProblem {
  const trip = doc.trips.find((t) => t.id === question.tripId);
  const book = bookOf(doc.kinds);
  const left = doc.supplies.filter((s) => s.mark === 'never').map((s) => s.kind);
  const never = new Set(left.filter((kind) => doc.supplies.every((s) => s.kind !== kind || s.mark === 'never')));
  const build = new Builder(tools, book, never);
  const own = present(doc.bikes.find((b) => b.id === question.bikeId));
  const prevention = preventionOf(own, also);
  const today = question.today ?? null;
  const bikes = trip ? bikesFor(doc, question.bikeId, trip) : [];
  const given = trip?.kit ?? newKitQuestion();
  const repairs = new Map(given.musts.flatMap((m) => (m.by === 'repair' ? [[m.trouble, m.grade] as const] : [])));
  const asks = trip
    ? bikes.flatMap((bike) =>
        asksOf(
          bike,
          { doc, trip, tools, build, today },
          bike.id === own.id ? prevention : preventionOf(bike),
          bike.id === own.id ? repairs : new Map(),
        ),
      )
    : [];
  const marked = tools.pieces.flatMap((piece, p) =>
    Array.from({ length: Math.min(leastCopies(piece), build.items.copies(p)) }, (_, c) => [[build.items.item(p, c)]]),
  );
  const unmet: LackFact[] = [];
  const required: number[] = [];
  for (const m of given.musts) {
    if (m.by === 'repair') {
      const mine = asks.filter((a) => a.bikeId === own.id && a.exposure.trouble.id === m.trouble);
      const open = mine.filter((a) => a.must === null);
      for (const a of open)
        unmet.push({ code: 'lack.repair', name: a.name, why: a.barred[0]?.why ?? [{ code: 'lack.grade' }] });
      continue;
    }
    const heads = tools.reaches.filter((r) => r.fastener.bikeId === own.id && r.fastener.role === m.role);
    if (heads.length === 0) unmet.push({ code: 'lack.unmarked', role: m.role });
    for (const r of heads) {
      const n = build.head(r.fastener.id);
      if (n === null) unmet.push({ code: 'lack.out-of-reach', what: r.fastener.name });
      else if (!required.includes(n)) required.push(n);
    }
  }
  const fitted = new Map(bikes.map((b) => [b.id, stockOf(doc.supplies, b, today, doc.kinds).fitted]));
  const always = tools.pieces.flatMap((p, piece): Always[] => {
    const s = doc.supplies.find((x) => x.id === p.id);
    return s ? [{ piece, kind: s.kind, units: s.quantity }] : [];
  });
  // They are carried anyway: what they mend on this bike costs no further gram.
  const mine = fitted.get(own.id);
  for (const { kind, units } of always) mine?.set(kind, (mine.get(kind) ?? 0) + units);
  const { asks: allotted, others, slack, slackMass } = allot(asks, fitted, book);
  const problem: KitProblem = {
    tools,
    pieces: tools.pieces,
    items: build.items,
    requirements: build.requirements,
    asks: allotted,
    marked,
    required,
    unmet,
    fitted,
    others: [],
    slack,
    slackMass,
    book,
    always,
    // Where nothing is known that can go wrong no gram is worth anything: then the tools that reach all are the kit.
    question: {
      ...given,
      ask: asks.length === 0 && given.ask === 'worth' ? 'lightest' : given.ask,
      service: trip?.serviceLevel ?? 0.9,
    },
    practice: doc.garage.practice,
    prevention,
  };
  return { ...problem, others: others.map((list) => ({ ...problem, asks: list })) };
}
