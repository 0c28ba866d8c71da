import { carriedChains, chainsBy, reachedBy, type FunctionNeed } from '../toolbox/cover/index.js';
import { GRADE_WORTH, gradeMeets, type Grade, type Prevention } from '../repairs/index.js';
import { countCdf } from '../trip/odds/index.js';
import type { AskWay, KitProblem, Requirement } from './optimum/kitProblem.js';
import { availableWays, does, metBy, metWithout, withinWorth } from './optimum/tools.js';
import { isWanted, planOf } from './optimum/plan.js';
import type { StockedMend } from './optimum/slots.js';
import type { SupplyKind } from '../repairs/supplies/index.js';
import { BAG_FILL, boxVolume, catalogue, type Piece, type PieceFunction } from '../toolbox/tools/index.js';
import { byAsk, doneOfAsk, doneWith, fittedMends, homeMends, reachesHome, savedBy, type Contents } from './done.js';

/** A piece in the kit, with the reason for it. */
export interface KitPiece {
  piece: Piece;
  count: number;
  /** Fasteners lost when one copy is left out and the rest stays, and their names. */
  needed: string[];
  neededNames: string[];
  /** Troubles whose mend it serves by what it does. */
  serves: string[];
  /** Troubles whose mend turns a head with it. */
  turnsFor: string[];
  /** Pieces that it stands in for, should they be lost or break. */
  standsInFor: string[];
  /** Whether it is in nobody's drawer yet. */
  toBuy: boolean;
  /** Expected uses on the trip. */
  uses: number;
  /** Hours that the kit saves less without one copy of it. */
  hours: number;
  /** A lighter tool that could be bought for what this one does here, and the grams that it saves; null where none saves much. */
  lighter: { name: string; mass: number; price: number; saves: number } | null;
  /** What becomes of each mend that loses its way without it: the next best way, or none. */
  without: { trouble: string; way: string; instead: string | null; grade: Grade | null; hours: number }[];
}

/** A spare in the kit, with what is owned and what is to be bought. */
export interface KitSpare {
  kind: string;
  /** What is said of one of it. */
  of: SupplyKind;
  name: string;
  unit: string;
  quantity: number;
  /** Units beside the live part on the bike already, which weigh nothing here. */
  fitted: number;
  /** Units that are packed whatever they are good for. */
  always: number;
  /** Chance that all mends it is set aside for suffice. */
  enough: number;
  /** Expected units used. */
  expected: number;
  mass: number;
  owned: number;
  buy: number;
  /** Mends that it is set aside for. */
  for: { trouble: string; mends: number; units: number }[];
  /** Hours that the kit saves less without any of it. */
  hours: number;
  formula: string;
}

/** A way as whoever rides the trip many times needs it: what it costs, uses and leaves. */
export interface RiddenWay {
  name: string;
  hours: number;
  /** Worth of its grade. */
  worth: number;
  supplies: { kind: string; units: number }[];
  holds: number;
  /** Whether it reaches a workshop or better. */
  home: boolean;
}

/** What the kit gives against one trouble. */
export interface Mend {
  key: string;
  troubleId: string;
  name: string;
  bikeId: string;
  ask: number;
  /** The best way that the kit has, and its grade; null when it has none. */
  way: number | null;
  wayName: string;
  grade: Grade | null;
  /** Mends at ride-out or better that the kit allows; Infinity when nothing is used up. */
  mends: number;
  /** Why the ways that the kit lacks are lacking, in words; empty when it has the one asked for. */
  lacks: string[];
  /** Whether it was asked for and is not met at the grade. */
  below: boolean;
  /** P(N ≤ mends). */
  covered: number;
  hoursSaved: number;
  hoursLeft: number;
  /** All ways that the kit has, the best first. */
  ways: RiddenWay[];
  /** The other known ways, with what keeps the kit from them. */
  others: { name: string; why: string }[];
}

export interface Kit {
  pieces: KitPiece[];
  spares: KitSpare[];
  /** Grams of tools, spares, what was fitted beforehand, and all. */
  toolMass: number;
  spareMass: number;
  preventionMass: number;
  mass: number;
  /** mL: Σ of each piece's own box ÷ fill. */
  bulk: number;
  /** Price of all that is in it, euros. */
  price: number;
  /** What it was made as: worth its weight, the lightest that gives the grade, the most under the limits, or a kept kit as it is. */
  as: 'worth' | 'lightest' | 'most' | 'kept';
  keptName: string | null;
  proven: boolean;
  gap: number;
  /** What the tools are worth together, euros, and whether that keeps to the rider's limit. */
  worth: number;
  withinWorth: boolean;
  /** Whether the service level is met, where it was asked for. */
  served: boolean;
  /** Fasteners reached with the kit alone. */
  reached: string[];
  /** Functions that some trouble asks for and that nothing in the toolbox does. */
  missing: FunctionNeed[];
  /** What the rider demands and cannot be had, in words. */
  unmet: string[];
  mends: Mend[];
  prevention: Prevention[];
  /** Home by own means: Π over troubles that end the ride of P(N ≤ mends at ride-out or better). */
  home: number;
  /** Hours still at stake with this kit. */
  atStake: number;
  saved: number;
  /** The same in the question's value, where that is money. */
  value: number;
}

/** Units of each supply that a kit is stocked with, those beside the live part in them. */
export function unitsOf(problem: KitProblem, stocked: readonly StockedMend[]): Map<string, number> {
  const units = new Map<string, number>();
  for (const { ask, way } of stocked)
    for (const s of problem.asks[ask]!.ways[way]!.supplies) units.set(s.kind, (units.get(s.kind) ?? 0) + s.units);
  return units;
}
/** Units that sit beside live parts, by kind: each once, however many troubles may use it. */
export function fittedOf(problem: Pick<KitProblem, 'fitted'>): Map<string, number> {
  const fitted = new Map<string, number>();
  for (const kinds of problem.fitted.values())
    for (const [kind, n] of kinds) fitted.set(kind, (fitted.get(kind) ?? 0) + n);
  return fitted;
}
/** Units of each kind that are always packed. */
export function alwaysOf(problem: Pick<KitProblem, 'always'>): Map<string, number> {
  const units = new Map<string, number>();
  for (const { kind, units: n } of problem.always) units.set(kind, (units.get(kind) ?? 0) + n);
  return units;
}
/** Grams of so many units of each supply, those beside the live part left out. */
export function stockMass(problem: Pick<KitProblem, 'fitted' | 'book'>, units: ReadonlyMap<string, number>): number {
  const fitted = fittedOf(problem);
  return [...units].reduce(
    (s, [kind, n]) => s + Math.max(0, n - (fitted.get(kind) ?? 0)) * problem.book.of(kind).mass,
    0,
  );
}

export interface KitFacts {
  as: Kit['as'];
  keptName?: string | null;
  proven: boolean;
  gap: number;
  served: boolean;
  owned: ReadonlyMap<string, number>;
  /** A kept kit's own spares, where those are what is packed. */
  supplies?: ReadonlyMap<string, number>;
}

/** Everything that a screen says about a kit, from what is in it. */
export function kitFrom(problem: KitProblem, contents: Contents, facts: KitFacts): Kit {
  const { tools, pieces, asks } = problem;
  const { reaches, losable, offered } = tools;
  const { counts } = contents;
  const carried = new Map(pieces.map((p, i) => [p.id, counts[i]!]));
  // Only chains of carried pieces matter from here on, and they are few.
  const within = reaches.map((r) => carriedChains(r, carried));
  const reachedIds = (copies: ReadonlyMap<string, number>) =>
    new Set(within.filter((r) => reachedBy(r, copies)).map((r) => r.fastener.id));
  const all = reachedIds(carried);
  const nameOf = new Map(reaches.map((r) => [r.fastener.id, r.fastener.name.toLowerCase()]));
  const met = metBy(problem, counts);
  const { available, done } = doneWith(problem, contents, availableWays(problem, counts, met));
  // What sits beside the live part is used like what is packed: it is part of the stock.
  const stockedAll = facts.supplies
    ? contents.stocked
    : [...contents.stocked, ...fittedMends(problem, done, contents.stocked)];
  const saved = asks.map((a, i) => savedBy(a, done[i]!, (w) => w.hours));

  /** What the kit is without one copy of a piece: only what hangs on the piece can change. */
  const stockedFor = byAsk(problem, stockedAll);
  const withoutPiece = (p: number) => {
    const less = counts.map((n, i) => (i === p ? n - 1 : n));
    const there = availableWays(problem, less, metWithout(problem, counts, met, p));
    const changes: KitPiece['without'] = [];
    let hours = 0;
    asks.forEach((a, i) => {
      if (available[i]!.every((has, k) => has === there[i]![k])) return;
      const after = doneOfAsk(a, i, there[i]!, stockedFor[i]!);
      const lost = saved[i]! - savedBy(a, after, (w) => w.hours);
      if (lost <= 1e-9) return;
      hours += lost;
      const now = done[i]!.by[0] ?? done[i]!.beyond;
      const then = after.by[0] ?? after.beyond;
      if (now === then) return;
      changes.push({
        trouble: a.name,
        way: now >= 0 ? a.ways[now]!.way.name : '',
        instead: then >= 0 ? a.ways[then]!.way.name : null,
        grade: then >= 0 ? a.ways[then]!.grade : null,
        hours: lost,
      });
    });
    return { hours, changes: changes.sort((x, y) => y.hours - x.hours) };
  };

  /** Names of carried pieces whose loss this one makes good: with both gone more heads are lost than with either. */
  const standsInFor = (i: number) =>
    pieces.flatMap((other, k) => {
      if (counts[k]! < (k === i ? 2 : 1) || !losable(other)) return [];
      const gone = new Map(carried).set(other.id, counts[k]! - 1);
      const both = new Map(gone).set(pieces[i]!.id, gone.get(pieces[i]!.id)! - 1);
      return reachedIds(both).size < reachedIds(gone).size ? [other.name] : [];
    });

  // Expected uses: of what does something by the mends that ask for it, of what turns heads by the mends that turn them.
  const uses = new Map<string, number>();
  const serves = new Map<string, Set<string>>();
  const turnsFor = new Map<string, Set<string>>();
  const doing = new Map<string, Set<PieceFunction>>();
  asks.forEach((a, i) => {
    const w = done[i]!.by[0] ?? done[i]!.beyond;
    if (w < 0) return;
    for (const n of a.ways[w]!.requires) {
      const { by } = problem.requirements[n]!;
      if ('does' in by)
        pieces.forEach((p, k) => {
          if (counts[k]! === 0 || !p.functions.includes(by.does)) return;
          uses.set(p.id, (uses.get(p.id) ?? 0) + a.law.mean);
          serves.set(p.id, (serves.get(p.id) ?? new Set()).add(a.exposure.trouble.name));
          doing.set(p.id, (doing.get(p.id) ?? new Set()).add(by.does));
        });
      else {
        const reach = reaches.find((r) => r.fastener.id === by.fasteners[0]);
        const ids = new Set(
          (reach ? (chainsBy(reach, carried) ?? []) : []).flatMap((c) => c.links.map((l) => l.piece.id)),
        );
        for (const id of ids) {
          uses.set(id, (uses.get(id) ?? 0) + a.law.mean);
          turnsFor.set(id, (turnsFor.get(id) ?? new Set()).add(a.exposure.trouble.name));
        }
      }
    }
  });

  const kitPieces: KitPiece[] = pieces.flatMap((piece, i) => {
    const count = counts[i]!;
    // What stands for spares is told among the spares.
    if (count === 0 || problem.always.some((a) => a.piece === i)) return [];
    const left = reachedIds(new Map(carried).set(piece.id, count - 1));
    const needed = [...all].filter((id) => !left.has(id));
    const { hours, changes } = withoutPiece(i);
    const serving = [...(serves.get(piece.id) ?? [])];
    return [
      {
        piece,
        count,
        needed,
        neededNames: needed.map((id) => nameOf.get(id) ?? ''),
        serves: serving,
        turnsFor: [...(turnsFor.get(piece.id) ?? [])],
        standsInFor: needed.length > 0 || serving.length > 0 ? [] : standsInFor(i),
        toBuy: offered.has(piece.id),
        uses: uses.get(piece.id) ?? 0,
        hours,
        // What turns heads is judged with all the others; here only what is carried for what it does.
        lighter:
          offered.has(piece.id) || needed.length > 0 || turnsFor.has(piece.id)
            ? null
            : lighterFor(piece, [...(doing.get(piece.id) ?? [])]),
        without: changes,
      },
    ];
  });

  /** Units of each supply that are there: packed, and beside the live part. */
  const stock = stockOfKit(problem, facts, stockedAll);
  /** What a way uses up and the kit has too little of, in words. */
  const shortOf = (w: AskWay): string[] =>
    w.supplies.filter((s) => (stock.get(s.kind) ?? 0) < s.units).map((s) => problem.book.of(s.kind).name.toLowerCase());
  const kitSpares = sparesOf(problem, { counts, stocked: stockedAll }, facts, saved, available);
  const lackingTools = (w: AskWay): string[] => [
    ...new Set(
      w.requires
        .filter((n) => !does(problem, problem.requirements[n]!, counts))
        .map((n) => wordsOf(problem.requirements[n]!)),
    ),
  ];
  const mends = asks.map((a, i): Mend => {
    const d = done[i]!;
    const way = d.by[0] ?? d.beyond;
    const homes = homeMends(a, d);
    const best = way >= 0 ? a.ways[way]! : null;
    // A way that lacks anything, tool or spare, is none.
    const has = a.ways.map((w, k) => ({ w, k })).filter(({ w, k }) => available[i]![k]! && shortOf(w).length === 0);
    const ideal = Math.max(...[...a.ways.map((w) => w.hours), 0]);
    const stake = a.law.mean * Math.max(ideal, a.exposure.lambda > 0 ? a.exposure.atStake / a.exposure.lambda : 0);
    return {
      key: a.key,
      troubleId: a.exposure.trouble.id,
      name: a.name,
      bikeId: a.bikeId,
      ask: i,
      way: way >= 0 ? way : null,
      wayName: best?.way.name ?? '',
      grade: best?.grade ?? null,
      mends: homes,
      lacks: best && best.grade === 'proper' ? [] : [...new Set(a.barred.map((b) => b.why))],
      below:
        facts.as === 'lightest' && isWanted(problem, a) && !(best && gradeMeets(best.grade, problem.question.grade)),
      covered: homes === Infinity ? 1 : countCdf(homes, a.law),
      hoursSaved: saved[i]!,
      hoursLeft: Math.max(0, stake - saved[i]!),
      ways: has
        .sort((x, y) => y.w.gain - x.w.gain)
        .map(({ w }) => ({
          name: w.way.name,
          hours: w.time,
          worth: GRADE_WORTH[w.grade],
          supplies: w.supplies,
          holds: w.way.holds,
          home: reachesHome(w),
        })),
      others: [
        ...a.ways.flatMap((w, k) =>
          has.some((x) => x.k === k)
            ? []
            : [{ name: w.way.name, why: `left at home: ${[...lackingTools(w), ...shortOf(w)].join(', ')}` }],
        ),
        ...a.barred.map((b) => ({ name: b.way.name, why: b.why })),
      ],
    };
  });

  const toolMass = kitPieces.reduce((s, k) => s + k.piece.mass * k.count, 0);
  const spareMass = kitSpares.reduce((s, k) => s + k.mass, 0);
  const preventionMass = problem.prevention.reduce((s, p) => s + p.mass, 0);
  const worth = kitPieces.reduce((s, k) => s + k.piece.price * k.count, 0);
  const boxes =
    kitPieces.reduce((s, k) => s + boxVolume(k.piece) * k.count, 0) +
    kitSpares.reduce((s, k) => s + boxVolume(k.of) * (k.quantity - k.fitted), 0);
  const missing = new Map<FunctionNeed['does'], number>();
  for (const a of planOf(problem).unmet)
    for (const b of asks[a]!.barred)
      for (const f of b.lacks) missing.set(f.does, Math.max(missing.get(f.does) ?? 0, f.count));
  const able = (does: FunctionNeed['does']) =>
    pieces.reduce((n, p) => n + (p.functions.includes(does) && p.mark !== 'never' ? p.count : 0), 0);
  return {
    pieces: kitPieces,
    spares: kitSpares,
    toolMass,
    spareMass,
    preventionMass,
    mass: toolMass + spareMass + preventionMass,
    bulk: boxes / BAG_FILL,
    price: worth + kitSpares.reduce((s, k) => s + k.of.price * (k.quantity - k.fitted), 0),
    as: facts.as,
    keptName: facts.keptName ?? null,
    proven: facts.proven,
    gap: facts.gap,
    worth,
    withinWorth: withinWorth(problem, counts),
    served: facts.served,
    reached: [...all],
    missing: [...missing]
      .map(([does, count]) => ({ does, count: count - able(does) }))
      .sort((a, b) => (a.does < b.does ? -1 : 1)),
    unmet: [...problem.unmet],
    mends,
    prevention: [...problem.prevention],
    home: mends.reduce((p, m, i) => (asks[i]!.exposure.trouble.stops ? p * m.covered : p), 1),
    atStake: mends.reduce((s, m) => s + m.hoursLeft, 0),
    saved: saved.reduce((a, b) => a + b, 0),
    value: asks.reduce((s, a, i) => s + savedBy(a, done[i]!, (w) => w.gain), 0),
  };
}

/** Units of each supply that a kit has: what it is stocked with or what a kept list holds, and in either case what sits beside the live part. */
function stockOfKit(
  problem: KitProblem,
  facts: Pick<KitFacts, 'supplies'>,
  stocked: readonly StockedMend[],
): Map<string, number> {
  if (!facts.supplies) return unitsOf(problem, stocked);
  const units = new Map(facts.supplies);
  for (const [kind, n] of fittedOf(problem)) units.set(kind, (units.get(kind) ?? 0) + n);
  return units;
}

/** Grams that a purchase has to save before it is spoken of. Planning value. */
const WORTH_SAYING = 100;
/** The lightest tool of the catalogue that does all that a tool does in this kit, where it saves enough. */
function lighterFor(piece: Piece, functions: readonly PieceFunction[]): KitPiece['lighter'] {
  if (functions.length === 0) return null;
  const able = catalogue().filter((m) => functions.every((f) => m.functions.includes(f)));
  const best = able.reduce<(typeof able)[number] | null>((a, b) => (a === null || b.mass < a.mass ? b : a), null);
  const saves = best ? piece.mass - best.mass : 0;
  return best && saves >= WORTH_SAYING ? { name: best.name, mass: best.mass, price: best.price, saves } : null;
}

/** A requirement in words. */
const wordsOf = (r: Requirement): string =>
  'does' in r.by
    ? r.by.count > 1
      ? `${r.by.count} pieces to ${r.by.does}`
      : `a piece to ${r.by.does}`
    : `tools for the ${r.label.toLowerCase()}`;

function sparesOf(
  problem: KitProblem,
  contents: Contents,
  facts: KitFacts,
  saved: readonly number[],
  available: readonly (readonly boolean[])[],
): KitSpare[] {
  const { asks } = problem;
  const units = stockOfKit(problem, facts, contents.stocked);
  const fitted = fittedOf(problem);
  const always = alwaysOf(problem);
  return [...new Set([...units.keys(), ...always.keys()])]
    .map((kind) => [kind, units.get(kind) ?? 0] as const)
    .filter(([kind, n]) => n > 0 || always.has(kind))
    .map(([kind, used]): KitSpare => {
      const packedAnyway = always.get(kind) ?? 0;
      const of = problem.book.of(kind);
      const { name, unit, mass } = of;
      const mine = new Map<number, number>();
      for (const s of contents.stocked)
        if (asks[s.ask]!.ways[s.way]!.supplies.some((x) => x.kind === kind))
          mine.set(s.ask, (mine.get(s.ask) ?? 0) + 1);
      const per = (ask: number) =>
        contents.stocked.find((s) => s.ask === ask && asks[ask]!.ways[s.way]!.supplies.some((x) => x.kind === kind))!;
      const parts = [...mine].map(([ask, mends]) => {
        const w = asks[ask]!.ways[per(ask).way]!;
        return { ask, trouble: asks[ask]!.name, mends, units: w.supplies.find((x) => x.kind === kind)!.units };
      });
      const besides = (fitted.get(kind) ?? 0) - packedAnyway;
      const quantity = Math.max(used, Math.min(used, besides) + packedAnyway);
      const onBike = Math.min(quantity - packedAnyway, besides);
      const uses = (x: StockedMend) => asks[x.ask]!.ways[x.way]!.supplies.some((u) => u.kind === kind);
      const hours = [...mine.keys()].reduce((s, a) => {
        const rest = contents.stocked.filter((x) => x.ask === a && !uses(x));
        return s + saved[a]! - savedBy(asks[a]!, doneOfAsk(asks[a]!, a, available[a]!, rest), (w) => w.hours);
      }, 0);
      const have = facts.owned.get(kind) ?? 0;
      const enough = parts.reduce((p, x) => p * countCdf(x.mends, asks[x.ask]!.law), 1);
      return {
        kind,
        of,
        name,
        unit,
        quantity,
        fitted: onBike,
        enough,
        expected: parts.reduce((s, x) => s + asks[x.ask]!.law.mean * x.units, 0),
        mass: (quantity - onBike) * mass,
        owned: have,
        buy: Math.max(0, quantity - onBike - have),
        always: packedAnyway,
        for: parts.map(({ trouble, mends, units: n }) => ({ trouble, mends, units: n })),
        hours,
        formula: `${parts
          .map(
            (x) =>
              `${x.trouble}: ${x.mends} ${x.mends === 1 ? 'mend' : 'mends'} × ${x.units}, Λ ${asks[x.ask]!.law.mean.toFixed(3)}`,
          )
          .join(
            '; ',
          )}${parts.length > 0 ? `. They suffice on ${(100 * enough).toFixed(1)} % of trips.` : ''}${packedAnyway > 0 ? ` ${packedAnyway} of it ${packedAnyway === 1 ? 'is' : 'are'} always packed.` : ''}${onBike > 0 ? ` ${onBike} of it sits on the bike.` : ''}`,
      };
    })
    .sort((a, b) => b.mass - a.mass || (a.kind < b.kind ? -1 : 1));
}
