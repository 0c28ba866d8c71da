import { at } from '../../ground/numbers.js';
/** Poisson and compound Poisson sums. Terms are summed from log space, since exp(−λ) underflows near λ = 745. */

/** ln k! by summation with a small memory; k is a count of troubles and stays small. */
const logFactorials = [0];
function logFactorial(k: number): number {
  for (let i = logFactorials.length; i <= k; i++) logFactorials.push(at(logFactorials, i - 1) + Math.log(i));
  return at(logFactorials, k);
}

/**
 * P(N = k) for a Poisson count of mean λ.
 * @param k 0, 1, 2 …
 * @param lambda 0 or more
 * @returns 0 to 1
 * @example poissonPmf(1, 1.2) // 0.361
 */
export function poissonPmf(k: number, lambda: number): number {
  if (lambda === 0) return k === 0 ? 1 : 0;
  return Math.exp(k * Math.log(lambda) - lambda - logFactorial(k));
}

/**
 * P(N ≤ k) for a Poisson count of mean λ.
 * @param k 0, 1, 2 …
 * @param lambda 0 or more
 * @returns 0 to 1
 * @example poissonCdf(1, 1.2) // 0.663
 */
export function poissonCdf(k: number, lambda: number): number {
  let sum = 0;
  for (let i = 0; i <= k; i++) sum += poissonPmf(i, lambda);
  return Math.min(1, sum);
}

/**
 * Least k with P(N ≤ k) ≥ q: the stock for a service level (docs/model.md, section 5).
 * @param q service level, 0 to 1
 * @param lambda expected count
 * @example poissonQuantile(0.95, 1.2) // 3
 */
export function poissonQuantile(q: number, lambda: number): number {
  if (!(q < 1)) throw new RangeError('a service level is under 1');
  let k = 0;
  let cdf = poissonPmf(0, lambda);
  while (cdf < q && k < 100_000) cdf += poissonPmf(++k, lambda);
  return k;
}

/**
 * Σ_{j≤k} P(N ≥ j): the expected number of mends that k sets of means allow, E[min(N, k)].
 * @param k sets of means
 * @param lambda 0 or more
 * @returns 0 to k
 * @example expectedMends(2, 1.2) // 1.036
 */
export function expectedMends(k: number, lambda: number): number {
  let below = 0;
  let sum = 0;
  for (let j = 1; j <= k; j++) {
    below += poissonPmf(j - 1, lambda);
    sum += Math.max(0, 1 - below);
  }
  return sum;
}

/** One source of demand: events at mean λ, each taking `units` from the stock. */
export interface Demand {
  lambda: number;
  units: number;
}

/**
 * P(S = n) for n = 0…upTo of the units taken from one stock by several troubles, by Panjer's recursion:
 * p(0) = e^−Σλ, p(n) = (1/n)·Σ u·λ_u·p(n − u).
 * Normalised through a shift when e^−Σλ would underflow.
 * @param demands each with its mean count and the units that one event takes
 * @param upTo most units that are asked about
 * @returns chances of 0 to `upTo` units
 * @example demandPmf([{ lambda: 0.5, units: 2 }], 2) // [0.607, 0, 0.303]
 */
export function demandPmf(demands: readonly Demand[], upTo: number): number[] {
  const total = demands.reduce((s, d) => s + d.lambda, 0);
  // Recursion on a scaled start keeps large means finite; the scale is put back term by term in log space.
  const scale = Math.min(total, 700);
  const p = [Math.exp(-scale)];
  const rest = Math.exp(-(total - scale));
  for (let n = 1; n <= upTo; n++) {
    let sum = 0;
    for (const { lambda, units } of demands) if (units > 0 && n >= units) sum += units * lambda * at(p, n - units);
    p.push(sum / n);
  }
  return p.map((v) => v * rest);
}
