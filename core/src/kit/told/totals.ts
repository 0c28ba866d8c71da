import type { FunctionNeed } from '../../toolbox/cover/index.js';
import { BAG_FILL, boxVolume } from '../../toolbox/tools/index.js';
import type { Kit, KitPiece, KitSpare } from '../kit.js';
import type { KitProblem } from '../optimum/kitProblem.js';
import { planOf } from '../optimum/plan.js';

type Totals = Pick<Kit, 'toolMass' | 'spareMass' | 'preventionMass' | 'mass' | 'bulk' | 'price' | 'worth'>;

/** Units of a spare that are packed; the others sit on the bike already. */
const packed = (s: KitSpare): number => s.quantity - s.fitted;
const sum = <T>(list: readonly T[], of: (x: T) => number): number => list.reduce((s, x) => s + of(x), 0);

/** Grams, millilitres and euros of a kit. */
export function totalsOf(problem: KitProblem, pieces: readonly KitPiece[], spares: readonly KitSpare[]): Totals {
  const toolMass = sum(pieces, (k) => k.piece.mass * k.count);
  const spareMass = sum(spares, (k) => k.mass);
  const preventionMass = sum(problem.prevention, (p) => p.mass);
  const worth = sum(pieces, (k) => k.piece.price * k.count);
  const boxes = sum(pieces, (k) => boxVolume(k.piece) * k.count) + sum(spares, (k) => boxVolume(k.of) * packed(k));
  return {
    toolMass,
    spareMass,
    preventionMass,
    mass: toolMass + spareMass + preventionMass,
    bulk: boxes / BAG_FILL,
    price: worth + sum(spares, (k) => k.of.price * packed(k)),
    worth,
  };
}

/** Functions that some trouble asks for and that too few pieces of the toolbox have. */
export function missingOf(problem: KitProblem): FunctionNeed[] {
  const missing = new Map<FunctionNeed['does'], number>();
  for (const a of planOf(problem).unmet)
    for (const b of problem.asks[a]?.barred ?? [])
      for (const f of b.lacks) missing.set(f.does, Math.max(missing.get(f.does) ?? 0, f.count));
  const able = (does: FunctionNeed['does']) =>
    sum(problem.pieces, (p) => (p.functions.includes(does) && p.mark !== 'never' ? p.count : 0));
  return [...missing]
    .map(([does, count]) => ({ does, count: count - able(does) }))
    .sort((a, b) => (a.does < b.does ? -1 : 1));
}
