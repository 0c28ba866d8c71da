import { eachOnce } from '../../ground/facts.js';
import { GRADE_WORTH, gradeMeets } from '../../repairs/index.js';
import { countCdf } from '../../trip/odds/index.js';
import { homeMends, reachesHome } from '../done.js';
import type { Mend, RiddenWay } from '../kit.js';
import type { LackFact } from '../lacks.js';
import type { AskWay, Requirement } from '../optimum/kitProblem.js';
import { isWanted } from '../optimum/plan.js';
import { does } from '../optimum/tools.js';
import { stockOfKit } from '../stock.js';
import type { AskDone, Worked } from './worked.js';

/** What is lacking where a requirement is not met. */
const lackOfOne = (r: Requirement): LackFact =>
  'does' in r.by
    ? { code: 'lack.tools', does: r.by.does, count: r.by.count }
    : { code: 'lack.tools-for', head: r.label };

/** What keeps ways from a kit: tools that it has not, spares of which it has too few. */
function lackOf({ problem, counts, facts, stocked }: Worked): (w: AskWay) => { tools: LackFact[]; spares: string[] } {
  /** Units of each supply that are there: packed, and beside the live part. */
  const stock = stockOfKit(problem, facts, stocked);
  return (w) => ({
    tools: eachOnce(
      w.requires.flatMap((n) => {
        const requirement = problem.requirements[n];
        return requirement && !does(problem, requirement, counts) ? [lackOfOne(requirement)] : [];
      }),
    ),
    spares: w.supplies.filter((s) => (stock.get(s.kind) ?? 0) < s.units).map((s) => problem.book.of(s.kind).name),
  });
}

const ridden = (w: AskWay): RiddenWay => ({
  name: w.way.name,
  hours: w.time,
  worth: GRADE_WORTH[w.grade],
  supplies: w.supplies,
  holds: w.way.holds,
  home: reachesHome(w),
});

/** Hours that a trouble costs where the kit does nothing against it. */
const stakeOf = ({ ask }: AskDone): number => {
  const ideal = Math.max(0, ...ask.ways.map((w) => w.hours));
  const { lambda, atStake } = ask.exposure;
  return ask.law.mean * Math.max(ideal, lambda > 0 ? atStake / lambda : 0);
};

/** What the kit gives against each trouble. */
export function mendsOf(worked: Worked): Mend[] {
  const { problem, facts } = worked;
  const lacks = lackOf(worked);
  return worked.asks.map((made): Mend => {
    const { ask, index, done, available, saved, now } = made;
    const homes = homeMends(ask, done);
    // A way that lacks anything, tool or spare, is none.
    const has = ask.ways.filter((w, k) => (available[k] ?? false) && lacks(w).spares.length === 0);
    const leftOut = ask.ways.filter((w) => !has.includes(w));
    const met = now !== null && gradeMeets(now.grade, problem.question.grade);
    return {
      key: ask.key,
      troubleId: ask.exposure.trouble.id,
      name: ask.name,
      bikeId: ask.bikeId,
      ask: index,
      way: now === null ? null : ask.ways.indexOf(now),
      wayName: now?.way.name ?? '',
      grade: now?.grade ?? null,
      mends: homes,
      lacks: now?.grade === 'proper' ? [] : eachOnce(ask.barred.flatMap((b) => b.why)),
      below: facts.as === 'lightest' && isWanted(problem, ask) && !met,
      covered: homes === Infinity ? 1 : countCdf(homes, ask.law),
      hoursSaved: saved,
      hoursLeft: Math.max(0, stakeOf(made) - saved),
      ways: [...has].sort((x, y) => y.gain - x.gain).map(ridden),
      others: [
        ...leftOut.map((w) => ({ name: w.way.name, why: [{ code: 'lack.left-at-home' as const, ...lacks(w) }] })),
        ...ask.barred.map((b) => ({ name: b.way.name, why: b.why })),
      ],
    };
  });
}
