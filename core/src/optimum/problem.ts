import type { Bike } from '../bike/index.js';
import { usualThread } from '../bike/index.js';
import type { Practice, Reach } from '../chains/index.js';
import { coverProblem, leastCopies, type FunctionNeed, type Task } from '../cover/index.js';
import type { GarageDocument } from '../garage/index.js';
import { PREVENTIONS, preventionsFor, type Grade, type Prevention, type Way } from '../mends/index.js';
import { countPmf, exposuresIn, lostByThread, type CountLaw, type Exposure } from '../odds/index.js';
import { boltKind, stockOf, supplyKind } from '../supplies/index.js';
import { boxVolume, type Piece, type PieceFunction } from '../tools/index.js';
import { newKitQuestion, type KitQuestion, type Trip } from '../trip/index.js';
import type { ToolCase } from '../kit/toolCase.js';
import { Items, setsOfEnds, setsOfFunction, setsOfTask } from './items.js';
import { gainOf, hoursOf, practisedWays, type PractisedWay } from './ways.js';

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
  supplies: { kind: string; units: number }[];
  /** Of what one mend uses up: grams, mL, euros. */
  mass: number;
  bulk: number;
  price: number;
  /** What one mend saves: in the question's value, and in hours. */
  gain: number;
  hours: number;
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
  barred: { way: Way; why: string; lacks: FunctionNeed[] }[];
  /** Units that sit on the bike beside the live part, by kind: they weigh nothing. */
  fitted: ReadonlyMap<string, number>;
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
  question: KitQuestion & { service: number };
  practice: Practice;
  /** Measures taken before leaving that count in the rates, with their grams. */
  prevention: readonly Prevention[];
}

/** Mends of one trouble that are looked at one by one. */
const MOST_MENDS = 8;
/** Chance of one more mend below which it is not looked at. */
const NEVER = 2e-5;
/** Threads above this are never lost on the road without being noticed. */
const LARGEST_SPARE_BOLT = 10;

/** P(N ≥ 1), P(N ≥ 2), …, and the expected count beyond. */
export function tailsOf(law: CountLaw): { tails: number[]; rest: number } {
  const tails: number[] = [];
  let left = 1;
  for (let j = 0; j < MOST_MENDS; j++) {
    left -= countPmf(j, law);
    if (left < NEVER) break;
    tails.push(left);
  }
  return { tails, rest: Math.max(0, law.mean - tails.reduce((a, b) => a + b, 0)) };
}

const scaled = (law: CountLaw, share: number): CountLaw => ({ mean: law.mean * share, shape: law.shape });

class Builder {
  readonly requirements: Requirement[] = [];
  private readonly byKey = new Map<string, number>();
  private readonly taskOf = new Map<string, Task>();
  readonly items: Items;

  constructor(private readonly tools: ToolCase) {
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
      const label = this.tools.reaches.find((r) => r.fastener.id === fastenerId)!.fastener.name;
      return {
        label,
        by: { head: task, fasteners: task.fasteners, any: false },
        sets: sets ?? setsOfEnds(task, this.items)[0]!,
        loose: sets === null,
      };
    });
  }
  /** Any one of several heads. */
  anyHead(fastenerIds: readonly string[], label: string): number | null {
    const numbers = fastenerIds.map((id) => this.head(id)).filter((n) => n !== null);
    if (numbers.length === 0) return null;
    const distinct = [...new Set(numbers)].filter((n) => !this.requirements[n]!.loose).sort((a, b) => a - b);
    if (distinct.length === 0) return numbers[0]!;
    if (distinct.length === 1) return distinct[0]!;
    return this.once(`any ${distinct.join()}`, () => {
      const sets = new Map<string, number[]>();
      for (const n of distinct) for (const s of this.requirements[n]!.sets) sets.set(s.join(), s);
      const first = this.requirements[distinct[0]!]!.by as { head: Task; fasteners: string[] };
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
      .filter((p) => this.tools.pieces[p]!.functions.includes(does) && this.items.copies(p) > 0);
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

const functionWords = (does: PieceFunction, count: number) =>
  count > 1 ? `${count} pieces to ${does}` : `a piece to ${does}`;

/** The way as the kit sees it, or why it cannot be had. */
function askWay(
  { way, needs, barred }: PractisedWay,
  bike: Bike,
  reaches: readonly Reach[],
  build: Builder,
  exposure: Exposure,
  question: KitQuestion,
  extra: number[] = [],
  bolt: string | null = null,
): { ok: AskWay } | { why: string; lacks: FunctionNeed[] } {
  if (barred) return { why: barred, lacks: [] };
  const requires = [...extra];
  const lacks: string[] = [];
  const missing: FunctionNeed[] = [];
  for (const { role, ifAny } of needs.heads) {
    const marked = reaches.filter((r) => r.fastener.role === role && r.fastener.bikeId === bike.id);
    if (marked.length === 0 && !ifAny) lacks.push(`no fastener is marked as ${role}`);
    for (const r of marked) {
      const n = build.head(r.fastener.id);
      if (n === null) lacks.push(`${role} is out of reach`);
      else requires.push(n);
    }
  }
  for (const { does, count } of needs.functions) {
    const n = build.does(does, count);
    if (n === null) {
      lacks.push(functionWords(does, count));
      missing.push({ does, count });
    } else requires.push(n);
  }
  if (lacks.length > 0) return { why: [...new Set(lacks)].join(', '), lacks: missing };
  const supplies = needs.supplies.flatMap(({ kind, units }) =>
    kind === 'bolt' ? (bolt ? [{ kind: boltKind(bolt), units }] : []) : [{ kind, units }],
  );
  const sum = (of: (kind: string) => number) => supplies.reduce((s, x) => s + of(x.kind) * x.units, 0);
  return {
    ok: {
      way,
      grade: way.grade,
      requires: [...new Set(requires)].sort((a, b) => a - b),
      supplies,
      mass: sum((k) => supplyKind(k).mass),
      bulk: sum((k) => boxVolume(supplyKind(k))),
      price: sum((k) => supplyKind(k).price),
      gain: gainOf(way, exposure.trouble, exposure.without, question),
      hours: hoursOf(way, exposure.without),
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
export function bikesFor(doc: GarageDocument, bikeId: string, trip: Trip | undefined): Bike[] {
  const along = doc.garage.practice.others === 'own bike only' ? [] : (trip?.along ?? []);
  return doc.bikes
    .filter((b) => b.id === bikeId || along.includes(b.id))
    .sort((a, b) => Number(b.id === bikeId) - Number(a.id === bikeId));
}

function asksOf(
  bike: Bike,
  doc: GarageDocument,
  trip: Trip,
  tools: ToolCase,
  build: Builder,
  today: string | null,
  prevention: readonly Prevention[],
): Ask[] {
  const question = trip.kit;
  const practice = doc.garage.practice;
  const fitted = stockOf(doc.supplies, bike, today).fitted;
  const reduced = preventedBy(prevention);
  const chosen = tools.reaches.filter((r) => r.fastener.bikeId === bike.id);
  const out: Ask[] = [];
  const add = (exposure: Exposure, key: string, name: string, law: CountLaw, extra: number[], bolt: string | null) => {
    if (law.mean <= 0) return;
    const ways: AskWay[] = [];
    const barred: Ask['barred'] = [];
    for (const p of practisedWays(exposure.trouble, bike, trip, practice)) {
      const made = askWay(p, bike, tools.reaches, build, exposure, question, extra, bolt);
      if ('ok' in made) ways.push(made.ok);
      else barred.push({ way: p.way, ...made });
    }
    out.push({ key: `${bike.id} ${key}`, name, bikeId: bike.id, exposure, law, ...tailsOf(law), ways, barred, fitted });
  };
  for (const exposure of exposuresIn(doc, { bikeId: bike.id, tripId: trip.id, today })) {
    const { trouble } = exposure;
    const law = scaled(exposure.law, reduced(trouble.id));
    if (trouble.id === 'fastener-lost') {
      // Lost fasteners by thread: the spare bolt goes in with any head of that thread that the kit turns.
      for (const { thread, share } of lostByThread(chosen.map((r) => r.fastener))) {
        if (Number(thread.slice(1)) > LARGEST_SPARE_BOLT) continue;
        const heads = chosen
          .filter((r) => (r.fastener.thread ?? usualThread(r.fastener.head)) === thread)
          .map((r) => r.fastener.id);
        const any = build.anyHead(heads, `a head on ${thread}`);
        add(
          exposure,
          `${trouble.id} ${thread}`,
          `${trouble.name}: ${thread}`,
          scaled(law, share),
          any === null ? [] : [any],
          thread,
        );
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
        if (n !== null) add(exposure, `${trouble.id} ${n}`, name, scaled(law, g.share), [n], null);
        else {
          add(exposure, `${trouble.id} none`, name, scaled(law, g.share), [], null);
          const last = out.at(-1)!;
          last.barred = last.ways.map((w) => ({ way: w.way, why: 'the head is out of reach', lacks: [] }));
          last.ways = [];
        }
      }
    } else add(exposure, trouble.id, trouble.name, law, [], null);
  }
  return out;
}

/**
 * Everything that a kit is chosen from and for: the bikes' troubles with their ways, what the ways hang on, and the pieces.
 * @param today ISO date, for what has passed its own; null where dates do not count
 * @param also measures that count as if they were done
 */
export function kitProblem(
  doc: GarageDocument,
  question: { bikeId: string; tripId: string | null; today?: string | null },
  tools: ToolCase,
  also: readonly string[] = [],
): KitProblem {
  const trip = doc.trips.find((t) => t.id === question.tripId);
  const build = new Builder(tools);
  const own = doc.bikes.find((b) => b.id === question.bikeId)!;
  const prevention = preventionOf(own, also);
  const asks = trip
    ? bikesFor(doc, question.bikeId, trip).flatMap((bike) =>
        asksOf(
          bike,
          doc,
          trip,
          tools,
          build,
          question.today ?? null,
          bike.id === own.id ? prevention : preventionOf(bike),
        ),
      )
    : [];
  const marked = tools.pieces.flatMap((piece, p) =>
    Array.from({ length: Math.min(leastCopies(piece), build.items.copies(p)) }, (_, c) => [[build.items.item(p, c)]]),
  );
  return {
    tools,
    pieces: tools.pieces,
    items: build.items,
    requirements: build.requirements,
    asks,
    marked,
    question: { ...(trip?.kit ?? newKitQuestion()), service: trip?.serviceLevel ?? 0.9 },
    practice: doc.garage.practice,
    prevention,
  };
}
