import { at } from '../../ground/numbers.js';
import type { FunctionNeed } from '../../toolbox/cover/index.js';
import { inMeasure } from '../../toolbox/cover/index.js';
import { gradeMeets, type Grade } from '../../repairs/index.js';
import { countCdf } from '../../trip/odds/index.js';
import type { Ask, AskWay, KitProblem } from './kitProblem.js';
import type { Ladder } from './service.js';

/** A way that would do for a trouble, with what it asks of the kit beyond heads. */
export interface Option {
  way: number;
  functions: FunctionNeed[];
  ladder: Ladder;
}
/** A trouble that is asked for, and the ways of the grade that can be had. None of them asks for more and uses more than another. */
export interface Wanted {
  ask: number;
  options: Option[];
}
export interface Plan {
  wanted: Wanted[];
  /** Likely troubles that no way of the grade is had for. */
  unmet: number[];
}

/** Costs are whole tenths of the measure, as the choice of tools has them. */
export const TENTHS = 10;
/** Mends of one trouble that are counted at most. */
const MOST_MENDS = 400;

/**
 * Cost of k mends by a way in tenths of the measure, beyond what sits on the bike.
 * @param mends how many, from 0
 * @returns tenths of the measure: of a gram, a euro or what the rider asked to be least
 */
export function costOfMends(problem: KitProblem, ask: Ask, way: AskWay, mends: number): number {
  return way.supplies.reduce((s, { kind, units }) => {
    const unit = Math.round(TENTHS * inMeasure(problem.practice.least, problem.book.of(kind)));
    return s + Math.max(0, units * mends - (ask.fitted.get(kind) ?? 0)) * unit;
  }, 0);
}

function ladderOf(problem: KitProblem, ask: Ask, way: AskWay): Ladder {
  if (way.supplies.length === 0) return { from: 1, costs: [0], left: [0] };
  const costs: number[] = [];
  const left: number[] = [];
  for (let k = 1; k <= MOST_MENDS; k++) {
    const l = -Math.log(countCdf(k, ask.law));
    costs.push(costOfMends(problem, ask, way, k));
    left.push(Math.max(0, l));
    if (l < 1e-9) break;
  }
  return { from: 1, costs, left };
}

const functionsOf = (problem: KitProblem, way: AskWay): FunctionNeed[] =>
  way.requires.flatMap((n) => {
    const { by } = at(problem.requirements, n);
    return 'does' in by ? [{ does: by.does, count: by.count }] : [];
  });

/**
 * Whether one option asks for no more tools, and for whatever the other costs leaves no more of the service. Mends alone do not tell: one that uses
 * nothing up mends without end at its first step.
 */
const noWorse = (a: Option, b: Option): boolean =>
  a.functions.every((f) => b.functions.some((g) => g.does === f.does && g.count >= f.count)) &&
  b.ladder.costs.every((c, k) =>
    a.ladder.costs.some((x, j) => x <= c && at(a.ladder.left, j) <= at(b.ladder.left, k) + 1e-12),
  );

/** Whether a trouble is asked for: demanded, or likely enough and not left out by the rider. */
export const isWanted = (problem: KitProblem, ask: Ask): boolean =>
  ask.must !== null ||
  (ask.exposure.odds >= problem.question.likely && !problem.question.leftOut.includes(ask.exposure.trouble.id));

/** The grade that a trouble is asked to be mended at: the question's, or the best known where that is less. */
export function askedGrade(problem: KitProblem, ask: Ask): Grade {
  if (ask.must !== null && gradeMeets(ask.must, problem.question.grade)) return ask.must;
  const known = [...ask.ways.map((w) => w.grade), ...ask.barred.map((b) => b.way.grade)];
  return known.some((g) => gradeMeets(g, problem.question.grade))
    ? problem.question.grade
    : (known.reduce<Grade | null>((best, g) => (best === null || gradeMeets(g, best) ? g : best), null) ?? 'limp');
}

/**
 * Which troubles the kit must give the asked grade, each with the ways that do. Heads are all reached in any case, so that ways differ in
 * functions and in what they use up.
 */
export function planOf(problem: KitProblem): Plan {
  const wanted: Wanted[] = [];
  const unmet: number[] = [];
  problem.asks.forEach((ask, a) => {
    if (!isWanted(problem, ask)) return;
    // Where no known way is as good as asked for, the best that there is counts.
    const asked = askedGrade(problem, ask);
    const all = ask.ways
      .map((w, way) => ({ w, way }))
      .filter(({ w }) => gradeMeets(w.grade, asked))
      .map(({ w, way }): Option => ({ way, functions: functionsOf(problem, w), ladder: ladderOf(problem, ask, w) }));
    if (all.length === 0) {
      unmet.push(a);
      return;
    }
    const options = all.filter((o, i) => !all.some((p, k) => k !== i && noWorse(p, o) && (!noWorse(o, p) || k < i)));
    wanted.push({ ask: a, options });
  });
  return { wanted, unmet };
}
