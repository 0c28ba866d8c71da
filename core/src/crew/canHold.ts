import { longestPiece } from '../stow/place.js';
import type { Piece } from '../toolbox/tools/index.js';
import type { Carrier } from './carrier.js';

/** Whether a thing is short enough for some place of a carrier; where no place is known nobody says no. */
export const canHold = (carrier: Carrier, piece: Pick<Piece, 'size'>): boolean => {
  const places = carrier.member?.places ?? [];
  const { length, width, height } = piece.size;
  const longest = Math.max(length, width, height);
  return places.length === 0 || places.some((p) => longestPiece(p) >= longest);
};
