import { savedBy, type Contents } from '../done.js';
import type { Kit, KitFacts } from '../kit.js';
import type { KitProblem } from '../optimum/kitProblem.js';
import { withinWorth } from '../optimum/tools.js';
import { mendsOf } from './mends.js';
import { piecesOf } from './reasons.js';
import { sparesOf } from './spares.js';
import { missingOf, totalsOf } from './totals.js';
import { workedOut } from './worked.js';

/**
 * Everything that a screen says about a kit, from what is in it.
 * @param problem what may be carried and what is asked
 * @param contents copies of each piece, and the mends that it is stocked for
 * @param facts how it was found, and what is owned
 */
export function kitFrom(problem: KitProblem, contents: Contents, facts: KitFacts): Kit {
  const worked = workedOut(problem, contents, facts);
  const { asks } = worked;
  const pieces = piecesOf(worked);
  const spares = sparesOf(worked);
  const mends = mendsOf(worked);
  return {
    pieces,
    spares,
    ...totalsOf(problem, pieces, spares),
    as: facts.as,
    keptName: facts.keptName ?? null,
    proven: facts.proven,
    gap: facts.gap,
    withinWorth: withinWorth(problem, contents.counts),
    served: facts.served,
    reached: [...worked.reached],
    missing: missingOf(problem),
    unmet: [...problem.unmet],
    mends,
    prevention: [...problem.prevention],
    home: asks.reduce((p, a, i) => (a.ask.exposure.trouble.stops ? p * (mends[i]?.covered ?? 1) : p), 1),
    atStake: mends.reduce((s, m) => s + m.hoursLeft, 0),
    saved: asks.reduce((s, a) => s + a.saved, 0),
    value: asks.reduce((s, a) => s + savedBy(a.ask, a.done, (w) => w.gain), 0),
  };
}
