import { Phrasebook, unitAt, type LineFact, type Token } from '../../ground/line/index.js';
import type { Access } from '../fastener.js';

type Length = Extract<LineFact, { code: 'line.length' }>['of'];
const LENGTHS: readonly (readonly [Length, string])[] = [
  ['recess', 'sunk|deep in|recessed|recess'],
  ['clearance', 'well|round|free round'],
  ['headroom', 'room|headroom|room in line'],
  ['thin', 'thin|thickness'],
  ['stud', 'stud'],
];
const LENGTH_BOOK = new Phrasebook(LENGTHS);
const SWING = new Phrasebook<true>([[true, 'swing']]);
const APPROACHES = new Phrasebook<Access['approach']>([
  ['side only', 'side only'],
  ['in line only', 'in line only'],
  ['out of line', 'out of line'],
]);
const MOST_LENGTH = 5000;

/** What a stretch says of the access at one end, or why it cannot be. */
export type AccessAt = { to: number; set: Partial<Access>; says: string | LineFact } | { to: number; fault: string };

/**
 * Reads what stands in a tool's way from a token on: `sunk 60`, `well 0.5in`, `swing 30`, `side only`.
 * @param i the token to begin at, from 0
 */
export function accessAt(tokens: readonly Token[], i: number): AccessAt | null {
  const approach = APPROACHES.at(tokens, i);
  if (approach) return { to: approach.to, set: { approach: approach.means }, says: approach.means };
  const swing = SWING.at(tokens, i);
  if (swing) {
    const figure = tokens[swing.to];
    if (figure?.kind !== 'number') return null;
    const unit = unitAt(tokens, swing.to + 1);
    const to = unit?.unit.kind === 'angle' ? unit.to : swing.to + 1;
    return figure.value >= 1 && figure.value <= 360
      ? { to, set: { swing: figure.value }, says: `${figure.value}° swing` }
      : { to, fault: 'a swing is 1 to 360 degrees' };
  }
  const length = LENGTH_BOOK.at(tokens, i);
  const figure = length ? tokens[length.to] : undefined;
  if (!length || figure?.kind !== 'number') return null;
  const unit = figure.stops ? null : unitAt(tokens, length.to + 1);
  // `sunk 60 in line only`: the word belongs to what follows.
  const own = unit?.unit.kind === 'length' && !APPROACHES.at(tokens, length.to + 1) ? unit : null;
  if (unit && !own && unit.unit.kind !== 'length') return null;
  const mm = Math.round(figure.value * (own?.unit.per ?? 1) * 10) / 10;
  const to = own?.to ?? length.to + 1;
  if (mm > MOST_LENGTH) return { to, fault: 'over five metres: check the figure' };
  return { to, set: { [length.means]: mm }, says: { code: 'line.length', mm, of: length.means } };
}
