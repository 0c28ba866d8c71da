import { at, figureAt, present } from '../../ground/numbers.js';
import { reduced, share, type Alternative, type Job } from './reduce.js';

/**
 * Exact search for the cheapest set of items with which every job has one of its alternatives whole.
 *
 * Items are single copies of pieces; a job is a list of alternatives, each a set of items that would do it; a pair takes one alternative for
 * each of two ends, and these may share no item. Lower bounds come from dual ascent: each job pays for the items it cannot do without, no item
 * is paid more than it costs, and what the jobs pay together bounds every kit from below. The two ends of a pair pay as if they were two jobs,
 * which bounds as well; that they share nothing is asked of every kit. An item that has more left unpaid than the bound allows is out; a job
 * with one alternative left takes it. What remains is branched on, item by item.
 */
export interface CoverSearch {
  /** Cost of each item, whole numbers. */
  costs: readonly number[];
  /** For each job its alternatives, each a list of items. */
  jobs: readonly (readonly (readonly number[])[])[];
  /** Jobs of two ends at once. */
  pairs?: readonly { near: number[][]; far: number[][] }[];
}
export interface Cover {
  /** Whether each item is taken. */
  taken: boolean[];
  cost: number;
  /** Whether none is cheaper; else the search was given up and this is the best it had found. */
  proven: boolean;
  /** What no kit costs less than. */
  bound: number;
  /** Nodes looked at. */
  nodes: number;
}

/** Nodes times alternatives after which a search is given up: some seconds. */
const MOST_WORK = 4e6;
/** Nodes at which a kit is tried from either order; later ones seldom find a better one. */
const EARLY = 20;

const UNDECIDED = 0;
const IN = 1;
const OUT = 2;

/** A job that is not done yet, with the alternatives that are still possible; or the two ends of a pair. */
interface Open {
  left: Alternative[];
  far?: Alternative[];
}

const waysOf = ({ left, far }: Open) => left.length * (far?.length ?? 1);

class Search {
  private best: Uint8Array | null = null;
  private bestCost = Infinity;
  private rootBound = 0;
  nodes = 0;
  private readonly mostNodes: number;
  private readonly jobs: readonly Job[];
  private readonly pairs: readonly { near: Job; far: Job }[];
  private readonly n: number;
  private readonly state: Uint8Array;
  /** Items in use at all, and for each the jobs and pairs in which it occurs. */
  private readonly items: number[];
  private readonly occurs: { jobs: number[]; pairs: number[] }[];
  /** What is unpaid of each item, and scratch: what one job pays, and how many of its alternatives an item serves. */
  private residual: Float64Array;
  private other: Float64Array;
  private readonly pay: Float64Array;
  private readonly serves: Float64Array;

  private readonly costs: Float64Array;

  constructor(costs: readonly number[], given: Required<CoverSearch>, mostNodes: number) {
    this.n = costs.length;
    this.costs = Float64Array.from(costs);
    const { jobs, pairs } = reduced(given, costs);
    const ways = [...jobs, ...pairs.flatMap((p) => [p.near, p.far])].reduce((sum, job) => sum + job.length, 0);
    this.mostNodes = Math.min(mostNodes, MOST_WORK / Math.max(1, ways));
    this.pairs = pairs;
    this.jobs = jobs;
    this.state = new Uint8Array(this.n);
    this.residual = new Float64Array(this.n);
    this.other = new Float64Array(this.n);
    this.pay = new Float64Array(this.n);
    this.serves = new Float64Array(this.n);
    this.occurs = costs.map(() => ({ jobs: [], pairs: [] }));
    const note = (job: Job, add: (of: { jobs: number[]; pairs: number[] }) => void) => {
      for (const i of new Set(job.flatMap((a) => a.items))) add(at(this.occurs, i));
    };
    this.jobs.forEach((job, j) => note(job, (of) => of.jobs.push(j)));
    pairs.forEach(({ near, far }, p) => note([...near, ...far], (of) => of.pairs.push(p)));
    this.items = costs
      .map((_, i) => i)
      .filter((i) => at(this.occurs, i).jobs.length + at(this.occurs, i).pairs.length > 0);
  }

  private possible(a: Alternative): boolean {
    for (const i of a.items) if (this.state[i] === OUT) return false;
    return true;
  }
  private whole(a: Alternative, taken: Uint8Array): boolean {
    for (const i of a.items) if (taken[i] !== IN) return false;
    return true;
  }
  private added(a: Alternative, taken: Uint8Array): number {
    let cost = 0;
    for (const i of a.items) if (taken[i] !== IN) cost += figureAt(this.costs, i);
    return cost;
  }

  /** Alternatives of a job that are still possible. */
  private openJob(job: readonly Alternative[]): Open | 'done' | null {
    const left: Alternative[] = [];
    for (const a of job) {
      let out = false;
      let missing = false;
      for (const i of a.items) {
        const s = this.state[i];
        if (s === OUT) {
          out = true;
          break;
        }
        if (s === UNDECIDED) missing = true;
      }
      if (out) continue;
      if (!missing) return 'done';
      left.push(a);
    }
    return left.length > 0 ? { left } : null;
  }

  /** Alternatives of either end of a pair that are possible and go with one of the other end. */
  private openPair(near: readonly Alternative[], far: readonly Alternative[]): Open | 'done' | null {
    if (this.pairDone(near, far, this.state)) return 'done';
    const there = far.filter((b) => this.possible(b));
    const left = near.filter((a) => this.possible(a) && there.some((b) => !share(a.bits, b.bits)));
    if (left.length === 0) return null;
    return { left, far: there.filter((b) => left.some((a) => !share(a.bits, b.bits))) };
  }

  /** The least that an alternative adds. */
  private least(left: readonly Alternative[]): number {
    let least = Infinity;
    for (const a of left) least = Math.min(least, this.added(a, this.state));
    return least;
  }

  private pairDone(near: readonly Alternative[], far: readonly Alternative[], taken: Uint8Array): boolean {
    let ends: Alternative[] | null = null;
    for (const a of near) {
      if (!this.whole(a, taken)) continue;
      ends ??= far.filter((b) => this.whole(b, taken));
      for (const b of ends) if (!share(a.bits, b.bits)) return true;
    }
    return false;
  }
  /** The cheapest two ends of a pair that are still possible, beyond what is taken; null when there are none. */
  private cheapestEnds(near: readonly Alternative[], far: readonly Alternative[], taken: Uint8Array) {
    const ends = far.filter((b) => this.possible(b)).map((b) => ({ b, cost: this.added(b, taken) }));
    ends.sort((x, y) => x.cost - y.cost);
    let best: { items: number[]; cost: number } | null = null;
    for (const a of near) {
      if (!this.possible(a)) continue;
      const cost = this.added(a, taken);
      for (const { b, cost: more } of ends) {
        if (best && cost + more >= best.cost) break;
        if (!share(a.bits, b.bits)) best = { items: [...a.items, ...b.items], cost: cost + more };
      }
    }
    return best;
  }

  private set(item: number, to: number, trail: number[]): void {
    this.state[item] = to;
    trail.push(item);
  }
  private undo(trail: number[]): void {
    for (const i of trail) this.state[i] = UNDECIDED;
  }

  /**
   * One pass of dual ascent over jobs in an order. Fills `residual` with what is unpaid of each item.
   * @returns what the jobs pay together
   */
  private ascend(open: readonly Open[]): number {
    const r = this.residual;
    for (const i of this.items) r[i] = this.state[i] === UNDECIDED ? figureAt(this.costs, i) : 0;
    let bound = 0;
    for (const { left, far } of open) bound += far ? this.payPair(left, far) : this.payJob(left);
    return bound;
  }

  private unpaid(a: Alternative): number {
    let sum = 0;
    for (const i of a.items) sum += figureAt(this.residual, i);
    return sum;
  }

  /** A job pays what its cheapest alternative has left unpaid. */
  private payJob(left: readonly Alternative[]): number {
    let value = Infinity;
    for (const a of left) {
      value = Math.min(value, this.unpaid(a));
      if (!(value > 0)) return 0;
    }
    this.startPaying(left);
    for (const a of left) this.payFor(a, value);
    this.settle(left);
    return value;
  }

  /** The ends of a pair pay as jobs; then what the cheapest two that go together have left. */
  private payPair(near: readonly Alternative[], far: readonly Alternative[]): number {
    const ends = this.payJob(near) + this.payJob(far);
    const others = far.map((b) => ({ b, left: this.unpaid(b) })).sort((x, y) => x.left - y.left);
    let value = Infinity;
    for (const a of near) {
      const left = this.unpaid(a);
      for (const { b, left: more } of others) {
        if (left + more >= value) break;
        if (!share(a.bits, b.bits)) value = left + more;
      }
      if (!(value > 0)) return ends;
    }
    if (value === Infinity) return Infinity;
    this.startPaying(near);
    this.startPaying(far);
    for (const a of near) this.payFor(a, value);
    const paid = near.map((a) => a.items.reduce((s, i) => s + figureAt(this.pay, i), 0));
    for (const b of far) {
      let need = 0;
      near.forEach((a, k) => {
        if (value - at(paid, k) > need && !share(a.bits, b.bits)) need = value - at(paid, k);
      });
      if (need > 0) this.payFor(b, need);
    }
    this.settle(near);
    this.settle(far);
    return ends + value;
  }

  /** How many of a job's alternatives an item serves is counted: one payment for it counts for all of them. */
  private startPaying(left: readonly Alternative[]): void {
    for (const a of left)
      for (const i of a.items) {
        this.serves[i] = 0;
        this.pay[i] = 0;
      }
    for (const a of left) for (const i of a.items) this.serves[i] = figureAt(this.serves, i) + 1;
  }
  /** Brings what is paid for an alternative up to an amount, as far as its items have it left, those that serve the most first. */
  private payFor(a: Alternative, amount: number): void {
    const { residual: r, pay, serves } = this;
    let need = amount;
    for (const i of a.items) need -= figureAt(pay, i);
    let last = Infinity;
    while (need > 0) {
      let next = 0;
      for (const i of a.items) if (figureAt(serves, i) < last && figureAt(serves, i) > next) next = figureAt(serves, i);
      if (next === 0) return;
      last = next;
      for (const i of a.items) {
        if (serves[i] !== next) continue;
        const more = Math.min(need, figureAt(r, i) - figureAt(pay, i));
        if (more <= 0) continue;
        pay[i] = figureAt(pay, i) + more;
        need -= more;
        if (need <= 0) return;
      }
    }
  }
  private settle(left: readonly Alternative[]): void {
    const { residual: r, pay } = this;
    for (const a of left)
      for (const i of a.items) {
        r[i] = figureAt(r, i) - figureAt(pay, i);
        pay[i] = 0;
      }
  }

  private base(): number {
    let cost = 0;
    for (const i of this.items) if (this.state[i] === IN) cost += figureAt(this.costs, i);
    return cost;
  }

  private keepIfBetter(taken: Uint8Array, cost: number): void {
    if (cost >= this.bestCost) return;
    this.bestCost = cost;
    this.best = taken.slice();
  }

  /** A kit from the open jobs: for each the alternative that the bound leaves cheapest; then what is not needed is dropped. */
  private tryKit(open: readonly Open[]): void {
    const taken = new Uint8Array(this.n);
    for (const i of this.items) if (this.state[i] === IN) taken[i] = IN;
    for (const { left, far } of open) {
      if (far) continue;
      let best: Alternative | null = null;
      let least = Infinity;
      for (const a of left) {
        let cost = 0;
        let plain = 0;
        for (const i of a.items)
          if (taken[i] !== IN) {
            cost += figureAt(this.residual, i);
            plain += figureAt(this.costs, i);
          }
        const key = cost + plain * 1e-3;
        if (key < least) {
          least = key;
          best = a;
        }
        if (plain === 0) break;
      }
      for (const i of present<Alternative>(best).items) taken[i] = IN;
    }
    for (const { left, far } of open) {
      if (!far || this.pairDone(left, far, taken)) continue;
      const ends = this.cheapestEnds(left, far, taken);
      if (!ends) return;
      for (const i of ends.items) taken[i] = IN;
    }
    this.keepIfBetter(taken, this.withoutIdle(taken));
  }

  /** Leaves out, the dearest first, whatever no job misses. Returns the cost of the rest. */
  private withoutIdle(taken: Uint8Array): number {
    const order = this.items
      .filter((i) => taken[i] === IN && this.state[i] !== IN)
      .sort((a, b) => figureAt(this.costs, b) - figureAt(this.costs, a));
    for (const i of order) {
      taken[i] = UNDECIDED;
      if (!this.sparesItem(i, taken)) taken[i] = IN;
    }
    let cost = 0;
    for (const i of this.items) if (taken[i] === IN) cost += figureAt(this.costs, i);
    return cost;
  }
  private sparesItem(i: number, taken: Uint8Array): boolean {
    const { jobs, pairs } = at(this.occurs, i);
    return (
      jobs.every((j) => at(this.jobs, j).some((a) => this.whole(a, taken))) &&
      pairs.every((p) => this.pairDone(at(this.pairs, p).near, at(this.pairs, p).far, taken))
    );
  }

  /** Makes the best kit better, item by item: without it, what else would do the jobs that it leaves, and is that cheaper? */
  private improve(): void {
    for (let better = true; better && this.best;) {
      better = false;
      const now = this.best;
      const order = this.items
        .filter((i) => now[i] === IN && this.state[i] === UNDECIDED)
        .sort((a, b) => figureAt(this.costs, b) - figureAt(this.costs, a));
      for (const out of order) {
        const before = this.bestCost;
        this.state[out] = OUT;
        const taken = now.slice();
        taken[out] = UNDECIDED;
        if (this.mend(out, taken)) this.keepIfBetter(taken, this.withoutIdle(taken));
        this.state[out] = UNDECIDED;
        if (this.bestCost < before) {
          better = true;
          break;
        }
      }
    }
  }
  /** Does again, with the fewest added grams, the jobs that miss an item. False where one cannot be done without it. */
  private mend(missing: number, taken: Uint8Array): boolean {
    const { jobs, pairs } = at(this.occurs, missing);
    const take = (items: readonly number[]) => items.forEach((i) => (taken[i] = IN));
    for (const p of pairs) {
      const { near, far } = at(this.pairs, p);
      if (this.pairDone(near, far, taken)) continue;
      const ends = this.cheapestEnds(near, far, taken);
      if (!ends) return false;
      take(ends.items);
    }
    for (const j of jobs) {
      let best: Alternative | null = null;
      let least = Infinity;
      for (const a of at(this.jobs, j)) {
        if (!this.possible(a)) continue;
        const cost = this.added(a, taken);
        if (cost < least) {
          least = cost;
          best = a;
        }
      }
      if (!best) return false;
      take(best.items);
    }
    return true;
  }

  /** Branches on one item: with it, then without. */
  private branch(item: number, open: readonly Open[]): boolean {
    for (const to of [IN, OUT]) {
      this.state[item] = to;
      const whole = this.go(open);
      this.state[item] = UNDECIDED;
      if (!whole) return false;
    }
    return true;
  }

  /** @returns false when the search was given up */
  private go(open: readonly Open[]): boolean {
    if (++this.nodes > this.mostNodes) return false;
    const trail: number[] = [];
    const whole = this.explore(open, trail);
    this.undo(trail);
    return whole;
  }

  /** What is still open of jobs, with single alternatives taken; null when some job cannot be done any more. */
  private narrow(given: readonly Open[], trail: number[]): Open[] | null {
    for (let now = given; ;) {
      const open: Open[] = [];
      const before = trail.length;
      for (const o of now) {
        const left = o.far ? this.openPair(o.left, o.far) : this.openJob(o.left);
        if (left === 'done') continue;
        if (!left) return null;
        for (const end of left.far ? [left.left, left.far] : [left.left])
          if (end.length === 1)
            for (const i of at(end, 0).items) if (this.state[i] === UNDECIDED) this.set(i, IN, trail);
        open.push(left);
      }
      if (trail.length === before) return open;
      now = open;
    }
  }

  private explore(given: readonly Open[], trail: number[]): boolean {
    let open = given;
    // Fix what the bound and single alternatives decide, until nothing moves.
    for (;;) {
      let moved = false;
      const narrowed = this.narrow(open, trail);
      if (!narrowed) return true;
      open = narrowed;
      const base = this.base();
      if (base >= this.bestCost) return true;
      if (open.length === 0) {
        this.keepIfBetter(this.state, base);
        return true;
      }
      narrowed.sort((a, b) => waysOf(a) - waysOf(b));
      let bound = this.ascend(open);
      if (base + bound >= this.bestCost) return true;
      if (this.nodes < EARLY) this.tryKit(open);
      if (base + bound >= this.bestCost) return true;
      // Another order may pay more; its bound counts as well.
      const weight = open.map((o) => this.least(o.left) + (o.far ? this.least(o.far) : 0));
      const order = open.map((_, k) => k).sort((a, b) => at(weight, b) - at(weight, a));
      [this.residual, this.other] = [this.other, this.residual];
      const second = this.ascend(order.map((k) => at(open, k)));
      if (base + second >= this.bestCost) return true;
      this.tryKit(open);
      if (this.nodes === 1) {
        this.rootBound = base + Math.max(bound, second);
        this.improve();
      }
      if (second < bound) [this.residual, this.other] = [this.other, this.residual];
      else bound = second;
      if (base + bound >= this.bestCost) return true;
      const room = this.bestCost - base - bound;
      for (const i of this.items)
        if (this.state[i] === UNDECIDED && figureAt(this.residual, i) >= room) {
          this.set(i, OUT, trail);
          moved = true;
        }
      if (!moved) break;
    }
    // Branch on the item that the open jobs lean on most: dear, and in many alternatives.
    const weight = new Float64Array(this.n);
    for (const { left, far } of open)
      for (const end of far ? [left, far] : [left])
        for (const a of end)
          for (const i of a.items) weight[i] = figureAt(weight, i) + 1 / (end.length * a.items.length);
    let item = -1;
    let most = -1;
    for (const i of this.items) {
      if (this.state[i] !== UNDECIDED || weight[i] === 0) continue;
      const w = figureAt(weight, i) * (figureAt(this.costs, i) + 1);
      if (w > most) {
        most = w;
        item = i;
      }
    }
    return this.branch(item, open);
  }

  run(): Cover | null | 'infeasible' {
    const all = [
      ...this.jobs.map((left): Open => ({ left })),
      ...this.pairs.map(({ near, far }): Open => ({ left: near, far })),
    ];
    const whole = this.go(all);
    if (!this.best) return whole ? 'infeasible' : null;
    return {
      taken: Array.from(this.best, (t) => t === IN),
      cost: this.bestCost,
      proven: whole,
      bound: whole ? this.bestCost : this.rootBound,
      nodes: this.nodes,
    };
  }
}

/**
 * The cheapest cover, proven.
 * @param mostNodes gives up after so many nodes, or fewer where there is much to choose from; another solver may take over
 * @returns null when given up with nothing found, `infeasible` when some job cannot be done with all items
 */
export function cheapestCover(given: CoverSearch, mostNodes = 20_000): Cover | null | 'infeasible' {
  return new Search(given.costs, { pairs: [], ...given }, mostNodes).run();
}
