import { MilpBuilder, type CoverProblem, type Solve } from '@necessaire/core';

/** The same choice with every chain spelled out as a variable of its own: the plain statement that the factored one is measured against. */
export function enumerated(problem: CoverProblem, solve: Solve): number {
  const b = new MilpBuilder();
  const x = problem.pieces.map((p) =>
    b.column(Math.round(p.mass * 10), p.mark === 'never' ? 0 : p.count, true, p.mark === 'always' ? 1 : 0),
  );
  for (const task of problem.tasks) {
    const uses = new Map<number, [number, number][]>();
    for (const end of task.ends) {
      const cover: [number, number][] = [];
      for (const { last, rest } of end) {
        const chain = b.column(0, 1, true);
        cover.push([chain, 1]);
        for (const [p, n] of [...rest, [last, 1] as const])
          if (task.ends.length === 1)
            b.row(
              [
                [x[p]!, 1],
                [chain, -n],
              ],
              0,
            );
          else uses.set(p, [...(uses.get(p) ?? []), [chain, -n]]);
      }
      b.row(cover, 1);
    }
    for (const [p, terms] of uses) b.row([[x[p]!, 1], ...terms], 0);
  }
  const solved = solve(b.model);
  if (solved.status !== 'optimal') return Number.NaN;
  return problem.pieces.reduce((s, p, i) => s + Math.round(solved.values[x[i]!]!) * p.mass, 0);
}
