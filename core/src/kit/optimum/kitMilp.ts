import { at } from '../../ground/numbers.js';
import { MilpBuilder, type Solve } from '../../ground/milp.js';
import { addAnySet, addFunction } from './addRequirement.js';
import { addTask, leastCopies } from '../../toolbox/cover/index.js';
import { gradeMeets } from '../../repairs/index.js';
import { BAG_FILL, boxVolume, type Piece } from '../../toolbox/tools/index.js';
import { frontier } from './curve.js';
import { worthItsWeight } from './worth.js';
import type { Ask, KitProblem } from './kitProblem.js';
import { packedOfMends, type StockedMend } from './slots.js';

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

/** A mend whose stock is carried: its column, and what it weighs, fills and costs. */
interface StockColumn {
  column: number;
  mend: StockedMend;
  mass: number;
  bulk: number;
  price: number;
}
type Term = [column: number, coefficient: number];

/** A kit as a whole-number programme: pieces are whole numbers, a way is there when all it hangs on is, each mend is done by at most one way. */
class KitProgramme {
  readonly b = new MilpBuilder();
  /** Copies of each piece. */
  readonly x: number[];
  readonly stocks: StockColumn[] = [];
  /** Whether each requirement is met: one where its sets allow. */
  private readonly met: number[];

  /** @param perGram what a gram costs in the question's value */
  constructor(
    private readonly problem: KitProblem,
    private readonly perGram: number,
  ) {
    const { b } = this;
    this.x = problem.pieces.map((p) =>
      b.column(perGram * p.mass * SCALE, p.mark === 'never' ? 0 : Math.min(p.count, 8), true, leastCopies(p)),
    );
    const shared = new Map<string, number>();
    this.met = problem.requirements.map((r) => {
      const d = b.column(0, 1, true);
      if ('does' in r.by) addFunction(b, problem, r.by, this.x, d);
      else if (r.by.any) addAnySet(b, problem, r.sets, this.x, d);
      else addTask(b, r.by.head, this.x, shared, d);
      return d;
    });
    for (const n of problem.required) b.row([[at(this.met, n), 1]], 1);
    problem.asks.forEach((ask, a) => this.addAsk(ask, a));
  }

  /** States that `column` is 1 only where `needed` is. */
  private only(column: number, needed: number): void {
    this.b.row(
      [
        [needed, 1],
        [column, -1],
      ],
      0,
    );
  }
  /** One trouble: each of its mends goes at most one way, and what is demanded of the first is there. */
  private addAsk(ask: Ask, a: number): void {
    const there = ask.ways.map((w) => {
      // Whole where a way alone meets a demand: two halves of ways mend nothing.
      const y = this.b.column(0, 1, w.supplies.length > 0 || ask.must !== null);
      for (const n of w.requires) this.only(y, at(this.met, n));
      return y;
    });
    const mends = [...ask.tails.map((p, j) => ({ p, j })), ...(ask.rest > 0 ? [{ p: ask.rest, j: -1 }] : [])];
    // A demand is met by the first mend, however seldom the trouble comes.
    if (ask.must !== null && ask.tails.length === 0) mends.push({ p: 0, j: 0 });
    for (const { p, j } of mends) this.addMend(ask, a, there, p, j);
  }
  /**
   * One mend of a trouble.
   * @param p how likely it is asked for
   * @param j its number, from 0; −1 for all beyond the last that stock is counted for
   */
  private addMend(ask: Ask, a: number, there: readonly number[], p: number, j: number): void {
    const { b, perGram } = this;
    const one: Term[] = [];
    const stockedFirst: Term[] = [];
    // What is demanded of the first mend: a way of the grade that takes nothing, or the stock of one that does.
    const demanded: Term[] = [];
    ask.ways.forEach((w, k) => {
      const takes = w.supplies.length > 0;
      if (j < 0 && takes) return;
      const gain = p * w.gain;
      const way = at(there, k);
      // What sits on the bike weighs, fills and costs nothing.
      const { book } = this.problem;
      const more = (of: (s: (typeof w.supplies)[number]) => number) =>
        takes ? packedOfMends(ask, w, j + 1, of) - packedOfMends(ask, w, j, of) : 0;
      const mass = more((s) => s.grams);
      const stocked = (column: number) =>
        this.stocks.push({
          column,
          mend: { ask: a, mend: j, way: k },
          mass,
          bulk: more((s) => boxVolume(book.of(s.kind))) / BAG_FILL,
          price: more((s) => book.of(s.kind).price),
        });
      const must = ask.must !== null && j === 0 && gradeMeets(w.grade, ask.must);
      if (must && takes) {
        // Carried as demanded; the first mend may still go a better way that weighs nothing.
        const s = b.column(perGram * mass * SCALE, 1, true);
        stockedFirst.push([s, 1]);
        demanded.push([s, 1]);
        this.only(s, way);
        stocked(s);
        if (gain <= 0) return;
        const z = b.column(-gain * SCALE, 1, true);
        one.push([z, 1]);
        this.only(z, s);
        return;
      }
      if (must) demanded.push([way, 1]);
      if (gain <= 0) return;
      const z = b.column((perGram * mass - gain) * SCALE, 1, true);
      one.push([z, 1]);
      if (ask.must !== null && j === 0 && takes) stockedFirst.push([z, 1]);
      this.only(z, way);
      if (takes) stocked(z);
    });
    if (one.length > 0) b.row(one, -Infinity, 1);
    if (stockedFirst.length > 0) b.row(stockedFirst, -Infinity, 1);
    if (demanded.length > 0) b.row(demanded, 1);
  }

  /** Holds what all pieces and stocks add up to under a limit; null for none. */
  limit(upper: number | null, of: (p: Piece) => number, stock: (c: StockColumn) => number): void {
    if (upper === null) return;
    const pieces = this.problem.pieces.map((p, i): Term => [at(this.x, i), of(p)]);
    this.b.row([...pieces, ...this.stocks.map((c): Term => [c.column, stock(c)])], -Infinity, upper);
  }
}

/**
 * The most that a kit saves under limits of mass, room and price at once, and of what its tools may be worth; or over a price of its grams under
 * the others. Stated whole for a general solver. What the rider demands is in it.
 * @param price what a gram costs in the question's value; then there is no limit of mass
 * @returns null where nothing keeps to the limits, or where the solver ran out of time with nothing found
 */
export function mostUnder(problem: KitProblem, solve: Solve, price: number | null = null): Most | 'infeasible' | null {
  const { question, practice } = problem;
  const q = new KitProgramme(problem, price ?? 0);
  q.limit(
    price === null ? question.mass : null,
    (p) => p.mass,
    (c) => c.mass,
  );
  q.limit(
    question.bulk,
    (p) => boxVolume(p) / BAG_FILL,
    (c) => c.bulk,
  );
  q.limit(
    question.price,
    (p) => p.price,
    (c) => c.price,
  );
  q.limit(
    practice.worth,
    (p) => p.price,
    () => 0,
  );
  const answer = solve(q.b.model);
  if (answer.status === 'infeasible') return 'infeasible';
  if (answer.status === 'unknown') return null;
  const value = -answer.objective / SCALE;
  const proven = answer.status === 'optimal';
  const bound = proven ? value : boundOf(problem, price);
  return {
    counts: q.x.map((c) => Math.round(at(answer.values, c))),
    stocked: q.stocks.filter((c) => at(answer.values, c.column) > 0.5).map((c) => c.mend),
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
  return at(frontier(problem, { most: limit, from: limit, solves: 40 }).bound, limit);
}
