import type { SaidByName } from '../line/words.js';
import type { PieceModel } from '../tools/piece.js';
import { BITS } from './bits.js';
import { DRIVERS } from './drivers.js';
import { HANDLES } from './handles.js';
import { KEY_KINDS } from './keys.js';
import type { ToolKind } from './kind.js';
import { SOCKETS } from './sockets.js';
import { SPANNERS } from './spanners.js';
import { SHAPED, SHAPED_SAID, SPECIAL } from './special.js';
import { THINGS, THINGS_SAID } from './things.js';

/** Kinds of tool that are made to a size, a drive or a length. */
export const TOOL_KINDS: readonly ToolKind[] = [
  ...SPANNERS,
  ...SOCKETS,
  ...BITS,
  ...KEY_KINDS,
  ...DRIVERS,
  ...HANDLES,
  ...SPECIAL,
];
/** How riders call tools that are known by their name. */
export const CALLED: readonly SaidByName[] = [...SHAPED_SAID, ...THINGS_SAID];

/**
 * The generic pieces that a shop has: from them a gap's cure is taken, sets are made up, and kits are planned that nobody owns yet.
 * Made by size from the proportions; every figure is a planning value. Names are distinct.
 */
export function catalogue(): PieceModel[] {
  return [...TOOL_KINDS.flatMap((kind) => kind.shelf()), ...SHAPED(), ...THINGS()];
}
