/**
 * Exact search for the cheapest set of items with which every job has one of its alternatives whole.
 *
 * Items are single copies of pieces; a job is a list of alternatives, each a set of items that would do it. Lower bounds come from dual ascent:
 * each job pays for the items it cannot do without, no item is paid more than it costs, and what the jobs pay together bounds every kit from
 * below. An item that has more left unpaid than the bound allows is out; a job with one alternative left takes it. What remains is branched on,
 * item by item.
 */
export interface CoverSearch {
  /** Cost of each item, whole numbers. */
  costs: readonly number[];
  /** For each job its alternatives, each a list of items without repeats. */
  jobs: readonly (readonly (readonly number[])[])[];
}
export interface Cover {
  /** Whether each item is taken. */
  taken: boolean[];
  cost: number;
  /** Nodes looked at. */
  nodes: number;
}

const sum = (items: readonly number[], of: ArrayLike<number>) => {
  let s = 0;
  for (const i of items) s += of[i]!;
  return s;
};

const UNDECIDED = 0;
const IN = 1;
const OUT = 2;

/** A set of items as bits, so that "contains" is a few machine words. */
type Bits = Uint32Array;
function bitsOf(items: readonly number[], words: number): Bits {
  const bits = new Uint32Array(words);
  for (const i of items) bits[i >> 5]! |= 1 << (i & 31);
  return bits;
}
function within(inner: Bits, outer: Bits): boolean {
  for (let w = 0; w < inner.length; w++) if ((inner[w]! & ~outer[w]!) !== 0) return false;
  return true;
}
interface Alternative {
  items: number[];
  bits: Bits;
}

/** Drops alternatives that contain another of the same job. */
function leastAlternatives(job: readonly (readonly number[])[], words: number): Alternative[] {
  const sorted = job
    .map((a) => [...new Set(a)].sort((x, y) => x - y))
    .sort((a, b) => a.length - b.length)
    .map((items): Alternative => ({ items, bits: bitsOf(items, words) }));
  const kept: Alternative[] = [];
  for (const a of sorted) if (!kept.some((k) => within(k.bits, a.bits))) kept.push(a);
  return kept;
}

/** Whether doing `a` always does `b` too: each alternative of `a` contains one of `b`. */
const implies = (a: readonly Alternative[], b: readonly Alternative[]): boolean =>
  a.every((x) => b.some((y) => y.items.length <= x.items.length && within(y.bits, x.bits)));

/** Jobs in their least form, those that others imply left out. */
function leastJobs(jobs: CoverSearch['jobs'], items: number): number[][][] {
  const words = (items >> 5) + 1;
  const all = jobs.map((j) => leastAlternatives(j, words)).sort((a, b) => a.length - b.length);
  const kept: Alternative[][] = [];
  for (const job of all) if (!kept.some((k) => implies(k, job))) kept.push(job);
  return kept.map((job) => job.map((a) => a.items));
}

class Search {
  private best: boolean[] | null = null;
  private bestCost = Infinity;
  nodes = 0;
  private readonly jobs: number[][][];
  private readonly n: number;
  private readonly state: Uint8Array;
  /** For each item the jobs in which it occurs. */
  private readonly occurs: number[][];
  private residual: Float64Array;

  constructor(
    private readonly costs: readonly number[],
    jobs: CoverSearch['jobs'],
    private readonly mostNodes: number,
  ) {
    this.n = costs.length;
    this.jobs = leastJobs(jobs, this.n);
    this.state = new Uint8Array(this.n);
    this.residual = new Float64Array(this.n);
    this.occurs = costs.map(() => []);
    this.jobs.forEach((job, j) => {
      for (const i of new Set(job.flat())) this.occurs[i]!.push(j);
    });
  }

  /** Alternatives of a job that are still possible, without the items already taken; null when one of them is done. */
  private open(job: readonly number[][]): number[][] | null {
    const left: number[][] = [];
    for (const a of job) {
      let out = false;
      let missing = 0;
      for (const i of a) {
        if (this.state[i] === OUT) {
          out = true;
          break;
        }
        if (this.state[i] === UNDECIDED) missing++;
      }
      if (out) continue;
      if (missing === 0) return null;
      left.push(missing === a.length ? a : a.filter((i) => this.state[i] === UNDECIDED));
    }
    return left;
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
  private ascend(open: readonly { job: number; left: number[][] }[]): number {
    const r = this.residual;
    for (let i = 0; i < this.n; i++) r[i] = this.state[i] === UNDECIDED ? this.costs[i]! : 0;
    let bound = 0;
    const pay = new Map<number, number>();
    for (const { left } of open) {
      let value = Infinity;
      for (const a of left) value = Math.min(value, sum(a, r));
      if (!(value > 0)) continue;
      bound += value;
      pay.clear();
      // How many of this job's alternatives an item serves: one payment for it counts for all of them.
      const serves = new Map<number, number>();
      for (const a of left) for (const i of a) serves.set(i, (serves.get(i) ?? 0) + 1);
      for (const a of left) {
        let need = value;
        for (const i of a) need -= pay.get(i) ?? 0;
        if (need <= 0) continue;
        const order = a.length === 1 ? a : [...a].sort((x, y) => serves.get(y)! - serves.get(x)!);
        for (const i of order) {
          const paid = pay.get(i) ?? 0;
          const more = Math.min(need, r[i]! - paid);
          if (more <= 0) continue;
          pay.set(i, paid + more);
          need -= more;
          if (need <= 0) break;
        }
      }
      for (const [i, paid] of pay) r[i] = r[i]! - paid;
    }
    return bound;
  }

  private base(): number {
    let cost = 0;
    for (let i = 0; i < this.n; i++) if (this.state[i] === IN) cost += this.costs[i]!;
    return cost;
  }

  /** A kit from the open jobs: for each the alternative that the bound leaves cheapest; then what is not needed is dropped. */
  private tryKit(open: readonly { job: number; left: number[][] }[]): void {
    const taken = new Uint8Array(this.n);
    for (let i = 0; i < this.n; i++) if (this.state[i] === IN) taken[i] = 1;
    for (const { left } of open) {
      let best: number[] | null = null;
      let least = Infinity;
      for (const a of left) {
        let cost = 0;
        let plain = 0;
        for (const i of a)
          if (!taken[i]) {
            cost += this.residual[i]!;
            plain += this.costs[i]!;
          }
        const key = cost + plain * 1e-3;
        if (key < least) {
          least = key;
          best = a;
        }
        if (plain === 0) break;
      }
      for (const i of best!) taken[i] = 1;
    }
    // Leave out, the dearest first, whatever no job misses.
    const order = [...taken.keys()]
      .filter((i) => taken[i] && this.state[i] !== IN)
      .sort((a, b) => this.costs[b]! - this.costs[a]!);
    for (const i of order) {
      taken[i] = 0;
      if (!this.occurs[i]!.every((j) => this.jobs[j]!.some((a) => a.every((x) => taken[x])))) taken[i] = 1;
    }
    let cost = 0;
    for (let i = 0; i < this.n; i++) if (taken[i]) cost += this.costs[i]!;
    if (cost < this.bestCost) {
      this.bestCost = cost;
      this.best = Array.from(taken, (t) => t === 1);
    }
  }

  /** @returns false when the search was given up */
  private go(): boolean {
    if (++this.nodes > this.mostNodes) return false;
    const trail: number[] = [];
    let open: { job: number; left: number[][] }[];
    // Fix what the bound and single alternatives decide, until nothing moves.
    for (;;) {
      let moved = false;
      open = [];
      for (let j = 0; j < this.jobs.length; j++) {
        const left = this.open(this.jobs[j]!);
        if (left === null) continue;
        if (left.length === 0) {
          this.undo(trail);
          return true;
        }
        if (left.length === 1) {
          for (const i of left[0]!) this.set(i, IN, trail);
          moved = true;
        } else open.push({ job: j, left });
      }
      if (moved) continue;
      const base = this.base();
      if (open.length === 0) {
        if (base < this.bestCost) {
          this.bestCost = base;
          this.best = Array.from(this.state, (s) => s === IN);
        }
        this.undo(trail);
        return true;
      }
      open.sort((a, b) => a.left.length - b.left.length);
      let bound = this.ascend(open);
      this.tryKit(open);
      if (base + bound >= this.bestCost) {
        this.undo(trail);
        return true;
      }
      // Another order may pay more; its bound counts as well.
      const weight = new Map(open.map((o) => [o.job, Math.min(...o.left.map((a) => sum(a, this.costs)))]));
      const first = Float64Array.from(this.residual);
      const other = this.ascend([...open].sort((a, b) => weight.get(b.job)! - weight.get(a.job)!));
      this.tryKit(open);
      if (other < bound) this.residual.set(first);
      else bound = other;
      if (base + bound >= this.bestCost) {
        this.undo(trail);
        return true;
      }
      const room = this.bestCost - base - bound;
      for (let i = 0; i < this.n; i++)
        if (this.state[i] === UNDECIDED && this.occurs[i]!.length > 0 && this.residual[i]! >= room) {
          this.set(i, OUT, trail);
          moved = true;
        }
      if (!moved) break;
    }
    // Branch on the item that the open jobs lean on most: dear, and in many alternatives.
    const weight = new Float64Array(this.n);
    for (const { left } of open)
      for (const a of left) for (const i of a) weight[i] = weight[i]! + 1 / (left.length * a.length);
    let item = -1;
    let most = -1;
    for (let i = 0; i < this.n; i++) {
      if (this.state[i] !== UNDECIDED || weight[i] === 0) continue;
      const w = weight[i]! * (this.costs[i]! + 1);
      if (w > most) {
        most = w;
        item = i;
      }
    }
    let whole = true;
    for (const to of [IN, OUT]) {
      this.state[item] = to;
      whole = this.go() && whole;
      this.state[item] = UNDECIDED;
      if (!whole) break;
    }
    this.undo(trail);
    return whole;
  }

  run(): Cover | null | 'infeasible' {
    const whole = this.go();
    if (!whole) return null;
    if (!this.best) return 'infeasible';
    return { taken: this.best, cost: this.bestCost, nodes: this.nodes };
  }
}

/**
 * The cheapest cover, proven.
 * @param mostNodes gives up after so many nodes; another solver may take over
 * @returns null when given up, `infeasible` when some job cannot be done with all items
 */
export function cheapestCover({ costs, jobs }: CoverSearch, mostNodes = 20_000): Cover | null | 'infeasible' {
  return new Search(costs, jobs, mostNodes).run();
}
