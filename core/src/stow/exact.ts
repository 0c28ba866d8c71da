import { MilpBuilder, type Solve } from '../ground/milp.js';
import type { Cut, StowProblem } from './stowProblem.js';

/**
 * The assignment as a whole-number programme, over the bins that are still open: every unit in one bin or loose; weight, room and slots; sharp
 * apart from what is pierced; sets that do not pack; |side| and further places of a group as columns of their own.
 * @returns `infeasible` where nothing is left in the open bins; null where the solver stopped with nothing, which proves nothing
 */
export function solveStow(
  p: StowProblem,
  open: readonly (readonly boolean[])[],
  cuts: readonly Cut[],
  solve: Solve,
): { where: number[]; bound: number; proven: boolean } | 'infeasible' | null {
  const m = new MilpBuilder();
  const columns = p.units.map((_, u) =>
    p.fixed[u]! >= 0
      ? []
      : [...p.bins.keys(), p.loose].flatMap((bin) =>
          Number.isFinite(p.cost[u]![bin]!) && (bin === p.loose || open[u]![bin])
            ? [{ bin, column: m.column(p.cost[u]![bin]!, 1, true) }]
            : [],
        ),
  );
  const isFixed = (u: number) => p.fixed[u]! >= 0;
  const placeOf = (bin: number) => (bin === p.loose ? -1 : p.bins[bin]!.place);
  const free = p.units.flatMap((_, u) => (isFixed(u) ? [] : [u]));
  const fixed = p.units.flatMap((_, u) => (isFixed(u) ? [u] : []));
  const fixedIn = (k: number) => fixed.filter((u) => placeOf(p.fixed[u]!) === k);
  /** Terms of the free units in a place, each with a figure of its own. */
  const inPlace = (k: number, of: (u: number) => number): [number, number][] =>
    free.flatMap((u) =>
      columns[u]!.filter((c) => placeOf(c.bin) === k).map((c): [number, number] => [c.column, of(u)]),
    );
  let constant = fixed.reduce(
    (s, u) => s + (Number.isFinite(p.cost[u]![p.fixed[u]!]!) ? p.cost[u]![p.fixed[u]!]! : 0),
    0,
  );
  for (const u of free)
    m.row(
      columns[u]!.map((c) => [c.column, 1]),
      1,
      1,
    );
  p.places.forEach((_, k) => {
    const here = fixedIn(k);
    const rest = (has: number, of: (u: number) => number) => Math.max(0, has - here.reduce((s, u) => s + of(u), 0));
    m.row(
      inPlace(k, (u) => p.mass[u]!),
      -Infinity,
      rest(p.bears[k]!, (u) => p.mass[u]!) + 1e-6,
    );
    if (Number.isFinite(p.roomIn[k]!))
      m.row(
        inPlace(k, (u) => p.room[u]![k]!),
        -Infinity,
        rest(p.roomIn[k]!, (u) => p.room[u]![k]!) + 1e-6,
      );
    if (p.parted[k]) return;
    const sharp = inPlace(k, (u) => Number(p.sharp[u])).filter(([, c]) => c > 0);
    const pierced = inPlace(k, (u) => Number(p.pierced[u])).filter(([, c]) => c > 0);
    if (here.some((u) => p.sharp[u])) for (const t of pierced) m.row([t], -Infinity, 0);
    if (here.some((u) => p.pierced[u])) for (const t of sharp) m.row([t], -Infinity, 0);
    if (sharp.length === 0 || pierced.length === 0) return;
    const blades = m.column(0, 1, true);
    for (const [c] of sharp)
      m.row(
        [
          [c, 1],
          [blades, -1],
        ],
        -Infinity,
        0,
      );
    for (const [c] of pierced)
      m.row(
        [
          [c, 1],
          [blades, 1],
        ],
        -Infinity,
        1,
      );
  });
  p.bins.forEach((b, bin) => {
    if (!Number.isFinite(b.count)) return;
    const taken = fixed.filter((u) => p.fixed[u] === bin).length;
    const terms = free.flatMap((u) =>
      columns[u]!.filter((c) => c.bin === bin).map((c): [number, number] => [c.column, 1]),
    );
    m.row(terms, -Infinity, Math.max(0, b.count - taken));
  });
  if (p.sideCost > 0) {
    const before = p.sideBefore + fixed.reduce((s, u) => s + p.mass[u]! * p.y[placeOf(p.fixed[u]!)]!, 0);
    const [left, right] = [m.column(p.sideCost, Infinity, false), m.column(p.sideCost, Infinity, false)];
    const terms = p.places.flatMap((_, k) => inPlace(k, (u) => p.mass[u]! * p.y[k]!));
    m.row([...terms, [left, -1], [right, 1]], -before, -before);
  }
  p.spread.forEach((cost, g) => {
    if (cost === 0) return;
    const members = free.filter((u) => p.group[u] === g);
    const begun = new Set(fixed.filter((u) => p.group[u] === g).map((u) => placeOf(p.fixed[u]!)));
    if (members.length + begun.size < 2) return;
    constant += cost * Math.max(0, begun.size - 1);
    const used = p.places.flatMap((_, k) => {
      const terms = inPlace(k, (u) => Number(p.group[u] === g)).filter(([, c]) => c > 0);
      if (terms.length === 0 || begun.has(k)) return [];
      const y = m.column(0, 1, true);
      for (const [c] of terms)
        m.row(
          [
            [c, 1],
            [y, -1],
          ],
          -Infinity,
          0,
        );
      return [y];
    });
    if (used.length === 0) return;
    // Further places: all but the first, or all where the rider's own choices opened one already.
    const further = m.column(cost, Infinity, false);
    m.row([[further, 1], ...used.map((y): [number, number] => [y, -1])], begun.size > 0 ? 0 : -1);
  });
  for (const { place, units } of cuts) {
    const already = units.filter((u) => isFixed(u) && placeOf(p.fixed[u]!) === place).length;
    const loose = units.filter((u) => !isFixed(u));
    const terms = loose.flatMap((u) =>
      columns[u]!.filter((c) => placeOf(c.bin) === place).map((c): [number, number] => [c.column, 1]),
    );
    m.row(terms, -Infinity, units.length - 1 - already);
  }
  const answer = solve(m.model);
  if (answer.status === 'infeasible') return 'infeasible';
  if (answer.status === 'unknown') return null;
  const where = p.units.map((_, u) =>
    isFixed(u) ? p.fixed[u]! : (columns[u]!.find((c) => answer.values[c.column]! > 0.5)?.bin ?? p.loose),
  );
  return { where, bound: answer.bound + constant, proven: answer.status === 'optimal' };
}
