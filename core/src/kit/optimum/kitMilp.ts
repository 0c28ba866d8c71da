import { MilpBuilder, type Solve } from '../../ground/milp.js';
import { addAnySet, addFunction } from './addRequirement.js';
import { addTask, leastCopies } from '../../toolbox/cover/index.js';
import { gradeMeets } from '../../repairs/index.js';
import { BAG_FILL, boxVolume, type Piece } from '../../toolbox/tools/index.js';
import { frontier } from './curve.js';
import { worthItsWeight } from './worth.js';
import type { KitProblem } from './kitProblem.js';
import { massOfMends, type StockedMend } from './slots.js';

/** Values are solved in thousandths, so that the solver's own tolerance does not decide. */
const SCALE = 1000;

/** A kit found by the general solver, with how far from proven it is. */
export interface Most {
  counts: number[];
  stocked: StockedMend[];
  value: number;
  bound: number;
  proven: boolean;
  gap: number;
}

/**
 * The most that a kit saves under limits of mass, room and price at once, and of what its tools may be worth; or over a price of its grams under
 * the others. Stated whole for a general solver: pieces are whole numbers, a way is there when all it hangs on is, each mend is done by at most one
 * way. What the rider demands is in it.
 * @param price what a gram costs in the question's value; then there is no limit of mass
 * @returns null where nothing keeps to the limits, or where the solver ran out of time with nothing found
 */
export function mostUnder(problem: KitProblem, solve: Solve, price: number | null = null): Most | 'infeasible' | null {
  const { pieces, requirements, asks, question, practice } = problem;
  const b = new MilpBuilder();
  const perGram = price ?? 0;
  const x = pieces.map((p) =>
    b.column(perGram * p.mass * SCALE, p.mark === 'never' ? 0 : Math.min(p.count, 8), true, leastCopies(p)),
  );
  const shared = new Map<string, number>();
  // Whether each requirement is met: one where its sets allow.
  const met = requirements.map((r) => {
    const d = b.column(0, 1, true);
    if ('does' in r.by) addFunction(b, problem, r.by, x, d);
    else if (r.by.any) addAnySet(b, problem, r.sets, x, d);
    else addTask(b, r.by.head, x, shared, d);
    return d;
  });
  for (const n of problem.required) b.row([[met[n]!, 1]], 1);
  const columns: { column: number; mend: StockedMend; mass: number; bulk: number; price: number }[] = [];
  asks.forEach((ask, a) => {
    const there = ask.ways.map((w) => {
      // Whole where a way alone meets a demand: two halves of ways mend nothing.
      const y = b.column(0, 1, w.supplies.length > 0 || ask.must !== null);
      for (const n of w.requires)
        b.row(
          [
            [met[n]!, 1],
            [y, -1],
          ],
          0,
        );
      return y;
    });
    const rows = [...ask.tails.map((p, j) => ({ p, j })), ...(ask.rest > 0 ? [{ p: ask.rest, j: -1 }] : [])];
    // A demand is met by the first mend, however seldom the trouble comes.
    if (ask.must !== null && ask.tails.length === 0) rows.push({ p: 0, j: 0 });
    for (const { p, j } of rows) {
      const one: [number, number][] = [];
      const stockedFirst: [number, number][] = [];
      // What is demanded of the first mend: a way of the grade that takes nothing, or the stock of one that does.
      const demanded: [number, number][] = [];
      ask.ways.forEach((w, k) => {
        if (j < 0 && w.supplies.length > 0) return;
        const gain = p * w.gain;
        const must = ask.must !== null && j === 0 && gradeMeets(w.grade, ask.must);
        if (gain <= 0 && !must) return;
        const mass = w.supplies.length === 0 ? 0 : massOfMends(ask, w, j + 1) - massOfMends(ask, w, j);
        if (must && w.supplies.length === 0) demanded.push([there[k]!, 1]);
        if (must && w.supplies.length > 0) {
          // Carried as demanded; the first mend may still go a better way that weighs nothing.
          const s = b.column(perGram * mass * SCALE, 1, true);
          stockedFirst.push([s, 1]);
          demanded.push([s, 1]);
          b.row(
            [
              [there[k]!, 1],
              [s, -1],
            ],
            0,
          );
          columns.push({ column: s, mend: { ask: a, mend: j, way: k }, mass, bulk: w.bulk / BAG_FILL, price: w.price });
          if (gain <= 0) return;
          const z = b.column(-gain * SCALE, 1, true);
          one.push([z, 1]);
          b.row(
            [
              [s, 1],
              [z, -1],
            ],
            0,
          );
          return;
        }
        if (gain <= 0) return;
        const z = b.column((perGram * mass - gain) * SCALE, 1, true);
        one.push([z, 1]);
        if (ask.must !== null && j === 0 && w.supplies.length > 0) stockedFirst.push([z, 1]);
        b.row(
          [
            [there[k]!, 1],
            [z, -1],
          ],
          0,
        );
        if (w.supplies.length > 0)
          columns.push({
            column: z,
            mend: { ask: a, mend: j, way: k },
            mass,
            bulk: w.bulk / BAG_FILL,
            price: w.price,
          });
      });
      if (one.length > 0) b.row(one, -Infinity, 1);
      if (stockedFirst.length > 0) b.row(stockedFirst, -Infinity, 1);
      if (demanded.length > 0) b.row(demanded, 1);
    }
  });
  const limit = (of: (p: Piece) => number, stock: (c: (typeof columns)[number]) => number, upper: number | null) => {
    if (upper === null) return;
    b.row(
      [
        ...pieces.map((p, i): [number, number] => [x[i]!, of(p)]),
        ...columns.map((c): [number, number] => [c.column, stock(c)]),
      ],
      -Infinity,
      upper,
    );
  };
  limit(
    (p) => p.mass,
    (c) => c.mass,
    price === null ? question.mass : null,
  );
  limit(
    (p) => boxVolume(p) / BAG_FILL,
    (c) => c.bulk,
    question.bulk,
  );
  limit(
    (p) => p.price,
    (c) => c.price,
    question.price,
  );
  limit(
    (p) => p.price,
    () => 0,
    practice.worth,
  );
  const answer = solve(b.model);
  if (answer.status === 'infeasible') return 'infeasible';
  if (answer.status === 'unknown') return null;
  const value = -answer.objective / SCALE;
  const proven = answer.status === 'optimal';
  const bound = proven ? value : boundOf(problem, price);
  return {
    counts: x.map((c) => Math.round(answer.values[c]!)),
    stocked: columns.filter((c) => answer.values[c.column]! > 0.5).map((c) => c.mend),
    value,
    bound,
    proven,
    gap: proven || value <= 0 ? 0 : Math.max(0, bound - value) / value,
  };
}

/** What no kit exceeds when room and money are left out of it: where the solver ran out of time, the grams alone bound what can be saved. */
function boundOf(problem: KitProblem, price: number | null): number {
  if (price !== null) return worthItsWeight(problem)?.bound ?? Infinity;
  const limit = Math.floor(problem.question.mass);
  return frontier(problem, { most: limit, from: limit, solves: 40 }).bound[limit]!;
}
