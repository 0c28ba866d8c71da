import { at } from '../ground/numbers.js';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Numbers thrown away first: seeds that lie close together begin alike. */
const WARM = 24;

/**
 * Even numbers between 0 and 1, the same for the same seed.
 * @param seed whole
 */
export function drawsFrom(seed: number): () => number {
  // Spread over all bits, so that 1 and 2 are no neighbours any more.
  const random = xoroshiro128plus(Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b));
  for (let i = 0; i < WARM; i++) random.next();
  return () => ((random.next() >>> 0) + 0.5) / 2 ** 32;
}

/**
 * A list in an order that hangs on a seed alone.
 * @param seed whole
 */
export function shuffled<T>(list: readonly T[], seed: number): T[] {
  const draw = drawsFrom(seed);
  const out = [...list];
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(draw() * (i + 1));
    [out[i], out[j]] = [at(out, j), at(out, i)];
  }
  return out;
}
