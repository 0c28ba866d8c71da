import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { gaugedBand, SPREADS } from '../fit/index.js';
import type { Head } from '../../ground/sizes/index.js';

/** Random numbers from a seed: the same seed gives the same series. */
export interface Random {
  /** 0 ≤ x < 1 */
  uniform: () => number;
  /** Mean 0, spread 1. */
  normal: () => number;
}
/**
 * Random numbers, even and normal, that are the same for the same seed.
 * @param seed any whole number
 */
export function seeded(seed: number): Random {
  const generator = xoroshiro128plus(seed);
  const uniform = () => (generator.next() >>> 0) / 2 ** 32;
  return {
    uniform,
    // Box and Muller's way; 1 − u keeps the logarithm finite.
    normal: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
  };
}

/** What is wrong with a simulated instrument. */
export interface Flaws {
  /** Spread of one reading, mm or g. */
  noise: number;
  /** What it shows when it should show nought. */
  zero: number;
  /** Share of lines that never arrive. */
  drop: number;
}
export const CALLIPER_FLAWS: Flaws = { noise: SPREADS.clean, zero: 0, drop: 0 };
export const SCALE_FLAWS: Flaws = { noise: 0.4, zero: 0, drop: 0 };

/** A line that an instrument makes; `sent` is false for one that is lost on the way. */
export interface MadeLine {
  value: number;
  stable: boolean;
  sent: boolean;
}

/** A head as it was made, somewhere in the band of its size: mm across flats or points; NaN for forms that no calliper measures. */
export function madeHead(head: Head, random: Random): number {
  const band = gaugedBand(head);
  return band ? band.min + (band.max - band.min) * random.uniform() : Number.NaN;
}

/**
 * Readings of one head, each with the instrument's flaws, to a hundredth of a mm.
 * @param across mm across the flats
 */
export function* calliperLines(across: number, flaws: Flaws, random: Random): Generator<MadeLine, never> {
  for (;;) {
    const value = Math.round((across + flaws.zero + flaws.noise * random.normal()) * 100) / 100;
    yield { value, stable: true, sent: random.uniform() >= flaws.drop };
  }
}

const SETTLING = 6;
/**
 * A scale on which something is put: it swings in over a few lines, then stands, to the gram.
 * @param mass grams
 */
export function* scaleLines(mass: number, flaws: Flaws, random: Random): Generator<MadeLine, never> {
  for (let i = 0; ; i++) {
    const swing = i < SETTLING ? mass * 0.6 * Math.exp(-i) * Math.cos(2.2 * i) : 0;
    const value = Math.round(mass + flaws.zero + swing + flaws.noise * random.normal());
    yield { value, stable: i >= SETTLING, sent: random.uniform() >= flaws.drop };
  }
}
