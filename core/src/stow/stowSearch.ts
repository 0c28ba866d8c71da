import { at, Matrix, Vector } from '../ground/numbers.js';
import { costOf, mayGo, type Cut, type StowProblem } from './stowProblem.js';

/** An assignment that is being changed, with the sums that its rules and its cost hang on. */
class State {
  private readonly bins: Vector;
  private readonly mass: Vector;
  private readonly room: Vector;
  private readonly count: Vector;
  private readonly sharp: Vector;
  private readonly pierced: Vector;
  /** Units of a group in a place, and places that it lies in. */
  private readonly ofGroup: Matrix;
  private readonly spreadOver: Vector;
  private readonly inCut: Vector;
  private readonly cutsOf: number[][];
  side: number;

  constructor(
    readonly p: StowProblem,
    private readonly cuts: readonly Cut[],
  ) {
    const [places, groups] = [p.places.length, p.groupNames.length];
    this.bins = Vector.filled(p.units.length, p.loose);
    this.mass = Vector.filled(places);
    this.room = Vector.filled(places);
    this.count = Vector.filled(p.bins.length);
    this.sharp = Vector.filled(places);
    this.pierced = Vector.filled(places);
    this.ofGroup = new Matrix(groups, places);
    this.spreadOver = Vector.filled(groups);
    this.inCut = Vector.filled(cuts.length);
    this.cutsOf = p.units.map((_, u) => cuts.flatMap((c, i) => (c.units.includes(u) ? [i] : [])));
    this.side = p.sideBefore;
    p.units.forEach((_, u) => {
      if (p.fixed.at(u) >= 0) this.move(u, p.fixed.at(u));
    });
  }
  /** Bin of a unit. */
  binOf(u: number): number {
    return this.bins.at(u);
  }
  /** Bin of each unit. */
  where(): number[] {
    return this.bins.toArray();
  }
  isLoose(u: number): boolean {
    return this.bins.at(u) === this.p.loose;
  }

  /** Puts a unit into a bin, whatever the rules say. */
  move(u: number, bin: number): void {
    this.shift(u, this.bins.at(u), -1);
    this.bins.set(u, bin);
    this.shift(u, bin, 1);
  }
  private shift(u: number, bin: number, by: 1 | -1): void {
    const { p } = this;
    if (bin === p.loose) return;
    const k = p.placeOf.at(bin);
    this.count.add(bin, by);
    this.mass.add(k, by * p.mass.at(u));
    this.room.add(k, by * p.room.at(u, k));
    this.side += by * p.mass.at(u) * p.y.at(k);
    if (p.sharp[u]) this.sharp.add(k, by);
    if (p.pierced[u]) this.pierced.add(k, by);
    for (const c of at(this.cutsOf, u)) if (at(this.cuts, c).place === k) this.inCut.add(c, by);
    const g = p.group.at(u);
    if (g < 0) return;
    this.ofGroup.add(g, k, by);
    if (by === 1 && this.ofGroup.at(g, k) === 1) this.spreadOver.add(g, 1);
    if (by === -1 && this.ofGroup.at(g, k) === 0) this.spreadOver.add(g, -1);
  }

  /** Whether a loose unit may go into a bin. */
  takes(u: number, bin: number): boolean {
    const { p } = this;
    if (bin === p.loose) return true;
    if (!mayGo(p, u, bin)) return false;
    const k = p.placeOf.at(bin);
    if (this.count.at(bin) >= at(p.bins, bin).count) return false;
    if (this.mass.at(k) + p.mass.at(u) > p.bears.at(k) + 1e-9) return false;
    if (this.room.at(k) + p.room.at(u, k) > p.roomIn.at(k) + 1e-9) return false;
    const meets = (p.sharp[u] && this.pierced.at(k) > 0) || (p.pierced[u] && this.sharp.at(k) > 0);
    if (!p.parted[k] && meets) return false;
    return at(this.cutsOf, u).every((c) => {
      const { place, units } = at(this.cuts, c);
      return place !== k || this.inCut.at(c) + 1 < units.length;
    });
  }

  /** What a loose unit adds to the cost in a bin. */
  adds(u: number, bin: number): number {
    const { p } = this;
    const own = p.cost.at(u, bin);
    if (bin === p.loose) return own;
    const k = p.placeOf.at(bin);
    const g = p.group.at(u);
    const opens = g >= 0 && this.ofGroup.at(g, k) === 0 && this.spreadOver.at(g) > 0;
    const moment = Math.abs(this.side + p.mass.at(u) * p.y.at(k)) - Math.abs(this.side);
    return own + (opens ? p.spread.at(g) : 0) + p.sideCost * moment;
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

/** Moves each unit to where it is cheapest. Says whether anything was gained. */
function moveSingles(s: State, free: readonly number[]): boolean {
  let gained = false;
  for (const u of free) {
    const from = s.binOf(u);
    s.move(u, s.p.loose);
    const now = s.takes(u, from) ? s.adds(u, from) : Infinity;
    const best = s.best(u);
    const better = best.cost < now - 1e-6;
    s.move(u, better ? best.bin : from);
    gained ||= better;
  }
  return gained;
}

/** Two units change places, or the one makes room for the other and goes elsewhere. Says whether it was done. */
function exchange(s: State, u: number, v: number): boolean {
  const [a, b] = [s.binOf(u), s.binOf(v)];
  s.move(u, s.p.loose);
  s.move(v, s.p.loose);
  let now = s.adds(u, a);
  s.move(u, a);
  now += s.adds(v, b);
  s.move(u, s.p.loose);
  if (s.takes(u, b)) {
    const first = s.adds(u, b);
    s.move(u, b);
    const second = s.best(v);
    if (first + second.cost < now - 1e-6) {
      s.move(v, second.bin);
      return true;
    }
  }
  s.move(u, a);
  s.move(v, b);
  return false;
}

/** Exchanges pairs from which something may be gained. Says whether anything was. */
function movePairs(s: State, free: readonly number[]): boolean {
  const { p } = s;
  const least = p.units.map((_, u) => Math.min(...p.cost.row(u)));
  const widest = p.places.reduce((m, _, k) => Math.max(m, Math.abs(p.y.at(k))), 0);
  /** More than places of one group and balance could ever give back. */
  const slack = (u: number) =>
    (p.group.at(u) >= 0 ? p.spread.at(p.group.at(u)) : 0) + 2 * p.sideCost * p.mass.at(u) * widest;
  let gained = false;
  free.forEach((u, i) => {
    for (const v of free.slice(i + 1)) {
      const [a, b] = [s.binOf(u), s.binOf(v)];
      if (a === b) continue;
      const gain = p.cost.at(u, a) + p.cost.at(v, b) - p.cost.at(u, b) - at(least, v);
      if (gain + slack(u) + slack(v) > 0 && exchange(s, u, v)) gained = true;
    }
  });
  return gained;
}

/** Moves single units, then pairs if asked, as long as something is gained. */
function improve(s: State, free: readonly number[], pairs: boolean): void {
  while (moveSingles(s, free) || (pairs && movePairs(s, free)));
}

/** Whole numbers less than `n`, the same on every machine. */
function fixedChance(): (n: number) => number {
  let seed = 987654321;
  return (n) => (seed = (seed * 1103515245 + 12345) % 2147483648) % n;
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
  const free = p.units.flatMap((_, u) => (p.fixed.at(u) < 0 ? [u] : []));
  // Fewest places that take it, then the heaviest.
  const choices = p.units.map((_, u) => p.cost.row(u).slice(0, -1).filter(Number.isFinite).length);
  const order = [...free].sort((a, b) => at(choices, a) - at(choices, b) || p.mass.at(b) - p.mass.at(a) || a - b);
  for (const u of order) {
    const given = options.from?.[u];
    if (given !== undefined && given < p.loose && s.takes(u, given)) s.move(u, given);
  }
  for (const u of order) if (s.isLoose(u)) s.move(u, s.best(u).bin);
  improve(s, free, false);
  const now = () => ({ where: s.where(), cost: costOf(p, s.where()) });
  let best = now();
  const random = fixedChance();
  for (let round = 0; round < options.rounds && free.length > 1; round++) {
    const many = 2 + random(Math.min(6, free.length));
    const out = new Set(Array.from({ length: many }, () => at(free, random(free.length))));
    for (const u of out) s.move(u, p.loose);
    for (const u of [...out].sort(() => random(3) - 1)) s.move(u, s.best(u).bin);
    improve(s, free, false);
    const found = now();
    if (found.cost < best.cost - 1e-6) best = found;
    else
      best.where.forEach((bin, u) => {
        if (s.binOf(u) !== bin) s.move(u, bin);
      });
  }
  improve(s, free, true);
  const last = now();
  return last.cost < best.cost - 1e-6 ? last : best;
}
