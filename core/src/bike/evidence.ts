import { EVIDENCE, type Evidence, type Fastener, type Step } from './fastener.js';

const MOST_STEPS = 40;

/**
 * Puts a fastener on a step of the evidence ladder and writes down who showed it, when and how. The latest step stands, also downwards:
 * a head that was taken for measured and then swapped is assumed again.
 */
export function climb(fastener: Fastener, step: Step): Fastener {
  return { ...fastener, evidence: step.evidence, trail: [...fastener.trail, step].slice(-MOST_STEPS) };
}

/** Whether one step is at least as high on the ladder as another. */
export const atLeast = (evidence: Evidence, least: Evidence): boolean =>
  EVIDENCE.indexOf(evidence) >= EVIDENCE.indexOf(least);

/** How many fasteners that count stand on each step. */
export function ladder(fasteners: readonly Fastener[]): Record<Evidence, number> {
  const on: Record<Evidence, number> = { assumed: 0, measured: 0, tried: 0, proven: 0 };
  for (const f of fasteners) if (f.leftOut === null) on[f.evidence]++;
  return on;
}
