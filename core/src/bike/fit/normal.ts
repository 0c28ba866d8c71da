/**
 * Chance that a standard normal lies above z; relative error below 2e-7 (rational fit of the complementary error function).
 * @param z in spreads, either sign
 * @returns 0 to 1
 * @example above(1.96) // 0.025
 */
export function above(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.5 * x);
  const poly = [
    -1.26551223, 1.00002368, 0.37409196, 0.09678418, -0.18628806, 0.27886807, -1.13520398, 1.48851587, -0.82215223,
    0.17087277,
  ].reduceRight((sum, c) => sum * t + c, 0);
  const tail = 0.5 * t * Math.exp(-x * x + poly);
  return z >= 0 ? tail : 1 - tail;
}
