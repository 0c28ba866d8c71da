import type { Practice } from '../../toolbox/practice.js';
import type { Reach } from '../../toolbox/chains/index.js';
import type { Choice, FunctionNeed } from '../../toolbox/cover/index.js';
import type { Piece } from '../../toolbox/tools/index.js';

/** All that decides the least set of tools: which heads, by which pieces, for which troubles, under which practice. */
export interface ToolCase {
  reaches: readonly Reach[];
  pieces: readonly Piece[];
  functions: readonly FunctionNeed[];
  /** Troubles that can be met in one of several ways, with what each asks for and uses up. */
  choices: readonly Choice[];
  losable: (piece: Piece) => boolean;
  practice: Practice;
  /** Ids of pieces that are offered, not owned. */
  offered: ReadonlySet<string>;
}
