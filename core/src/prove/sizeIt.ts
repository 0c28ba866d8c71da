import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Fastener } from '../bike/index.js';
import { canGauge, fit, gaugedBand, nextTry, sizeOdds, type Gauging, type Surface } from '../bike/fit/index.js';
import { FORM_SIZES, type Head, type Shape } from '../ground/sizes/index.js';
import { shuffled } from './findIt.js';

/** A head to be sized, drawn to scale, and what to choose from. */
export interface SizeQuestion {
  /** What is shown: the head's form, its true measure, mm, and how it looks. */
  head: Head;
  measure: number;
  surface: Surface;
  /** What the calliper said. */
  gauging: Gauging;
  /** Which of these is put on next, or which turns it. */
  ask: 'next' | 'turns';
  choices: Shape[];
  /** Number of the right one, and why. */
  right: number;
  /** Odds of the sizes by that reading. */
  odds: { head: Head; odds: number }[];
}

const NEAR = 3;

/** Sizes next to a size in the list of its form. */
function neighbours(head: Head): Shape[] {
  const own = gaugedBand(head);
  const form = head.form === 'plug' || head.form === 'hex12' ? 'hex' : head.form;
  if (!own) return [];
  const middle = (own.min + own.max) / 2;
  return (FORM_SIZES[form] ?? [])
    .map((size): Shape => ({ form, size }))
    .flatMap((shape) => {
      const band = gaugedBand(shape);
      return band && Math.abs((band.min + band.max) / 2 - middle) < middle * 0.12
        ? [{ shape, off: Math.abs((band.min + band.max) / 2 - middle) }]
        : [];
    })
    .sort((a, b) => a.off - b.off)
    .slice(0, NEAR + 2)
    .map((x) => x.shape);
}

/** How well a tool goes with a head: the one that fits first, the closer to its size the better. */
const rank = (tool: Shape, head: Head): number =>
  ({ fits: 0, loose: 1, rounds: 2, no: 3 })[fit(tool, head, 'six').verdict];

/**
 * A question on one of the bike's heads: it is as worn or painted as heads are, a calliper gave one reading, and one tool settles it. The answer is
 * what the fit functions say: the tool that fits, or where the reading leaves it open the try that tells most.
 * @returns null where the bike has no head that a calliper can size
 */
export function sizeQuestion(fasteners: readonly Fastener[], seed: number): SizeQuestion | null {
  const random = xoroshiro128plus(seed);
  const draw = () => ((random.next() >>> 0) + 0.5) / 2 ** 32;
  draw();
  const known = fasteners.filter(
    (f) => f.leftOut === null && canGauge(f.head.form) && (f.head.form === 'hex' || f.head.form === 'key'),
  );
  if (known.length === 0) return null;
  const head = known[Math.floor(draw() * known.length)]!.head;
  const band = gaugedBand(head)!;
  const surface: Surface = draw() < 0.5 ? 'clean' : 'worn';
  const wear = surface === 'worn' ? (draw() - 0.6) * 0.25 : 0;
  const measure = Math.round((band.min + (band.max - band.min) * (0.3 + 0.6 * draw()) + wear) * 100) / 100;
  const gauging: Gauging = { readings: [measure], surface, tries: [] };
  const sizing = sizeOdds(head.form, gauging);
  const choices = shuffled(neighbours(head).slice(0, NEAR + 1), seed);
  if (choices.length < 2) return null;
  const next = sizing.settled ? null : nextTry(head.form, gauging);
  const odds = sizing.sizes.map((s) => ({ head: s.head, odds: s.odds }));
  const likely = sizing.sizes[0]?.head ?? head;
  const best = [...choices].sort(
    (a, b) => rank(a, likely) - rank(b, likely) || fit(a, likely, 'six').worstPlay - fit(b, likely, 'six').worstPlay,
  )[0]!;
  if (next) {
    const at = choices.findIndex((s) => s.size === next.tool.size);
    const list = at >= 0 ? choices : shuffled([next.tool, ...choices.slice(0, NEAR)], seed + 1);
    return {
      ...{ head, measure, surface, gauging, odds },
      ask: 'next',
      choices: list,
      right: list.findIndex((s) => s.size === next.tool.size),
    };
  }
  return { head, measure, surface, gauging, odds, ask: 'turns', choices, right: choices.indexOf(best) };
}
