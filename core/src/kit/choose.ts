import type { Solve } from '../cover/index.js';
import type { GarageDocument } from '../garage/index.js';
import { frontier, type Curve } from '../optimum/curve.js';
import { lightestJoint } from '../optimum/lightest.js';
import { mostUnder } from '../optimum/milp.js';
import { kitProblem, type KitProblem } from '../optimum/problem.js';
import { stockedAt } from '../optimum/slots.js';
import { stockedBy, type Contents } from './done.js';
import type { KeptKit } from './kept.js';
import { kitFrom, type Kit } from './kit.js';

/** Contents of a kept kit among the pieces of a problem; what is no longer owned is left away. */
export function contentsOfKept(problem: KitProblem, kept: Pick<KeptKit, 'pieces' | 'supplies'>): Contents & { supplies: Map<string, number> } {
  const has = new Map(kept.pieces.map((p) => [p.pieceId, p.count]));
  const counts = problem.pieces.map((p) => Math.min(has.get(p.id) ?? 0, p.count));
  const supplies = new Map(kept.supplies.map((s) => [s.kind, s.quantity]));
  return { counts, stocked: stockedBy(problem, counts, supplies), supplies };
}

/** Problems solved for one limit, so that an edit is answered soon; the whole curve takes its time elsewhere. */
const SOLVES_FOR_ONE = 60;

/**
 * The kit that answers the trip's question: the lightest that gives each wanted trouble the grade and all the service level, or the most under a
 * limit of mass, or a kept kit as it is.
 * @param curve a curve that is known already
 */
export function kitFor(
  problem: KitProblem,
  solve: Solve,
  owned: ReadonlyMap<string, number>,
  kept: KeptKit | null = null,
  curve: Curve | null = null,
): Kit {
  if (kept) {
    const contents = contentsOfKept(problem, kept);
    return kitFrom(problem, contents, { as: 'kept', keptName: kept.name, proven: true, gap: 0, withinWorth: true, served: true, owned, supplies: contents.supplies });
  }
  const { question, practice } = problem;
  if (question.ask === 'lightest') {
    const found = lightestJoint(problem, solve);
    return kitFrom(
      problem,
      { counts: found.set.counts, stocked: found.stocked },
      { as: 'lightest', proven: found.proven, gap: found.gap, withinWorth: practice.worth === null || found.set.withinWorth, served: found.served, owned },
    );
  }
  if (question.bulk !== null || question.price !== null) {
    const found = mostUnder(problem, solve);
    return kitFrom(problem, found, { as: 'most', proven: found.proven, gap: found.gap, withinWorth: true, served: true, owned });
  }
  const limit = Math.floor(question.mass);
  const known = curve && curve.most >= limit ? curve : frontier(problem, { most: limit, from: limit, solves: SOLVES_FOR_ONE });
  const contents = contentsAt(known, limit);
  const [best, bound] = [known.best[limit]!, known.bound[limit]!];
  return kitFrom(problem, contents, {
    as: 'most',
    proven: bound - best <= 1e-3,
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
  const open = (doc.bikes.find((b) => b.id === bikeId)?.prevention ?? []).filter((p) => p.state === 'may').slice(0, MOST_OPEN);
  return Array.from({ length: 2 ** open.length }, (_, bits) => open.filter((_p, i) => bits & (1 << i)).map((p) => p.id));
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
): { kit: Kit; problem: KitProblem } {
  const kept = doc.kits.find((k) => k.id === problem.question.use) ?? null;
  let best: { kit: Kit; problem: KitProblem } | null = null;
  for (const also of kept ? [[]] : selections(doc, question.bikeId)) {
    const one = also.length === 0 ? problem : kitProblem(doc, question, problem.tools, also);
    const fitted = one.prevention.reduce((s, p) => s + p.mass, 0);
    const limited = { ...one, question: { ...one.question, mass: Math.max(0, one.question.mass - fitted) } };
    const kit = kitFor(limited, solve, owned, kept);
    const better =
      !best ||
      (kit.as === 'lightest'
        ? kit.mass < best.kit.mass - 1e-9 || (Math.abs(kit.mass - best.kit.mass) < 1e-9 && kit.saved > best.kit.saved)
        : kit.value > best.kit.value + 1e-9 && kit.mass <= Math.max(one.question.mass, best.kit.mass));
    if (better) best = { kit, problem: one };
  }
  return best!;
}
