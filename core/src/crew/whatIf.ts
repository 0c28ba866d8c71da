import { at } from '../ground/numbers.js';
import type { Solve } from '../ground/milp.js';
import { loads, type Assignment } from './assignment.js';
import { without, type CrewCase } from './crewCase.js';
import { shareOut } from './crewMilp.js';
import type { Floor } from './forced.js';
import type { Item } from './effect.js';
import { hoursWith } from './hours.js';
import { gapsOf, type Gap } from './judge.js';

/** What somebody more has to carry so that a gap closes. */
export interface Addition {
  item: Item;
  name: string;
  count: number;
  /** Carrier number, and grams of all copies. */
  by: number;
  mass: number;
}
/** The lightest addition to what is carried that closes what can be closed. */
export interface CrewCure {
  additions: Addition[];
  mass: number;
  /** What no addition closes. */
  left: Gap[];
  proven: boolean;
}
/** What becomes of the others when somebody is not there. */
export interface Absence {
  gone: number;
  /** What the others can no longer do that they could. */
  gaps: Gap[];
  /** Hours that the others’ bikes lose, over the trip. */
  hours: number;
}

/**
 * The ride without somebody: what is missing, for whom, and the hours that it costs the others.
 * @param gone number of who is not there
 */
export function absenceOf(c: CrewCase, a: Assignment, gone: number): Absence {
  const less = without(c, [gone]);
  const left = c.members.map((_, i) => i).filter((i) => i !== gone && !c.absent.has(i));
  const bikes = new Set(left.map((i) => at(c.members, i).bike.id));
  const every = c.carriers.map((_, i) => i);
  const before = hoursWith(c, a, every, bikes).saved;
  const after = hoursWith(less, a, every, bikes).saved;
  return { gone, gaps: less.groups.flatMap((g) => gapsOf(less, a, g)), hours: Math.max(0, before - after) };
}

/** What is carried, as a floor that nothing may be taken from. */
export const asFloor = (a: Assignment): Floor => ({ pieces: a.pieces, stock: a.stock });

/**
 * The lightest that the others add to what they carry so that all that can be done without somebody is done: everything carried stays where it is.
 * Rules of fairness do not count here, limits do.
 * @param within grams from the least that will do; as exact as the solver is where left out
 */
export function cureOfGaps(c: CrewCase, a: Assignment, solve: Solve, within?: number): CrewCure | null {
  const calm: CrewCase = {
    ...c,
    crew: { ...c.crew, fair: 0, mechanic: false, strong: false, fluids: false, fixed: [] },
  };
  const found = shareOut(calm, solve, { floor: asFloor(a), ...(within === undefined ? {} : { within }) });
  if (!found) return null;
  const additions: Addition[] = [];
  const add = (item: Item, name: string, one: number, before: readonly number[], after: readonly number[]) =>
    c.carriers.forEach((_, by) => {
      const count = (after[by] ?? 0) - (before[by] ?? 0);
      if (count > 0 && !c.absent.has(by)) additions.push({ item, name, count, by, mass: one * count });
    });
  c.problem.pieces.forEach((p, i) => add(`piece ${p.id}`, p.name, p.mass, a.pieces[i] ?? [], found.pieces[i] ?? []));
  for (const [key, by] of found.stock) {
    const of = c.problem.book.of(key);
    add(`spare ${key}`, of.name, of.mass, a.stock.get(key) ?? [], by);
  }
  return {
    additions,
    mass: additions.reduce((s, x) => s + x.mass, 0),
    left: calm.groups.flatMap((g) => gapsOf(calm, found, g)),
    proven: found.proven,
  };
}

/** The same crew as if there were enough of everything that anybody owns: what is added is what a second one of it would do. */
export const withMore = (c: CrewCase): CrewCase => ({
  ...c,
  problem: {
    ...c.problem,
    pieces: c.problem.pieces.map((p) => (p.mark === 'never' ? p : { ...p, count: Math.max(p.count, 8) })),
  },
});

/** What one rider adds to the crew’s kit and takes off the others’ hours: both shared out whole. */
export interface RiderAdds {
  /** Grams that all carry more with them than without. */
  mass: number;
  /** Hours that the others’ bikes save more with them. */
  hours: number;
}
/**
 * What a rider adds to a crew: grams, hours and chances with and without them.
 * @param who number of the member, from 0
 * @returns null where the crew cannot be shared out without them
 */
export function riderAdds(c: CrewCase, a: Assignment, who: number, solve: Solve): RiderAdds | null {
  const less = without(c, [who]);
  const found = shareOut(less, solve);
  if (!found) return null;
  const every = c.carriers.map((_, i) => i);
  const others = new Set(c.members.flatMap((m, i) => (i === who || c.absent.has(i) ? [] : [m.bike.id])));
  const mass = (of: CrewCase, x: Assignment) => loads(of, x).reduce((s, l) => s + l.mass, 0);
  return {
    mass: mass(c, a) - mass(less, found),
    hours: hoursWith(c, a, every, others).saved - hoursWith(less, found, every, others).saved,
  };
}

/**
 * Grams that one would carry alone: the same troubles with nobody to share with, out of the same toolboxes. Limits do not count.
 * @param member number of the rider
 * @returns g; null where it is not known
 */
export function aloneMass(c: CrewCase, member: number, solve: Solve): number | null {
  const others = c.carriers.map((_, k) => k).filter((k) => k !== member);
  const free: CrewCase = {
    ...c,
    carriers: c.carriers.map((k) => ({ ...k, limit: 500_000, room: null })),
    crew: { ...c.crew, fair: 0, splits: [], vehicles: [], fixed: [], mechanic: false, strong: false, fluids: false },
  };
  const found = shareOut(without(free, others), solve, { within: 40 });
  return found ? (loads(free, found)[member]?.mass ?? null) : null;
}

/** Hours of each rider’s bike that hang on each other: lost when the other and all that they carry are not there. [who][on whom]. */
export function leaning(c: CrewCase, a: Assignment): number[][] {
  const every = c.carriers.map((_, i) => i);
  const all = hoursWith(c, a, every);
  return c.members.map((m, i) =>
    c.members.map((_, k) => {
      if (i === k || c.absent.has(i) || c.absent.has(k)) return 0;
      const others = every.filter((x) => x !== k);
      const less = hoursWith(c, a, others, new Set([m.bike.id]));
      return Math.max(0, (all.bikes.get(m.bike.id)?.saved ?? 0) - less.saved);
    }),
  );
}
