import { at } from '../ground/numbers.js';
import { setsOfEnds, setsOfTask } from '../kit/optimum/items.js';
import type { CrewCase } from './crewCase.js';
import { firstShare } from './firstShare.js';

/** Pieces from which on not all are looked at: a whole catalogue stands in for an empty toolbox. */
const MANY = 220;
/** Sets of each job that are looked at then, the lightest first. */
const EACH = 6;

/**
 * Of very many pieces those that a light kit is likely made of: the lightest sets of every job, and what a first sharing takes. What is found with them
 * is good, and proven of nothing.
 * @param wanted numbers of the pieces that anything asks for
 * @returns null where there are few enough to look at all
 */
export function likelyPieces(c: CrewCase, wanted: ReadonlySet<number>): Set<number> | null {
  if (wanted.size <= MANY) return null;
  const { items, requirements, pieces } = c.problem;
  const out = new Set<number>();
  const keep = (sets: readonly (readonly number[])[]) => {
    const mass = (set: readonly number[]) => set.reduce((s, i) => s + at(pieces, at(items.owner, i)).mass, 0);
    for (const set of [...sets].sort((a, b) => mass(a) - mass(b)).slice(0, EACH))
      for (const i of set) out.add(at(items.owner, i));
  };
  const seen = new Set<number>();
  for (const g of c.groups) {
    for (const t of g.tasks) keep(setsOfTask(t, items) ?? setsOfEnds(t, items).flat());
    for (const d of g.demands) for (const o of d.options) for (const n of o.requires) seen.add(n);
    for (const l of g.loose) for (const s of l.shares) seen.add(s.requires);
  }
  for (const n of seen) keep(at(requirements, n).sets);
  firstShare(c).pieces.forEach((by, p) => {
    if (by.some((n) => n > 0)) out.add(p);
  });
  return new Set([...out].filter((p) => wanted.has(p)));
}
