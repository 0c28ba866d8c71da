import { cellKey, type Coverage } from '../../toolbox/coverage/index.js';
import type { Chain } from '../../toolbox/chains/index.js';
import type { Piece } from '../../toolbox/tools/index.js';
import type { KitPiece } from '../kit.js';

/** Why a tool stays at home: a fact, for whoever says it. Tools and fasteners by name, those that come up most first. */
export type AtHome =
  | { code: 'marked never' }
  | { code: 'broken' }
  | { code: 'another bike'; bikeId: string }
  /** The kit has other tools for all that it turns. */
  | { code: 'turned by others'; tools: string[] }
  /** It would turn fasteners that the kit leaves out of reach, since no repair that is worth its weight turns them. */
  | { code: 'not worth it'; fasteners: string[] }
  /** Another tool of the kit does what it does, or is the same handle. */
  | { code: 'done by others'; tools: string[] }
  /** It is there for heads of which this bike has none. */
  | { code: 'turns nothing' }
  | { code: 'not asked for' };

/** Names by how often they come, the most frequent first. */
function byCount(names: readonly string[]): string[] {
  const counts = new Map<string, number>();
  for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1]).map(([name]) => name);
}
/** Squares that a tool drives. */
const drives = (p: Piece) => p.modes.filter((m) => m.turns.form === 'drive').map((m) => m.turns.size);

/**
 * Why a tool of the toolbox is not in the kit.
 * @param piece one that the kit does not carry
 * @param of the kit's pieces; how the kit turns each fastener, by its id; the coverage picture of the bike, and its id
 */
export function whyHome(
  piece: Piece,
  of: {
    pieces: readonly Pick<KitPiece, 'piece'>[];
    kitUse: Readonly<Record<string, readonly Chain[]>>;
    coverage: Pick<Coverage, 'rows' | 'cells'>;
    bikeId: string;
  },
): AtHome {
  if (piece.mark === 'never') return { code: 'marked never' };
  if (piece.condition === 'broken') return { code: 'broken' };
  if (piece.onlyBike !== null && piece.onlyBike !== of.bikeId) return { code: 'another bike', bikeId: piece.onlyBike };
  const turned = of.coverage.rows
    .filter((row) => ['fits', 'some'].includes(of.coverage.cells.get(cellKey(row, piece))?.state ?? ''))
    .flatMap((row) => row.fasteners);
  const left = turned.filter((f) => (of.kitUse[f.id] ?? []).length === 0);
  if (left.length > 0) return { code: 'not worth it', fasteners: byCount(left.map((f) => f.name)) };
  if (turned.length > 0) {
    const onHeads = turned.flatMap((f) => (of.kitUse[f.id] ?? []).flatMap((c) => c.links.at(-1)?.piece.name ?? []));
    return { code: 'turned by others', tools: byCount(onHeads) };
  }
  const same = of.pieces
    .map((p) => p.piece)
    .filter(
      (p) =>
        p.functions.some((f) => piece.functions.includes(f)) || drives(p).some((size) => drives(piece).includes(size)),
    );
  if (same.length > 0) return { code: 'done by others', tools: byCount(same.map((p) => p.name)) };
  const onlyTurns = piece.modes.length > 0 && piece.functions.length === 0 && drives(piece).length === 0;
  return { code: onlyTurns ? 'turns nothing' : 'not asked for' };
}
