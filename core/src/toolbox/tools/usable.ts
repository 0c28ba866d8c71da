import type { Piece } from './piece.js';

/** Share of its torque that a cheap piece, and a worn one, is trusted with. Planning values. */
export const TRUST = { cheap: 0.6, worn: 0.8 } as const;

/** A piece as far as it may be relied on: what is cheap or worn bears less. */
export function trusted(piece: Piece): Piece {
  const share = (piece.quality === 'cheap' ? TRUST.cheap : 1) * (piece.condition === 'worn' ? TRUST.worn : 1);
  if (share === 1) return piece;
  return { ...piece, modes: piece.modes.map((m) => ({ ...m, bears: Math.round(m.bears * share * 10) / 10 })) };
}

/**
 * The pieces that a kit for a bike may hold: nothing broken, nothing that belongs to another bike, cheap and worn ones at what they can be
 * trusted with. Pieces marked *never* stay in the list, so that what a mark costs can be told.
 */
export const usablePieces = (pieces: readonly Piece[], bikeId: string): Piece[] =>
  pieces.filter((p) => p.condition !== 'broken' && (p.onlyBike === null || p.onlyBike === bikeId)).map(trusted);
