import { GRADES } from '../mends/index.js';
import type { Kit, Mend } from './kit.js';

/** What a kit gives one bike against a trouble, over the parts that it is looked at in, such as threads. */
export interface TroubleSum {
  troubleId: string;
  /** The worst grade over its parts; null when some part has no way at all. */
  grade: Mend['grade'];
  /** The least over its parts. */
  mends: number;
  covered: number;
  lacks: string[];
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
    if (!known) {
      const { troubleId, grade, mends, covered, below, hoursSaved, hoursLeft } = m;
      out.set(troubleId, { troubleId, grade, mends, covered, lacks: [...m.lacks], below, hoursSaved, hoursLeft });
      continue;
    }
    const worst = (a: Mend['grade'], b: Mend['grade']) =>
      a === null || b === null ? null : GRADES.indexOf(a) > GRADES.indexOf(b) ? a : b;
    known.grade = worst(known.grade, m.grade);
    known.mends = Math.min(known.mends, m.mends);
    known.covered *= m.covered;
    known.lacks = [...new Set([...known.lacks, ...m.lacks])];
    known.below ||= m.below;
    known.hoursSaved += m.hoursSaved;
    known.hoursLeft += m.hoursLeft;
  }
  return out;
}
