import { at } from '../../ground/numbers.js';
import { PrizeProblem } from './prize.js';
import type { KitProblem } from './kitProblem.js';
import { slotsOf, stockCurve, type Slot } from './slots.js';
import { availableWays, demandsMet, toolMassOf, withinWorth } from './tools.js';

/** A set of tools that some point of the curve carries, with what stocks on top of it save. */
export interface CarriedTools {
  counts: number[];
  /** Grams of the tools, and of what is demanded beside them. */
  mass: number;
  /** Saved with no stocks but those, and the slots that stocks can fill. */
  free: number;
  slots: Slot[];
  /** For each ask, which of its ways it allows. */
  available: boolean[][];
  /** Saved beyond `free` by stocks of so many grams. */
  stocked: Float64Array;
  /** Whether it does all that is demanded, and keeps to what the tools may be worth. */
  allowed: boolean;
}

/** The most that a kit of each whole gram can save, as far as it is known: the best found and what none can beat. */
export interface Curve {
  /** Greatest limit looked at, grams. */
  most: number;
  /** Best found for each limit, and the tool set behind it (−1 where no kit is that light). */
  best: Float64Array;
  by: Int16Array;
  sets: CarriedTools[];
  /** What no kit of that limit exceeds. */
  bound: Float64Array;
  /** Greatest distance between the two, in what is saved. */
  gap: number;
  proven: boolean;
  /** Exact problems solved on the way. */
  solves: number;
}

/** A line that bounds a part of the search: saved ≤ at + slope·grams, and the kit that touches it. */
interface Line {
  slope: number;
  at: number;
  set: number;
  mass: number;
  value: number;
}
/** A part of the search: limits from `low` to `high`, with what is forced. */
interface Node {
  low: number;
  high: number;
  in: number[];
  out: number[];
  lines: Line[];
  /** Prices at which the search gave up. */
  failed: number[];
  bound: Float64Array;
}

export interface CurveOptions {
  /** Greatest limit, grams. */
  most: number;
  /** Only limits from here on matter; the whole curve by default. */
  from?: number;
  /** Problems solved at most. */
  solves?: number;
  /** Told what is known so far; returning false stops the search. */
  onProgress?: (curve: Curve) => boolean | void;
  /** Items that every kit has. */
  base?: readonly number[];
}

/** Distance that counts as none: a few seconds in hours, a cent in money. */
export const TOLERANCE = 1e-3;

/**
 * The frontier: exact tools at every price of a gram give the upper hull, the stocks on top of each set of tools are an exact knapsack for every
 * limit, and where hull and best found differ the tools are branched on, piece by piece, until they meet or the work is used up.
 */
export function frontier(problem: KitProblem, options: CurveOptions): Curve {
  return new FrontierSearch(problem, options).run();
}

class FrontierSearch {
  private readonly prize: PrizeProblem;
  private readonly curve: Curve;
  private readonly bySet = new Map<string, number>();
  private readonly from: number;
  private readonly limit: number;
  private stopped = false;

  constructor(
    private readonly problem: KitProblem,
    private readonly options: CurveOptions,
  ) {
    this.prize = new PrizeProblem(problem);
    const most = Math.max(1, Math.floor(options.most));
    this.from = Math.max(0, Math.floor(options.from ?? 0));
    this.limit = options.solves ?? 400;
    this.useful = new Set(problem.requirements.flatMap((r) => r.sets.flat()));
    this.curve = {
      most,
      best: new Float64Array(most + 1).fill(-Infinity),
      by: new Int16Array(most + 1).fill(-1),
      sets: [],
      bound: new Float64Array(most + 1).fill(Infinity),
      gap: Infinity,
      proven: false,
      solves: 0,
    };
  }

  /** Takes a set of tools into the curve. Returns its number. */
  private add(counts: number[]): number {
    const key = counts.join();
    const known = this.bySet.get(key);
    if (known !== undefined) return known;
    const { most, best, by, sets } = this.curve;
    const available = availableWays(this.problem, counts);
    const { slots, free, mass: demanded, met } = slotsOf(this.problem, available);
    const mass = toolMassOf(this.problem, counts) + demanded;
    const room = Math.floor(most - mass + 1e-9);
    const stocked = room >= 0 ? stockCurve(slots, room) : new Float64Array(0);
    const allowed = met && demandsMet(this.problem, counts) && withinWorth(this.problem, counts);
    const n = sets.push({ counts, mass, free, slots, available, stocked, allowed }) - 1;
    this.bySet.set(key, n);
    if (!allowed) return n;
    const start = Math.ceil(mass - 1e-9);
    for (let m = start; m <= most; m++) {
      const value = free + at(stocked, Math.floor(m - mass + 1e-9));
      if (value > at(best, m) + 1e-12) {
        best[m] = value;
        by[m] = n;
      }
    }
    return n;
  }

  private solveAt(node: Node, slope: number): boolean {
    if (this.curve.solves >= this.limit || this.stopped) return false;
    this.curve.solves++;
    const found = this.prize.solve(slope, node);
    // A search that gave up says nothing of this part.
    if (found === null) {
      node.failed.push(slope);
      return true;
    }
    if (found === 'infeasible') {
      // Nothing fits what is forced: this part is empty.
      node.bound.fill(-Infinity);
      return true;
    }
    node.lines.push({ slope, at: found.bound, set: this.add(found.counts), mass: found.mass, value: found.value });
    node.lines.sort((a, b) => a.mass - b.mass || b.slope - a.slope);
    for (let m = node.low; m <= node.high; m++) {
      const d = found.bound + slope * m;
      if (d < at(node.bound, m - node.low)) node.bound[m - node.low] = d;
    }
    return true;
  }

  /** Where a part promises the most beyond what is found, and how much. */
  private widest(node: Node): { at: number; gap: number } {
    const { best } = this.curve;
    let gapAt = -1;
    let gap = 0;
    for (let m = Math.max(node.low, this.from); m <= node.high; m++) {
      if (best[m] === -Infinity) continue;
      const d = at(node.bound, m - node.low) - at(best, m);
      if (d > gap) {
        gap = d;
        gapAt = m;
      }
    }
    return { at: gapAt, gap };
  }

  /** The kits on either side of a limit that touch a part's bound. */
  private beside(node: Node, gapAt: number): [Line | null, Line | null] {
    let left: Line | null = null;
    let right: Line | null = null;
    for (const l of node.lines)
      if (l.mass <= gapAt) left = l;
      else if (!right) right = l;
    return [left, right];
  }

  /** The price of a gram to try next at a limit: the slope of the chord between the kits beside it; null when it was tried. */
  private nextSlope(node: Node, gapAt: number): number | null {
    const [left, right] = this.beside(node, gapAt);
    const tried = (slope: number) =>
      [...node.lines.map((l) => l.slope), ...node.failed].some((s) => Math.abs(s - slope) <= 1e-7 * slope);
    const steepest = node.lines.reduce((m, l) => Math.max(m, l.slope), 0);
    const flattest = node.lines.reduce((m, l) => Math.min(m, l.slope), Infinity);
    if (node.lines.length === 0) return null;
    if (!left) return steepest < this.top && !tried(steepest * 4) ? steepest * 4 : null;
    if (!right) return flattest > 1e-9 && !tried(flattest / 4) ? flattest / 4 : null;
    const slope = (right.value - left.value) / (right.mass - left.mass);
    return slope > 0 && !tried(slope) ? slope : null;
  }

  /** The heaviest piece by which the kits beside a limit differ and that is still open; else the heaviest open one of either, and at last any that is open. */
  private branchItem(node: Node, gapAt: number): number | null {
    const { items, pieces } = this.problem;
    const known = new Set([...node.in, ...node.out]);
    const lines = [...node.lines].sort((a, b) => a.at + a.slope * gapAt - (b.at + b.slope * gapAt));
    const [left, right] = this.beside(node, gapAt);
    const has = (l: Line, i: number) =>
      at(at(this.curve.sets, l.set).counts, at(items.owner, i)) > i - items.item(at(items.owner, i), 0);
    const heaviest = (of: (i: number) => boolean) => {
      let best: number | null = null;
      let mass = 0;
      for (let i = 0; i < items.owner.length; i++) {
        const m = at(pieces, at(items.owner, i)).mass;
        if (m <= mass || known.has(i) || !of(i)) continue;
        mass = m;
        best = i;
      }
      return best;
    };
    const between = left && right ? heaviest((i) => has(left, i) !== has(right, i)) : null;
    return between ?? heaviest((i) => lines.slice(0, 4).some((l) => has(l, i))) ?? heaviest((i) => this.useful.has(i));
  }

  private boundAll(nodes: readonly Node[]): void {
    const { bound, best, most } = this.curve;
    bound.set(best);
    for (const n of nodes)
      for (let m = n.low; m <= n.high; m++) bound[m] = Math.max(at(bound, m), at(n.bound, m - n.low));
    // A heavier limit allows whatever a lighter one does.
    for (let m = most - 1; m >= 0; m--) bound[m] = Math.min(at(bound, m), at(bound, m + 1));
    let gap = 0;
    for (let m = this.from; m <= most; m++) if (best[m] !== -Infinity) gap = Math.max(gap, at(bound, m) - at(best, m));
    this.curve.gap = gap;
    this.curve.proven = gap <= TOLERANCE;
  }

  private report(nodes: readonly Node[]): void {
    this.boundAll(nodes);
    if (this.options.onProgress?.(this.curve) === false) this.stopped = true;
  }

  /** A part of a part. What weighs more than its limits leave room for is out. */
  private child(n: Node, low: number, high: number, forcedIn: readonly number[], forcedOut: readonly number[]): Node {
    const { items, pieces } = this.problem;
    const inMass = forcedIn.reduce((s, i) => s + at(pieces, at(items.owner, i)).mass, 0);
    const inside = new Set(forcedIn);
    const heavy = items.owner.flatMap((p, i) => (!inside.has(i) && at(pieces, p).mass > high - inMass ? [i] : []));
    return {
      low,
      high,
      in: [...forcedIn],
      out: [...new Set([...forcedOut, ...heavy])],
      lines: [],
      failed: [],
      bound: n.bound.slice(low - n.low, high - n.low + 1),
    };
  }

  /** Starts a part: at the prices that bounded its parent where it matters. */
  private start(node: Node, parent: Node, gapAt: number): boolean {
    const tight = [...parent.lines].sort((a, b) => a.at + a.slope * gapAt - (b.at + b.slope * gapAt));
    for (const l of tight.slice(0, 2)) if (!this.solveAt(node, l.slope)) return false;
    return true;
  }

  run(): Curve {
    const { most } = this.curve;
    // What is in whatever it is: the lightest kit there can be.
    const base = [...new Set([...this.problem.marked.map((job) => at(at(job, 0), 0)), ...(this.options.base ?? [])])];
    const least = this.problem.pieces.map(() => 0);
    for (const i of base) least[at(this.problem.items.owner, i)] = at(least, at(this.problem.items.owner, i)) + 1;
    this.add(least);
    this.top = this.problem.asks.reduce((s, a) => s + a.law.mean * Math.max(0, ...a.ways.map((w) => w.gain)), 0);
    const ceiling = this.top;
    const wanted = ceiling > 0;
    const demanding = this.problem.required.length > 0 || this.problem.asks.some((a) => a.must !== null);
    // Where nothing can be saved, what is demanded still has to be found, as light as it can be.
    if (!wanted) {
      if (at(this.curve.sets, 0).allowed && !demanding) {
        this.boundAll([]);
        return this.curve;
      }
      this.top = 1;
    }
    const root: Node = {
      low: 0,
      high: most,
      in: base,
      out: [],
      lines: [],
      failed: [],
      // Nothing saves more than all that there is to save.
      bound: new Float64Array(most + 1).fill(ceiling),
    };
    // From prices at which nothing but what is demanded is worth its grams down to where everything is.
    if (demanding) this.solveAt(root, Math.max(this.top * 10, 1));
    for (const part of [300, 1500, 5000, 20_000, 100_000, 1e6]) this.solveAt(root, this.top / part);
    // Light limits leave heavy pieces out: they are looked at by themselves.
    const start = Math.ceil(toolMassOf(this.problem, least));
    const cuts = [60, 150, 300, 600, 1200].map((d) => start + d).filter((c) => c < most);
    const open: Node[] = [];
    let low = Math.min(start, most);
    for (const high of [...cuts, most]) {
      const part = this.child(root, low, high, base, []);
      if (part.out.length === 0) part.lines = [...root.lines];
      open.push(part);
      low = high + 1;
      if (low > most) break;
    }
    this.report(open);
    for (const part of open)
      if (part.lines.length === 0 && this.widest(part).gap > TOLERANCE) this.start(part, root, part.high);
    let since = this.curve.solves;
    while (open.length > 0 && this.curve.solves < this.limit && !this.stopped) {
      let widest: { at: number; gap: number; n: Node } | null = null;
      for (let i = open.length - 1; i >= 0; i--) {
        const w = this.widest(at(open, i));
        if (w.gap <= TOLERANCE) open.splice(i, 1);
        else if (!widest || w.gap > widest.gap) widest = { ...w, n: at(open, i) };
      }
      if (!widest) break;
      const { n, at: gapAt } = widest;
      const slope = this.nextSlope(n, gapAt);
      if (slope !== null) this.solveAt(n, slope);
      else this.branch(n, gapAt, open);
      if (this.curve.solves - since >= 12) {
        since = this.curve.solves;
        this.report(open);
      }
    }
    this.report(open);
    return this.curve;
  }

  private branch(n: Node, gapAt: number, open: Node[]): void {
    const item = this.branchItem(n, gapAt);
    open.splice(open.indexOf(n), 1);
    if (item === null) {
      // Everything is decided: this set of tools is looked at for itself, and nothing else is left here.
      const counts = this.problem.pieces.map(() => 0);
      for (const i of n.in) counts[at(this.problem.items.owner, i)] = at(counts, at(this.problem.items.owner, i)) + 1;
      this.add(counts);
      return;
    }
    const { items } = this.problem;
    const p = at(items.owner, item);
    const copy = item - items.item(p, 0);
    const copies = Array.from({ length: items.copies(p) }, (_, c) => items.item(p, c));
    for (const side of ['in', 'out'] as const) {
      const child = this.child(
        n,
        n.low,
        n.high,
        side === 'in' ? [...new Set([...n.in, ...copies.slice(0, copy + 1)])] : n.in,
        side === 'out' ? [...new Set([...n.out, ...copies.slice(copy)])] : n.out,
      );
      open.push(child);
      this.start(child, n, gapAt);
    }
  }
  private top = 0;
  /** Items that some requirement can be met with; the others only weigh. */
  private readonly useful: ReadonlySet<number>;
}
