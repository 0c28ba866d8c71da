import type { Solve } from '../cover/index.js';
import type { GarageDocument } from '../garage/index.js';
import { frontier, TOLERANCE, type Curve } from '../optimum/curve.js';
import { lightestJoint } from '../optimum/lightest.js';
import { mostUnder } from '../optimum/milp.js';
import { kitProblem, type KitProblem } from '../optimum/problem.js';
import { stockedAt, type StockedMend } from '../optimum/slots.js';
import { demandsMet, withinWorth } from '../optimum/tools.js';
import { leastMarked, priceOfGram, worthItsWeight } from '../optimum/worth.js';
import { savedWith, stockedBy, type Contents } from './done.js';
import type { KeptKit } from './kept.js';
import { kitFrom, type Kit } from './kit.js';
import { measuresOf } from './points.js';

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
  if (hint.asks.length !== problem.asks.length || hint.asks.some((key, i) => key !== problem.asks[i]!.key)) return null;
  const has = new Map(hint.pieces);
  const counts = problem.pieces.map((p) => has.get(p.id) ?? 0);
  if (problem.pieces.some((p, i) => counts[i]! > p.count || (p.mark === 'never' && counts[i]! > 0))) return null;
  if (hint.stocked.some((s) => !problem.asks[s.ask]?.ways[s.way])) return null;
  const contents = { counts, stocked: hint.stocked };
  return measuresOf(problem, contents).mass <= limit + 1e-6 && demandsMet(problem, counts) ? contents : null;
}

/** Problems solved for one limit, so that an edit is answered soon; the whole curve takes its time elsewhere. */
const SOLVES_FOR_ONE = 60;

/** A kit's contents with how far from proven they are. */
interface Found extends Contents {
  proven: boolean;
  /** Distance to the bound, as a share of what the kit is made best in. */
  gap: number;
}

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
    const found = lightestJoint(problem, solve);
    // Fitted units at every trouble's hand weigh least: what that comes to bounds the kit in which each serves one only.
    const floor = problem.relaxed ? lightestJoint(problem.relaxed, solve) : found;
    const gap = Math.max(found.gap, problem.relaxed ? gapOver(found.total, floor.total * (1 - floor.gap)) : 0);
    return kitFrom(
      problem,
      { counts: found.set.counts, stocked: found.stocked },
      { as: 'lightest', proven: found.proven && gap < 1e-9, gap, served: found.served, owned },
    );
  }
  const found = ask === 'worth' ? worthOfGrams(problem, solve) : mostOfLimit(problem, solve, curve, hint);
  return kitFrom(problem, found, { as: ask, proven: found.proven, gap: found.gap, served: true, owned });
}
const gapOver = (total: number, floor: number) => (total > 0 ? Math.max(0, (total - floor) / total) : 0);

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

/** A kit of the general solver as contents; where it found none, the best of those that keep to the limits, and nothing proven. */
function solved(
  problem: KitProblem,
  most: ReturnType<typeof mostUnder>,
  instead: readonly Contents[],
  bound: number,
  price: number,
): Found {
  const worth = (c: Contents) => savedWith(problem, c).value - price * measuresOf(problem, c).mass;
  const least = { counts: leastMarked(problem).counts, stocked: [] };
  const kits = [...instead, least].filter((c) => keepsLimits(problem, c) && demandsMet(problem, c.counts));
  const own = kits.reduce<Contents | null>((a, b) => (a === null || worth(b) > worth(a) ? b : a), null) ?? least;
  // Nothing keeps to the limits at all: then the least that the marks allow is carried, and that is sure.
  if (most === 'infeasible') return { ...own, proven: true, gap: 0 };
  if (most === null) return { ...own, proven: false, gap: shareOver(worth(own), bound) };
  if (!most.proven && worth(own) > most.value + 1e-9)
    return { ...own, proven: false, gap: shareOver(worth(own), Math.min(bound, most.bound)) };
  return { counts: most.counts, stocked: most.stocked, proven: most.proven && !problem.relaxed, gap: most.gap };
}
const shareOver = (value: number, bound: number) => (value > 0 ? Math.max(0, bound - value) / value : 1);

/** What is worth its weight: exact without limits beside; where that breaks one of them, the general solver has the word. */
function worthOfGrams(problem: KitProblem, solve: Solve): Found {
  const price = priceOfGram(problem);
  const found = worthItsWeight(problem);
  if (found && keepsLimits(problem, found)) {
    const top = problem.relaxed ? worthItsWeight(problem.relaxed) : found;
    const reach = found.value - price * found.mass;
    const short = Math.max(0, (top?.bound ?? Infinity) - reach);
    return {
      counts: found.counts,
      stocked: found.stocked,
      proven: found.proven && short <= TOLERANCE,
      gap: found.value > 0 ? Math.min(1, short / found.value) : 0,
    };
  }
  return solved(problem, mostUnder(problem, solve, price), [], found?.bound ?? Infinity, price);
}

/** The most under a limit of mass: from the curve without limits beside; where that kit breaks one of them, the general solver has the word. */
function mostOfLimit(problem: KitProblem, solve: Solve, curve: Curve | null, hint: KitHint | null): Found {
  const limit = Math.floor(problem.question.mass);
  const hinted = hint && hint.limit === limit ? fromHint(problem, hint, limit) : null;
  const known = (): Curve =>
    curve && curve.most >= limit ? curve : frontier(problem, { most: limit, from: limit, solves: SOLVES_FOR_ONE });
  let free: Contents;
  let [best, bound] = [0, 0];
  if (hinted && hint) {
    free = hinted;
    best = savedWith(problem, hinted).value;
    bound = Math.max(best, hint.bound);
  } else {
    const now = known();
    free = contentsAt(now, limit);
    [best, bound] = [now.best[limit]!, now.bound[limit]!];
  }
  if (problem.relaxed)
    bound = Math.max(
      best,
      frontier(problem.relaxed, { most: limit, from: limit, solves: SOLVES_FOR_ONE }).bound[limit]!,
    );
  if (keepsLimits(problem, free))
    return { ...free, proven: bound - best <= TOLERANCE, gap: best > 0 ? (bound - best) / best : 0 };
  return solved(problem, mostUnder(problem, solve), [], bound, 0);
}

/** What the best kit of a curve carries under a limit; the lightest that does what is demanded where the limit is below it. */
export function contentsAt(curve: Curve, limit: number): Contents {
  const set =
    curve.sets[curve.by[limit] ?? -1] ??
    curve.sets.filter((s) => s.allowed).sort((a, b) => a.mass - b.mass)[0] ??
    curve.sets[0]!;
  const room = Math.max(0, Math.floor(limit - set.mass + 1e-9));
  return { counts: set.counts, stocked: stockedAt(set.slots, [room])[0]! };
}

/** Measures that might be taken and are weighed against carrying, at most: every selection of them is a problem of its own. */
const MOST_OPEN = 4;

/** Selections of the measures that a bike might have. */
function selections(doc: GarageDocument, bikeId: string): string[][] {
  const open = (doc.bikes.find((b) => b.id === bikeId)?.prevention ?? [])
    .filter((p) => p.state === 'may')
    .slice(0, MOST_OPEN);
  return Array.from({ length: 2 ** open.length }, (_, bits) =>
    open.filter((_p, i) => bits & (1 << i)).map((p) => p.id),
  );
}

/** What is lost without any kit, in the question's value: measures beforehand make it less. */
function lostBare({ asks, question }: KitProblem): number {
  return asks.reduce((s, { law, exposure: e }) => {
    const hours = law.mean * e.without;
    if (question.value === 'hours') return s + hours;
    return s + hours * question.hourEuros + (e.trouble.stops ? law.mean * question.fetchEuros : 0);
  }, 0);
}
/** What a kit and the measures behind it leave lost, the less the better; where each gram has a price, that on top. */
const leftLost = (problem: KitProblem, kit: Kit): number =>
  lostBare(problem) - kit.value + (kit.as === 'worth' ? priceOfGram(problem) * kit.mass : 0);

/**
 * The kit of a bike and trip: tools, spares, consumables and prevention at once. Every selection of the measures that might be taken is solved,
 * its grams counted, and the best of all is it.
 */
export function chosenKit(
  doc: GarageDocument,
  question: { bikeId: string; tripId: string | null; today?: string | null },
  problem: KitProblem,
  solve: Solve,
  owned: ReadonlyMap<string, number>,
  hint: KitHint | null = null,
): { kit: Kit; problem: KitProblem } {
  const kept = doc.kits.find((k) => k.id === problem.question.use) ?? null;
  let best: { kit: Kit; problem: KitProblem } | null = null;
  for (const also of kept ? [[]] : selections(doc, question.bikeId)) {
    const one = also.length === 0 ? problem : kitProblem(doc, question, problem.tools, also);
    const fitted = one.prevention.reduce((s, p) => s + p.mass, 0);
    const under = { ...one.question, mass: Math.max(0, one.question.mass - fitted) };
    const limited = { ...one, question: under, relaxed: one.relaxed && { ...one.relaxed, question: under } };
    const kit = kitFor(limited, solve, owned, kept, null, also.length === 0 ? hint : null);
    const better =
      !best ||
      (kit.as === 'lightest'
        ? kit.mass < best.kit.mass - 1e-9 || (Math.abs(kit.mass - best.kit.mass) < 1e-9 && kit.saved > best.kit.saved)
        : leftLost(one, kit) < leftLost(best.problem, best.kit) - 1e-9 &&
          (kit.as === 'worth' || kit.mass <= Math.max(one.question.mass, best.kit.mass)));
    if (better) best = { kit, problem: one };
  }
  return best!;
}
