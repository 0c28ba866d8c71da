import { at, present, under } from '../ground/numbers.js';
import { MilpBuilder, type Solve } from '../ground/milp.js';
import { addAnySet, addFunction } from '../kit/optimum/addRequirement.js';
import { addTask, leastCopies, type Task } from '../toolbox/cover/index.js';
import { BAG_FILL, boxVolume, type Piece } from '../toolbox/tools/index.js';
import type { SupplyKind } from '../repairs/supplies/index.js';
import type { Requirement } from '../kit/optimum/kitProblem.js';
import { blended, loads, mayCarryAll, type Assignment, type Shared } from './assignment.js';
import { canHold } from './canHold.js';
import { likelyPieces } from './likely.js';
import { atHome, forced, mostCopies, type Floor } from './forced.js';
import type { CrewCase } from './crewCase.js';
import type { Group } from './groups.js';
import { drawsOf, leftUndone } from './judge.js';
import { leastUnits, levelsOf } from './stockRule.js';
import { skillIn } from './person.js';
import { SUBJECTS } from '../repairs/index.js';

/** Grams that a repair left undone counts: more than any kit weighs, so that repairs come first. */
const UNDONE = 60_000;
/** Grams that a gram counts by which somebody carries less than they are asked to lead by: kept to wherever it can be. */
const SHORT = 50;
/** Units of a stock that one carries at most. */
const MOST_UNITS = 400;
/** Rounds in which stocks that turn out too small for the ways taken are asked for. */
const MOST_ROUNDS = 12;
/** The same for a whole crew: what further rounds better is below what they take. */
const FEW_ROUNDS = 6;

/** Stocks that a group turned out to need when some troubles take some options: together they draw so much. */
interface Cut {
  group: number;
  kind: string;
  least: number;
  /** Demand and option of each that draws. */
  of: readonly (readonly [demand: number, option: number])[];
}

interface Built {
  b: MilpBuilder;
  x: (number[] | null)[];
  s: Map<string, number[]>;
  /** Columns of options by group, demand and option. */
  y: number[][][];
}

/** The heads of which one is asked for, as requirements of their own; null where one of them has none. */
function headsOfAny(c: CrewCase, n: number): number[] | null {
  const { by } = at(c.problem.requirements, n);
  if (!('head' in by) || !by.any) return null;
  const own = by.fasteners.map((id) =>
    c.problem.requirements.findIndex((r) => 'head' in r.by && !r.by.any && r.by.fasteners.includes(id)),
  );
  const known = [...new Set(own.filter((i) => i >= 0))];
  return known.length > 0 ? known : null;
}

/** Pieces that anything could be done with: those of some way or head, and those that are marked. */
function useful(c: CrewCase): Set<number> {
  const out = new Set<number>();
  const requirement = (r: Requirement) => {
    if ('does' in r.by) {
      const { does } = r.by;
      c.problem.pieces.forEach((p, i) => {
        if (p.functions.includes(does)) out.add(i);
      });
    } else
      for (const end of r.by.head.ends)
        for (const a of end) [a.last, ...a.rest.map(([p]) => p)].forEach((p) => out.add(p));
    for (const set of r.sets) for (const i of set) out.add(at(c.problem.items.owner, i));
  };
  const seen = new Set<number>();
  for (const g of c.groups) {
    for (const d of g.demands) for (const o of d.options) for (const n of o.requires) seen.add(n);
    for (const l of g.loose) for (const x of l.shares) seen.add(x.requires);
    for (const t of g.tasks)
      for (const end of t.ends) for (const a of end) [a.last, ...a.rest.map(([p]) => p)].forEach((p) => out.add(p));
  }
  for (const n of seen) requirement(at(c.problem.requirements, n));
  c.problem.pieces.forEach((p, i) => {
    if (leastCopies(p) > 0) out.add(i);
    if (p.mark === 'never') out.delete(i);
  });
  for (const f of c.crew.fixed) {
    const piece = c.problem.pieces.findIndex((p) => f.item === `piece ${p.id}`);
    if (piece >= 0) out.add(piece);
  }
  return out;
}

/** The people with the most skill over all subjects, and whoever may carry the most: numbers of carriers. */
export function mechanicOf(c: CrewCase): number {
  const sum = (i: number) => SUBJECTS.reduce((s, x) => s + skillIn(at(c.members, i).person, x), 0);
  return c.members.reduce((best, _, i) => (sum(i) > sum(best) ? i : best), 0);
}
/**
 * Who may carry most.
 * @returns number of the member, from 0; the first of several
 */
export const strongestOf = (c: CrewCase): number =>
  c.members.reduce((best, m, i) => (m.limit > at(c.members, best).limit ? i : best), 0);

type Term = [column: number, coefficient: number];

/** Copies of each piece with each carrier; null for a piece that nothing could be done with. */
function pieceColumns(c: CrewCase, b: MilpBuilder, least: Floor, own: number, wanted: ReadonlySet<number>): Built['x'] {
  const { problem, carriers } = c;
  const perGram = 1 - c.crew.fair;
  return problem.pieces.map((p, i): number[] | null => {
    if (!wanted.has(i)) return null;
    const stays = at(least.pieces, i);
    const carried = stays.reduce((n, k) => n + k, 0);
    const most = Math.max(carried, 0, mostCopies(c, i) - atHome(c, `piece ${p.id}`));
    const columns = carriers.map((_, r) => {
      // Of two sharings alike the one in which people carry their own is taken.
      const theirs = c.of[i]?.some((o) => o.member === r) ? 1 : 1 + own;
      const upper = c.absent.has(r) || !canHold(at(carriers, r), p) ? at(stays, r) : most;
      return b.column(perGram * p.mass * theirs, upper, true, at(stays, r));
    });
    if (carriers.length > 1)
      b.row(
        columns.map((k) => [k, 1]),
        -Infinity,
        most,
      );
    return columns;
  });
}

/** Units of each stock with each carrier. */
function stockColumns(c: CrewCase, b: MilpBuilder, least: Floor): Built['s'] {
  const perGram = 1 - c.crew.fair;
  const kinds = new Set([
    ...c.groups.flatMap((g) => g.demands.flatMap((d) => d.options.flatMap((o) => o.supplies.map((s) => s.kind)))),
    ...least.stock.keys(),
  ]);
  return new Map(
    [...kinds].map((kind) => {
      const { mass } = c.problem.book.of(kind);
      const home = atHome(c, `spare ${kind}`) > 0;
      return [
        kind,
        c.carriers.map((_, r) => {
          const stays = least.stock.get(kind)?.[r] ?? 0;
          return b.column(perGram * mass, c.absent.has(r) ? 0 : home ? stays : MOST_UNITS, true, stays);
        }),
      ] as const;
    }),
  );
}

/** What each carrier has of something: a figure of each piece, and of a unit of each stock. */
const carriedOf =
  (c: CrewCase, { x, s }: Pick<Built, 'x' | 's'>, piece: (p: Piece) => number, unit: (kind: SupplyKind) => number) =>
  (r: number): Term[] => [
    ...x.flatMap((columns, i): Term[] => (columns ? [[at(columns, r), piece(at(c.problem.pieces, i))]] : [])),
    ...[...s].map(([kind, columns]): Term => [at(columns, r), unit(c.problem.book.of(kind))]),
  ];

/** Nobody is over a limit, but for what is carried in any case; the fullest share of any rider's limit costs what fairness is worth. */
function withinLimits(c: CrewCase, b: MilpBuilder, least: Floor, of: Pick<Built, 'x' | 's'>): void {
  const { fair } = c.crew;
  const masses = carriedOf(
    c,
    of,
    (p) => p.mass,
    (kind) => kind.mass,
  );
  const bulk = carriedOf(
    c,
    of,
    (p) => boxVolume(p) / BAG_FILL,
    (kind) => boxVolume(kind) / BAG_FILL,
  );
  const share = fair > 0 ? b.column(fair * mayCarryAll(c), 1000, false) : null;
  c.carriers.forEach((k, r) => {
    const stays = sumOf(c, least, r);
    b.row(masses(r), -Infinity, Math.max(k.limit, stays.mass));
    if (share !== null && k.member)
      b.row([[share, Math.max(1, k.limit)], ...masses(r).map(([col, m]): Term => [col, -m])], 0);
    if (k.room !== null) b.row(bulk(r), -Infinity, Math.max(k.room, stays.bulk));
  });
}

/** Who is asked to carry more than the others: whoever mends best the tools, whoever may carry most all of it. */
function leadsCarry(c: CrewCase, b: MilpBuilder, of: Pick<Built, 'x' | 's'>, riders: readonly number[]): void {
  const more = (lead: number, carried: (r: number) => Term[]) => {
    for (const r of riders)
      if (r !== lead)
        b.row(
          [...carried(lead), ...carried(r).map(([k, m]): Term => [k, -m]), [b.column(SHORT, Infinity, false), 1]],
          0,
        );
  };
  const tools = carriedOf(
    c,
    { x: of.x, s: new Map() },
    (p) => p.mass,
    () => 0,
  );
  const all = carriedOf(
    c,
    of,
    (p) => p.mass,
    (kind) => kind.mass,
  );
  if (c.crew.mechanic) more(mechanicOf(c), tools);
  if (c.crew.strong) more(strongestOf(c), all);
}

function build(
  c: CrewCase,
  cuts: readonly Cut[],
  floor: Floor | null,
  own: number,
  wanted: ReadonlySet<number>,
): Built {
  const b = new MilpBuilder();
  const riders = c.carriers.flatMap((k, i) => (k.member ? [i] : []));
  const least = forced(c, floor);
  const x = pieceColumns(c, b, least, own, wanted);
  const s = stockColumns(c, b, least);
  withinLimits(c, b, least, { x, s });
  if (riders.length > 1) leadsCarry(c, b, { x, s }, riders);
  if (c.crew.fluids && riders.length > 1) apart(c, b, x, s, riders);
  const y = c.groups.map((g, n) =>
    addGroup(
      c,
      b,
      g,
      x,
      s,
      cuts.filter((k) => k.group === n),
    ),
  );
  return { b, x, s, y };
}

/** Grams and mL of what a carrier has in any case. */
const sumOf = (c: CrewCase, least: Floor, r: number) => at(loads(c, { ...least, ways: new Map() }), r);

/** Fluids and the tools that no rider needs alone go to different riders: one who has fluids has none of those, but for what cannot be split. */
function apart(c: CrewCase, b: MilpBuilder, x: Built['x'], s: Built['s'], riders: readonly number[]): void {
  const own = new Set<number>();
  for (const g of c.groups)
    if (g.kind === 'alone')
      for (const n of [
        ...g.demands.flatMap((d) => d.options.flatMap((o) => o.requires)),
        ...g.loose.flatMap((l) => l.shares.map((z) => z.requires)),
      ])
        for (const set of at(c.problem.requirements, n).sets)
          for (const i of set) own.add(at(c.problem.items.owner, i));
  const fluids = [...s].filter(([kind]) => c.problem.book.of(kind).traits.includes('leaks'));
  for (const r of riders) {
    const wet = b.column(0, 1, true);
    for (const [, columns] of fluids)
      b.row(
        [
          [at(columns, r), 1],
          [wet, -400],
        ],
        -Infinity,
        0,
      );
    x.forEach((columns, i) => {
      const p = at(c.problem.pieces, i);
      if (!columns) return;
      if (p.traits.includes('leaks'))
        b.row(
          [
            [at(columns, r), 1],
            [wet, -8],
          ],
          -Infinity,
          0,
        );
      else if (!own.has(i) && leastCopies(p) === 0)
        b.row(
          [
            [at(columns, r), 1],
            [wet, 8],
          ],
          -Infinity,
          8,
        );
    });
  }
}

function addGroup(
  c: CrewCase,
  b: MilpBuilder,
  g: Group,
  x: Built['x'],
  s: Built['s'],
  cuts: readonly Cut[],
): number[][] {
  const { problem } = c;
  const [only] = g.carriers;
  // Copies that the group has together, as a column of their own where several carry.
  const have = x.map((columns, i) => {
    if (!columns) return b.column(0, 0, false);
    if (g.carriers.length === 1) return at(columns, present(only));
    const all = b.column(0, Math.min(at(problem.pieces, i).count, 8), false);
    b.row([...g.carriers.map((r): [number, number] => [at(columns, r), 1]), [all, -1]], 0, 0);
    return all;
  });
  const stock = (kind: string): [number, number][] => g.carriers.map((r) => [at(under(s, kind), r), 1]);
  // Ways by pieces that are not looked at are no columns at all.
  const within = (t: Task): Task => ({
    ...t,
    ends: t.ends.map((end) => end.filter((a) => x[a.last] && a.rest.every(([p]) => x[p]))),
  });
  const shared = new Map<string, number>();
  const met = new Map<number, number>();
  const metColumn = (n: number): number => {
    const known = met.get(n);
    if (known !== undefined) return known;
    const r = at(problem.requirements, n);
    const d = b.column(0, 1, true);
    met.set(n, d);
    const heads = headsOfAny(c, n);
    if ('does' in r.by) addFunction(b, problem, r.by, have, d);
    else if (heads) b.row([...heads.map((h): [number, number] => [metColumn(h), 1]), [d, -1]], 0);
    else if (r.by.any) addAnySet(b, problem, r.sets, have, d);
    else addTask(b, within(r.by.head), have, shared, d);
    return d;
  };

  // With every head turned in any case a way hangs on its functions alone.
  const turned = g.tasks.length > 0;
  const needed = (requires: readonly number[]) =>
    turned ? requires.filter((n) => 'does' in at(problem.requirements, n).by) : requires;
  for (const t of g.tasks) {
    const d = b.column(0, 1, true);
    const left = b.column(UNDONE, 1, false);
    addTask(b, within(t), have, shared, d);
    b.row(
      [
        [d, 1],
        [left, 1],
      ],
      1,
    );
  }
  const y = g.demands.map((demand) => {
    const left = b.column(UNDONE, 1, false);
    const columns = demand.options.map((o) => {
      const col = b.column(0, 1, true);
      for (const n of needed(o.requires))
        b.row(
          [
            [metColumn(n), 1],
            [col, -1],
          ],
          0,
        );
      for (const { kind, units } of o.supplies) b.row([...stock(kind), [col, -units]], 0);
      return col;
    });
    b.row([...columns.map((k): [number, number] => [k, 1]), [left, 1]], 1);
    return columns;
  });
  for (const l of g.loose)
    for (const z of l.shares) {
      const left = b.column(UNDONE * z.share, 1, false);
      b.row(
        [
          [metColumn(z.requires), 1],
          [left, 1],
        ],
        1,
      );
    }
  // If all of these take their options, so much must be there; with one of them otherwise the row asks for nothing.
  for (const cut of cuts)
    b.row(
      [...stock(cut.kind), ...cut.of.map(([d, o]): [number, number] => [at(at(y, d), o), -cut.least])],
      cut.least * (1 - cut.of.length),
    );
  return y;
}

/** Grams within which a sharing of a whole crew counts as the least: below what any scale at home shows. */
export const WITHIN = 20;
/** So much dearer counts a gram of somebody else’s: a tie breaker that the bound allows for. */
const OWN = 0.003;
/** Distance to the bound at which no further round is worth its time. */
const NEAR = 0.01;

export interface ShareOptions {
  /** What is carried already and stays, for the lightest addition to it. */
  floor?: Floor | null;
  /** Grams within which it counts as the least. */
  within?: number;
  /** Told after every round, with what is known so far. */
  onRound?: (now: Shared, round: number) => void;
}

/**
 * The sharing of pieces and stocks among the carriers by which every group can do what it has to and nobody is over a limit, at the least blend of
 * all grams and the greatest share. What pooled demand asks of the stocks depends on the ways taken: it is added where a stock turns out too
 * small, until what that adds is within the tolerance.
 */
export function shareOut(c: CrewCase, solve: Solve, options: ShareOptions = {}): Shared | null {
  const { floor = null, within = WITHIN, onRound } = options;
  const cuts: Cut[] = [];
  let best: Shared | null = null;
  const own = within > 1 ? OWN : 0;
  const wanted = useful(c);
  const likely = likelyPieces(c, wanted);
  const looked = likely ?? wanted;
  for (const [p, by] of forced(c, floor).pieces.entries()) if (wanted.has(p) && by.some((n) => n > 0)) looked.add(p);
  const rounds = within > 1 ? FEW_ROUNDS : MOST_ROUNDS;
  for (let round = 0; round < rounds; round++) {
    const { b, x, s, y } = build(c, cuts, floor, own, looked);
    b.model.within = within;
    const answer = solve(b.model);
    if (answer.status === 'infeasible' || answer.status === 'unknown') break;
    const value = (k: number) => Math.round(answer.values[k] ?? 0);
    const found: Assignment = {
      pieces: c.problem.pieces.map((_, i) => c.carriers.map((__, r) => (x[i] ? value(at(x[i], r)) : 0))),
      stock: new Map([...s].map(([kind, columns]) => [kind, columns.map(value)])),
      ways: new Map(
        c.groups.map((g, n) => [g.key, at(y, n).map((columns) => columns.findIndex((k) => value(k) === 1))]),
      ),
    };
    const more = stockCuts(c, found);
    const whole = stockedUp(c, found, more);
    const cost = blended(c, whole);
    // The rows so far ask for too little rather than too much: what they cost is a bound, but for the tolerance.
    const proven = answer.status === 'optimal' && likely === null;
    const bound: number = Math.max(best?.bound ?? 0, proven ? (blended(c, found) - within) / (1 + own) : 0);
    const gapTo = (own: number) => Math.max(0, (own - bound) / Math.max(1, own));
    const now: Shared = { ...whole, cost, bound, proven: proven && more.length === 0, gap: gapTo(cost) };
    const left = leftUndone(c, now);
    const leftBest = best ? leftUndone(c, best) : Infinity;
    const better: boolean =
      !best || now.proven || left < leftBest - 1e-9 || (left <= leftBest + 1e-9 && cost < best.cost - 1e-9);
    const kept: Shared = better || best === null ? now : best;
    best = { ...kept, bound, gap: kept.proven ? 0 : gapTo(kept.cost) };
    onRound?.(best, round);
    if (more.length === 0 || (within > 1 && best.gap <= NEAR)) break;
    cuts.push(...more);
  }
  return best;
}

/** The same with the stocks raised that were found too small, each by whoever carries the least share. */
function stockedUp(c: CrewCase, a: Assignment, cuts: readonly Cut[]): Assignment {
  if (cuts.length === 0) return a;
  const stock = new Map([...a.stock].map(([kind, by]) => [kind, [...by]]));
  const masses = loads(c, a).map((l) => l.mass);
  for (const { group, kind, least } of cuts) {
    const by = stock.get(kind) ?? c.carriers.map(() => 0);
    stock.set(kind, by);
    const { carriers } = at(c.groups, group);
    const { mass } = c.problem.book.of(kind);
    while (carriers.reduce((sum, r) => sum + at(by, r), 0) < least) {
      const share = (r: number) => (at(masses, r) + mass) / Math.max(1, at(c.carriers, r).limit);
      const r = at(
        [...carriers].sort((p, q) => share(p) - share(q)),
        0,
      );
      by[r] = at(by, r) + 1;
      masses[r] = at(masses, r) + mass;
    }
  }
  return { ...a, stock };
}

/** Stocks of the whole crew that are too small for what their ways draw together. */
function stockCuts(c: CrewCase, a: Assignment): Cut[] {
  return c.groups.flatMap((g, n): Cut[] => {
    if (g.kind !== 'all') return [];
    const taken = a.ways.get(g.key) ?? [];
    const chosen = g.demands.map((d, i) => d.options[taken[i] ?? -1] ?? null);
    const level = levelsOf(c.problem, g);
    return [...drawsOf(c, g, chosen)].flatMap(([kind, draws]): Cut[] => {
      const least = leastUnits(draws, level(kind));
      const has = g.carriers.reduce((sum, r) => sum + (a.stock.get(kind)?.[r] ?? 0), 0);
      if (has >= least) return [];
      const of = g.demands.flatMap((_, d): [number, number][] => {
        const o = taken[d] ?? -1;
        return chosen[d]?.supplies.some((z) => z.kind === kind) ? [[d, o]] : [];
      });
      return [{ group: n, kind, least, of }];
    });
  });
}
