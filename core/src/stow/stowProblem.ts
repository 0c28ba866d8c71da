import type { Bike } from '../bike/index.js';
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
  /** By unit and bin; Infinity where a rule bars it. */
  cost: number[][];
  mass: number[];
  /** By unit and place, mL of usable room. */
  room: number[][];
  bears: number[];
  roomIn: number[];
  /** m to the left. */
  y: number[];
  /** Moment of what lies in the places beside the kit, g·m, and cost of one g·m. */
  sideBefore: number;
  sideCost: number;
  group: number[];
  /** Cost of each further place of a group. */
  spread: number[];
  groupNames: string[];
  sharp: boolean[];
  pierced: boolean[];
  /** Whether what lies in the place is parted by slots. */
  parted: boolean[];
  /** Bin that the rider chose; −1 where the program may choose. */
  fixed: number[];
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
  const cost: number[][] = [];
  const fixed: number[] = [];
  units.forEach((unit) => {
    const standing = places.map((p) => standingRules(p, unit).length === 0);
    const points = places.map((p) => weighted(placePoints(p, unit, bike, everyday.has(unit)), goals));
    const slots = places.map((p) => (p.kind === 'roll' ? slotsFor(p, unit) : []));
    const row = bins.map((b) => {
      const here = standing[b.place]! && (b.slot === null || slots[b.place]!.includes(b.slot));
      // Wider slots than needed cost a trifle, so that they are left for what needs them.
      const wide = b.slot === null ? 0 : slots[b.place]!.indexOf(b.slot);
      return here ? Math.round(SCALE * points[b.place]!) + Math.max(0, wide) : Infinity;
    });
    row.push(
      Math.round(LOOSE.each * SCALE + (LOOSE.use * Math.min(1, unit.uses) + (LOOSE.kg * unit.mass) / 1000) * SCALE),
    );
    cost.push(row);
    const pinned = pinOf.get(unit.host.key);
    const place = places.findIndex((p) => p.id === pinned);
    const mine = bins.flatMap((b, i) => (b.place === place ? [i] : []));
    fixed.push(place < 0 ? -1 : (mine.find((i) => row[i]! < Infinity) ?? mine[0] ?? -1));
  });
  return {
    units,
    places,
    bins,
    loose: bins.length,
    cost,
    mass: units.map((u) => u.mass),
    room: units.map((u) => places.map((p) => (p.kind === 'roll' ? 0 : roomOf(p, u)))),
    bears: places.map((p) => bears(p, rough)),
    roomIn: places.map((p) => (p.kind === 'roll' ? Infinity : usableVolume(p))),
    y: places.map((p) => p.at.y / 1000),
    sideBefore: places.reduce((s, p) => s + (p.takenMass * p.at.y) / 1000, 0),
    sideCost: (goals.even * POINTS.side * SCALE) / 1000,
    group,
    spread: uses.map((u) => Math.round(SCALE * goals.together * spreadPoints(u))),
    groupNames,
    sharp: units.map((u) => u.traits.has('sharp')),
    pierced: units.map((u) => u.traits.has('pierced easily')),
    parted: places.map((p) => p.kind === 'roll'),
    fixed,
    everyday: units.map((u) => everyday.has(u)),
  };
}

/** What an assignment costs in all, in hundredths of a point. Rules are not looked at. */
export function costOf(p: StowProblem, where: readonly number[]): number {
  let cost = 0;
  let side = p.sideBefore;
  const placesOfGroup = p.spread.map(() => new Set<number>());
  where.forEach((bin, u) => {
    // What the rider put where a rule bars it costs nothing there: it is no choice of the program's.
    const own = p.cost[u]![bin]!;
    cost += Number.isFinite(own) ? own : 0;
    if (bin === p.loose) return;
    const { place } = p.bins[bin]!;
    side += p.mass[u]! * p.y[place]!;
    if (p.group[u]! >= 0) placesOfGroup[p.group[u]!]!.add(place);
  });
  return (
    cost +
    p.sideCost * Math.abs(side) +
    placesOfGroup.reduce((s, set, g) => s + p.spread[g]! * Math.max(0, set.size - 1), 0)
  );
}

/** Whether an assignment keeps every rule, those that only fixed units break left aside. The plain reading that faster code is tested against. */
export function keepsRules(p: StowProblem, where: readonly number[], cuts: readonly Cut[] = []): boolean {
  const free = where.map((_, u) => p.fixed[u]! < 0);
  const inBin = (bin: number) => where.flatMap((b, u) => (b === bin ? [u] : []));
  const inPlace = (k: number) => where.flatMap((b, u) => (b !== p.loose && p.bins[b]!.place === k ? [u] : []));
  if (where.some((bin, u) => free[u] && !Number.isFinite(p.cost[u]![bin]!))) return false;
  if (p.bins.some((b, i) => inBin(i).length > b.count && inBin(i).some((u) => free[u]))) return false;
  return (
    p.places.every((_, k) => {
      const here = inPlace(k);
      if (!here.some((u) => free[u])) return true;
      const mass = here.reduce((s, u) => s + p.mass[u]!, 0);
      const room = here.reduce((s, u) => s + p.room[u]![k]!, 0);
      if (mass > p.bears[k]! + 1e-9 || room > p.roomIn[k]! + 1e-9) return false;
      const [sharp, pierced] = [here.filter((u) => p.sharp[u]), here.filter((u) => p.pierced[u])];
      return p.parted[k] || !sharp.some((a) => pierced.some((b) => a !== b && (free[a] || free[b])));
    }) && cuts.every((c) => !c.units.every((u) => inPlace(c.place).includes(u)))
  );
}
