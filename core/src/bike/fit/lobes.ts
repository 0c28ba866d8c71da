import { SIX_LOBE, SIX_LOBE_OUT_POINTS, type Shape } from '../../ground/sizes/index.js';
import type { Band } from './bands.js';

const DEG = 180 / Math.PI;
/** Valleys of a six-lobe over its points, and with that the wave of its outline: r = m + n·cos 6φ. Planning value. */
const VALLEY = 0.72;
const MEAN = (1 + VALLEY) / 4;
const WAVE = (1 - VALLEY) / 4;

/** Nominal mm across the points of a six-lobe, inside or outside. */
export const acrossPoints = (shape: Shape): number =>
  (shape.form === 'lobe-out' ? SIX_LOBE_OUT_POINTS : SIX_LOBE)[shape.size] ?? Number.NaN;

/** Across points to which the head of a six-lobe is made, mm: recesses over nominal, outside heads under it. Planning values. */
export function lobeBand(head: Shape): Band {
  const d = acrossPoints(head);
  return head.form === 'lobe-out' ? { min: d * 0.985, max: d } : { min: d * 1.005, max: d * 1.025 };
}

/** Across points to which six-lobe drivers and sockets are made, mm: drivers under nominal, sockets over it. Planning values. */
export function lobeToolBand(tool: Shape): Band {
  const d = acrossPoints(tool);
  return tool.form === 'lobe-out' ? { min: d * 1.005, max: d * 1.025 } : { min: d * 0.98, max: d };
}

/**
 * Free play of a six-lobe in its mate, degrees: both outlines are r = m + n·cos 6φ, the inner one smaller by k; it turns by θ until
 * √(1 + k² − 2k·cos 6θ) = m(1 − k)/n.
 * @param opening mm across the points of each
 * @param inner mm across the points of each
 * @returns 0…30; 30 when it spins; NaN when it does not go in
 */
export function lobePlay(opening: number, inner: number): number {
  const k = inner / opening;
  if (!(k <= 1)) return Number.NaN;
  const room = (MEAN * (1 - k)) / WAVE;
  const c = (1 + k * k - room * room) / (2 * k);
  return c <= -1 ? 30 : Math.acos(Math.min(1, c)) * (DEG / 6);
}

/**
 * Radius of a six-lobe's outline at an angle (degrees from a point), for a size across points, mm.
 * @param across size across points, mm
 * @param degrees from a point; the outline comes again every 60°
 * @returns mm
 */
export const lobeRadius = (across: number, degrees: number): number =>
  across * (MEAN + WAVE * Math.cos((6 * degrees) / DEG));
