import { BAG_FILL, boxVolume } from '../toolbox/tools/index.js';
import type { CrewCase } from './crewCase.js';

/** Who carries what: copies of each piece of the problem, and units of each stock, by carrier number. */
export interface Assignment {
  pieces: number[][];
  stock: ReadonlyMap<string, readonly number[]>;
  /** The option that each trouble of a group takes, by group; where none is given the first that can be gone. */
  ways: ReadonlyMap<string, readonly number[]>;
}

/** A crew's kit shared out, with how far from proven it is. */
export interface Shared extends Assignment {
  /** The blend that was made least, grams, what is left undone not in it. */
  cost: number;
  /** Grams that no sharing undercuts. */
  bound: number;
  proven: boolean;
  /** Distance to the bound as a share of the cost. */
  gap: number;
}

/** Nobody carries anything. */
export const nothing = (c: CrewCase): Assignment => ({
  pieces: c.problem.pieces.map(() => c.carriers.map(() => 0)),
  stock: new Map(),
  ways: new Map(),
});

/**
 * Copies of each piece that some carriers have together.
 * @param carriers numbers of carriers
 * @returns for each piece of the crew how many copies, in the order of its pieces
 */
export const carriedCounts = (a: Assignment, carriers: readonly number[]): number[] =>
  a.pieces.map((by) => carriers.reduce((s, r) => s + (by[r] ?? 0), 0));
/**
 * Units of each stock that some carriers have together.
 * @param carriers numbers of carriers
 * @returns units by stock
 */
export const stockOfGroup = (a: Assignment, carriers: readonly number[]): Map<string, number> =>
  new Map([...a.stock].map(([kind, by]) => [kind, carriers.reduce((s, r) => s + (by[r] ?? 0), 0)]));

/** What each carrier has: grams, mL. */
export function loads(c: CrewCase, a: Assignment): { mass: number; bulk: number }[] {
  return c.carriers.map((_, r) => {
    let [mass, bulk] = [0, 0];
    c.problem.pieces.forEach((p, i) => {
      const n = a.pieces[i]?.[r] ?? 0;
      mass += n * p.mass;
      bulk += (n * boxVolume(p)) / BAG_FILL;
    });
    for (const [kind, by] of a.stock) {
      const of = c.problem.book.of(kind);
      mass += (by[r] ?? 0) * of.mass;
      bulk += ((by[r] ?? 0) * boxVolume(of)) / BAG_FILL;
    }
    return { mass, bulk };
  });
}
/**
 * What all of an assignment weighs.
 * @returns g
 */
export const totalMass = (c: CrewCase, a: Assignment): number => loads(c, a).reduce((s, l) => s + l.mass, 0);

/**
 * The greatest share that a rider carries of what they may, 0 to 1 and over.
 * @param masses g by carrier
 */
export function greatestShare(c: CrewCase, masses: readonly number[]): number {
  return c.carriers.reduce(
    (m, { limit, member }, r) => (member ? Math.max(m, (masses[r] ?? 0) / Math.max(1, limit)) : m),
    0,
  );
}

/**
 * What an assignment costs, grams: a blend of all that is carried and of the greatest share, the share in the grams that everybody would carry if
 * each carried so large a one. With the same share for everybody the two are the same figure.
 */
export function blended(c: CrewCase, a: Assignment): number {
  const masses = loads(c, a).map((l) => l.mass);
  const all = masses.reduce((s, m) => s + m, 0);
  return (1 - c.crew.fair) * all + c.crew.fair * mayCarryAll(c) * greatestShare(c, masses);
}
/**
 * Grams that all riders together may carry.
 * @returns g
 */
export const mayCarryAll = (c: CrewCase): number =>
  c.carriers.reduce((s, { limit, member }) => (member ? s + limit : s), 0);
