import type { Piece } from '../tools/piece.js';
import { SIZE_UNKNOWN } from './unmeasured.js';
import { readPiece, type ToolContext } from './read.js';

/** Whether a tool is kept without its size: it turns nothing until it has one. */
export const lacksSize = (piece: Pick<Piece, 'name' | 'modes'>): boolean =>
  piece.modes.length === 0 && piece.name.endsWith(SIZE_UNKNOWN);

/**
 * A tool that was kept without its size, with the one that was measured now: `12` for a socket, `12/13` for a ring spanner. Its mass stays where
 * the rider said it.
 */
export function withSize(
  piece: Piece,
  size: string,
  context: ToolContext = {},
): { ok: true; piece: Piece } | { ok: false; reason: string } {
  const read = readPiece(`${piece.name.slice(0, -SIZE_UNKNOWN.length)} ${size}`, context);
  if (!read.ok) return read;
  const { name, modes, mass, size: measures, price } = read.model;
  if (modes.length === 0) return { ok: false, reason: 'write its size, such as 12' };
  const own = piece.source === 'user' || piece.weighed;
  return { ok: true, piece: { ...piece, name, modes, size: measures, price, mass: own ? piece.mass : mass } };
}
