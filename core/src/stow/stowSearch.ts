import { costOf, type Cut, type StowProblem } from './stowProblem.js';

/** An assignment that is being changed, with the sums that its rules and its cost hang on. */
class State {
  readonly where: number[];
  private readonly mass: number[];
  private readonly room: number[];
  private readonly count: number[];
  private readonly sharp: number[];
  private readonly pierced: number[];
  private readonly ofGroup: number[][];
  private readonly spreadOver: number[];
  private readonly inCut: number[];
  private readonly cutsOf: number[][];
  side: number;

  constructor(
    readonly p: StowProblem,
    private readonly cuts: readonly Cut[],
  ) {
    this.where = p.units.map(() => p.loose);
    this.mass = p.places.map(() => 0);
    this.room = p.places.map(() => 0);
    this.count = p.bins.map(() => 0);
    this.sharp = p.places.map(() => 0);
    this.pierced = p.places.map(() => 0);
    this.ofGroup = p.spread.map(() => p.places.map(() => 0));
    this.spreadOver = p.spread.map(() => 0);
    this.inCut = cuts.map(() => 0);
    this.cutsOf = p.units.map((_, u) => cuts.flatMap((c, i) => (c.units.includes(u) ? [i] : [])));
    this.side = p.sideBefore;
    p.fixed.forEach((bin, u) => {
      if (bin >= 0) this.move(u, bin);
    });
  }

  /** Puts a unit into a bin, whatever the rules say. */
  move(u: number, bin: number): void {
    this.shift(u, this.where[u]!, -1);
    this.where[u] = bin;
    this.shift(u, bin, 1);
  }
  private shift(u: number, bin: number, by: 1 | -1): void {
    const { p } = this;
    if (bin === p.loose) return;
    const k = p.bins[bin]!.place;
    this.count[bin]! += by;
    this.mass[k]! += by * p.mass[u]!;
    this.room[k]! += by * p.room[u]![k]!;
    this.side += by * p.mass[u]! * p.y[k]!;
    if (p.sharp[u]) this.sharp[k]! += by;
    if (p.pierced[u]) this.pierced[k]! += by;
    for (const c of this.cutsOf[u]!) if (this.cuts[c]!.place === k) this.inCut[c]! += by;
    const g = p.group[u]!;
    if (g < 0) return;
    const here = this.ofGroup[g]!;
    here[k]! += by;
    if (by === 1 && here[k] === 1) this.spreadOver[g]!++;
    if (by === -1 && here[k] === 0) this.spreadOver[g]!--;
  }

  /** Whether a loose unit may go into a bin. */
  takes(u: number, bin: number): boolean {
    const { p } = this;
    if (bin === p.loose) return true;
    if (p.cost[u]![bin] === Infinity) return false;
    const { place: k, count } = p.bins[bin]!;
    if (this.count[bin]! >= count) return false;
    if (this.mass[k]! + p.mass[u]! > p.bears[k]! + 1e-9) return false;
    if (this.room[k]! + p.room[u]![k]! > p.roomIn[k]! + 1e-9) return false;
    if (!p.parted[k] && ((p.sharp[u] && this.pierced[k]! > 0) || (p.pierced[u] && this.sharp[k]! > 0))) return false;
    return this.cutsOf[u]!.every((c) => this.cuts[c]!.place !== k || this.inCut[c]! + 1 < this.cuts[c]!.units.length);
  }

  /** What a loose unit adds to the cost in a bin. */
  adds(u: number, bin: number): number {
    const { p } = this;
    const own = p.cost[u]![bin]!;
    if (bin === p.loose) return own;
    const k = p.bins[bin]!.place;
    const g = p.group[u]!;
    const spread = g >= 0 && this.ofGroup[g]![k] === 0 && this.spreadOver[g]! > 0 ? p.spread[g]! : 0;
    return own + spread + p.sideCost * (Math.abs(this.side + p.mass[u]! * p.y[k]!) - Math.abs(this.side));
  }
  best(u: number): { bin: number; cost: number } {
    let best = { bin: this.p.loose, cost: this.adds(u, this.p.loose) };
    for (let bin = 0; bin < this.p.loose; bin++) {
      if (!this.takes(u, bin)) continue;
      const cost = this.adds(u, bin);
      if (cost < best.cost - 1e-9) best = { bin, cost };
    }
    return best;
  }
}

/** Moves single units, then pairs if asked, as long as something is gained. */
function improve(s: State, free: readonly number[], pairs: boolean): void {
  const { p } = s;
  const least = p.cost.map((row) => Math.min(...row));
  const widest = Math.max(0, ...p.y.map(Math.abs));
  for (let again = true; again;) {
    again = false;
    for (const u of free) {
      const from = s.where[u]!;
      s.move(u, p.loose);
      const now = s.takes(u, from) ? s.adds(u, from) : Infinity;
      const best = s.best(u);
      const better = best.cost < now - 1e-6;
      s.move(u, better ? best.bin : from);
      again ||= better;
    }
    if (again || !pairs) continue;
    /** More than places of one group and balance could ever give back. */
    const slack = (u: number) => (p.group[u]! >= 0 ? p.spread[p.group[u]!]! : 0) + 2 * p.sideCost * p.mass[u]! * widest;
    // Two units change places, or the one makes room for the other and goes elsewhere.
    for (let i = 0; i < free.length; i++)
      for (let j = i + 1; j < free.length; j++) {
        const [u, v] = [free[i]!, free[j]!];
        const [a, b] = [s.where[u]!, s.where[v]!];
        if (a === b) continue;
        const gain = p.cost[u]![a]! + p.cost[v]![b]! - p.cost[u]![b]! - least[v]!;
        if (!(gain + slack(u) + slack(v) > 0)) continue;
        s.move(u, p.loose);
        s.move(v, p.loose);
        let now = s.adds(u, a);
        s.move(u, a);
        now += s.adds(v, b);
        s.move(u, p.loose);
        let swapped: number | null = null;
        if (s.takes(u, b)) {
          const first = s.adds(u, b);
          s.move(u, b);
          const second = s.best(v);
          if (first + second.cost < now - 1e-6) swapped = second.bin;
          else s.move(u, p.loose);
        }
        if (swapped !== null) {
          s.move(v, swapped);
          again = true;
        } else {
          s.move(u, a);
          s.move(v, b);
        }
      }
  }
}

/**
 * A good assignment that keeps all rules: the hardest to place first, then exchanges, then again from where a few units were taken out,
 * by a fixed seed. It promises the rules, not the least cost.
 * @param from an assignment to begin with; what of it breaks a rule is left out
 */
export function searchStow(
  p: StowProblem,
  cuts: readonly Cut[],
  options: { rounds: number; from?: readonly number[] | null },
): { where: number[]; cost: number } {
  const s = new State(p, cuts);
  const free = p.units.flatMap((_, u) => (p.fixed[u]! < 0 ? [u] : []));
  // Fewest places that take it, then the heaviest.
  const choices = p.cost.map((row) => row.slice(0, -1).filter(Number.isFinite).length);
  const order = [...free].sort((a, b) => choices[a]! - choices[b]! || p.mass[b]! - p.mass[a]! || a - b);
  for (const u of order) {
    const given = options.from?.[u];
    if (given !== undefined && given < p.loose && s.takes(u, given)) s.move(u, given);
  }
  for (const u of order) if (s.where[u] === p.loose) s.move(u, s.best(u).bin);
  improve(s, free, false);
  let best = { where: [...s.where], cost: costOf(p, s.where) };
  let seed = 987654321;
  const random = (n: number) => (seed = (seed * 1103515245 + 12345) % 2147483648) % n;
  const back = () =>
    best.where.forEach((bin, u) => {
      if (s.where[u] !== bin) s.move(u, bin);
    });
  for (let round = 0; round < options.rounds && free.length > 1; round++) {
    const out = new Set(Array.from({ length: 2 + random(Math.min(6, free.length)) }, () => free[random(free.length)]!));
    for (const u of out) s.move(u, p.loose);
    for (const u of [...out].sort(() => random(3) - 1)) s.move(u, s.best(u).bin);
    improve(s, free, false);
    const cost = costOf(p, s.where);
    if (cost < best.cost - 1e-6) best = { where: [...s.where], cost };
    else back();
  }
  improve(s, free, true);
  const cost = costOf(p, s.where);
  return cost < best.cost - 1e-6 ? { where: [...s.where], cost } : best;
}
