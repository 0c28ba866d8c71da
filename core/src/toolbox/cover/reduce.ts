import { at, under } from '../../ground/numbers.js';
/** A set of items as bits, so that "contains" is a few machine words. */
export type Bits = Uint32Array;

/** A set of items that would do a job. */
export interface Alternative {
  items: number[];
  bits: Bits;
}
export type Job = Alternative[];
/** A job that takes an alternative of each end at once, and these may share no item. */
export interface PairJob {
  near: Job;
  far: Job;
}
/** What there is to choose: jobs of one end, and of two. */
export interface Jobs {
  jobs: Job[];
  pairs: PairJob[];
}

/** A word of a set; none beyond its end. One kind of list alone is read through it: these are the innermost loops of the search. */
const word = (bits: Bits, w: number): number => bits[w] ?? 0;

function bitsOf(items: readonly number[], words: number): Bits {
  const bits = new Uint32Array(words);
  for (const i of items) bits[i >> 5] = word(bits, i >> 5) | (1 << (i & 31));
  return bits;
}
function within(inner: Bits, outer: Bits): boolean {
  for (let w = 0; w < inner.length; w++) if ((word(inner, w) & ~word(outer, w)) !== 0) return false;
  return true;
}
const has = (bits: Bits, i: number): boolean => (word(bits, i >> 5) & (1 << (i & 31))) !== 0;
/** Whether two sets have an item in common. */
export function share(a: Bits, b: Bits): boolean {
  for (let w = 0; w < a.length; w++) if ((word(a, w) & word(b, w)) !== 0) return true;
  return false;
}

/** Whether all items lie in a set: alternatives are a handful of items, the sets that they are looked up in many words. */
function allIn(items: readonly number[], bits: Bits): boolean {
  for (const i of items) if (!has(bits, i)) return false;
  return true;
}

/** Drops alternatives that contain another of the same job. */
function leastAlternatives(job: readonly (readonly number[])[], words: number): Job {
  const sorted = job
    .map((a) => [...new Set(a)].sort((x, y) => x - y))
    .sort((a, b) => a.length - b.length)
    .map((items): Alternative => ({ items, bits: bitsOf(items, words) }));
  const kept: Alternative[] = [];
  // One that lies within another has its first item there: only those are looked at.
  const byFirst = new Map<number, Alternative[]>();
  for (const a of sorted) {
    const contains = (i: number) => byFirst.get(i)?.some((k) => allIn(k.items, a.bits)) ?? false;
    if (a.items.some(contains)) continue;
    kept.push(a);
    const first = a.items[0];
    // What needs nothing is the first of all, and every other one contains it.
    if (first === undefined) break;
    const list = byFirst.get(first);
    if (list) list.push(a);
    else byFirst.set(first, [a]);
  }
  return kept;
}

/** Whether doing `a` always does `b` too: each alternative of `a` contains one of `b`. */
const implies = (a: Job, b: Job): boolean =>
  a.every((x) => b.some((y) => y.items.length <= x.items.length && allIn(y.items, x.bits)));

/** Jobs that no other implies. */
function leastJobs(jobs: readonly Job[]): Job[] {
  const sorted = [...jobs].sort((a, b) => a.length - b.length);
  const kept: Job[] = [];
  for (const job of sorted) if (!kept.some((k) => implies(k, job))) kept.push(job);
  return kept;
}

/** Whether `b` lies within `a` once `into` stands in the place of `out`. */
function withinSwapped(b: Alternative, a: Alternative, out: number, into: number): boolean {
  for (const i of b.items) if (i === out || (i !== into && !has(a.bits, i))) return false;
  return true;
}

/**
 * Items that another can stand in for everywhere at no more cost: wherever an alternative uses the dear one, the same with the cheap one
 * in its place contains an alternative of that job too. Any kit with the dear one is then no cheaper than the one with the other. In a
 * job of two ends the cheap one must not be needed at the other end meanwhile. Of two that can stand in for each other the first stays.
 */
function dominated({ jobs, pairs }: Jobs, costs: readonly number[]): Set<number> {
  const all = [...jobs, ...pairs.flatMap((p) => [p.near, p.far])];
  const otherEnd = (j: number) => (j < jobs.length ? -1 : jobs.length + ((j - jobs.length) ^ 1));
  const inJobs: number[][] = costs.map(() => []);
  /** For each job the alternatives in which an item occurs. */
  const by = all.map((job, j) => {
    const of = new Map<number, Alternative[]>();
    for (const a of job)
      for (const i of a.items) {
        const list = of.get(i);
        if (list) list.push(a);
        else {
          of.set(i, [a]);
          at(inJobs, i).push(j);
        }
      }
    return of;
  });
  const jobBits = inJobs.map((list) => bitsOf(list, (all.length >> 5) + 1));
  const standsIn = (dear: number, cheap: number): boolean =>
    at(inJobs, dear).every((j) => {
      const mine = under(at(by, j), dear);
      const theirs = under(at(by, j), cheap);
      const swaps = mine.every((a) =>
        theirs.some((b) => b.items.length <= a.items.length && withinSwapped(b, a, dear, cheap)),
      );
      if (!swaps || otherEnd(j) < 0) return swaps;
      const beyond = at(by, otherEnd(j)).get(cheap) ?? [];
      return !beyond.some((b) => mine.some((a) => !share(a.bits, b.bits)));
    });
  const gone = new Set<number>();
  inJobs.forEach((list, dear) => {
    if (list.length === 0) return;
    for (const [cheap] of at(by, at(list, 0))) {
      if (cheap === dear || gone.has(cheap) || at(costs, cheap) > at(costs, dear)) continue;
      if (!within(at(jobBits, dear), at(jobBits, cheap)) || !standsIn(dear, cheap)) continue;
      gone.add(dear);
      break;
    }
  });
  return gone;
}

/** The same jobs with bits for the items that are left only: the fewer words, the faster the search. */
function compact({ jobs, pairs }: Jobs): Jobs {
  const number = new Map<number, number>();
  for (const job of [...jobs, ...pairs.flatMap((p) => [p.near, p.far])])
    for (const a of job) for (const i of a.items) if (!number.has(i)) number.set(i, number.size);
  const words = (number.size >> 5) + 1;
  const again = (job: Job): Job =>
    job.map(({ items }) => ({
      items,
      bits: bitsOf(
        items.map((i) => under(number, i)),
        words,
      ),
    }));
  return { jobs: jobs.map(again), pairs: pairs.map(({ near, far }) => ({ near: again(near), far: again(far) })) };
}

/**
 * The same choice with fewer items and jobs: alternatives that contain another, jobs that another implies, and items that a cheaper one
 * replaces everywhere are left out, round after round. A pair whose ends can share nothing becomes two jobs.
 * @param costs by item, whole
 * @param given jobs as lists of alternatives, each a set of items
 */
export function reduced(
  given: { jobs: readonly (readonly (readonly number[])[])[]; pairs: readonly { near: number[][]; far: number[][] }[] },
  costs: readonly number[],
): Jobs {
  const words = (costs.length >> 5) + 1;
  const least = (job: readonly (readonly number[])[]) => leastAlternatives(job, words);
  const now: Jobs = {
    jobs: given.jobs.map(least),
    pairs: given.pairs.map(({ near, far }) => ({ near: least(near), far: least(far) })),
  };
  for (;;) {
    const apart = now.pairs.filter(({ near, far }) => !near.some((a) => far.some((b) => share(a.bits, b.bits))));
    now.pairs = now.pairs.filter((p) => !apart.includes(p));
    now.jobs = leastJobs([...now.jobs, ...apart.flatMap((p) => [p.near, p.far])]);
    const gone = dominated(now, costs);
    if (gone.size === 0) return compact(now);
    const kept = (job: Job) => job.filter((a) => a.items.every((i) => !gone.has(i)));
    now.jobs = now.jobs.map(kept);
    now.pairs = now.pairs.map(({ near, far }) => ({ near: kept(near), far: kept(far) }));
  }
}
