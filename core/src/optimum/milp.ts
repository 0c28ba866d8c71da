import { addTask, leastCopies, MilpBuilder, type Solve } from '../cover/index.js';
import { BAG_FILL, boxVolume } from '../tools/index.js';
import { frontier } from './curve.js';
import type { KitProblem } from './problem.js';
import { massOfMends, type StockedMend } from './slots.js';

/** Values are solved in thousandths, so that the solver's own tolerance does not decide. */
const SCALE = 1000;

/** A kit found by the general solver, with how far from proven it is. */
export interface Most {
  counts: number[];
  stocked: StockedMend[];
  value: number;
  bound: number;
  proven: boolean;
  gap: number;
}

/**
 * The most that a kit saves under limits of mass, bulk and price at once, stated whole for a general solver: pieces are whole numbers, a way is
 * there when all it hangs on is, each mend is done by at most one way.
 */
export function mostUnder(problem: KitProblem, solve: Solve): Most {
  const { pieces, requirements, asks, question } = problem;
  const b = new MilpBuilder();
  const x = pieces.map((p) => b.column(0, p.mark === 'never' ? 0 : Math.min(p.count, 8), true, leastCopies(p)));
  const shared = new Map<string, number>();
  // Whether each requirement is met: one where its sets allow.
  const met = requirements.map((r) => {
    const d = b.column(0, 1, true);
    if ('does' in r.by) {
      const { does, count } = r.by;
      b.row(
        [
          ...pieces.flatMap((p, i): [number, number][] => (p.functions.includes(does) ? [[x[i]!, 1]] : [])),
          [d, -count],
        ],
        0,
      );
    } else if (r.by.any) {
      // One of several heads: by sets of copies.
      const terms: [number, number][] = [[d, -1]];
      for (const set of r.sets) {
        const w = b.column(0, 1, true);
        terms.push([w, 1]);
        const need = new Map<number, number>();
        for (const i of set) need.set(problem.items.owner[i]!, (need.get(problem.items.owner[i]!) ?? 0) + 1);
        for (const [p, n] of need)
          b.row(
            [
              [x[p]!, 1],
              [w, -n],
            ],
            0,
          );
      }
      b.row(terms, 0);
    } else addTask(b, r.by.head, x, shared, d);
    return d;
  });
  const limits: [number[], number][] = [];
  const columns: { column: number; mend: StockedMend; mass: number; bulk: number; price: number }[] = [];
  asks.forEach((ask, a) => {
    const there = ask.ways.map((w) => {
      const y = b.column(0, 1, w.supplies.length > 0);
      for (const n of w.requires)
        b.row(
          [
            [met[n]!, 1],
            [y, -1],
          ],
          0,
        );
      return y;
    });
    const rows = [...ask.tails.map((p, j) => ({ p, j })), ...(ask.rest > 0 ? [{ p: ask.rest, j: -1 }] : [])];
    for (const { p, j } of rows) {
      const one: [number, number][] = [];
      ask.ways.forEach((w, k) => {
        if (j < 0 && w.supplies.length > 0) return;
        const gain = p * w.gain;
        if (gain <= 0) return;
        const z = b.column(-gain * SCALE, 1, true);
        one.push([z, 1]);
        b.row(
          [
            [there[k]!, 1],
            [z, -1],
          ],
          0,
        );
        if (w.supplies.length > 0)
          columns.push({
            column: z,
            mend: { ask: a, mend: j, way: k },
            mass: massOfMends(ask, w, j + 1) - massOfMends(ask, w, j),
            bulk: w.bulk / BAG_FILL,
            price: w.price,
          });
      });
      if (one.length > 0) b.row(one, -Infinity, 1);
    }
  });
  limits.push([pieces.map((p) => p.mass), question.mass]);
  if (question.bulk !== null) limits.push([pieces.map((p) => boxVolume(p) / BAG_FILL), question.bulk]);
  if (question.price !== null) limits.push([pieces.map((p) => p.price), question.price]);
  limits.forEach(([of, limit], which) => {
    const name = which === 0 ? 'mass' : question.bulk !== null && which === 1 ? 'bulk' : 'price';
    b.row(
      [...of.map((c, i): [number, number] => [x[i]!, c]), ...columns.map((c): [number, number] => [c.column, c[name]])],
      -Infinity,
      limit,
    );
  });
  const answer = solve(b.model);
  if (answer.status === 'infeasible') {
    const least = pieces.map((p) => (p.mark === 'never' ? 0 : leastCopies(p)));
    return { counts: least, stocked: [], value: 0, bound: 0, proven: true, gap: 0 };
  }
  const value = -answer.objective / SCALE;
  // Where the solver ran out of time, the mass alone bounds what can be saved.
  const limit = Math.floor(question.mass);
  const bound =
    answer.status === 'optimal' ? value : frontier(problem, { most: limit, from: limit, solves: 40 }).bound[limit]!;
  return {
    counts: x.map((c) => Math.round(answer.values[c]!)),
    stocked: columns.filter((c) => answer.values[c.column]! > 0.5).map((c) => c.mend),
    value,
    bound,
    proven: answer.status === 'optimal',
    gap: answer.status === 'optimal' || value <= 0 ? 0 : (bound - value) / value,
  };
}
