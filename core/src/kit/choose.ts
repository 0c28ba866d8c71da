import type { Solve } from '../cover/index.js';
import type { GarageDocument } from '../garage/index.js';
import { frontier, TOLERANCE, type Curve } from '../optimum/curve.js';
import { lightestJoint } from '../optimum/lightest.js';
import { mostUnder } from '../optimum/milp.js';
import { kitProblem, type KitProblem } from '../optimum/problem.js';
import { stockedAt, type StockedMend } from '../optimum/slots.js';
import { savedWith, stockedBy, type Contents } from './done.js';
import type { KeptKit } from './kept.js';
import { kitFrom, type Kit } from './kit.js';
import { pointOf } from './points.js';

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
  return pointOf(problem, contents, limit, 0).mass <= limit + 1e-6 ? contents : null;
}

/** Problems solved for one limit, so that an edit is answered soon; the whole curve takes its time elsewhere. */
const SOLVES_FOR_ONE = 60;

/**
 * The kit that answers the trip's question: the lightest that gives each wanted trouble the grade and all the service level, or the most under a
 * limit of mass, or a kept kit as it is.
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
      withinWorth: true,
      served: true,
      owned,
      supplies: contents.supplies,
    });
  }
  const { question, practice } = problem;
  if (question.ask === 'lightest') {
    const found = lightestJoint(problem, solve);
    return kitFrom(
      problem,
      { counts: found.set.counts, stocked: found.stocked },
      {
        as: 'lightest',
        proven: found.proven,
        gap: found.gap,
        withinWorth: practice.worth === null || found.set.withinWorth,
        served: found.served,
        owned,
      },
    );
  }
  if (question.bulk !== null || question.price !== null) {
    const found = mostUnder(problem, solve);
    return kitFrom(problem, found, {
      as: 'most',
      proven: found.proven,
      gap: found.gap,
      withinWorth: true,
      served: true,
      owned,
    });
  }
  const limit = Math.floor(question.mass);
  const hinted = hint && hint.limit === limit ? fromHint(problem, hint, limit) : null;
  if (hinted && hint) {
    const { value } = savedWith(problem, hinted);
    const gap = Math.max(0, hint.bound - value);
    return kitFrom(problem, hinted, {
      as: 'most',
      proven: gap <= TOLERANCE,
      gap: value > 0 ? gap / value : 0,
      withinWorth: true,
      served: true,
      owned,
    });
  }
  const known =
    curve && curve.most >= limit ? curve : frontier(problem, { most: limit, from: limit, solves: SOLVES_FOR_ONE });
  const contents = contentsAt(known, limit);
  const [best, bound] = [known.best[limit]!, known.bound[limit]!];
  return kitFrom(problem, contents, {
    as: 'most',
    proven: bound - best <= TOLERANCE,
    gap: best > 0 ? (bound - best) / best : 0,
    withinWorth: true,
    served: true,
    owned,
  });
}

/** What the best kit of a curve carries under a limit; the least that the marks allow where the limit is below it. */
export function contentsAt(curve: Curve, limit: number): Contents {
  const set = curve.sets[curve.by[limit] ?? -1] ?? curve.sets[0]!;
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
    const limited = { ...one, question: { ...one.question, mass: Math.max(0, one.question.mass - fitted) } };
    const kit = kitFor(limited, solve, owned, kept, null, also.length === 0 ? hint : null);
    const better =
      !best ||
      (kit.as === 'lightest'
        ? kit.mass < best.kit.mass - 1e-9 || (Math.abs(kit.mass - best.kit.mass) < 1e-9 && kit.saved > best.kit.saved)
        : kit.value > best.kit.value + 1e-9 && kit.mass <= Math.max(one.question.mass, best.kit.mass));
    if (better) best = { kit, problem: one };
  }
  return best!;
}
