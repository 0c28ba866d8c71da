import { DOUBLES_FROM_DAYS, type Practice } from '../toolbox/practice.js';
import { millimetres } from '../ground/sizes/index.js';
import type { Piece } from '../toolbox/tools/index.js';

/** Largest socket that counts as small and easily lost, mm. Planning value. */
const SMALL_SOCKET = 10;

/** Whether a piece is of the kind that gets lost or breaks: bits, small sockets, ratchets that are cheap or worn. */
export function getsLostOrBreaks(piece: Pick<Piece, 'kind' | 'modes' | 'quality' | 'condition'>): boolean {
  switch (piece.kind) {
    case 'bit':
      return true;
    case 'socket':
      return piece.modes.some((m) => m.turns.form === 'hex' && millimetres(m.turns.size) <= SMALL_SOCKET);
    case 'ratchet':
      return piece.quality === 'cheap' || piece.condition === 'worn';
    default:
      return false;
  }
}

/**
 * Pieces of which a kit must be able to lose one, by the rider's practice and the length of the trip.
 * @param days of the trip
 */
export function losableIn(doubles: Practice['doubles'], days: number): (piece: Piece) => boolean {
  if (doubles === 'none' || days < DOUBLES_FROM_DAYS) return () => false;
  return doubles === 'all' ? () => true : getsLostOrBreaks;
}
