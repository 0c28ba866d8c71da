import fc from 'fast-check';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { MilpBuilder, type Milp, type Solve } from '@necessaire/core';
import { loadSolver, lpText } from './index.js';

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

describe('the programme as text', () => {
  test('columns, rows with one or two bounds, whole numbers', () => {
    const b = new MilpBuilder();
    const [x, y] = [b.column(3, 2, true), b.column(0, 1, false)];
    b.row(
      [
        [x, 1],
        [y, -1],
      ],
      0,
    );
    b.row(
      [
        [x, 1],
        [x, 1],
        [y, 2],
      ],
      1,
      4,
    );
    b.row(
      [
        [x, 1],
        [x, -1],
      ],
      0,
    );
    expect(b.model.rows).toHaveLength(2);
    const text = lpText(b.model);
    expect(text).toContain('obj: + 3 x0');
    expect(text).toContain('r0: + 1 x0 - 1 x1 >= 0');
    expect(text).toContain('r1: + 2 x0 + 2 x1 >= 1');
    expect(text).toContain('r2: + 2 x0 + 2 x1 <= 4');
    expect(text).toContain('0 <= x0 <= 2');
    expect(text).toMatch(/General\nx0\nEnd$/);
  });
});

describe('answers', () => {
  test('nothing to choose, and nothing that can be chosen', () => {
    expect(solve({ columns: [], rows: [] })).toMatchObject({ status: 'optimal', objective: 0 });
    const b = new MilpBuilder();
    b.row([[b.column(1, 1, true), 1]], 2);
    expect(solve(b.model).status).toBe('infeasible');
  });
  test('agree with trying every whole choice', () => {
    const programme = fc
      .record({
        costs: fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 2, maxLength: 6 }),
        rows: fc.array(
          fc.record({
            pick: fc.array(fc.boolean(), { minLength: 6, maxLength: 6 }),
            least: fc.integer({ min: 1, max: 3 }),
          }),
          { minLength: 1, maxLength: 5 },
        ),
      })
      .map(({ costs, rows }): Milp => ({
        columns: costs.map((cost) => ({ cost, lower: 0, upper: 2, integer: true })),
        rows: rows
          .map(({ pick, least }) => ({
            terms: costs.flatMap((_, i): [number, number][] => (pick[i] ? [[i, 1]] : [])),
            lower: least,
            upper: Infinity,
          }))
          .filter((r) => r.terms.length > 0),
      }));
    fc.assert(
      fc.property(programme, (model) => {
        let best = Infinity;
        const values = model.columns.map(() => 0);
        const go = (i: number) => {
          if (i === values.length) {
            const ok = model.rows.every((r) => r.terms.reduce((s, [c, k]) => s + k * values[c]!, 0) >= r.lower);
            if (ok)
              best = Math.min(
                best,
                model.columns.reduce((s, c, j) => s + c.cost * values[j]!, 0),
              );
            return;
          }
          for (let v = 0; v <= 2; v++) {
            values[i] = v;
            go(i + 1);
          }
        };
        go(0);
        const answer = solve(model);
        if (best === Infinity) expect(answer.status).toBe('infeasible');
        else expect(answer.objective).toBeCloseTo(best, 6);
      }),
      { numRuns: 60 },
    );
  });
});

describe('a search that is too long', () => {
  /** Thirty things split so that three sums of each half are as near as can be: little bounds it, so that the tree is very large. */
  function split(): Milp {
    const b = new MilpBuilder();
    const columns = Array.from({ length: 30 }, () => b.column(0, 1, true));
    for (let r = 0; r < 3; r++) {
      const sizes = columns.map((_, i) => ((i * 7919 + r * 104_729 + i * i * 31) % 99_991) + 1);
      const half = Math.floor(sizes.reduce((x, y) => x + y, 0) / 2);
      const [over, under] = [b.column(1, 1e7, false), b.column(1, 1e7, false)];
      b.row([...columns.map((c, i) => [c, sizes[i]!] as [number, number]), [over, -1], [under, 1]], half, half);
    }
    return { ...b.model, within: 0.01 };
  }
  test('ends by the work that is counted, not by the clock: the same each time, and not called proven', async () => {
    const short = await loadSolver(undefined, 36 * 40);
    const first = short(split());
    expect(first.status).not.toBe('optimal');
    // A machine that is busy, as one is that solves something else between, does not change it.
    expect(solve(split()).objective).toBeLessThanOrEqual(first.objective);
    expect(short(split())).toEqual(first);
  });
});
