import { cheapestCover } from '../../toolbox/cover/index.js';
import { gradeMeets } from '../../repairs/index.js';
import { leastSets } from './items.js';
import type { KitProblem } from './kitProblem.js';
import { demandedMends, massOfMends, slotsOf, type Slot, type StockedMend } from './slots.js';
import { availableWays, countsOf, toolMassOf } from './tools.js';

/** What must hold of the items for one of several ways to be there, or else its prize is forgone: a job of sets of items each. */
type Clause = number[][];

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
    this.itemMass = problem.items.owner.map((p) => problem.pieces[p]!.mass);
  }

  /** Sets of requirements of some ways, least ones only: a way that asks for more than another is there whenever that one is. */
  private needSets(ask: number, ways: readonly number[]): number[][] {
    return leastSets(ways.map((w) => this.problem.asks[ask]!.ways[w]!.requires));
  }

  /** Clauses for "one of these sets of requirements is met", each a job over items. */
  private clausesOf(needs: readonly (readonly number[])[]): { key: string; jobs: Clause[] } {
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
          ? this.problem.requirements[pick[0]!]!.sets
          : leastSets(pick.flatMap((r) => this.problem.requirements[r]!.sets)).slice(0, MOST_SETS);
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
    let most = 0;
    // Prizes by what they hang on: those that hang on the same are forgone together.
    const prizes = new Map<string, { jobs: Clause[]; worth: number }>();
    const required: Clause[] = problem.required.map((n) => problem.requirements[n]!.sets);
    problem.asks.forEach((ask, a) => {
      const endless = ask.ways.map((w, i) => ({ gain: w.supplies.length === 0 ? w.gain : 0, i }));
      /** The best of some ways is earned; what the next one earns less is forgone when all before it are missing. */
      const best = (ways: { i: number; worth: number }[], worst: number) => {
        const order = ways.filter((x) => x.worth > worst).sort((x, y) => y.worth - x.worth);
        most += order[0]?.worth ?? worst;
        for (let k = 0; k < order.length; k++) {
          const loss = order[k]!.worth - (order[k + 1]?.worth ?? worst);
          if (loss <= 0) continue;
          const needs = this.needSets(
            a,
            order.slice(0, k + 1).map((x) => x.i),
          );
          // A way that asks for nothing is always there, and so are the ways behind it.
          if (needs.some((n) => n.length === 0)) break;
          const { key, jobs } = this.clausesOf(needs);
          const known = prizes.get(key);
          if (known) known.worth += loss;
          else prizes.set(key, { jobs, worth: loss });
        }
      };
      const slot = (p: number, cost: (way: number) => number) =>
        best(
          ask.ways.map((w, i) => ({ i, worth: p * w.gain - lambda * cost(i) })),
          0,
        );
      // What is demanded is paid for in any case, at its lightest: no kit is let off less.
      const { must } = ask;
      const grams = (i: number, j: number) => massOfMends(ask, ask.ways[i]!, j + 1) - massOfMends(ask, ask.ways[i]!, j);
      const demanded =
        must === null ? [] : ask.ways.map((_, i) => i).filter((i) => gradeMeets(ask.ways[i]!.grade, must));
      // One of the ways of the grade is there, so that the first mend earns no less than the worst of them; beside it goes what weighs
      // nothing, wherever it is to be had, and where the grade itself weighs nothing any other way: no kit is let off more.
      if (demanded.length > 0) {
        const needs = this.needSets(a, demanded);
        if (!needs.some((n) => n.length === 0)) required.push(...this.clausesOf(needs).jobs);
        const first = ask.tails[0] ?? 0;
        const beside = first * endless.reduce((m, x) => Math.max(m, x.gain), 0);
        const ways = demanded.map((i) => ({
          i,
          worth: Math.max(first * ask.ways[i]!.gain, beside) - lambda * grams(i, 0),
        }));
        const worst = ways.reduce((m, x) => Math.min(m, x.worth), Infinity);
        if (demanded.some((i) => grams(i, 0) === 0))
          ask.ways.forEach((w, i) => {
            if (!demanded.includes(i)) ways.push({ i, worth: first * w.gain - lambda * grams(i, 0) });
          });
        best(ways, worst);
      }
      ask.tails.forEach((p, j) => {
        if (j > 0 || demanded.length === 0) slot(p, (i) => grams(i, j));
      });
      if (ask.rest > 0) {
        const top = endless.reduce((m, x) => Math.max(m, x.gain), 0);
        if (top > 0) slot(ask.rest, (i) => (ask.ways[i]!.supplies.length === 0 ? 0 : Infinity));
      }
    });
    // In thousandths of a gram; prizes rounded down, so that the bound holds.
    const costs = this.itemMass.map((m) => Math.round(m * 1000));
    const out = new Set(forced.out);
    const allowed = (job: Clause) => (out.size > 0 ? job.filter((set) => !set.some((i) => out.has(i))) : job);
    const jobs: number[][][] = [
      ...problem.marked.map(allowed),
      ...required.map(allowed),
      ...forced.in.map((i) => [[i]]),
    ];
    let slack = 0;
    for (const { jobs: clauses, worth } of prizes.values()) {
      const grams = (worth / lambda) * 1000;
      const cost = Math.floor(Math.min(grams, 1e11));
      slack += (Math.min(grams, 1e11) - cost) / 1000;
      if (cost === 0) continue;
      const prize = costs.push(cost) - 1;
      for (const clause of clauses) jobs.push([...allowed(clause), [prize]]);
    }
    const found = cheapestCover({ costs, jobs }, 3000);
    if (found === null || found === 'infeasible') return found;
    const counts = countsOf(problem, found.taken);
    // The kit behind it: its tools, and the stocks that are worth their grams at this price.
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
    return {
      counts,
      stocked: [...stocked, ...demandedMends(slots, stocked)],
      mass,
      value,
      bound: most - lambda * (found.bound / 1000),
      proven: found.proven && slack < 1,
    };
  }
}
