import type { Shape } from '../../ground/sizes/index.js';
import { headBand, keyBand, openingBand, keySocketBand, type Band } from './bands.js';
import type { Outcome } from './gauging.js';
import { playRatio } from './freePlay.js';
import { lobeBand, lobeToolBand } from './lobes.js';
import { worstOwnPlay } from './verdict.js';

/** What a calliper measures on a head: across flats, or across the points of a six-lobe. Null for forms that it cannot measure. */
export function gaugedBand(head: Shape): Band | null {
  switch (head.form) {
    case 'hex':
    case 'hex12':
    case 'plug':
      return headBand(head.size);
    case 'key':
      return keySocketBand(head.size);
    case 'lobe':
    case 'lobe-pin':
    case 'lobe-out':
      return lobeBand(head);
    default:
      return null;
  }
}

/** Ways in which a tool may sit, without the vague `goes on`. */
export const SEATS = ['does not go on', 'snug', 'loose', 'spins'] as const;
export type Seat = (typeof SEATS)[number];

/**
 * What is said when a tool really sits so. Dirt and paint keep a tool off or make it feel tighter; snug and loose are a matter of feel.
 * Rows add to 1. Planning values.
 */
const SAID: Record<Seat, Record<Seat, number>> = {
  'does not go on': { 'does not go on': 0.97, snug: 0.03, loose: 0, spins: 0 },
  snug: { 'does not go on': 0.03, snug: 0.88, loose: 0.09, spins: 0 },
  loose: { 'does not go on': 0.01, snug: 0.09, loose: 0.88, spins: 0.02 },
  spins: { 'does not go on': 0, snug: 0, loose: 0.03, spins: 0.97 },
};

/** Clearance of a six-lobe at which it feels loose, and at which it turns past the lobes, as ratios. */
const LOBE_LOOSE = 1.07;
const LOBE_SPINS = 1.3;

const shareBelow = (limit: number, { min, max }: Band) =>
  max > min ? Math.min(1, Math.max(0, (limit - min) / (max - min))) : limit >= min ? 1 : 0;

/**
 * Chances of how a tool really sits on a head, as a function of the head's measure, over the band to which the tool is made.
 * @param tool nominal size put on
 * @returns a function of mm across flats (across points for six-lobes) of this very head
 */
export function seats(tool: Shape): (measure: number) => Record<Seat, number> {
  const inside = tool.form === 'key' || tool.form === 'lobe' || tool.form === 'lobe-pin';
  const lobed = tool.form.startsWith('lobe');
  const band = lobed ? lobeToolBand(tool) : tool.form === 'key' ? keyBand(tool.size) : openingBand(tool.size);
  const snugTo = lobed ? LOBE_LOOSE : playRatio(Math.max(5, worstOwnPlay(tool, 'six')));
  const spinsFrom = lobed ? LOBE_SPINS : playRatio(30);
  return (measure) => {
    // Outside heads: the tool's opening over the head; inside ones: the head's opening over the tool.
    const below = (ratio: number) =>
      inside ? 1 - shareBelow(measure / ratio, band) : shareBelow(measure * ratio, band);
    const no = below(1);
    const snug = below(snugTo) - no;
    const spins = 1 - below(spinsFrom);
    return { 'does not go on': no, snug, loose: Math.max(0, 1 - no - snug - spins), spins };
  };
}

/** Chance that a rider says an outcome of a tool put on a head, as a function of the head's measure. */
export function saidOf(tool: Shape, outcome: Outcome): (measure: number) => number {
  const real = seats(tool);
  const told = (what: Seat) => {
    const [a, b, c, d] = [SAID['does not go on'][what], SAID.snug[what], SAID.loose[what], SAID.spins[what]];
    return (measure: number) => {
      const r = real(measure);
      return r['does not go on'] * a + r.snug * b + r.loose * c + r.spins * d;
    };
  };
  if (outcome !== 'goes on') return told(outcome);
  const no = told('does not go on');
  return (measure) => 1 - no(measure);
}
