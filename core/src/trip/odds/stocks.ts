import { at } from '../../ground/numbers.js';
import { unitsTogether } from './counts.js';
import { demandPmf } from './poisson.js';
import type { StockDemand } from './exposure.js';
import { KNOWN, type SupplyBook } from '../../repairs/supplies/index.js';

/** What a stock is asked for, and how often it suffices, as a fact. */
export interface StockFact {
  code: 'stock.level';
  asked: { trouble: string; lambda: number; units: number }[];
  quantity: number;
  enough: number;
}
/** A stock at the kit's service level. */
export interface Stock {
  kind: string;
  quantity: number;
  /** P(demand ≤ quantity). */
  enough: number;
  /** Expected units used. */
  expected: number;
  mass: number;
  formula: StockFact;
}

/** Quantities that no rider would carry; a stock that reaches it stops growing. */
const MOST = 400;

/**
 * Quantities of all spares so that all suffice together at the service level: starting from none, stocks rise one by one where a gram
 * buys most −ln CDF until Π CDF ≥ q (docs/model.md, section 5). One q per piece is not a kit's q.
 * @param q the kit's service level, under 1
 */
export function stocksFor(demands: readonly StockDemand[], q: number, book: SupplyBook = KNOWN): Stock[] {
  const rows = demands.map(({ kind, demands: d }) => {
    const expected = d.reduce((s, x) => s + x.lambda * x.units, 0);
    const upTo = Math.min(MOST, Math.ceil(expected * 2 + 30));
    // Panjer's recursion where all counts are Poisson; with the own record in it, one convolution after the other.
    const pmf = d.every((x) => x.law.shape === null) ? demandPmf(d, upTo) : unitsTogether(d, upTo);
    let sum = 0;
    const cdf = pmf.map((p) => (sum += p));
    return { kind, expected, cdf, at: 0, unit: book.of(kind).mass, demands: d };
  });
  const together = () => rows.reduce((p, r) => p * at(r.cdf, r.at), 1);
  while (together() < q) {
    let best: { row: (typeof rows)[number]; to: number; worth: number } | null = null;
    for (const row of rows) {
      // A step that takes several units (two patches a flat) is bought whole, since a part of it buys nothing.
      for (let to = row.at + 1; to < row.cdf.length; to++) {
        const gain = Math.log(at(row.cdf, to)) - Math.log(at(row.cdf, row.at));
        if (gain <= 1e-12) continue;
        const worth = gain / (row.unit * (to - row.at));
        if (!best || worth > best.worth + 1e-15) best = { row, to, worth };
        break;
      }
    }
    if (!best) break;
    best.row.at = best.to;
  }
  return rows.map((r) => ({
    kind: r.kind,
    quantity: r.at,
    enough: at(r.cdf, r.at),
    expected: r.expected,
    mass: r.at * r.unit,
    formula: {
      code: 'stock.level',
      asked: r.demands.map((d) => ({ trouble: d.trouble.name, lambda: d.lambda, units: d.units })),
      quantity: r.at,
      enough: at(r.cdf, r.at),
    },
  }));
}

/**
 * The same spares for so many riders who stay together: each alone, and pooled over the group, where Λ adds over the bikes that can use a
 * spare (docs/model.md, section 5).
 * @param riders how many, from 1
 * @param q service level, 0 to 1
 */
export function pooled(
  demands: readonly StockDemand[],
  riders: number,
  q: number,
  book: SupplyBook = KNOWN,
): { kind: string; alone: number; together: number }[] {
  const alone = stocksFor(demands, q, book);
  const group = stocksFor(
    demands.map((d) => ({
      ...d,
      demands: d.demands.map((x) => ({
        ...x,
        lambda: x.lambda * riders,
        law: { mean: x.law.mean * riders, shape: x.law.shape === null ? null : x.law.shape * riders },
      })),
    })),
    q,
    book,
  );
  return alone.map((a, i) => ({ kind: a.kind, alone: a.quantity * riders, together: at(group, i).quantity }));
}

/**
 * Chance that no stock runs out: the product over all.
 * @returns 0 to 1; 1 where nothing is asked for
 */
export const allEnough = (stocks: readonly Stock[]): number => stocks.reduce((p, s) => p * s.enough, 1);
