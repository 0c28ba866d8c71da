import type { Piece } from '../toolbox/tools/index.js';
import type { Member } from './member.js';

/** Pieces that are the same thing in every way that counts, whoever owns them. */
export interface Alike {
  /** One of them, with the copies of all. */
  piece: Piece;
  /** Whose they are: number of the member, the row's own id, and its copies. */
  of: { member: number; id: string; count: number }[];
}

/** All that decides what a piece does, weighs and takes: a name, a place in the toolbox or a price paid changes none of it. */
const thing = ({ kind, mass, size, modes, functions, traits, hollow, condition, quality }: Piece): string =>
  JSON.stringify([kind, mass, size, modes, functions, [...traits].sort(), hollow, condition, quality]);

/**
 * The pieces of all members, those alike put together: it is the same to the crew whose spanner is carried. What somebody marked stays apart, since
 * the mark is theirs.
 */
export function alike(members: readonly Member[]): Alike[] {
  const out: Alike[] = [];
  const known = new Map<string, Alike>();
  members.forEach((m, member) => {
    for (const p of m.pieces) {
      const of = { member, id: p.id, count: p.count };
      const key = p.mark === null ? thing(p) : p.id;
      const found = known.get(key);
      if (found) {
        found.piece = { ...found.piece, count: Math.min(200, found.piece.count + p.count) };
        found.of.push(of);
        continue;
      }
      const made: Alike = { piece: { ...p, onlyBike: null }, of: [of] };
      known.set(key, made);
      out.push(made);
    }
  });
  return out;
}
