import type { PieceModel } from '../tools/piece.js';
import type { Bench } from '../line/bench.js';

/**
 * A kind of tool that is made to a size, a drive or a length: what it is called, how riders say it, how one is made of what a line says, and those
 * that a shop has. A new one is an entry in the file of its subject, and a test beside it.
 */
export interface ToolKind {
  /** By which lines and a rider's own words know it. It is stored: it stays. */
  key: string;
  /** What it is called on screen. */
  title: string;
  /** How riders call it, parted by `|`. The longest phrase at a place of a line counts. */
  said: string;
  /** The tools that a line says, from its parts; asks or refuses what it leaves open. */
  make: (line: Bench) => PieceModel[];
  /** Those on the shelf: from them a gap is closed, a set is made up, a kit is planned. Names are distinct. */
  shelf: () => PieceModel[];
}
