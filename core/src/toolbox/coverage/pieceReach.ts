import { ChainFinder, endsOf, reachOf } from '../chains/index.js';
import type { ToolboxRows } from '../rows.js';
import { usablePieces, type Piece } from '../tools/index.js';

/** What one piece does for a bike: fastener ids. */
export interface PieceReach {
  /** Heads that it turns itself, at either end. */
  onHead: string[];
  /** Heads that its toolbox reaches with it as it is now, and did not before. */
  gained: string[];
  /** Heads that its toolbox reached before, and does not with it as it is now. */
  lost: string[];
}

/**
 * Judges a piece that is being made or altered: with it in the toolbox instead of what it was.
 * @param piece as it would be; a piece of the toolbox by the same id is replaced, else it is added
 */
export function pieceReach(doc: ToolboxRows, bikeId: string, piece: Piece): PieceReach {
  const fasteners = doc.fasteners.filter((f) => f.bikeId === bikeId && f.leftOut === null);
  const usable = (list: readonly Piece[]) => usablePieces(list, bikeId).filter((p) => p.mark !== 'never');
  const before = new ChainFinder(usable(doc.pieces), doc.garage.practice);
  const others = doc.pieces.filter((p) => p.id !== piece.id);
  const after = new ChainFinder(usable([...others, piece]), doc.garage.practice);
  const out: PieceReach = { onHead: [], gained: [], lost: [] };
  for (const f of fasteners) {
    if (endsOf(f).some((end) => after.onHead(end, piece.id).ok)) out.onHead.push(f.id);
    const [was, is] = [reachOf(f, before).best.length > 0, reachOf(f, after).best.length > 0];
    if (is && !was) out.gained.push(f.id);
    if (was && !is) out.lost.push(f.id);
  }
  return out;
}
