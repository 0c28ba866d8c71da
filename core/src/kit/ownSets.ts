import { boxVolume, type Piece } from '../toolbox/tools/index.js';
import type { Kit } from './kit.js';

/** A set that was bought or supplied as one: what of it the kit takes, what stays, and what that frees. */
export interface OwnSet {
  name: string;
  pieces: Piece[];
  taken: Piece[];
  left: Piece[];
  /** Grams, and mL of the pieces' own boxes, of all of it and of what stays at home. */
  mass: number;
  bulk: number;
  freedMass: number;
  freedBulk: number;
}

/** The sets of a toolbox, such as the kit that the maker supplied, against what the kit takes of them. */
export function ownSets(drawer: readonly Piece[], kit: Pick<Kit, 'pieces'>): OwnSet[] {
  const carried = new Set(kit.pieces.map((k) => k.piece.id));
  const names = [...new Set(drawer.map((p) => p.set).filter(Boolean))].sort();
  const mass = (list: readonly Piece[]) => list.reduce((s, p) => s + p.mass * p.count, 0);
  const bulk = (list: readonly Piece[]) => list.reduce((s, p) => s + boxVolume(p) * p.count, 0);
  return names.map((name) => {
    const pieces = drawer.filter((p) => p.set === name);
    const taken = pieces.filter((p) => carried.has(p.id));
    const left = pieces.filter((p) => !carried.has(p.id));
    return {
      name,
      pieces,
      taken,
      left,
      mass: mass(pieces),
      bulk: bulk(pieces),
      freedMass: mass(left),
      freedBulk: bulk(left),
    };
  });
}
