import { countsAsTime, drillMinutes, type Drill } from './drill.js';
import { NIGHT_WORK } from './minutes.js';
import { wayKey, type OwnPace } from './pace.js';

/** The planning value of a way's minutes weighs as much as so many times of one's own. Planning value. */
export const PLAN_WEIGHT = 1;
/** Shape of the spread between two times of the same work by the same hands: their standard deviation is 1/√10, a third. Planning value. */
export const TIME_SHAPE = 10;
/** Each doubling of practice takes a fifth off the time: 2^−0.32 = 0.8. Planning value, the usual learning curve of hand work. */
export const LEARNING = 0.32;
/** From the eighth time on nobody gets quicker. Planning value. */
export const LEARNT = 8;

/**
 * Share of the first time's minutes that the nth takes.
 * @param nth from 1; from 8 on it stays
 * @returns n^−0.32, docs/model.md, section 10
 * @example learned(2) // 0.80
 */
export const learned = (nth: number): number => Math.min(Math.max(1, nth), LEARNT) ** -LEARNING;

/** What own times say of a way: how much longer than planned it takes next time, and how sure that is. */
export interface PaceOf {
  /** Times so far. */
  times: number;
  /** Planned minutes times this are the mean of the next time: 1 without own times. */
  factor: number;
  /** The same, once it was done once more at the pace that is expected. */
  after: number;
  /** Four times in five the next one lies between these factors. */
  low: number;
  high: number;
}

/** I_p(a, b) of whole a and b: the chance of at least a successes among a + b − 1. */
function betaShare(p: number, a: number, b: number): number {
  const n = a + b - 1;
  let log = 0;
  let sum = 0;
  for (let j = 0; j <= n; j++) {
    if (j > 0) log += Math.log(n - j + 1) - Math.log(j);
    if (j >= a) sum += Math.exp(log + j * Math.log(p) + (n - j) * Math.log1p(-p));
  }
  return Math.min(1, sum);
}

/** The value that a beta variable of whole a and b stays under with a chance. */
function betaQuantile(chance: number, a: number, b: number): number {
  let [low, high] = [0, 1];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (betaShare(middle, a, b) < chance) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Own times that are looked at: more say no more. */
const MOST_TIMES = 40;

/**
 * Joins the planning value with own times, in the order in which they were taken. Each time is taken as gamma distributed of shape a round
 * f·planned·learned(n) with f inverse gamma: so f's mean is (κ + Σ rᵢ / learned(i)) ÷ (κ + n), and the next time is that times learned(n + 1)
 * (docs/model.md, own minutes).
 * @param ratios time ÷ planned minutes, each above 0
 */
export function paceFrom(ratios: readonly number[]): PaceOf {
  const known = ratios.slice(-MOST_TIMES);
  const n = known.length;
  const first = ratios.length - n;
  const sum = known.reduce((s, r, i) => s + r / learned(first + i + 1), 0);
  const f = (PLAN_WEIGHT + sum) / (PLAN_WEIGHT + n);
  const next = learned(ratios.length + 1);
  // f·gamma is a ratio of two gammas: beta prime of TIME_SHAPE and of the shape behind f.
  const shape = TIME_SHAPE * (PLAN_WEIGHT + n) + 1;
  const scale = PLAN_WEIGHT + sum;
  const at = (chance: number) => {
    const x = betaQuantile(chance, TIME_SHAPE, shape);
    return (scale * x) / (1 - x);
  };
  return {
    times: ratios.length,
    factor: f * next,
    after: f * learned(ratios.length + 2),
    low: at(0.1) * next,
    high: at(0.9) * next,
  };
}

/** What somebody's drills and repairs say of each way, by `wayKey`; ways that they never did are not there. */
export function pacesOf(drills: readonly Drill[], who: string): Map<string, PaceOf> {
  const ratios = new Map<string, number[]>();
  const mine = drills
    .filter((d) => d.who === who && countsAsTime(d) && d.planned > 0 && drillMinutes(d) > 0)
    .sort((a, b) => (a.started < b.started ? -1 : a.started > b.started ? 1 : a.id < b.id ? -1 : 1));
  for (const d of mine) {
    const key = wayKey(d.trouble, d.way);
    const list = ratios.get(key) ?? [];
    list.push(drillMinutes(d) / (d.planned * (d.dark ? NIGHT_WORK : 1)));
    ratios.set(key, list);
  }
  return new Map([...ratios].map(([key, list]) => [key, paceFrom(list)]));
}

/** For each way the pace of whoever of some riders is quickest at it by their own times. Ways that none of them did go by the planning value. */
export function quickest(drills: readonly Drill[], riders: ReadonlySet<string>): OwnPace {
  const best = new Map<string, number>();
  for (const who of riders)
    for (const [key, { factor }] of pacesOf(drills, who)) best.set(key, Math.min(best.get(key) ?? Infinity, factor));
  return best;
}
