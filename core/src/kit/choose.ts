import { at, present } from '../ground/numbers.js';
import type { Solve } from '../ground/milp.js';
import type { KitRows } from './rows.js';
import { frontier, TOLERANCE, type Curve } from './optimum/curve.js';
import { lightestJoint } from './optimum/lightest.js';
import { mostUnder } from './optimum/kitMilp.js';
import { kitProblem, type KitProblem } from './optimum/kitProblem.js';
import { stockedAt, type StockedMend } from './optimum/slots.js';
import { demandsMet, withinWorth } from './optimum/tools.js';
import { leastMarked, priceOfGram, worthItsWeight } from './optimum/worth.js';
import { savedWith, stockedBy, type Contents } from './done.js';
import type { KeptKit } from './keptKit.js';
import type { Kit } from './kit.js';
import { kitFrom } from './told/index.js';
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

/** A kit's contents with how far from proven they are. */
interface Found extends Contents {
  proven: boolean;
  /** Distance to the bound, as a share of what the kit is made best in. */
  gap: number;
  /** What it saves, the same less the price of its grams, and what none of that comes to more than. */
  value: number;
  net: number;
  bound: number;
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
    const all = [problem, ...problem.others].map((p) => ({ p, found: lightestJoint(p, solve) }));
    const best = all.reduce((a, b) =>
      (b.found.served && !a.found.served) || (b.found.served === a.found.served && b.found.total < a.found.total - 1e-9)
        ? b
        : a,
    );
    const { found } = best;
    // No share of the fitted units is lighter than the lightest of each share, less what was not looked at.
    const floor = all.reduce((m, x) => Math.min(m, x.found.total * (1 - x.found.gap)), Infinity) - problem.slackMass;
    const gap = found.total > 0 ? Math.max(0, (found.total - floor) / found.total) : 0;
    return kitFrom(
      best.p,
      { counts: found.set.counts, stocked: found.stocked },
      { as: 'lightest', proven: all.every((x) => x.found.proven) && gap < 1e-9, gap, served: found.served, owned },
    );
  }
  if (ask === 'worth') {
    const all = [problem, ...problem.others].map((p) => ({ p, found: worthOfGrams(p, solve) }));
    const best = all.reduce((a, b) => (b.found.net > a.found.net + 1e-9 ? b : a));
    const { proven, gap } = bestOfAll(
      all.map((x) => x.found),
      best.found,
      problem.slack,
    );
    return kitFrom(best.p, best.found, { as: ask, proven, gap, served: true, owned });
  }
  const found = mostOfLimit(problem, solve, curve, hint);
  return kitFrom(problem, found, { as: ask, proven: found.proven, gap: found.gap, served: true, owned });
}

/** How far the best of several problems' kits is from proven over all of them. */
function bestOfAll(all: readonly Found[], best: Found, slack: number): { proven: boolean; gap: number } {
  const short = all.reduce((m, f) => Math.max(m, f.bound), -Infinity) + slack - best.net;
  const proven = short <= TOLERANCE && all.every((f) => f.proven);
  return { proven, gap: proven ? best.gap : Math.min(1, Math.max(0, short) / Math.max(1e-9, best.value)) };
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
  bound += problem.slack + problem.others.reduce((m, o) => Math.max(m, lastSlack(problem, o)), 0);
  if (!keepsLimits(problem, free)) return solved(problem, mostUnder(problem, solve), bound, 0);
  const proven = bound - best <= TOLERANCE;
  return { ...free, proven, gap: best > 0 ? (bound - best) / best : 0, value: best, net: best, bound };
}

/** What another share of the fitted units saves more at most: at each trouble that gets some of them, its mends with these. */
function lastSlack(problem: KitProblem, other: KitProblem): number {
  return other.asks.reduce((sum, o, a) => {
    let more = 0;
    for (const [kind, n] of o.fitted) {
      const extra = n - (at(problem.asks, a).fitted.get(kind) ?? 0);
      if (extra <= 0) continue;
      const uses = o.ways.flatMap((w) => w.supplies.filter((s) => s.kind === kind).map((s) => ({ w, n: s.units })));
      const units = Math.min(...uses.map((u) => u.n));
      const gain = Math.max(...uses.map((u) => u.w.gain));
      for (let j = 0; j * units < extra; j++) more += (o.tails[j] ?? 0) * gain;
    }
    return sum + more;
  }, 0);
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

/** Measures that might be taken and are weighed against carrying, at most: every selection of them is a problem of its own. */
const MOST_OPEN = 4;

/** Selections of the measures that a bike might have. */
function selections(doc: KitRows, bikeId: string): string[][] {
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
 * @param owned units of each kind of spare that are there
 */
export function chosenKit(
  doc: KitRows,
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
    const limited = { ...one, question: under, others: one.others.map((o) => ({ ...o, question: under })) };
    const kit = kitFor(limited, solve, owned, kept, null, also.length === 0 ? hint : null);
    const better =
      !best ||
      (kit.as === 'lightest'
        ? kit.mass < best.kit.mass - 1e-9 || (Math.abs(kit.mass - best.kit.mass) < 1e-9 && kit.saved > best.kit.saved)
        : leftLost(one, kit) < leftLost(best.problem, best.kit) - 1e-9 &&
          (kit.as === 'worth' || kit.mass <= Math.max(one.question.mass, best.kit.mass)));
    if (better) best = { kit, problem: one };
  }
  return present(best);
}
