import type { GarageDocument } from '../garage/index.js';
import type { Piece } from '../toolbox/tools/index.js';

/** Each second of the tools that only turn something, and all others. */
export const eachSecondTool = (pieces: readonly Piece[]): Piece[] =>
  pieces.filter((p, i) => p.functions.length > 0 || i % 2 === 0);

/**
 * A garage cut down so that its kit is found in a tenth of the time: its first bike, the fasteners that repairs ask for, each second of the tools that
 * only turn something. What holds of every garage holds of this one.
 */
export function smallGarage(doc: GarageDocument): GarageDocument {
  const bike = doc.bikes[0]!;
  return {
    ...doc,
    bikes: [bike],
    fasteners: doc.fasteners.filter((f) => f.bikeId === bike.id && f.role !== null),
    pieces: eachSecondTool(doc.pieces),
  };
}
