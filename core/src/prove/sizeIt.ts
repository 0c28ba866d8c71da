import { at, present } from '../ground/numbers.js';
import type { Fastener } from '../bike/index.js';
import { canGauge, fit, gaugedBand, nextTry, sizeOdds, type Gauging, type Surface } from '../bike/fit/index.js';
import { FORM_SIZES, type Head, type Shape } from '../ground/sizes/index.js';
import { drawsFrom, shuffled } from './draws.js';

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

/** Tools to choose from beside the right one. */
const NEAR = 3;
/** Heads that are drawn until one makes a question. */
const MOST_DRAWS = 60;

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

/**
 * A question on one of the bike's heads: it is as worn or painted as heads are, a calliper gave one reading, and one tool settles it. The answer is
 * what the fit functions say: the tool that fits, or where the reading leaves it open the try that tells most.
 * @param seed any whole number; the same asks the same
 * @returns null where the bike has no head that a calliper can size
 */
export function sizeQuestion(fasteners: readonly Fastener[], seed: number): SizeQuestion | null {
  const heads = new Map<string, Head>();
  for (const f of fasteners)
    if (f.leftOut === null && (f.head.form === 'hex' || f.head.form === 'key') && canGauge(f.head.form))
      heads.set(`${f.head.form} ${f.head.size}`, f.head);
  const known = [...heads.values()];
  const draw = drawsFrom(seed);
  // A head of which no reading leads to one answer is not asked for.
  for (let tries = 0; known.length > 0 && tries < MOST_DRAWS; tries++) {
    const asked = ask(at(known, Math.floor(draw() * known.length)), draw, seed + tries);
    if (asked) return asked;
  }
  return null;
}

function ask(head: Head, draw: () => number, seed: number): SizeQuestion | null {
  const band = present(gaugedBand(head));
  const surface: Surface = draw() < 0.5 ? 'clean' : 'worn';
  // Rounded corners read small, paint reads large.
  const wear = surface === 'worn' ? (draw() - 0.6) * 0.25 : 0;
  const measure = Math.round((band.min + (band.max - band.min) * (0.3 + 0.6 * draw()) + wear) * 100) / 100;
  const gauging: Gauging = { readings: [measure], surface, tries: [] };
  const sizing = sizeOdds(head.form, gauging);
  const likely = sizing.sizes[0]?.head;
  const choices = shuffled(neighbours(head).slice(0, NEAR + 1), seed);
  if (!likely || choices.length < 2) return null;
  const said = { head, measure, surface, gauging, odds: sizing.sizes.map((s) => ({ head: s.head, odds: s.odds })) };
  if (sizing.settled) {
    const right = choices.findIndex((s) => s.size === likely.size);
    return right < 0 || fit(at(choices, right), likely, 'six').verdict !== 'fits'
      ? null
      : { ...said, ask: 'turns', choices, right };
  }
  const next = nextTry(head.form, gauging);
  if (!next) return null;
  const list = choices.some((s) => s.size === next.tool.size)
    ? choices
    : shuffled([next.tool, ...choices.slice(0, NEAR)], seed + 1);
  return { ...said, ask: 'next', choices: list, right: list.findIndex((s) => s.size === next.tool.size) };
}
