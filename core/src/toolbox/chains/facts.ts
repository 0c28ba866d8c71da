import type { FitFact } from '../../bike/fit/index.js';
import type { Head, Shape } from '../../ground/sizes/index.js';

/** Why a chain does not turn an end, as facts: lengths in mm, torques in N·m, pieces by their names. */
export type ReachFact =
  /** The head sits deeper than the chain is long. */
  | { code: 'reach.recess'; deep: number; reaches: number }
  /** The widest piece in the well is wider than what is free there. */
  | { code: 'reach.clearance'; free: number; piece: string; wide: number }
  /** The handle would lie below the rim of the well. */
  | { code: 'reach.rim'; deep: number; piece: string; below: number }
  | { code: 'reach.headroom'; room: number; high: number }
  /** A thin head; thick is null where what sits on it is no spanner at all. */
  | { code: 'reach.thin'; limit: number; piece: string; thick: number | null }
  /** Degrees of swing, and what the piece takes to its next bite. */
  | { code: 'reach.swing'; swing: number; piece: string; step: number }
  | { code: 'reach.stud'; stud: number; piece: string; hollow: number }
  | { code: 'reach.side-only' | 'reach.in-line-only' | 'reach.out-of-line' }
  /** The rider's own preferences. */
  | { code: 'reach.adjustable-holds' | 'reach.ratchet-never-breaks' }
  | { code: 'reach.bears'; need: number; piece: string; bears: number }
  /** Too short an arm: N on mm gives N·m, and the pipe in mm that would do. */
  | { code: 'reach.arm'; need: number; force: number; arm: number; gives: number; pipe: number }
  /** A palm gives no more. */
  | { code: 'reach.palm'; need: number; piece: string; gives: number }
  | { code: 'reach.nothing-fits'; head: Head }
  /** A piece fits and nothing turns it: a hand would, or a tool that turns a shape. */
  | { code: 'reach.nothing-drives'; piece: string; by: 'hand' | Shape }
  /** Either end can be held, none turned; or both take the same piece. */
  | { code: 'reach.only-held' | 'reach.same-piece' };

/** What is to be known of a tool of another size on a head: how many of a hundred heads it fits. */
export interface NearSizeFact {
  code: 'cure.near-size';
  piece: string;
  tool: Shape;
  head: Head;
  of100: number;
}

/** Why a cell of the coverage is no plain fit. */
export type CellFact = ReachFact | FitFact;
