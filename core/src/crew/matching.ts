import { printShape } from '../ground/sizes/index.js';
import { compareFits } from '../repairs/supplies/index.js';
import type { Member } from './member.js';

/** A size of head over the bikes of a crew: how many fasteners of it each has. */
export interface SizeRow {
  size: string;
  form: string;
  counts: number[];
  /** How many bikes have it. */
  bikes: number;
}
/** One line of the fit sheets side by side. */
export interface FitRow {
  slot: string;
  says: { bikeId: string; reading: string }[];
  /** Whether all that wrote something down wrote the same. */
  same: boolean;
}
/** What is common to the bikes of a crew, and what is odd. */
export interface Matching {
  sizes: SizeRow[];
  fits: FitRow[];
}

/** Sizes of heads, and what spares must match, over all bikes: the common ones first, then those that only one bike has. */
export function matchingOf(members: readonly Member[]): Matching {
  const rows = new Map<string, SizeRow>();
  members.forEach((m, i) => {
    for (const f of m.fasteners) {
      if (f.leftOut !== null) continue;
      for (const head of f.far ? [f.head, f.far] : [f.head]) {
        const size = printShape(head);
        const row = rows.get(size) ?? { size, form: head.form, counts: members.map(() => 0), bikes: 0 };
        row.counts[i] = (row.counts[i] ?? 0) + f.count;
        rows.set(size, row);
      }
    }
  });
  const sizes = [...rows.values()].map((r) => ({ ...r, bikes: r.counts.filter((n) => n > 0).length }));
  const sum = (r: SizeRow) => r.counts.reduce((s, n) => s + n, 0);
  return {
    sizes: sizes.sort((a, b) => b.bikes - a.bikes || sum(b) - sum(a) || (a.size < b.size ? -1 : 1)),
    fits: compareFits(
      members.map((m) => m.bike),
      members.flatMap((m) => m.kinds),
    )
      .filter((f) => f.says.some((s) => s.reading !== ''))
      .map(({ line, says, same }) => ({ slot: line.slot, says, same })),
  };
}
