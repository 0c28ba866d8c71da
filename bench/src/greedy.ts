import type { CoverProblem, Uses } from '@necessaire/core';

/** Every way to do a task as pieces with counts; for two ends, each pair of chains. */
function waysOf(task: CoverProblem['tasks'][number]): Uses[] {
  const whole = (uses: Uses, last: number): Map<number, number> => {
    const m = new Map(uses);
    m.set(last, (m.get(last) ?? 0) + 1);
    return m;
  };
  const near = task.ends[0]!.map((a) => whole(a.rest, a.last));
  if (task.ends.length === 1) return near.map((m) => [...m]);
  return near.flatMap((n) =>
    task.ends[1]!.map((f) => {
      const both = new Map(n);
      for (const [p, k] of whole(f.rest, f.last)) both.set(p, (both.get(p) ?? 0) + k);
      return [...both];
    }),
  );
}

/**
 * What a careful rider does by hand: go through the heads, take for each the way that adds the fewest grams to what is packed, then leave
 * out whatever turned out not to be needed.
 */
export function greedy(problem: CoverProblem): { mass: number; counts: number[] } {
  const { pieces } = problem;
  const ways = problem.tasks.map((t) => waysOf(t).filter((w) => w.every(([p, n]) => n <= pieces[p]!.count)));
  const least: number[] = pieces.map((p) => (p.mark === 'always' ? 1 : 0));
  const counts = [...least];
  const done = (w: Uses) => w.every(([p, n]) => counts[p]! >= n);
  const adds = (w: Uses) => w.reduce((s, [p, n]) => s + Math.max(0, n - counts[p]!) * pieces[p]!.mass, 0);
  for (const list of ways) {
    if (list.some(done)) continue;
    const best = list.reduce((a, b) => (adds(b) < adds(a) ? b : a));
    for (const [p, n] of best) counts[p] = Math.max(counts[p]!, n);
  }
  const heaviest = pieces.map((_, i) => i).sort((a, b) => pieces[b]!.mass - pieces[a]!.mass);
  for (const i of heaviest)
    while (counts[i]! > least[i]!) {
      counts[i]!--;
      if (ways.every((list) => list.some(done))) continue;
      counts[i]!++;
      break;
    }
  return { counts, mass: counts.reduce((s, n, i) => s + n * pieces[i]!.mass, 0) };
}
