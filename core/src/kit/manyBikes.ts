import { at } from '../ground/numbers.js';
import { atHand } from '../toolbox/loan.js';
import type { Practice } from '../toolbox/practice.js';
import type { Solve } from '../ground/milp.js';
import type { Bike } from '../bike/index.js';
import type { Reach } from '../toolbox/chains/index.js';
import { coverProblem, lightestSet, type FunctionNeed } from '../toolbox/cover/index.js';
import type { KitRows } from './rows.js';
import { usablePieces, type Piece } from '../toolbox/tools/index.js';
import { toolCase } from './toolCase.js';

/** So many of a piece. */
export interface Carried {
  piece: Piece;
  count: number;
}
/** The lightest set of tools of one bike, as the core that all share and what this bike adds. */
export interface BikeSet {
  bike: Bike;
  carried: Carried[];
  extra: Carried[];
  /** Mass of all of it, and of what it adds to the core, grams. */
  mass: number;
  extraMass: number;
  proven: boolean;
}
/** What goes from one bike to another when the rider changes bikes. */
export interface Move {
  from: string;
  to: string;
  takeOut: Carried[];
  putIn: Carried[];
}
export interface ManyBikes {
  /** What every bike's set holds: it moves with the rider. */
  core: Carried[];
  coreMass: number;
  bikes: BikeSet[];
  moves: Move[];
  /** One set that does for all bikes, and its mass: nothing to move, but more to carry. */
  one: Carried[];
  oneMass: number;
}

const massOf = (list: readonly Carried[]) => list.reduce((s, c) => s + c.piece.mass * c.count, 0);

/** What of one list is not in another, copies counted. */
function beyond(list: readonly Carried[], other: readonly Carried[]): Carried[] {
  const has = new Map(other.map((c) => [c.piece.id, c.count]));
  return list.map((c) => ({ ...c, count: c.count - (has.get(c.piece.id) ?? 0) })).filter((c) => c.count > 0);
}
/** What two lists share, copies counted. */
function shared(a: readonly Carried[], b: readonly Carried[]): Carried[] {
  const has = new Map(b.map((c) => [c.piece.id, c.count]));
  return a.map((c) => ({ ...c, count: Math.min(c.count, has.get(c.piece.id) ?? 0) })).filter((c) => c.count > 0);
}

/**
 * Tools for several bikes of one rider: each bike's own lightest set, the core that is in all of them, the difference per bike, what to move when
 * changing bikes, and the one set that would do for all.
 * @param tripId the trip that the functions are for; null for none
 */
export function manyBikes(rows: KitRows, tripId: string | null, solve: Solve): ManyBikes {
  // Each bike by itself, out of the toolbox: what rides along, or could be bought, is another question.
  const doc = atHand(rows);
  const practice: Practice = { ...doc.garage.practice, others: 'own', from: 'toolbox' };
  const own = { ...doc, garage: { ...doc.garage, practice } };
  const work = doc.bikes.map((bike) => ({ bike, ...toolCase(own, { bikeId: bike.id, tripId }) }));
  const least = (reaches: readonly Reach[], pieces: readonly Piece[], functions: readonly FunctionNeed[]) =>
    lightestSet(
      coverProblem(reaches, pieces, functions, work[0]?.losable),
      solve,
      practice.least,
      'search',
      practice.worth,
    );
  const solved = work.map(({ bike, pieces, reaches, functions }) => {
    const set = least(reaches, pieces, functions);
    const carried = pieces.flatMap((piece, i): Carried[] =>
      at(set.counts, i) > 0 ? [{ piece, count: at(set.counts, i) }] : [],
    );
    return { bike, carried, proven: set.proven };
  });
  const core = solved.length > 0 ? solved.map((s) => s.carried).reduce(shared) : [];
  const bikes = solved.map(({ bike, carried, proven }): BikeSet => {
    const extra = beyond(carried, core);
    return { bike, carried, extra, mass: massOf(carried), extraMass: massOf(extra), proven };
  });
  const moves = bikes.flatMap((a) =>
    bikes
      .filter((b) => b !== a)
      .map((b): Move => ({
        from: a.bike.name,
        to: b.bike.name,
        takeOut: beyond(a.carried, b.carried),
        putIn: beyond(b.carried, a.carried),
      })),
  );
  // Pieces that belong to one bike are left to it: the one set is of what any bike may use.
  const common = doc.pieces.filter((p) => p.onlyBike === null);
  const pieces = doc.bikes.length > 0 ? usablePieces(common, at(doc.bikes, 0).id) : [];
  const ids = new Set(pieces.map((p) => p.id));
  const reaches = work.flatMap((w) => w.reaches).map((r) => onlyWith(r, ids));
  const functions = new Map<string, FunctionNeed>();
  for (const { functions: list } of work)
    for (const f of list) functions.set(f.does, { ...f, count: Math.max(f.count, functions.get(f.does)?.count ?? 0) });
  const set = least(reaches, pieces, [...functions.values()]);
  const one = pieces.flatMap((piece, i): Carried[] =>
    at(set.counts, i) > 0 ? [{ piece, count: at(set.counts, i) }] : [],
  );
  return { core, coreMass: massOf(core), bikes, moves, one, oneMass: massOf(one) };
}

/** A reach with only the chains of some pieces; out of reach when an end has none left. */
function onlyWith(reach: Reach, ids: ReadonlySet<string>): Reach {
  const ends = reach.ends.map((e) => ({
    ...e,
    reach: { ...e.reach, chains: e.reach.chains.filter((c) => c.links.every((l) => ids.has(l.piece.id))) },
  }));
  return ends.some((e) => e.reach.chains.length === 0) ? { ...reach, ends, best: [] } : { ...reach, ends };
}
