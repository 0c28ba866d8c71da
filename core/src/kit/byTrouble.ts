import { eachOnce } from '../ground/facts.js';
import type { Kit, Mend } from './kit.js';
import type { LackFact } from './lacks.js';

/** What a kit gives one bike against a trouble, over the parts that it is looked at in, such as threads. */
export interface TroubleSum {
  troubleId: string;
  /** Grade and way of its greatest part; null when that has no way at all. */
  grade: Mend['grade'];
  wayName: string;
  /** Hours of that part, saved and left. */
  stake: number;
  /** Parts, and those of them that are not met at the grade asked for. */
  parts: number;
  partsBelow: number;
  /** The least over its parts. */
  mends: number;
  covered: number;
  lacks: LackFact[];
  below: boolean;
  hoursSaved: number;
  hoursLeft: number;
}

/** Sums by trouble for one bike. */
export function byTrouble(kit: Pick<Kit, 'mends'>, bikeId: string): Map<string, TroubleSum> {
  const out = new Map<string, TroubleSum>();
  for (const m of kit.mends) {
    if (m.bikeId !== bikeId) continue;
    const known = out.get(m.troubleId);
    const stake = m.hoursSaved + m.hoursLeft;
    const { troubleId, grade, wayName, mends, covered, below, hoursSaved, hoursLeft } = m;
    if (!known) {
      const partsBelow = Number(below);
      out.set(troubleId, {
        ...{ troubleId, grade, wayName, stake, mends, covered, lacks: [...m.lacks], below, hoursSaved, hoursLeft },
        ...{ parts: 1, partsBelow },
      });
      continue;
    }
    known.parts++;
    known.partsBelow += Number(below);
    if (stake > known.stake) Object.assign(known, { grade, wayName, stake });
    known.mends = Math.min(known.mends, m.mends);
    known.covered *= m.covered;
    known.lacks = eachOnce([...known.lacks, ...m.lacks]);
    known.below ||= m.below;
    known.hoursSaved += m.hoursSaved;
    known.hoursLeft += m.hoursLeft;
  }
  return out;
}
