import { millimetres, type Shape } from '../../ground/sizes/index.js';
import { pairBands } from './bands.js';
import type { FitFact, PlainFit } from './facts.js';
import { freePlay, freePlayTwelvePoint } from './freePlay.js';

/** How a tool's opening is closed round a head. */
export type Grip = 'six' | 'twelve' | 'open' | 'adjustable';
export type Verdict = 'fits' | 'loose' | 'rounds' | 'no';

/** A verdict over the bands to which tool and head are made. */
export interface Fit {
  verdict: Verdict;
  /** Share of made pairs in which the tool goes on at all. */
  goesOn: number;
  /** Share of all made pairs that fit, are loose, or round the head off; with those that do not go on they add to 1. */
  odds: Record<Verdict, number>;
  /** Free play in degrees at the worst made pair that goes on; NaN where it is not a matter of hexagons. */
  worstPlay: number;
  reason: FitFact;
}

const FITS_UP_TO = 5;
const LOOSE_UP_TO = 9;
const TWELVE_FITS_UP_TO = 4;
const TWELVE_LOOSE_UP_TO = 7;
/** A spoke key may differ so much from the nipple, mm. Planning value. */
const SPOKE_PLAY = 0.2;
const GRID = 24;
/** One made pair in twenty: an outcome rarer than this is not planned for. Planning value. */
const RARE = 0.05;

/** Free play of the worst made pair of one size with itself, degrees: the play that a good fit may have. */
export function worstOwnPlay(tool: Shape, grip: Grip): number {
  const { opening, hexagon } = pairBands(tool, tool);
  return playOf(grip)(opening.max, hexagon.min);
}

const playOf = (grip: Grip) => (grip === 'twelve' ? freePlayTwelvePoint : freePlay);

const certain = (verdict: Verdict, code: PlainFit): Fit => ({
  verdict,
  goesOn: verdict === 'no' ? 0 : 1,
  odds: { fits: 0, loose: 0, rounds: 0, no: 0, [verdict]: 1 },
  worstPlay: Number.NaN,
  reason: { code },
});

/**
 * Verdict for one made pair of opening and hexagon, mm. `own` is the tool size's own worst play in degrees.
 * @param opening mm across the flats
 * @param hexagon mm across the flats
 * @param own degrees
 */
export function pairVerdict(opening: number, hexagon: number, grip: Grip, own: number): Verdict {
  const theta = playOf(grip)(opening, hexagon);
  if (Number.isNaN(theta)) return 'no';
  const twelve = grip === 'twelve';
  if (twelve && theta >= 15) return 'rounds';
  if (theta <= Math.max(twelve ? TWELVE_FITS_UP_TO : FITS_UP_TO, own) + 1e-9) return 'fits';
  return theta <= (twelve ? TWELVE_LOOSE_UP_TO : LOOSE_UP_TO) ? 'loose' : 'rounds';
}

function hexFit(tool: Shape, head: Shape, grip: Grip): Fit {
  const { opening, hexagon } = pairBands(tool, head);
  const own = worstOwnPlay(tool, grip);
  const odds: Record<Verdict, number> = { fits: 0, loose: 0, rounds: 0, no: 0 };
  for (let i = 0; i < GRID; i++) {
    const w = opening.min + ((opening.max - opening.min) * (i + 0.5)) / GRID;
    for (let j = 0; j < GRID; j++) {
      const s = hexagon.min + ((hexagon.max - hexagon.min) * (j + 0.5)) / GRID;
      odds[pairVerdict(w, s, grip, own)] += 1 / (GRID * GRID);
    }
  }
  const goesOn = 1 - odds.no;
  const worstPlay = opening.max >= hexagon.min ? playOf(grip)(opening.max, hexagon.min) : Number.NaN;
  // A tool that fails to go on one head in many, or is loose on many, is not one to rely on: the worst common outcome counts.
  const verdict: Verdict = odds.no > RARE ? 'no' : odds.rounds > RARE ? 'rounds' : odds.loose > RARE ? 'loose' : 'fits';
  const reason: FitFact =
    verdict !== 'no'
      ? { code: 'fit.play', verdict, degrees: worstPlay }
      : goesOn < RARE
        ? { code: 'fit.does-not-go-on' }
        : { code: 'fit.goes-on', of100: Math.round(goesOn * 100) };
  return { verdict, goesOn, odds, worstPlay, reason };
}

const memo = new Map<string, Fit>();

/**
 * Does a tool that turns one shape turn a head of another? Hexagons by free play over both made bands (docs/model.md, section 1);
 * other forms by form and size. An adjustable is set to the head, so its size does not matter within its span.
 * @param tool shape that the piece turns
 * @param head shape of the head, or of the piece to be turned
 * @param grip how the piece's opening is closed
 */
export function fit(tool: Shape, head: Shape, grip: Grip): Fit {
  const key = `${tool.form} ${tool.size}|${head.form} ${head.size}|${grip}`;
  let known = memo.get(key);
  if (!known) {
    known = judge(tool, head, grip);
    memo.set(key, known);
  }
  return known;
}

function judge(tool: Shape, head: Shape, grip: Grip): Fit {
  if (tool.form === head.form) {
    switch (head.form) {
      case 'hex':
      case 'key':
        return hexFit(tool, head, grip);
      case 'hex12':
        return hexFit(tool, head, 'twelve');
      // A plug's hexagon is a deep one: its socket is made to the same bands as any other.
      case 'plug':
        return hexFit(tool, head, 'six');
      case 'slot': {
        const gap = millimetres(head.size) - millimetres(tool.size);
        if (gap < -0.5) return certain('no', 'fit.blade-wide');
        return gap <= 1 ? certain('fits', 'fit.blade-fills') : certain('loose', 'fit.blade-narrow');
      }
      case 'hook': {
        const gap = Math.abs(millimetres(head.size) - millimetres(tool.size));
        return gap <= 6 ? certain('fits', 'fit.hook-reaches') : certain('no', 'fit.hook-differs');
      }
      case 'spoke':
        return Math.abs(millimetres(head.size) - millimetres(tool.size)) <= SPOKE_PLAY + 1e-9
          ? certain('fits', 'fit.same-size')
          : certain('no', 'fit.spoke-differs');
      default:
        return tool.size === head.size ? certain('fits', 'fit.same-size') : certain('no', 'fit.recess-differs');
    }
  }
  // A plug's hexagon is a deep one, and a plug socket turns any hexagon of its size.
  if ((head.form === 'plug' && tool.form === 'hex') || (head.form === 'hex' && tool.form === 'plug'))
    return hexFit(tool, head, grip);
  // Twelve-point heads take twelve-point tools, of their own size or of one that plays no more.
  if (head.form === 'hex12' && tool.form === 'hex')
    return grip === 'twelve' ? hexFit(tool, head, grip) : certain('no', 'fit.twelve-point-only');
  if (head.form === 'lobe' && tool.form === 'lobe-pin' && head.size === tool.size)
    return certain('fits', 'fit.drilled-bit');
  if (head.form === 'jis' && tool.form === 'ph') return certain('rounds', 'fit.ph-in-jis');
  if (head.form === 'ph' && tool.form === 'jis' && head.size === tool.size) return certain('loose', 'fit.jis-in-ph');
  return certain('no', 'fit.other-form');
}
