import type { Solve } from '../ground/milp.js';
import { boundStow, type StowBound } from './bound.js';
import type { StowCase } from './brokenRules.js';
import { solveStow } from './exact.js';
import { stowUnits, type Unit } from './item.js';
import { LaidMemory } from './laid.js';
import { described, type Packing } from './packing.js';
import { stowKey, type StowInput } from './stowInput.js';
import { costOf, keepsRules, placeIn, SCALE, stowProblem, type Cut, type StowProblem } from './stowProblem.js';
import { searchStow } from './stowSearch.js';

/** A packing that a longer search found, with what it proved; taken as it is for the same input, else a place to begin. */
export interface PackingHint {
  /** Of the input that it was found for. */
  key: string;
  bins: Readonly<Record<string, number>>;
  apart: readonly string[];
  bound: number;
  proven: boolean;
}

export interface StowOptions {
  /** Exact solver; without it what the bound does not prove stays unproven. */
  solve?: Solve | null;
  hint?: PackingHint | null;
  memory?: LaidMemory;
  onProgress?: (share: number) => void;
}

const allOpen = (p: StowProblem) => p.units.map(() => p.bins.map(() => true));

/** How often a packing that does not lie in its places is searched again. */
const MOST_CUTS = 40;
/** Rounds of the search from each beginning, and of the prices behind the bound. */
const ROUNDS = 3;
const ROUNDS_OF_PRICES = 30;
const TURNS = 2;

/** The whole problem with the cuts found so far, for tests that look at the search from outside. */
export function stowCase(
  input: StowInput,
  apart: ReadonlySet<string> = new Set(),
): { problem: StowProblem; units: Unit[] } {
  const units = stowUnits(input.items, input.pins, apart);
  return { units, problem: stowProblem({ ...input, units }) };
}

/**
 * Puts every item into a place that obeys the hard rules, at the least soft cost; a carrier that ends up without one lets go of what it carries,
 * and all is looked at again.
 */
export function assign(input: StowInput, options: StowOptions = {}): Packing {
  const { hint } = options;
  const apart = new Set(hint && hint.key === stowKey(input) ? hint.apart : []);
  for (;;) {
    const packing = assignOnce(input, apart, options);
    const carriers = packing.stowed.filter(
      (s) => s.placeId === null && s.on === null && packing.stowed.some((g) => g.on?.key === s.item.key),
    );
    if (carriers.length === 0) return packing;
    for (const { item } of carriers) apart.add(item.key);
  }
}

/** An assignment with its cost, in hundredths of a point. */
interface Found {
  where: number[];
  cost: number;
}

/** The search for one packing: the sets that were seen not to lie in a place are cut off for all that follows. */
class StowWork {
  readonly p: StowProblem;
  private readonly cuts: Cut[] = [];
  constructor(
    readonly c: StowCase,
    private readonly options: StowOptions,
  ) {
    this.p = c.p;
  }

  /** Sets that do not go into their place together, as cuts; none when everything lies. Only sets with a unit that may move count. */
  cutsOf(where: readonly number[]): Cut[] {
    const { p, c } = this;
    return p.places.flatMap((place, k): Cut[] => {
      const here = p.units.filter((_, u) => placeIn(p, where, u) === k);
      if (c.memory.lay(place, here) !== null) return [];
      const units = c.memory.stubborn(place, here, false).map((u) => p.units.indexOf(u));
      // What the rider pinned together stays, as a broken rule; it is no reason against the others.
      return units.some((u) => p.fixed.at(u) < 0) ? [{ place: k, units }] : [];
    });
  }
  /** Searches on until everything lies beside each other in its place. */
  private laidOut(found: Found): Found {
    let now = found;
    for (let i = 0; i < MOST_CUTS; i++) {
      const more = this.cutsOf(now.where);
      if (more.length === 0) return now;
      this.cuts.push(...more);
      now = searchStow(this.p, this.cuts, { rounds: 8, from: now.where });
    }
    return now;
  }

  /**
   * The best that the search finds, and a bound of it. The prices are driven up in turns with searches from what they wish for: each makes the
   * other better. Whether things lie beside each other is asked of the best alone, since that takes longest.
   * @param given an assignment known before
   */
  search(given: readonly number[] | null): { best: Found; priced: StowBound } {
    const { p } = this;
    let best: Found = searchStow(p, this.cuts, { rounds: 0 });
    const better = (from: readonly number[]) => {
      const found = searchStow(p, this.cuts, { rounds: ROUNDS, from });
      if (found.cost < best.cost - 1e-6) best = found;
    };
    if (given) better(given);
    let priced = boundStow(p, best.cost, ROUNDS_OF_PRICES);
    for (let turn = 0; turn < TURNS && best.cost - priced.bound >= 1; turn++) {
      better(priced.wished);
      priced = boundStow(p, best.cost, ROUNDS_OF_PRICES, priced);
    }
    const free = best.cost;
    best = this.laidOut(best);
    // Bins were closed against a cost that nothing may lie at: they are looked at again for the one that does.
    if (best.cost > free + 1e-6) priced = boundStow(p, best.cost, ROUNDS_OF_PRICES, { ...priced, open: allOpen(p) });
    return { best, priced };
  }

  /** The optimum over the bins that are open, with its proof as far as the solver gives one. */
  prove(solve: Solve, known: Found, priced: StowBound): { best: Found; bound: number; proven: boolean } {
    let best = known;
    let { bound } = priced;
    for (let i = 0; i < MOST_CUTS; i++) {
      this.options.onProgress?.(0.2 + (0.8 * i) / MOST_CUTS);
      const solved = solveStow(this.p, priced.open, this.cuts, solve);
      if (solved === null) break;
      // Nothing better than what is known is left open: it is the best.
      if (solved === 'infeasible') return { best, bound: best.cost, proven: true };
      bound = Math.max(bound, Math.min(solved.bound, best.cost));
      const more = this.cutsOf(solved.where);
      if (more.length === 0) {
        const cost = costOf(this.p, solved.where);
        if (cost < best.cost - 1e-6) best = { where: solved.where, cost };
        return { best, bound, proven: solved.proven };
      }
      this.cuts.push(...more);
    }
    return { best, bound, proven: false };
  }
}

/**
 * Puts every item into a place that obeys the hard rules, at the least soft cost: pinned items as they are, then the best that the search finds,
 * then the proof or, with a solver, the optimum. Sets that do not lie beside each other in a place are cut off and the rest is searched
 * again. What fits nowhere stays loose with its reason for each place.
 */
function assignOnce(input: StowInput, apart: ReadonlySet<string>, options: StowOptions): Packing {
  const { problem: p, units } = stowCase(input, apart);
  const c: StowCase = { p, input, memory: options.memory ?? new LaidMemory() };
  const work = new StowWork(c, options);
  const { hint, solve } = options;
  const given = hint ? units.map((u) => hint.bins[u.host.key] ?? p.loose) : null;
  if (hint && given && hint.key === stowKey(input) && keepsRules(p, given) && work.cutsOf(given).length === 0)
    return described(c, given, { bound: hint.bound * SCALE, proven: hint.proven, apart });
  const { best, priced } = work.search(given);
  const closed = best.cost - priced.bound < 1;
  const end = closed || !solve ? { best, bound: priced.bound, proven: closed } : work.prove(solve, best, priced);
  const bound = Math.min(end.bound, end.best.cost);
  return described(c, end.best.where, { bound, proven: end.proven, apart });
}

/**
 * Searches a packing on to its end: the optimum with its proof, or the best with its bound.
 * @param packing what the quick search came to, to begin with
 * @returns a hint with which `assign` gives that packing at once
 */
export function searchOn(
  input: StowInput,
  packing: Packing,
  solve: Solve,
  onProgress?: (share: number) => void,
): PackingHint {
  const hint: PackingHint = {
    key: '',
    bins: packing.bins,
    apart: packing.apart,
    bound: packing.bound,
    proven: false,
  };
  const { bins, apart, bound, proven } = assign(input, { solve, hint, ...(onProgress ? { onProgress } : {}) });
  return { key: stowKey(input), bins, apart, bound, proven };
}
