import type { Bike, Fastener } from '../bike/index.js';
import type { Loan } from './loan.js';
import type { Practice } from './practice.js';
import type { Piece } from './tools/index.js';

/** What finding tools reads of a garage: bikes with their fasteners, the tools, and the rider's practice. A whole garage document is one. */
export interface ToolboxRows {
  bikes: Bike[];
  fasteners: Fastener[];
  pieces: Piece[];
  /** What was lent or given away, settled or not. */
  loans: Loan[];
  garage: { practice: Practice };
}
