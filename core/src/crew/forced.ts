import { at } from '../ground/numbers.js';
import { leastCopies } from '../toolbox/cover/index.js';
import type { Assignment } from './assignment.js';
import type { CrewCase } from './crewCase.js';

/** What is carried already and stays: least copies of pieces and units of stocks by carrier. */
export type Floor = Pick<Assignment, 'pieces' | 'stock'>;

/**
 * Copies of a piece that can be carried at most.
 * @param p number of the piece
 * @returns copies, 0 to 8
 */
export const mostCopies = (c: CrewCase, p: number): number => {
  const piece = at(c.problem.pieces, p);
  return piece.mark === 'never' ? 0 : Math.min(piece.count, 8);
};

/**
 * What somebody carries in any case: what is marked so by its owner, what the rider decided, and what is carried already. Where that is more than
 * there is, whoever comes first has it.
 */
export function forced(c: CrewCase, floor: Floor | null): Floor {
  const by = (item: string, r: number) =>
    c.crew.fixed.reduce((n, f) => (f.item === item && f.by === at(c.carriers, r).key ? Math.max(n, f.count) : n), 0);
  const pieces = c.problem.pieces.map((p, i) => {
    const always = leastCopies(p);
    let left = mostCopies(c, i);
    return c.carriers.map((_, r) => {
      if (c.absent.has(r)) return 0;
      const own = always > 0 && c.of[i]?.[0]?.member === r ? always : 0;
      const n = Math.min(left, Math.max(floor?.pieces[i]?.[r] ?? 0, own, by(`piece ${p.id}`, r)));
      left -= n;
      return n;
    });
  });
  const kinds = new Set([
    ...(floor ? floor.stock.keys() : []),
    ...[...c.brings].flatMap(([kind, by]) => (by.some((n) => n > 0) ? [kind] : [])),
    ...c.crew.fixed.flatMap((f) => (f.item.startsWith('spare ') ? [f.item.slice(6)] : [])),
  ]);
  const stock = new Map(
    [...kinds].map((kind) => [
      kind,
      c.carriers.map((_, r) =>
        c.absent.has(r)
          ? 0
          : Math.max(floor?.stock.get(kind)?.[r] ?? 0, c.brings.get(kind)?.[r] ?? 0, by(`spare ${kind}`, r)),
      ),
    ]),
  );
  return { pieces, stock };
}

/**
 * Copies of a piece that the rider leaves at home, and whether a stock is.
 * @returns copies; for a stock 1 where it stays at home, else 0
 */
export const atHome = (c: CrewCase, item: string): number =>
  c.crew.fixed.reduce((n, f) => (f.item === item && f.by === 'home' ? Math.max(n, f.count) : n), 0);
