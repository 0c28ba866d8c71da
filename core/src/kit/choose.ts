import { at } from '../ground/numbers.js';
import type { Solve } from '../ground/milp.js';
import { frontier, TOLERANCE, type Curve } from './optimum/curve.js';
import { lightestJoint } from './optimum/lightest.js';
import { mostUnder } from './optimum/kitMilp.js';
import type { KitProblem } from './optimum/kitProblem.js';
import { stockedAt, type StockedMend } from './optimum/slots.js';
import { demandsMet, withinWorth } from './optimum/tools.js';
import { leastMarked, priceOfGram, worthItsWeight } from './optimum/worth.js';
import { savedWith, stockedBy, type Contents } from './done.js';
import type { KeptKit } from './keptKit.js';
import type { Kit } from './kit.js';
import { kitFrom } from './told/index.js';
import { measuresOf } from './points.js';
import { bestOfShares, lightestOfShares, moreOfShare, type Saving } from './shares.js';

/** Contents of a kept kit among the pieces of a problem; what is no longer owned is left away. */
export function contentsOfKept(
  problem: KitProblem,
  kept: Pick<KeptKit, 'pieces' | 'supplies'>,
): Contents & { supplies: Map<string, number> } {
  const has = new Map(kept.pieces.map((p) => [p.pieceId, p.count]));
  const counts = problem.pieces.map((p) => Math.min(has.get(p.id) ?? 0, p.count));
  const supplies = new Map(kept.supplies.map((s) => [s.kind, s.quantity]));
  return { counts, stocked: stockedBy(problem, counts, supplies), supplies };
}

/** A kit that a search elsewhere found for one limit, and what it had proven that none exceeds. */
export interface KitHint {
  limit: number;
  bound: number;
  pieces: [id: string, count: number][];
  stocked: StockedMend[];
  /** Keys of the asks that `stocked` speaks of, in order. */
  asks: string[];
}

/** A hint's contents, where it is of the same pieces and troubles and keeps to the limit; null where it is not. */
function fromHint(problem: KitProblem, hint: KitHint, limit: number): Contents | null {
  if (hint.asks.length !== problem.asks.length || hint.asks.some((key, i) => key !== at(problem.asks, i).key))
    return null;
  const has = new Map(hint.pieces);
  const counts = problem.pieces.map((p, i) => (problem.always.some((a) => a.piece === i) ? 1 : (has.get(p.id) ?? 0)));
  if (problem.pieces.some((p, i) => at(counts, i) > p.count || (p.mark === 'never' && at(counts, i) > 0))) return null;
  if (hint.stocked.some((s) => !problem.asks[s.ask]?.ways[s.way])) return null;
  const contents = { counts, stocked: hint.stocked };
  return measuresOf(problem, contents).mass <= limit + 1e-6 && demandsMet(problem, counts) ? contents : null;
}

/** Problems solved for one limit, so that an edit is answered soon; the whole curve takes its time elsewhere. */
const SOLVES_FOR_ONE = 60;

/** A kit's contents, what they save and how far from proven they are. */
type Found = Contents & Saving;

/**
 * The kit that answers the trip's question: what is worth its weight, the lightest that gives each wanted trouble the grade and all the service
 * level, the most under a limit of mass, or a kept kit as it is.
 * @param curve a curve that is known already
 * @param hint a kit found elsewhere; it counts as far as it holds
 */
export function kitFor(
  problem: KitProblem,
  solve: Solve,
  owned: ReadonlyMap<string, number>,
  kept: KeptKit | null = null,
  curve: Curve | null = null,
  hint: KitHint | null = null,
): Kit {
  if (kept) {
    const contents = contentsOfKept(problem, kept);
    return kitFrom(problem, contents, {
      as: 'kept',
      keptName: kept.name,
      proven: true,
      gap: 0,
      served: true,
      owned,
      supplies: contents.supplies,
    });
  }
  const { ask } = problem.question;
  if (ask === 'lightest') {
    const all = [problem, ...problem.others].map((p) => ({ p, ...lightestJoint(p, solve) }));
    const { best, proven, gap } = lightestOfShares(all, problem.slackMass);
    return kitFrom(
      best.p,
      { counts: best.set.counts, stocked: best.stocked },
      { as: 'lightest', proven, gap, served: best.served, owned },
    );
  }
  if (ask === 'worth') {
    const all = [problem, ...problem.others].map((p) => ({ p, ...worthOfGrams(p, solve) }));
    const { best, proven, gap } = bestOfShares(all, problem.slack);
    return kitFrom(best.p, best, { as: ask, proven, gap, served: true, owned });
  }
  const found = mostOfLimit(problem, solve, curve, hint);
  return kitFrom(problem, found, { as: ask, proven: found.proven, gap: found.gap, served: true, owned });
}

/** Whether contents keep to the limits of room and price, and to what the tools may be worth. */
function keepsLimits(problem: KitProblem, contents: Contents): boolean {
  const { question } = problem;
  const point = measuresOf(problem, contents);
  return (
    (question.bulk === null || point.bulk <= question.bulk + 1e-6) &&
    (question.price === null || point.price <= question.price + 1e-6) &&
    withinWorth(problem, contents.counts)
  );
}

/** A kit of the general solver; where it found none, the best of those that keep to the limits, and nothing proven. */
function solved(problem: KitProblem, most: ReturnType<typeof mostUnder>, bound: number, price: number): Found {
  const found = (c: Contents, proven: boolean, top: number): Found => {
    const { value } = savedWith(problem, c);
    const net = value - price * measuresOf(problem, c).mass;
    const short = proven ? 0 : Math.max(0, top - net);
    return {
      ...c,
      proven,
      gap: value > 0 ? Math.min(1, short / value) : Number(!proven),
      value,
      net,
      bound: proven ? net : top,
    };
  };
  const least = { counts: leastMarked(problem).counts, stocked: [] };
  // Nothing keeps to the limits at all: then the least that the marks allow is carried, and that is sure.
  if (most === 'infeasible') return found(least, true, bound);
  if (most === null) return found(least, false, bound);
  return found(most, most.proven, Math.min(bound, most.bound));
}

/** What is worth its weight: exact without limits beside; where that breaks one of them, the general solver has the word. */
function worthOfGrams(problem: KitProblem, solve: Solve): Found {
  const price = priceOfGram(problem);
  const found = worthItsWeight(problem);
  if (!found || !keepsLimits(problem, found))
    return solved(problem, mostUnder(problem, solve, price), found?.bound ?? Infinity, price);
  const net = found.value - price * found.mass;
  const short = found.proven ? 0 : Math.max(0, found.bound - net);
  return {
    counts: found.counts,
    stocked: found.stocked,
    proven: found.proven,
    gap: found.value > 0 ? Math.min(1, short / found.value) : 0,
    value: found.value,
    net,
    bound: found.proven ? net : found.bound,
  };
}

/** The most under a limit of mass: from the curve without limits beside; where that kit breaks one of them, the general solver has the word. */
function mostOfLimit(problem: KitProblem, solve: Solve, curve: Curve | null, hint: KitHint | null): Found {
  const limit = Math.floor(problem.question.mass);
  const hinted = hint && hint.limit === limit ? fromHint(problem, hint, limit) : null;
  const known = (): Curve =>
    curve && curve.most >= limit ? curve : frontier(problem, { most: limit, from: limit, solves: SOLVES_FOR_ONE });
  let free: Contents;
  let best: number;
  let bound: number;
  if (hinted && hint) {
    free = hinted;
    best = savedWith(problem, hinted).value;
    bound = Math.max(best, hint.bound);
  } else {
    const now = known();
    free = contentsAt(now, limit);
    [best, bound] = [Math.max(0, at(now.best, limit)), at(now.bound, limit)];
  }
  // Shares of the fitted units that the curve does not know could save so much more.
  bound += problem.slack + problem.others.reduce((m, o) => Math.max(m, moreOfShare(problem, o)), 0);
  if (!keepsLimits(problem, free)) return solved(problem, mostUnder(problem, solve), bound, 0);
  const proven = bound - best <= TOLERANCE;
  return { ...free, proven, gap: best > 0 ? (bound - best) / best : 0, value: best, net: best, bound };
}

/**
 * What the best kit of a curve carries under a limit; the lightest that does what is demanded where the limit is below it.
 * @param limit g
 */
export function contentsAt(curve: Curve, limit: number): Contents {
  const set =
    curve.sets[curve.by[limit] ?? -1] ??
    curve.sets.filter((s) => s.allowed).sort((a, b) => a.mass - b.mass)[0] ??
    at(curve.sets, 0);
  const room = Math.max(0, Math.floor(limit - set.mass + 1e-9));
  return { counts: set.counts, stocked: at(stockedAt(set.slots, [room]), 0) };
}
