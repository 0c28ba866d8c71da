import { blended, greatestShare, loads, type Assignment } from './assignment.js';
import type { CrewCase } from './crewCase.js';
import { gapKey, judgeCrew, type Gap, type Judged } from './judge.js';

/** A thing that is carried: `piece <id>` or `spare <key of its stock>`. */
export type Item = string;

/**
 * Number of the piece that an item stands for; −1 for spares.
 * @returns number among the pieces, from 0; −1 for spares
 */
export const pieceOf = (c: CrewCase, item: Item): number => c.problem.pieces.findIndex((p) => item === `piece ${p.id}`);
/** Key of the stock that an item stands for. */
export const stockKey = (item: Item): string => item.replace(/^spare /u, '');

/**
 * The same sharing with one thing handed from one carrier to another.
 * @param from carrier number; −1 for at home
 * @param to carrier number; −1 for at home
 */
export function moved(c: CrewCase, a: Assignment, item: Item, from: number, to: number, count = 1): Assignment {
  const shift = (by: readonly number[]): number[] => {
    const n = from < 0 ? count : Math.min(count, by[from] ?? 0);
    return by.map((x, r) => x + (r === to ? n : 0) - (r === from ? n : 0));
  };
  const p = pieceOf(c, item);
  if (p >= 0) return { ...a, pieces: a.pieces.map((by, i) => (i === p ? shift(by) : by)) };
  const key = stockKey(item);
  const stock = new Map(a.stock);
  stock.set(key, shift(stock.get(key) ?? c.carriers.map(() => 0)));
  return { ...a, stock };
}

/** What a change of who carries what does. */
export interface Effect {
  /** Grams more that all carry together. */
  mass: number;
  /** How much the greatest share grows, as a share. */
  share: number;
  /** The same in the blend that the crew asked for, grams. */
  cost: number;
  /** What can no longer be done, and what can be done again. */
  lost: Gap[];
  won: Gap[];
  /** Carriers over their limits that were not, by number. */
  over: number[];
}

/** What a change does, against what was judged before. */
export function effectOf(
  c: CrewCase,
  before: Assignment,
  after: Assignment,
  judged: Judged = judgeCrew(c, before),
): Effect {
  const now = judgeCrew(c, after);
  const had = new Set(judged.gaps.map(gapKey));
  const has = new Set(now.gaps.map(gapKey));
  const masses = (a: Assignment) => loads(c, a).map((l) => l.mass);
  const sum = (list: readonly number[]) => list.reduce((s, m) => s + m, 0);
  const [m0, m1] = [masses(before), masses(after)];
  const wasOver = new Set(judged.over.map((o) => o.carrier));
  return {
    mass: sum(m1) - sum(m0),
    share: greatestShare(c, m1) - greatestShare(c, m0),
    cost: blended(c, after) - blended(c, before),
    lost: now.gaps.filter((g) => !had.has(gapKey(g))),
    won: judged.gaps.filter((g) => !has.has(gapKey(g))),
    over: now.over.map((o) => o.carrier).filter((r) => !wasOver.has(r)),
  };
}
