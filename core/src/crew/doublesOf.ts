import type { CrewAnswer } from './told.js';

/** Something that several carry: who, and whether each needs their own. */
export interface Double {
  item: string;
  name: string;
  /** Numbers of carriers, with how many each has and for what kind of group they need it: apart, alone or all together. */
  by: { carrier: number; count: number; for: ('alone' | 'part' | 'all')[] }[];
  /** Grams of one. */
  mass: number;
  /** Whether nothing hangs on one of them: it could go. */
  canGo: boolean;
}

/** What is carried more than once, the heaviest first, with why: a double on which nothing hangs can go, the others should not. */
export function doublesOf(answer: CrewAnswer): Double[] {
  const kinds = new Map(answer.groups.map((g) => [g.key, g.kind]));
  const by = new Map<string, Double>();
  for (const c of answer.carriers)
    for (const t of c.tokens) {
      if (!t.item.startsWith('piece ')) continue;
      const known = by.get(t.item) ?? { item: t.item, name: t.name, by: [], mass: t.mass / t.count, canGo: false };
      const reasons = [...new Set(t.why.flatMap((g) => kinds.get(g.group) ?? []))];
      known.by.push({ carrier: c.number, count: t.count, for: reasons });
      known.canGo ||= reasons.length === 0;
      by.set(t.item, known);
    }
  return [...by.values()]
    .filter((d) => d.by.reduce((n, x) => n + x.count, 0) > 1)
    .sort((a, b) => b.mass - a.mass || (a.name < b.name ? -1 : 1));
}
