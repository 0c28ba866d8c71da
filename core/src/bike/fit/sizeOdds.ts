import { at, present } from '../../ground/numbers.js';
import { FORM_SIZES, isInch, type Head, type HeadForm, type Shape } from '../../ground/sizes/index.js';
import { meanSpread, readingSpread, repeats, WEAR, type Gauging, type Outcome } from './gauging.js';
import { above } from './normal.js';
import type { Band } from './bands.js';
import { gaugedBand, saidOf, SEATS } from './tried.js';

/** One nominal size with its odds. */
export interface SizeOdds {
  head: Head;
  /** Posterior probability, 0…1. */
  odds: number;
  inch: boolean;
}
export interface Sizing {
  /** Sizes with odds over one in a thousand, the likeliest first. */
  sizes: SizeOdds[];
  /** Whether the first is ten times likelier than the second. */
  settled: boolean;
  /** Likeliest measure of this very head given all that was measured, mm; NaN when nothing was. */
  measure: number;
  /** Whether the readings lie outside everything that is made, by more than four spreads. */
  foreign: boolean;
}

/** Prior weight of a size, any positive scale. */
export type Prior = (head: Head) => number;

/** Even, as Simpson's rule wants it: in the far tail of a reading the midpoint rule was off by half a hundredth. */
const STEPS = 120;
/** Spreads beyond which a band counts for nothing. */
const FAR = 30;
/** A curve that has fallen by e to this power has died away. */
const DEAD = 24;
const SHOWN = 0.001;
/** Odds at which two sizes count as told apart (docs/model.md, section 1). */
const TEN_TO_ONE = 10;

/** Whether a calliper can tell sizes of this form. */
export const canGauge = (form: HeadForm): boolean => gaugedBand({ form, size: FORM_SIZES[form]?.[0] ?? '' }) !== null;

interface Candidate {
  head: Head;
  /** Likelihood × prior, and its mean over the measure. */
  weight: number;
  measure: number;
}

/** Density of what a head of a made band measures once it is worn or painted by so much: the band folded with a normal curve. */
function wornDensity({ min, max }: Band, wear: number): (y: number) => number {
  if (wear === 0) return (y) => (y >= min - 1e-12 && y <= max + 1e-12 ? 1 / (max - min) : 0);
  return (y) => Math.max(0, above((y - max) / wear) - above((y - min) / wear)) / (max - min);
}
/** Wear beyond which a head is no head of that band, in spreads. */
const MOST_WEAR = 8;

/**
 * Weight of every size of a form: prior × mean, over what such a head measures now, of N(mean reading; y, u/√n) × chances of what the tries gave on
 * a head of measure y. Wear belongs to the head: it is the same at every reading and for every tool. The repeats' own scatter is the same for all
 * sizes and drops out, and so do the factors of the normal curve and of Simpson’s rule.
 */
function tally(
  form: HeadForm,
  gauging: Gauging,
  prior: Prior,
  sizes: readonly string[] = FORM_SIZES[form] ?? [],
): Candidate[] {
  const { n, mean } = repeats(gauging.readings);
  const u = n === 0 ? 1 : readingSpread(gauging) / Math.sqrt(n);
  const wear = WEAR[gauging.surface];
  const said = gauging.tries.map((t) => saidOf(t.tool, t.outcome));
  const out: Candidate[] = [];
  for (const size of sizes) {
    const head: Head = { form, size };
    const band = gaugedBand(head);
    if (!band) continue;
    const [low, high] = [band.min - MOST_WEAR * wear, band.max + MOST_WEAR * wear];
    const away = n === 0 ? 0 : Math.max(0, low - mean, mean - high);
    // A band far from every reading needs no closer look.
    if (away > FAR * u) continue;
    // Only where the curve has not died away against its highest in the band: far from a reading that is a sliver at the band's edge.
    const reach = Math.sqrt(away * away + 2 * DEAD * u * u);
    const [from, to] = n === 0 ? [low, high] : [Math.max(low, mean - reach), Math.min(high, mean + reach)];
    const density = wornDensity(band, wear);
    let [sum, moment] = [0, 0];
    for (let i = 0; i <= STEPS; i++) {
      const x = from + ((to - from) * i) / STEPS;
      const share = i === 0 || i === STEPS ? 1 / 3 : i % 2 === 1 ? 4 / 3 : 2 / 3;
      let p = share * density(x) * (n === 0 ? 1 : Math.exp(-((mean - x) ** 2) / (2 * u * u)));
      for (const chance of said) p *= chance(x);
      sum += p;
      moment += p * x;
    }
    if (sum > 0) out.push({ head, weight: prior(head) * (to - from) * sum, measure: moment / sum });
  }
  return out;
}
const totalOf = (list: readonly Candidate[]) => list.reduce((s, c) => s + c.weight, 0);

/**
 * From readings and tries to nominal sizes: a posterior over every size of a form, metric and inch.
 * @param form form of the head, which the eye tells
 * @param gauging readings in mm and tools tried
 * @param prior how common each size is here; equal when left out
 * @returns sizes with odds; empty for forms that no calliper measures
 * @example sizeOdds('hex', { readings: [12.94], surface: 'clean', tries: [] }).sizes[0].head.size // '13'
 */
export function sizeOdds(form: HeadForm, gauging: Gauging, prior: Prior = () => 1): Sizing {
  const { mean, n } = repeats(gauging.readings);
  const all = tally(form, gauging, prior);
  const total = totalOf(all);
  const reach = 4 * meanSpread(gauging);
  const foreign =
    n > 0 &&
    !(FORM_SIZES[form] ?? []).some((size) => {
      const band = gaugedBand({ form, size });
      return band && mean > band.min - reach && mean < band.max + reach;
    });
  if (!(total > 0)) return { sizes: [], settled: false, measure: mean, foreign };
  const sizes = all
    .map((c) => ({ head: c.head, odds: c.weight / total, inch: isInch(c.head.size) }))
    .filter((s) => s.odds > SHOWN)
    .sort((a, b) => b.odds - a.odds);
  const measure = all.reduce((s, c) => s + (c.weight / total) * c.measure, 0);
  const settled = sizes.length > 0 && (sizes.length === 1 || at(sizes, 0).odds >= TEN_TO_ONE * at(sizes, 1).odds);
  return { sizes, settled, measure, foreign };
}

/** What one outcome of a try would mean. */
export interface Meaning {
  outcome: Outcome;
  /** Chance of that outcome, 0…1. */
  chance: number;
  /** Likeliest size then, and its odds. */
  head: Head;
  odds: number;
}
/** A tool to put on next. */
export interface NextTry {
  tool: Shape;
  /** Whether the toolbox holds it. */
  owned: boolean;
  /** Odds of being right about the size after it, on average. */
  right: number;
  /** What it tells, in bits: how far it narrows the odds, on average. */
  tells: number;
  meanings: Meaning[];
}

/** A tool in the hand is preferred to a better one that is not, up to this share of what the better one gains. */
const OWNED_GAIN = 0.7;
/** Fewer bits than this say nothing that is worth the walk to the toolbox. */
const LEAST_BITS = 0.005;
/** Only tools that a rider would take for the size: farther ones tell by spinning, which nobody trusts. */
const NEAR = 0.055;

/**
 * The one try that tells the most: of all tools near the likely sizes, the one that narrows the odds most (in bits), averaged over what may be
 * felt; tools of the drawer first where they do nearly as well.
 * @param owned nominal sizes of this form that the toolbox turns
 * @returns null when no try tells anything worth the walk to the toolbox
 */
export function nextTry(
  form: HeadForm,
  gauging: Gauging,
  prior: Prior = () => 1,
  owned: readonly string[] = [],
): NextTry | null {
  const now = sizeOdds(form, gauging, prior);
  const best = now.sizes[0];
  if (!best) return null;
  const near = (FORM_SIZES[form] ?? [])
    .map((size): Shape => ({ form: form === 'plug' || form === 'hex12' ? 'hex' : form, size }))
    .filter((tool) => now.sizes.some((s) => s.odds > 0.01 && isNear(tool, s.head)));
  // Sizes that are all but ruled out would not change any average.
  const left = now.sizes.map((s) => s.head.size);
  const tried = near.map((tool) => lookAhead(form, gauging, prior, tool, owned.includes(tool.size), left));
  const most = Math.max(...tried.map((t) => t.tells), 0);
  if (most < LEAST_BITS) return null;
  const inHand = tried.filter((t) => t.owned && t.tells >= OWNED_GAIN * most);
  return (inHand.length > 0 ? inHand : tried).reduce((a, b) => (b.tells > a.tells + 1e-12 ? b : a));
}

const middle = (shape: Shape) => {
  const band = present(gaugedBand(shape));
  return (band.min + band.max) / 2;
};
const isNear = (tool: Shape, head: Shape) => Math.abs(middle(tool) / middle(head) - 1) < NEAR;

/** Doubt left in a tally, bits. */
function bits(list: readonly Candidate[]): number {
  const total = totalOf(list);
  return list.reduce((s, { weight }) => (weight > 0 ? s - (weight / total) * Math.log2(weight / total) : s), 0);
}

function lookAhead(
  form: HeadForm,
  gauging: Gauging,
  prior: Prior,
  tool: Shape,
  owned: boolean,
  left: readonly string[],
): NextTry {
  const meanings: Meaning[] = [];
  let right = 0;
  let after = 0;
  // Chance of an outcome: the evidence of everything with it over that without.
  const now = tally(form, gauging, prior, left);
  const before = totalOf(now);
  for (const outcome of SEATS) {
    const then = tally(form, { ...gauging, tries: [...gauging.tries, { tool, outcome }] }, prior, left);
    const total = totalOf(then);
    const chance = total / before;
    if (!(chance > 1e-6)) continue;
    const top = then.reduce((a, b) => (b.weight > a.weight ? b : a));
    right += top.weight / before;
    after += chance * bits(then);
    if (chance > 0.02) meanings.push({ outcome, chance, head: top.head, odds: top.weight / total });
  }
  return { tool, owned, right, tells: bits(now) - after, meanings };
}
