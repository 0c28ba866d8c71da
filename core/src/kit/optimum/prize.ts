import { at } from '../../ground/numbers.js';
import { cheapestCover } from '../../toolbox/cover/index.js';
import { gradeMeets } from '../../repairs/index.js';
import { leastSets } from './items.js';
import type { Ask, KitProblem } from './kitProblem.js';
import { demandedMends, massOfMends, slotsOf, type Slot, type StockedMend } from './slots.js';
import { availableWays, countsOf, toolMassOf } from './tools.js';

/** What must hold of the items for one of several ways to be there, or else its prize is forgone: a job of sets of items each. */
export type Clause = number[][];

/** The best kit at a price of a gram. */
export interface Priced {
  /** Copies of each piece. */
  counts: number[];
  /** Stocks that are worth their grams at the price, and what is demanded. */
  stocked: StockedMend[];
  /** Grams and what is saved, stocks in it. */
  mass: number;
  value: number;
  /** L(λ): the most that (saved − λ·grams) comes to, or a bound above it. */
  bound: number;
  proven: boolean;
}

/** Jobs at most that one group of ways is written as; a larger one keeps its lightest ways only. */
const MOST_SETS = 6000;

/**
 * The best kit where each hour saved is worth so many grams: the exact optimum of (saved − λ·grams) without any limit. Its value bounds every
 * kit: saved ≤ L(λ) + λ·grams.
 *
 * Stated as a cover: a trouble's mend forgoes a prize when all ways that are better than what is left are missing. "One of these ways is
 * there, or the prize is paid" is spelled out as clauses over the requirements of the ways; a prize is an item that costs what is forgone.
 */
export class PrizeProblem {
  private readonly clauses = new Map<string, Clause[]>();
  private readonly jobsOf = new Map<string, number[][]>();
  private readonly itemMass: number[];

  constructor(readonly problem: KitProblem) {
    this.itemMass = problem.items.owner.map((p) => at(problem.pieces, p).mass);
  }

  /** Sets of requirements of some ways, least ones only: a way that asks for more than another is there whenever that one is. */
  needSets(ask: number, ways: readonly number[]): number[][] {
    return leastSets(ways.map((w) => at(at(this.problem.asks, ask).ways, w).requires));
  }

  /** Clauses for "one of these sets of requirements is met", each a job over items. */
  clausesOf(needs: readonly (readonly number[])[]): { key: string; jobs: Clause[] } {
    const key = needs
      .map((n) => n.join())
      .sort()
      .join('|');
    let jobs = this.clauses.get(key);
    if (!jobs) {
      // One requirement of each way: all that are picked together must not all fail.
      let picks: number[][] = [[]];
      for (const n of needs)
        picks = leastSets(picks.flatMap((p) => n.map((r) => [...new Set([...p, r])].sort((a, b) => a - b))));
      jobs = picks.map((pick) => this.jobOf(pick));
      this.clauses.set(key, jobs);
    }
    return { key, jobs };
  }
  private jobOf(pick: readonly number[]): number[][] {
    const key = pick.join();
    let job = this.jobsOf.get(key);
    if (!job) {
      job =
        pick.length === 1
          ? at(this.problem.requirements, at(pick, 0)).sets
          : leastSets(pick.flatMap((r) => at(this.problem.requirements, r).sets)).slice(0, MOST_SETS);
      this.jobsOf.set(key, job);
    }
    return job;
  }

  /**
   * @param lambda what a gram costs, in what is saved
   * @param forced items that are in, and those that are out
   * @returns copies of each piece, and L(λ): the most that (saved − λ·grams) comes to; `infeasible` where nothing fits what is forced; null where
   *   the search gave up with nothing found, which proves nothing
   */
  solve(
    lambda: number,
    forced: { in: readonly number[]; out: readonly number[] } = { in: [], out: [] },
  ): Priced | 'infeasible' | null {
    const { problem } = this;
    const prizes = new Prizes(this, lambda);
    problem.asks.forEach((ask, a) => prizes.addAsk(ask, a));
    // In thousandths of a gram; prizes rounded down, so that the bound holds.
    const costs = this.itemMass.map((m) => Math.round(m * 1000));
    const out = new Set(forced.out);
    const allowed = (job: Clause) => (out.size > 0 ? job.filter((set) => !set.some((i) => out.has(i))) : job);
    const jobs: number[][][] = [
      ...problem.marked.map(allowed),
      ...prizes.required.map(allowed),
      ...forced.in.map((i) => [[i]]),
    ];
    let slack = 0;
    for (const { jobs: clauses, worth } of prizes.forgone.values()) {
      const grams = (worth / lambda) * 1000;
      const cost = Math.floor(Math.min(grams, 1e11));
      slack += (Math.min(grams, 1e11) - cost) / 1000;
      if (cost === 0) continue;
      const prize = costs.push(cost) - 1;
      for (const clause of clauses) jobs.push([...allowed(clause), [prize]]);
    }
    const found = cheapestCover({ costs, jobs }, 3000);
    if (found === null || found === 'infeasible') return found;
    return {
      ...stockedAt(problem, countsOf(problem, found.taken), lambda),
      bound: prizes.most - lambda * (found.bound / 1000),
      proven: found.proven && slack < 1,
    };
  }
}

/** What the mends of all troubles earn at a price of a gram, and what is forgone where the ways to it are missing. */
class Prizes {
  /** The most that all mends together earn. */
  most = 0;
  /** Prizes by what they hang on: those that hang on the same are forgone together. */
  readonly forgone = new Map<string, { jobs: Clause[]; worth: number }>();
  /** What must be there in any case. */
  readonly required: Clause[];
  constructor(
    private readonly of: PrizeProblem,
    private readonly lambda: number,
  ) {
    this.required = of.problem.required.map((n) => at(of.problem.requirements, n).sets);
  }

  /** The best of some ways is earned; what the next one earns less is forgone when all before it are missing. */
  private earn(a: number, ways: readonly { i: number; worth: number }[], worst: number): void {
    const order = ways.filter((x) => x.worth > worst).sort((x, y) => y.worth - x.worth);
    this.most += order[0]?.worth ?? worst;
    for (let k = 0; k < order.length; k++) {
      const loss = at(order, k).worth - (order[k + 1]?.worth ?? worst);
      if (loss <= 0) continue;
      const needs = this.of.needSets(
        a,
        order.slice(0, k + 1).map((x) => x.i),
      );
      // A way that asks for nothing is always there, and so are the ways behind it.
      if (needs.some((n) => n.length === 0)) return;
      const { key, jobs } = this.of.clausesOf(needs);
      const known = this.forgone.get(key);
      if (known) known.worth += loss;
      else this.forgone.set(key, { jobs, worth: loss });
    }
  }
  /** One mend of a trouble, asked for with a chance, by ways that cost so many grams each. */
  private mend(ask: Ask, a: number, chance: number, grams: (way: number) => number): void {
    this.earn(
      a,
      ask.ways.map((w, i) => ({ i, worth: chance * w.gain - this.lambda * grams(i) })),
      0,
    );
  }

  /** All mends of one trouble: the first as it is demanded, each further one, and those beyond the last that stock is counted for. */
  addAsk(ask: Ask, a: number): void {
    const demanded = this.demand(ask, a);
    ask.tails.forEach((p, j) => {
      if (j > 0 || !demanded) this.mend(ask, a, p, (i) => gramsOf(ask, i, j));
    });
    if (ask.rest > 0 && bestFree(ask) > 0)
      this.mend(ask, a, ask.rest, (i) => (at(ask.ways, i).supplies.length === 0 ? 0 : Infinity));
  }

  /**
   * What is demanded is paid for in any case, at its lightest: no kit is let off less. One of the ways of the grade is there, so that the first
   * mend earns no less than the worst of them; beside it goes what weighs nothing, wherever it is to be had, and where the grade itself weighs
   * nothing any other way: no kit is let off more.
   * @returns whether a way of the grade is known
   */
  private demand(ask: Ask, a: number): boolean {
    const { must } = ask;
    const ways = ask.ways.map((_, i) => i);
    const demanded = must === null ? [] : ways.filter((i) => gradeMeets(at(ask.ways, i).grade, must));
    if (demanded.length === 0) return false;
    const needs = this.of.needSets(a, demanded);
    if (!needs.some((n) => n.length === 0)) this.required.push(...this.of.clausesOf(needs).jobs);
    const first = ask.tails[0] ?? 0;
    const beside = first * bestFree(ask);
    const priced = (i: number, gain: number) => ({ i, worth: gain - this.lambda * gramsOf(ask, i, 0) });
    const earned = demanded.map((i) => priced(i, Math.max(first * at(ask.ways, i).gain, beside)));
    const worst = earned.reduce((m, x) => Math.min(m, x.worth), Infinity);
    const others = demanded.some((i) => gramsOf(ask, i, 0) === 0) ? ways.filter((i) => !demanded.includes(i)) : [];
    this.earn(a, [...earned, ...others.map((i) => priced(i, first * at(ask.ways, i).gain))], worst);
    return true;
  }
}

/** Grams that the stock of the `mend`-th mend weighs by a way, from 0. */
const gramsOf = (ask: Ask, way: number, mend: number): number =>
  massOfMends(ask, at(ask.ways, way), mend + 1) - massOfMends(ask, at(ask.ways, way), mend);
/** The most that a way saves which uses nothing up. */
const bestFree = (ask: Ask): number => ask.ways.reduce((m, w) => Math.max(m, w.supplies.length === 0 ? w.gain : 0), 0);

/** The kit behind a set of tools: the stocks that are worth their grams at a price, and what is demanded. */
function stockedAt(
  problem: KitProblem,
  counts: number[],
  lambda: number,
): Pick<Priced, 'counts' | 'stocked' | 'mass' | 'value'> {
  const { slots, free, mass: demanded } = slotsOf(problem, availableWays(problem, counts));
  let mass = toolMassOf(problem, counts) + demanded;
  let value = free;
  const stocked: StockedMend[] = [];
  for (const s of slots) {
    let best = 0;
    let of: Slot['options'][number] | null = null;
    for (const o of s.options) {
      const more = o.gain - s.base - lambda * (o.mass - s.baseMass);
      if (more > best) {
        best = more;
        of = o;
      }
    }
    if (!of) continue;
    mass += of.mass - s.baseMass;
    value += of.gain - s.base;
    stocked.push({ ask: s.ask, mend: s.mend, way: of.way });
  }
  return { counts, stocked: [...stocked, ...demandedMends(slots, stocked)], mass, value };
}
