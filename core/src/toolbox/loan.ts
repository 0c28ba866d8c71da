import { z } from 'zod';
import { id, name, note } from '../ground/fields.js';
import { line } from '../ground/text.js';
import type { Piece } from './tools/index.js';

/** Something lent or given on the way: until it is back or replaced it is missing from the next kit. */
export const loanSchema = z.strictObject({
  id,
  /** `piece <id>` or `spare <id of the row>`. */
  item: line(80).min(1),
  /** What it was called then. */
  name,
  count: z.int().min(1).max(1000),
  to: line(120),
  date: z.iso.date(),
  /** How it was settled, and when; null while it is missing. */
  settled: z.strictObject({ how: z.enum(['back', 'replaced', 'gone']), date: z.iso.date() }).nullable(),
  note,
});
export type Loan = z.infer<typeof loanSchema>;

/** So many of each item that are lent and not back. */
export function lentOut(loans: readonly Pick<Loan, 'item' | 'count' | 'settled'>[]): Map<string, number> {
  const out = new Map<string, number>();
  for (const l of loans) if (l.settled === null) out.set(l.item, (out.get(l.item) ?? 0) + l.count);
  return out;
}

/** What can be at hand: tools and spares, and what was lent of them. */
export interface Lendable {
  pieces: Piece[];
  supplies: { id: string; quantity: number }[];
  loans: Loan[];
}

/**
 * The same garage without what is lent and not back, and with no loan any more, so that none is taken off twice: what the next kit is made from. With
 * nothing lent it is the very same object, so that what was worked out from it stays good.
 */
export function atHand<T extends Lendable>(doc: T): T {
  const lent = lentOut(doc.loans);
  if (lent.size === 0) return doc;
  const left = (item: string, n: number) => n - Math.min(n, lent.get(item) ?? 0);
  return {
    ...doc,
    pieces: doc.pieces.map((p) => ({ ...p, count: left(`piece ${p.id}`, p.count) })).filter((p) => p.count > 0),
    supplies: doc.supplies.map((s) => ({ ...s, quantity: left(`spare ${s.id}`, s.quantity) })),
    loans: [],
  };
}
