import type { Bike } from '../bike/index.js';
import { at, Matrix, Vector } from '../ground/numbers.js';
import { everydayPart, placePoints, spreadPoints, weighted, POINTS } from './cost.js';
import type { Goals } from './goals.js';
import type { Unit } from './item.js';
import { bears, usableVolume, type Pin, type Place } from './place.js';
import { roomOf, slotsFor, standingRules } from './rules.js';

/** A place, or one group of slots of a roll: what a unit may be put into. */
export interface Bin {
  place: number;
  slot: number | null;
  /** Units that it takes at most. */
  count: number;
}
/** Units that do not go into a place all together, because no packing of them was found. */
export interface Cut {
  place: number;
  units: number[];
}
/**
 * The assignment as numbers. Points are scaled so that a hundredth of a point is 1. Bin `bins.length` stands for "loose", which costs more
 * than any packing of the rest could save.
 */
export interface StowProblem {
  units: readonly Unit[];
  places: readonly Place[];
  bins: Bin[];
  loose: number;
  /** Place of each bin; −1 for loose. */
  placeOf: Vector;
  /** By unit and bin, the last of them loose; Infinity where a rule bars it. */
  cost: Matrix;
  /** g of each unit. */
  mass: Vector;
  /** By unit and place, mL of usable room. */
  room: Matrix;
  /** g and mL that each place takes. */
  bears: Vector;
  roomIn: Vector;
  /** m to the left of each place. */
  y: Vector;
  /** Moment of what lies in the places beside the kit, g·m, and cost of one g·m. */
  sideBefore: number;
  sideCost: number;
  /** Group of each unit; −1 for none. */
  group: Vector;
  /** Cost of each further place of a group. */
  spread: Vector;
  groupNames: string[];
  sharp: boolean[];
  pierced: boolean[];
  /** Whether what lies in the place is parted by slots. */
  parted: boolean[];
  /** Bin of each unit that the rider chose; −1 where the program may choose. */
  fixed: Vector;
  everyday: boolean[];
}
export const SCALE = 100;
/** What a loose unit costs, on top of whatever it would cost anywhere: first as few as can be, then the light and unused ones. */
const LOOSE = { each: 10_000, use: 2000, kg: 500 };

export interface StowQuestion {
  units: readonly Unit[];
  places: readonly Place[];
  pins: readonly Pin[];
  bike: Bike;
  goals: Goals;
  /** Whether tracks are ridden, on which mounts bear less. */
  rough: boolean;
}

/** States the assignment. */
export function stowProblem({ units, places, pins, bike, goals, rough }: StowQuestion): StowProblem {
  const bins = places.flatMap((p, place): Bin[] =>
    p.kind === 'roll' && p.slots
      ? p.slots.map((s, slot) => ({ place, slot, count: s.count }))
      : [{ place, slot: null, count: Infinity }],
  );
  const everyday = everydayPart(units);
  const groupNames = [...new Set(units.flatMap((u) => (u.host.group ? [u.host.group] : [])))].sort();
  const group = units.map((u) => (u.host.group ? groupNames.indexOf(u.host.group) : -1));
  const uses = groupNames.map((_, g) => Math.max(...units.filter((_u, i) => group[i] === g).map((u) => u.uses)));
  const pinOf = new Map(pins.map((p) => [p.item, p.placeId]));
  const rows = units.map((unit) => costsOf(unit, places, bins, bike, goals, everyday.has(unit)));
  const cost = Matrix.of(rows);
  const fixed = units.map((unit, u) => {
    const pinned = pinOf.get(unit.host.key);
    const place = places.findIndex((p) => p.id === pinned);
    const mine = bins.flatMap((b, i) => (b.place === place ? [i] : []));
    return mine.find((i) => cost.at(u, i) < Infinity) ?? mine[0] ?? -1;
  });
  return {
    units,
    places,
    bins,
    loose: bins.length,
    placeOf: Vector.of([...bins.map((b) => b.place), -1]),
    cost,
    mass: Vector.of(units.map((u) => u.mass)),
    room: Matrix.of(units.map((u) => places.map((p) => (p.kind === 'roll' ? 0 : roomOf(p, u))))),
    bears: Vector.of(places.map((p) => bears(p, rough))),
    roomIn: Vector.of(places.map((p) => (p.kind === 'roll' ? Infinity : usableVolume(p)))),
    y: Vector.of(places.map((p) => p.at.y / 1000)),
    sideBefore: places.reduce((s, p) => s + (p.takenMass * p.at.y) / 1000, 0),
    sideCost: (goals.even * POINTS.side * SCALE) / 1000,
    group: Vector.of(group),
    spread: Vector.of(uses.map((u) => Math.round(SCALE * goals.together * spreadPoints(u)))),
    groupNames,
    sharp: units.map((u) => u.traits.has('sharp')),
    pierced: units.map((u) => u.traits.has('pierced easily')),
    parted: places.map((p) => p.kind === 'roll'),
    fixed: Vector.of(fixed),
    everyday: units.map((u) => everyday.has(u)),
  };
}

/** What one unit costs in each bin, and loose. */
function costsOf(
  unit: Unit,
  places: readonly Place[],
  bins: readonly Bin[],
  bike: Bike,
  goals: Goals,
  everyday: boolean,
): number[] {
  const inPlace = places.map((place) => ({
    stands: standingRules(place, unit).length === 0,
    points: weighted(placePoints(place, unit, bike, everyday), goals),
    slots: place.kind === 'roll' ? slotsFor(place, unit) : [],
  }));
  const inBins = bins.map(({ place, slot }) => {
    const { stands, points, slots } = at(inPlace, place);
    if (!stands || (slot !== null && !slots.includes(slot))) return Infinity;
    // Wider slots than needed cost a trifle, so that they are left for what needs them.
    return Math.round(SCALE * points) + (slot === null ? 0 : slots.indexOf(slot));
  });
  const loose = LOOSE.each + LOOSE.use * Math.min(1, unit.uses) + (LOOSE.kg * unit.mass) / 1000;
  return [...inBins, Math.round(SCALE * loose)];
}

/**
 * The place that a unit lies in; −1 where it is loose.
 * @param u number of the unit
 * @returns number of the place, from 0; −1 where it is loose
 */
export const placeIn = (p: StowProblem, where: readonly number[], u: number): number => p.placeOf.at(at(where, u));
/**
 * Whether a unit may go into a bin by itself.
 * @param u number of the unit
 * @param bin number of the place or group of slots
 */
export const mayGo = (p: StowProblem, u: number, bin: number): boolean => Number.isFinite(p.cost.at(u, bin));
/**
 * What the rider put where a rule bars it costs nothing there: it is no choice of the program's.
 * @param u number of the unit
 * @param bin number of the place or group of slots
 * @returns hundredths of a point
 */
export const ownCost = (p: StowProblem, u: number, bin: number): number => (mayGo(p, u, bin) ? p.cost.at(u, bin) : 0);

/**
 * Moment to the left of an assignment, g·m, and the places that each group lies in.
 * @param where bin by unit, −1 where it is loose
 */
export function spreadOf(p: StowProblem, where: readonly number[]): { side: number; groups: Set<number>[] } {
  let side = p.sideBefore;
  const groups = p.groupNames.map(() => new Set<number>());
  where.forEach((bin, u) => {
    if (bin === p.loose) return;
    const place = p.placeOf.at(bin);
    side += p.mass.at(u) * p.y.at(place);
    if (p.group.at(u) >= 0) at(groups, p.group.at(u)).add(place);
  });
  return { side, groups };
}
/**
 * What the further places of the groups cost.
 * @param groups places by group
 * @returns hundredths of a point
 */
export const groupsCost = (p: StowProblem, groups: readonly ReadonlySet<number>[]): number =>
  groups.reduce((s, places, g) => s + p.spread.at(g) * Math.max(0, places.size - 1), 0);

/**
 * What an assignment costs in all, in hundredths of a point. Rules are not looked at.
 * @param where bin by unit, −1 where it is loose
 * @returns hundredths of a point
 */
export function costOf(p: StowProblem, where: readonly number[]): number {
  const { side, groups } = spreadOf(p, where);
  return where.reduce((s, bin, u) => s + ownCost(p, u, bin), 0) + p.sideCost * Math.abs(side) + groupsCost(p, groups);
}

/**
 * Whether an assignment keeps every rule, those that only fixed units break left aside. The plain reading that faster code is tested against.
 * @param where bin by unit, −1 where it is loose
 */
export function keepsRules(p: StowProblem, where: readonly number[], cuts: readonly Cut[] = []): boolean {
  const free = where.map((_, u) => p.fixed.at(u) < 0);
  const inBin = (bin: number) => where.flatMap((b, u) => (b === bin ? [u] : []));
  const inPlace = (k: number) => where.flatMap((b, u) => (p.placeOf.at(b) === k ? [u] : []));
  if (where.some((bin, u) => free[u] && !mayGo(p, u, bin))) return false;
  if (p.bins.some((b, i) => inBin(i).length > b.count && inBin(i).some((u) => free[u]))) return false;
  return (
    p.places.every((_, k) => {
      const here = inPlace(k);
      if (!here.some((u) => free[u])) return true;
      const mass = here.reduce((s, u) => s + p.mass.at(u), 0);
      const room = here.reduce((s, u) => s + p.room.at(u, k), 0);
      if (mass > p.bears.at(k) + 1e-9 || room > p.roomIn.at(k) + 1e-9) return false;
      const [sharp, pierced] = [here.filter((u) => p.sharp[u]), here.filter((u) => p.pierced[u])];
      return p.parted[k] || !sharp.some((a) => pierced.some((b) => a !== b && (free[a] || free[b])));
    }) && cuts.every((c) => !c.units.every((u) => inPlace(c.place).includes(u)))
  );
}
