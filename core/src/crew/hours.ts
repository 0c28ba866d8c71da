import { at } from '../ground/numbers.js';
import { availableWays } from '../kit/optimum/tools.js';
import { doneOfAsk, byAsk, homeMends, savedBy, stockedBy } from '../kit/done.js';
import type { KitProblem } from '../kit/optimum/kitProblem.js';
import { countCdf } from '../trip/odds/index.js';
import { carriedCounts, stockOfGroup, type Assignment } from './assignment.js';
import type { CrewCase } from './crewCase.js';
import { canGo } from './groups.js';

/** What some people with some carriers can do for some bikes, over the trip. */
export interface Hours {
  /** Hours saved and hours still at stake, by bike. */
  bikes: ReadonlyMap<string, { saved: number; left: number; home: number }>;
  saved: number;
  left: number;
  /** Chance that every bike gets home by own means. */
  home: number;
}

/** The problem as people see it who can go some ways only: the others save nothing. */
function byPeople(c: CrewCase, people: readonly number[], bikes: ReadonlySet<string>): KitProblem {
  const who = people.map((i) => at(c.members, i));
  return {
    ...c.problem,
    asks: c.problem.asks
      .filter((a) => bikes.has(a.bikeId))
      .map((a) => ({
        ...a,
        ways: a.ways.map((w) => (canGo(w, a, who, c.anyHelp) ? w : { ...w, gain: 0, hours: 0 })),
      })),
  };
}

/**
 * Hours that a sharing saves where only some carriers are together. Every trouble of the bikes counts, the unlikely ones too.
 * @param together numbers of carriers: what they carry counts, and what those of them who ride can do
 * @param bikes whose troubles are looked at; all of those who ride where nothing is said
 */
export function hoursWith(
  c: CrewCase,
  a: Assignment,
  together: readonly number[],
  bikes: ReadonlySet<string> | null = null,
): Hours {
  const people = together.filter((i) => at(c.carriers, i).member && !c.absent.has(i));
  const mine = bikes ?? new Set(people.map((i) => at(c.members, i).bike.id));
  const problem = byPeople(c, people, mine);
  const here = together.filter((i) => !c.absent.has(i));
  const counts = carriedCounts(a, here);
  const stocked = byAsk(problem, stockedBy(problem, counts, stockOfGroup(a, here)));
  const available = availableWays(problem, counts);
  const out = new Map<string, { saved: number; left: number; home: number }>();
  problem.asks.forEach((ask, i) => {
    const done = doneOfAsk(ask, i, at(available, i), at(stocked, i));
    const saved = savedBy(ask, done, (w) => w.hours);
    const known = out.get(ask.bikeId) ?? { saved: 0, left: 0, home: 1 };
    const mends = homeMends(ask, done);
    known.saved += saved;
    known.left += Math.max(0, ask.law.mean * ask.exposure.without - saved);
    if (ask.exposure.trouble.stops && mends !== Infinity) known.home *= countCdf(mends, ask.law);
    out.set(ask.bikeId, known);
  });
  const sum = (of: 'saved' | 'left') => [...out.values()].reduce((s, x) => s + x[of], 0);
  return {
    bikes: out,
    saved: sum('saved'),
    left: sum('left'),
    home: [...out.values()].reduce((p, x) => p * x.home, 1),
  };
}
