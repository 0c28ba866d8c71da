import { at, present } from '../../ground/numbers.js';
import type { Measure } from '../practice.js';
import { boxVolume, type Piece } from '../tools/index.js';
import { MilpBuilder, type Solve } from '../../ground/milp.js';
import { cheapestCover } from './coverSearch.js';
import { taskDone, usesTogether, type CoverProblem, type Task } from './task.js';

/** What a litre of room and a euro count in a blend, grams. Planning values. */
export const BLEND = { litre: 150, euro: 2 } as const;

export interface Lightest {
  /** Copies carried of each piece, in the order of the problem's pieces. */
  counts: number[];
  /** Option taken of each choice. */
  options: number[];
  /** Sum of the measure: grams, mL or euros, options in it. */
  total: number;
  proven: boolean;
  /** How far from proven, as a share of the total; 0 when proven. */
  gap: number;
  /** Whether the limit on what the pieces are worth holds; false when no set meets it, and this one is then the least without it. */
  withinWorth: boolean;
}

/** Measures are solved in tenths so that sums are whole numbers and ties are exact. */
const TENTHS = 10;
const plainMeasure: Record<Measure, (piece: Pick<Piece, 'mass' | 'size' | 'price'>) => number> = {
  mass: (p) => p.mass,
  price: (p) => p.price,
  bulk: boxVolume,
  blend: (p) => p.mass + (boxVolume(p) / 1000) * BLEND.litre + p.price * BLEND.euro,
};
const measureOf = (measure: Measure) => (piece: Piece) => Math.round(TENTHS * plainMeasure[measure](piece));
/** What something counts in a measure. */
export const inMeasure = (measure: Measure, thing: Pick<Piece, 'mass' | 'size' | 'price'>): number =>
  plainMeasure[measure](thing);

/**
 * Copies that a mark asks for, as far as there are so many.
 * @returns 0, 1 or 2
 */
export const leastCopies = (piece: Pick<Piece, 'mark' | 'count'>): number =>
  piece.mark === 'always' ? Math.min(1, piece.count) : piece.mark === 'twice' ? Math.min(2, piece.count) : 0;

/**
 * Lets one task be done with the carried copies. `x` are the columns of the pieces; `done`, where given, is one only when it is.
 * @param x numbers of columns
 * @param done numbers of columns
 */
export function addTask(
  b: MilpBuilder,
  task: Task,
  x: readonly number[],
  shared: Map<string, number>,
  done: number | null = null,
): void {
  const plain =
    task.lost === null &&
    task.ends.length === 1 &&
    at(task.ends, 0).every((a) => a.rest.every(([p, n]) => n === 1 && p !== a.last));
  if (plain) addOneEnded(b, at(task.ends, 0), x, shared, done);
  else addWithOwnCopies(b, task, x, done);
}

const classKey = (rests: string[]) => [...new Set(rests)].sort().join(';');

/** Alternatives by the piece on the head, those that only hold apart from those that turn. */
function byLast(end: Task['ends'][number]): { last: number; holds: boolean; alternatives: Task['ends'][number] }[] {
  const groups = new Map<string, { last: number; holds: boolean; alternatives: Task['ends'][number] }>();
  for (const a of end) {
    const key = `${a.last} ${a.holds}`;
    const known = groups.get(key);
    if (known) known.alternatives.push(a);
    else groups.set(key, { last: a.last, holds: a.holds, alternatives: [a] });
  }
  return [...groups.values()];
}

/**
 * One-ended task, couplings factored: the piece on the head and what drives it meet at the shape between them, so no chain is
 * spelled out and equal sets of drivers are stated once for all heads. With whole pieces, shares of chains may be fractions.
 */
function addOneEnded(
  b: MilpBuilder,
  end: Task['ends'][number],
  x: readonly number[],
  shared: Map<string, number>,
  done: number | null,
): void {
  const cover: [number, number][] = [];
  for (const { last: lastItem, alternatives } of byLast(end)) {
    const z = b.column(0, 1, false);
    cover.push([z, 1]);
    b.row(
      [
        [at(x, lastItem), 1],
        [z, -1],
      ],
      0,
    );
    if (alternatives.some((a) => a.rest.length === 0)) continue;
    const key = classKey(alternatives.map((a) => String(a.rest)));
    let driven = shared.get(key);
    if (driven === undefined) {
      driven = b.column(0, 1, false);
      const ways: [number, number][] = [[driven, -1]];
      const uses = new Map<number, [number, number][]>();
      const seen = new Set<string>();
      for (const { rest } of alternatives) {
        if (seen.has(String(rest))) continue;
        seen.add(String(rest));
        const w = b.column(0, 1, false);
        ways.push([w, 1]);
        for (const [p] of rest) uses.set(p, [...(uses.get(p) ?? []), [w, 1]]);
      }
      b.row(ways, 0, 0);
      for (const [p, terms] of uses) b.row([[at(x, p), 1], ...terms.map(([c]): [number, number] => [c, -1])], 0);
      shared.set(key, driven);
    }
    b.row(
      [
        [driven, 1],
        [z, -1],
      ],
      0,
    );
  }
  if (done === null) b.row(cover, 1);
  else b.row([...cover, [done, -1]], 0);
}

/** Task whose ends are turned at once, or that uses a piece twice: every use takes a copy of its own. */
function addWithOwnCopies(b: MilpBuilder, task: Task, x: readonly number[], done: number | null): void {
  const uses = new Map<number, [number, number][]>();
  const use = (p: number, column: number, n: number) => uses.set(p, [...(uses.get(p) ?? []), [column, -n]]);
  const holding: [number, number][] = [];
  for (const end of task.ends) {
    const cover: [number, number][] = [];
    const classes = new Map<string, { ways: [number, number][]; heads: [number, number][] }>();
    for (const { last: lastItem, holds, alternatives } of byLast(end)) {
      const z = b.column(0, 1, true);
      cover.push([z, 1]);
      use(lastItem, z, 1);
      if (holds) holding.push([z, 1]);
      if (alternatives.some((a) => a.rest.length === 0)) continue;
      const key = classKey(alternatives.map((a) => String(a.rest)));
      let known = classes.get(key);
      if (!known) {
        known = { ways: [], heads: [] };
        for (const rest of new Map(alternatives.map((a) => [String(a.rest), a.rest])).values()) {
          const w = b.column(0, 1, true);
          known.ways.push([w, 1]);
          for (const [p, n] of rest) use(p, w, n);
        }
        classes.set(key, known);
      }
      known.heads.push([z, -1]);
    }
    if (done === null) b.row(cover, 1, 1);
    else b.row([...cover, [done, -1]], 0, 0);
    for (const { ways, heads } of classes.values()) b.row([...ways, ...heads], 0, 0);
  }
  // One end at most is only held: the other one turns.
  if (holding.length > 0 && task.ends.length > 1) b.row(holding, -Infinity, 1);
  // Where a piece that is lost would be in use, one copy more of it is carried.
  const lost = task.lost === null ? undefined : uses.get(task.lost);
  let spare: [number, number][] = [];
  if (lost) {
    const more = b.column(0, 1, false);
    spare = [[more, -1]];
    for (const [column] of lost)
      b.row(
        [
          [more, 1],
          [column, -1],
        ],
        0,
      );
  }
  for (const [p, terms] of uses) b.row([[at(x, p), 1], ...terms, ...(p === task.lost ? spare : [])], 0);
}

/** One option of each choice, with its functions. The columns come after those of the pieces, in the order of the choices. */
function addChoices(
  b: MilpBuilder,
  problem: CoverProblem,
  x: readonly number[],
  cost: (option: number) => number,
): number[] {
  const columns: number[] = [];
  for (const { options } of problem.choices ?? []) {
    const mine = options.map((o) => {
      const z = b.column(cost(columns.length), 1, true);
      columns.push(z);
      for (const { does, count } of o.functions)
        b.row(
          [
            ...problem.pieces.flatMap((p, i): [number, number][] =>
              p.functions.includes(does) ? [[at(x, i), 1]] : [],
            ),
            [z, -count],
          ],
          0,
        );
      return z;
    });
    b.row(
      mine.map((z): [number, number] => [z, 1]),
      1,
      1,
    );
  }
  return columns;
}
const optionCosts = (problem: CoverProblem): number[] =>
  (problem.choices ?? []).flatMap((c) => c.options.map((o) => Math.round(TENTHS * o.cost)));

function build(
  problem: CoverProblem,
  costs: number[],
  extra: { costs: number[]; upper: number; options?: readonly number[] }[],
  options: readonly number[] = [],
) {
  const b = new MilpBuilder();
  const x = problem.pieces.map((piece, i) =>
    b.column(at(costs, i), piece.mark === 'never' ? 0 : piece.count, true, leastCopies(piece)),
  );
  const z = addChoices(b, problem, x, (k) => options[k] ?? 0);
  const shared = new Map<string, number>();
  for (const task of problem.tasks) addTask(b, task, x, shared);
  for (const { does, count } of problem.functions)
    b.row(
      problem.pieces.flatMap((p, i): [number, number][] => (p.functions.includes(does) ? [[at(x, i), 1]] : [])),
      count,
    );
  for (const { costs: limited, upper, options: more } of extra)
    b.row(
      [
        ...limited.map((c, i): [number, number] => [at(x, i), c]),
        ...z.map((column, k): [number, number] => [column, more?.[k] ?? 0]),
      ],
      -Infinity,
      upper,
    );
  return { model: b.model, z };
}

/** Room for the number of copies and for the sum of prices below one tenth of the measure, so that one number holds all three. */
const COPIES_ROOM = 2 ** 8;
const PRICE_ROOM = 2 ** 17;
/** Alternatives of one job beyond which the search would drown; the solver takes over. */
const MOST_ALTERNATIVES = 4000;
const MOST_NODES = 4000;

/** Pairs of chains up to which a task of two ends is spelled out pair by pair: that bounds better, as both ends pay together. */
const FEW_PAIRS = 600;

/** Whether some piece of which there are several could be in use at both ends: then it matters which copy each end takes. */
function sharesCopies(near: Task['ends'][number], far: Task['ends'][number], copies: (p: number) => number): boolean {
  const inUse = (end: Task['ends'][number]) => new Set(end.flatMap((a) => [a.last, ...a.rest.map(([p]) => p)]));
  const there = inUse(far);
  return [...inUse(near)].some((p) => there.has(p) && copies(p) > 1);
}

/** Copies of pieces as items of the search: which there are, and the job of each task over them. */
function asSearch(problem: CoverProblem, main: readonly number[], price: readonly number[]) {
  const first: number[] = [];
  const owner: number[] = [];
  problem.pieces.forEach((piece, p) => {
    first.push(owner.length);
    const most = piece.mark === 'never' ? 0 : Math.min(piece.count, 8);
    for (let c = 0; c < most; c++) owner.push(p);
  });
  first.push(owner.length);
  const copies = (p: number) => at(first, p + 1) - at(first, p);
  const costs = owner.map((p) => (at(main, p) * COPIES_ROOM + 1) * PRICE_ROOM + at(price, p));
  /** Items of so many of each piece; null when there are not so many. */
  const itemsOf = (uses: ReadonlyMap<number, number>): number[] | null => {
    const items: number[] = [];
    for (const [p, n] of uses) {
      if (n > copies(p)) return null;
      for (let c = 0; c < n; c++) items.push(at(first, p) + c);
    }
    return items;
  };
  // An item of no cost that every chain takes which only holds: two of them do not go together.
  let holding = -1;
  const heldBy = (items: number[] | null, a: Task['ends'][number][number]): number[] | null => {
    if (!items || !a.holds) return items;
    if (holding < 0) {
      holding = costs.push(0) - 1;
      owner.push(-1);
    }
    return [...items, holding];
  };
  const jobs: number[][][] = [];
  problem.pieces.forEach((piece, p) => {
    for (let c = 0; c < Math.min(leastCopies(piece), copies(p)); c++) jobs.push([[at(first, p) + c]]);
  });
  const pairs: { near: number[][]; far: number[][] }[] = [];
  const known = (list: (number[] | null)[]) => list.filter((x) => x !== null);
  for (const task of problem.tasks) {
    const [near, far] = task.ends as [Task['ends'][number], Task['ends'][number]?];
    const ends = (end: Task['ends'][number]) =>
      known(end.map((a) => (far ? heldBy : (items: number[] | null) => items)(itemsOf(usesTogether(task.lost, a)), a)));
    // Where copies count, or the pairs are few, every pair is spelled out; else the search keeps the ends apart itself.
    const spelled = far && (near.length * far.length <= FEW_PAIRS || sharesCopies(near, far, copies));
    if (!far) jobs.push(ends(near));
    else if (!spelled) pairs.push({ near: ends(near), far: ends(far) });
    else if (near.length * far.length > MOST_ALTERNATIVES) return null;
    else
      jobs.push(
        known(
          near.flatMap((a) => far.map((b) => (a.holds && b.holds ? null : itemsOf(usesTogether(task.lost, a, b))))),
        ),
      );
  }
  for (const need of problem.functions) {
    const ways = functionWays(need, problem, copies, itemsOf);
    if (!ways) return null;
    jobs.push(ways);
  }
  // Options are items of their own behind the pieces: one of each choice, with its functions, spelled out clause by clause.
  const firstOption = costs.length;
  for (const cost of optionCosts(problem)) costs.push(cost * COPIES_ROOM * PRICE_ROOM);
  let option = firstOption;
  for (const { options } of problem.choices ?? []) {
    const needs = options.map((o) => [
      [[option++]],
      ...o.functions.map((f) => functionWays(f, problem, copies, itemsOf)),
    ]);
    if (needs.some((n) => n.some((ways) => ways === null))) return null;
    let clauses: number[][][] = [[]];
    for (const n of needs) clauses = clauses.flatMap((c) => n.map((ways) => [...c, ...present(ways)]));
    if (clauses.length > MOST_CLAUSES) return null;
    jobs.push(...clauses);
  }
  return { costs, jobs, pairs, owner, firstOption };
}
const MOST_CLAUSES = 400;

/** Every way to make up a count from pieces that have a function; null when they are too many. */
function functionWays(
  { does, count }: CoverProblem['functions'][number],
  problem: CoverProblem,
  copies: (p: number) => number,
  itemsOf: (uses: ReadonlyMap<number, number>) => number[] | null,
): number[][] | null {
  const able = problem.pieces
    .map((_, p) => p)
    .filter((p) => at(problem.pieces, p).functions.includes(does) && copies(p) > 0);
  const ways: number[][] = [];
  const go = (option: number, left: number, uses: Map<number, number>) => {
    if (left === 0) {
      ways.push(present(itemsOf(uses)));
      return;
    }
    if (option === able.length || ways.length > MOST_ALTERNATIVES) return;
    for (let n = 0; n <= Math.min(left, copies(at(able, option))); n++)
      go(option + 1, left - n, n > 0 ? new Map(uses).set(at(able, option), n) : uses);
  };
  go(0, count, new Map());
  return ways.length > MOST_ALTERNATIVES ? null : ways;
}

/** The search's own answer, unproven when it gives up; null when it has none. */
function searched(
  problem: CoverProblem,
  main: readonly number[],
  price: readonly number[],
  nodes: number,
): Omit<Lightest, 'withinWorth'> | null {
  const search = asSearch(problem, main, price);
  if (!search) return null;
  const found = cheapestCover(search, nodes);
  if (found === null) return null;
  if (found === 'infeasible') throw new RangeError(STUCK);
  const counts = problem.pieces.map(() => 0);
  found.taken.forEach((t, i) => {
    if (t && i < search.firstOption && at(search.owner, i) >= 0)
      counts[at(search.owner, i)] = at(counts, at(search.owner, i)) + 1;
  });
  const costs = optionCosts(problem);
  let option = search.firstOption;
  // Of several options that are met the cheapest one taken counts.
  const options = (problem.choices ?? []).map(({ options: list }) => {
    const first = option;
    option += list.length;
    const taken = list
      .map((_, o) => o)
      .filter((o) => found.taken[first + o] && optionMet(at(list, o), problem, counts));
    return at(
      taken.sort((a, b) => at(list, a).cost - at(list, b).cost),
      0,
    );
  });
  let of = 0;
  const optionTotal = (problem.choices ?? []).reduce((s, c, k) => {
    const cost = at(costs, of + at(options, k));
    of += c.options.length;
    return s + cost;
  }, 0);
  const total = counts.reduce((s, n, i) => s + n * at(main, i), 0) + optionTotal;
  return {
    counts,
    options,
    total: total / TENTHS,
    proven: found.proven,
    // Where nothing is needed nothing costs: that is proven too.
    gap: found.proven ? 0 : 1 - found.bound / Math.max(1, found.cost),
  };
}

/** The whole toolbox, for when nobody had the time to find less: it does all that any set does, and is proven of nothing. */
function everything(problem: CoverProblem, main: readonly number[]): Omit<Lightest, 'withinWorth'> {
  const counts = problem.pieces.map((p) => (p.mark === 'never' ? 0 : p.count));
  const costs = optionCosts(problem);
  let option = 0;
  const options = (problem.choices ?? []).map(({ options: list }) => {
    const met = list.map((_, o) => o).filter((o) => optionMet(at(list, o), problem, counts));
    return met.sort((a, b) => at(list, a).cost - at(list, b).cost)[0] ?? 0;
  });
  const onOptions = (problem.choices ?? []).reduce((s, c, k) => {
    const cost = at(costs, option + at(options, k));
    option += c.options.length;
    return s + cost;
  }, 0);
  const total = counts.reduce((s, n, i) => s + n * at(main, i), 0) + onOptions;
  return { counts, options, total: total / TENTHS, proven: false, gap: 1 };
}

/** Whether the copies have the functions of an option. */
const optionMet = (
  option: { functions: CoverProblem['functions'] },
  problem: CoverProblem,
  counts: readonly number[],
): boolean =>
  option.functions.every(
    ({ does, count }) =>
      problem.pieces.reduce((n, p, i) => n + (p.functions.includes(does) ? at(counts, i) : 0), 0) >= count,
  );

const STUCK = 'no set of pieces meets the marks: take "never" off a piece that is needed';

/**
 * The lightest set of pieces with which every task can be done, every function is there and marks hold; ties go to fewer pieces, then to
 * the lower price, so that the answer is stable. Exact when the solver proves it (docs/model.md, section 4).
 * @param by own search first, the solver where it gives up; or the solver alone, to check one against the other
 * @param worth what the pieces may be worth together, euros; null for no limit
 * @param nodes of its tree that the search looks at before it gives up
 * @throws RangeError when the marks or functions cannot be met; tasks built from reached fasteners always can
 */
export function lightestSet(
  problem: CoverProblem,
  solve: Solve,
  measure: Measure = 'mass',
  by: 'search' | 'solver' = 'search',
  worth: number | null = null,
  nodes = MOST_NODES,
): Lightest {
  const free = leastSet(problem, solve, measure, by, null, nodes);
  const price = (counts: readonly number[]) => problem.pieces.reduce((s, p, i) => s + at(counts, i) * p.price, 0);
  // The least of all sets is the least of those within the limit too, when it is one of them.
  if (worth === null || price(free.counts) <= worth + 1e-9) return { ...free, withinWorth: true };
  try {
    const limited = leastSet(problem, solve, measure, 'solver', worth, nodes);
    return { ...limited, withinWorth: price(limited.counts) <= worth + 1e-9 };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { ...free, withinWorth: false };
  }
}

/**
 * The least set that also bears the loss of any one copy of what can be lost. Most of those tasks follow from the rest: only the ones that a
 * least set fails are added, until it fails none. Each round is the least of fewer demands, so the last is the least of all.
 */
function leastSet(
  problem: CoverProblem,
  solve: Solve,
  measure: Measure,
  by: 'search' | 'solver',
  worth: number | null,
  nodes: number,
): Omit<Lightest, 'withinWorth'> {
  const tasks = [...problem.tasks];
  for (;;) {
    const set = leastFor({ ...problem, tasks }, solve, measure, by, worth, nodes);
    const failed = problem.spared.filter((t) => !tasks.includes(t) && !taskDone(t, set.counts));
    if (failed.length === 0) return set;
    tasks.push(...failed);
  }
}

function leastFor(
  problem: CoverProblem,
  solve: Solve,
  measure: Measure,
  by: 'search' | 'solver',
  worth: number | null,
  nodes: number,
): Omit<Lightest, 'withinWorth'> {
  const main = problem.pieces.map(measureOf(measure));
  const one = problem.pieces.map(() => 1);
  const price = problem.pieces.map(measureOf('price'));
  const own = by === 'solver' ? null : searched(problem, main, price, nodes);
  if (own?.proven) return own;
  // What the search had found bounds what the solver has to look at.
  const ofOptions = optionCosts(problem);
  const limits: { costs: number[]; upper: number; options?: readonly number[] }[] = own
    ? [{ costs: main, upper: Math.round(own.total * TENTHS), options: ofOptions }]
    : [];
  if (worth !== null) limits.push({ costs: price, upper: Math.round(worth * TENTHS) });
  let answer = null as Omit<Lightest, 'withinWorth'> | null;
  for (const costs of [main, one, price]) {
    const { model, z } = build(problem, costs, limits, costs === main ? ofOptions : []);
    const solved = solve(model);
    if (solved.status === 'infeasible' || solved.status === 'unknown') {
      // Later passes only break ties: should rounding or time close them off, the first answer stands.
      const known = answer ?? own;
      if (known) return known;
      if (solved.status === 'infeasible') throw new RangeError(STUCK);
      return everything(problem, main);
    }
    const counts = problem.pieces.map((_, i) => Math.round(at(solved.values, i)));
    const sum = (by: number[]) => counts.reduce((s, n, i) => s + n * at(by, i), 0);
    let first = 0;
    const options = (problem.choices ?? []).map((c) => {
      const taken = c.options.findIndex((_, o) => at(solved.values, at(z, first + o)) > 0.5);
      first += c.options.length;
      return taken;
    });
    const onOptions = z.reduce((s, column, k) => s + Math.round(at(solved.values, column)) * at(ofOptions, k), 0);
    const total = sum(main) + onOptions;
    if (answer === null) {
      // The search's bound holds whatever the solver had time for.
      const bound = Math.max(0, solved.bound, own ? own.total * TENTHS * (1 - own.gap) : 0);
      const gap = solved.status === 'optimal' ? 0 : Math.max(0, (total - bound) / Math.max(1, total));
      answer = { counts, options, total: total / TENTHS, proven: solved.status === 'optimal', gap };
      if (!answer.proven) return answer;
    } else answer = { ...answer, counts, options };
    limits.push({
      costs,
      upper: sum(costs) + (costs === main ? onOptions : 0),
      options: costs === main ? ofOptions : [],
    });
  }
  return present(answer);
}
