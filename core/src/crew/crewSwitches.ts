import type { Solve } from '../ground/milp.js';
import { leastOf } from '../kit/toolCase.js';
import { canBeSwapped, type Swap } from '../kit/weighs.js';
import { greatestShare, loads } from './assignment.js';
import type { Crew } from './crew.js';
import { crewCase, type CrewCase } from './crewCase.js';
import { shareOut } from './crewMilp.js';
import { judgeCrew } from './judge.js';
import type { CrewRows } from './rows.js';

/** Ways of sharing that may be asked for besides. */
export const CREW_SWITCHES = ['mechanic', 'strong', 'fluids'] as const;
export type CrewSwitch = (typeof CREW_SWITCHES)[number];

/** What a switch costs against the other position: both shared out whole. */
export interface CrewSwitchCost {
  name: CrewSwitch;
  /** Grams and greatest share more with it than without; repairs that it leaves undone. */
  mass: number;
  share: number;
  gaps: number;
}

/** What each switch costs here. */
export function crewSwitchCosts(doc: CrewRows, crew: Crew, today: string | null, solve: Solve): CrewSwitchCost[] {
  const looked = (of: Crew) => {
    const c = crewCase(doc, of, today);
    const shared = c && shareOut(c, solve);
    if (!c || !shared) return null;
    const masses = loads(c, shared).map((l) => l.mass);
    return {
      mass: masses.reduce((s, m) => s + m, 0),
      share: greatestShare(c, masses),
      gaps: judgeCrew(c, shared).gaps.length,
    };
  };
  const now = looked(crew);
  return CREW_SWITCHES.flatMap((name): CrewSwitchCost[] => {
    const other = looked({ ...crew, [name]: !crew[name] });
    if (!now || !other) return [];
    const [on, off] = crew[name] ? [now, other] : [other, now];
    return [{ name, mass: on.mass - off.mass, share: on.share - off.share, gaps: on.gaps - off.gaps }];
  });
}

const massOf = (c: CrewCase, counts: readonly number[]) =>
  c.problem.pieces.reduce((s, p, i) => s + (counts[i] ?? 0) * p.mass, 0);

/** Bolts of any of the bikes whose change to a size that is turned anyway would free tools: the most first. Exact differences of the lightest set for all bikes. */
export function swapsOf(c: CrewCase, solve: Solve, most = 8): Swap[] {
  const { tools } = c.problem;
  const base = { ...tools, reaches: tools.reaches.filter((r) => r.best.length > 0) };
  const best = leastOf(base, solve);
  const names = (counts: readonly number[], more: readonly number[]) =>
    tools.pieces.flatMap((p, i) => ((counts[i] ?? 0) > (more[i] ?? 0) ? [p.name] : []));
  const priceOf = (counts: readonly number[]) => tools.pieces.reduce((s, p, i) => s + (counts[i] ?? 0) * p.price, 0);
  return base.reaches
    .flatMap((reach): Swap[] => {
      if (!canBeSwapped(reach.fastener)) return [];
      const set = leastOf({ ...base, reaches: base.reaches.filter((r) => r !== reach) }, solve);
      if (best.total - set.total < 0.05) return [];
      return [
        {
          fastener: reach.fastener,
          grams: massOf(c, best.counts) - massOf(c, set.counts),
          euros: priceOf(best.counts) - priceOf(set.counts),
          leaves: names(best.counts, set.counts),
          comes: names(set.counts, best.counts),
        },
      ];
    })
    .sort((a, b) => b.grams - a.grams)
    .slice(0, most);
}
