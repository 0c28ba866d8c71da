import { at } from '../../ground/numbers.js';
import { poissonPmf } from './poisson.js';

/** Shape of a count that is sure to be its mean. */
const SURE = 0;

/**
 * How often something happens on a trip: Poisson around a mean, or, once the rider's own record weighs in, negative binomial around it.
 * `shape` is the negative binomial's r; null for Poisson, 0 where the count is sure to be the mean.
 */
export interface CountLaw {
  mean: number;
  shape: number | null;
}
/**
 * A count that is sure.
 * @param times 0 or more
 */
export const fixed = (times: number): CountLaw => ({ mean: times, shape: SURE });
/**
 * A Poisson count.
 * @param mean 0 or more
 */
export const poisson = (mean: number): CountLaw => ({ mean, shape: null });

/**
 * ln Γ(x) for x > 0 (Lanczos, nine terms), to about 1e-13.
 * @param x above 0
 * @example logGamma(5) // ln 24 = 3.178
 */
export function logGamma(x: number): number {
  const g = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const y = x - 1;
  const t = y + 7.5;
  let sum = at(g, 0);
  for (let i = 1; i < 9; i++) sum += at(g, i) / (y + i);
  return 0.5 * Math.log(2 * Math.PI) + (y + 0.5) * Math.log(t) - t + Math.log(sum);
}

/**
 * P(N = k). Negative binomial: Γ(r+k)/(k!·Γ(r)) · p^r · (1−p)^k with p = r/(r + mean).
 * @param k 0, 1, 2 …
 * @example countPmf(1, { mean: 1.2, shape: 2 }) // 0.293
 */
export function countPmf(k: number, { mean, shape: r }: CountLaw): number {
  if (mean === 0) return k === 0 ? 1 : 0;
  if (r === null) return poissonPmf(k, mean);
  if (r === SURE) return k === Math.round(mean) ? 1 : 0;
  const p = r / (r + mean);
  return Math.exp(logGamma(r + k) - logGamma(k + 1) - logGamma(r) + r * Math.log(p) + k * Math.log1p(-p));
}

/**
 * P(N ≤ k).
 * @param k 0, 1, 2 …; below 0 the chance is nought
 * @returns 0 to 1
 * @example countCdf(1, { mean: 1.2, shape: 2 }) // 0.684
 */
export function countCdf(k: number, law: CountLaw): number {
  let sum = 0;
  for (let i = 0; i <= k; i++) sum += countPmf(i, law);
  return Math.min(1, sum);
}

/**
 * E[min(N, k)] = Σ_{j≤k} P(N ≥ j): the mends that k sets of means allow.
 * @param k sets of means
 * @returns 0 to k
 * @example mendsExpected(2, { mean: 1.2, shape: 2 }) // 0.926
 */
export function mendsExpected(k: number, law: CountLaw): number {
  let below = 0;
  let sum = 0;
  for (let j = 1; j <= k; j++) {
    below += countPmf(j - 1, law);
    const left = Math.max(0, 1 - below);
    sum += left;
    if (left < 1e-15) break;
  }
  return sum;
}

/** P(S = n), n = 0…upTo, of the units that events take from a stock, each event so many: one source of demand. */
function unitsPmf(law: CountLaw, units: number, upTo: number): number[] {
  const out = new Array<number>(upTo + 1).fill(0);
  for (let k = 0; k * units <= upTo; k++) {
    const p = countPmf(k, law);
    out[k * units] = p;
    if (k > law.mean && p < 1e-18) break;
  }
  return out;
}

/**
 * P(S = n) of the units that several independent sources take together: the convolution of each one's.
 * @param sources each with its law and the units that one event takes
 * @param upTo most units that are asked about
 * @returns chances of 0 to `upTo` units
 */
export function unitsTogether(sources: readonly { law: CountLaw; units: number }[], upTo: number): number[] {
  let all = [1, ...new Array<number>(upTo).fill(0)];
  for (const { law, units } of sources) {
    if (units <= 0 || law.mean <= 0) continue;
    const one = unitsPmf(law, units, upTo);
    const next = new Array<number>(upTo + 1).fill(0);
    for (let a = 0; a <= upTo; a++) {
      const pa = at(all, a);
      if (pa === 0) continue;
      for (let b = 0; a + b <= upTo; b += units) next[a + b] = at(next, a + b) + pa * at(one, b);
    }
    all = next;
  }
  return all;
}
