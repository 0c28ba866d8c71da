import { at } from '../ground/numbers.js';
import type { KitFacts } from './kit.js';
import type { KitProblem } from './optimum/kitProblem.js';
import type { StockedMend } from './optimum/slots.js';

/** Units of each supply that a kit is stocked with, those beside the live part in them. */
export function unitsOf(problem: KitProblem, stocked: readonly StockedMend[]): Map<string, number> {
  const units = new Map<string, number>();
  for (const { ask, way } of stocked)
    for (const s of at(at(problem.asks, ask).ways, way).supplies) units.set(s.kind, (units.get(s.kind) ?? 0) + s.units);
  return units;
}
/** Units that sit beside live parts, by kind: each once, however many troubles may use it. */
export function fittedOf(problem: Pick<KitProblem, 'fitted'>): Map<string, number> {
  const fitted = new Map<string, number>();
  for (const kinds of problem.fitted.values())
    for (const [kind, n] of kinds) fitted.set(kind, (fitted.get(kind) ?? 0) + n);
  return fitted;
}
/** Units of each kind that are always packed. */
export function alwaysOf(problem: Pick<KitProblem, 'always'>): Map<string, number> {
  const units = new Map<string, number>();
  for (const { kind, units: n } of problem.always) units.set(kind, (units.get(kind) ?? 0) + n);
  return units;
}
/**
 * Grams of so many units of each supply, those beside the live part left out.
 * @param units by kind
 * @returns g
 */
export function stockMass(problem: Pick<KitProblem, 'fitted' | 'book'>, units: ReadonlyMap<string, number>): number {
  const fitted = fittedOf(problem);
  return [...units].reduce(
    (s, [kind, n]) => s + Math.max(0, n - (fitted.get(kind) ?? 0)) * problem.book.of(kind).mass,
    0,
  );
}

/** Units of each supply that a kit has: what it is stocked with or what a kept list holds, and in either case what sits beside the live part. */
export function stockOfKit(
  problem: KitProblem,
  facts: Pick<KitFacts, 'supplies'>,
  stocked: readonly StockedMend[],
): Map<string, number> {
  if (!facts.supplies) return unitsOf(problem, stocked);
  const units = new Map(facts.supplies);
  for (const [kind, n] of fittedOf(problem)) units.set(kind, (units.get(kind) ?? 0) + n);
  return units;
}
