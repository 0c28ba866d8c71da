import { at } from '../ground/numbers.js';
import { contentsOf, heldIn, type StowCase, type StowFault } from './brokenRules.js';
import { placePoints, POINTS, type Points } from './cost.js';
import { itemsOf, type StowItem, type Unit } from './item.js';
import type { LoadCase } from './load/index.js';
import { stowFaults } from './mending.js';
import type { Pose } from './pack/index.js';
import { goesIn, sharedRules, standingRules, type BrokenRule, type Held } from './rules.js';
import { costOf, groupsCost, mayGo, placeIn, SCALE, spreadOf, type StowProblem } from './stowProblem.js';

export interface Stowed {
  item: StowItem;
  placeId: string | null;
  pinned: boolean;
  /** Slot of a roll, counted from the left over all groups; null elsewhere and for what breaks the roll's rules. */
  slot: number | null;
  /** What it is wound round, or lies inside; null for what lies by itself. */
  on: { key: string; name: string; how: 'wound' | 'nested' } | null;
  everyday: boolean;
  /** Whether it breaks a rule, or has no place. */
  faulty: boolean;
  /** Why a loose item goes into none of the places, the least hindered first. */
  barred: { placeId: string; rules: BrokenRule[] }[];
}
export interface PlaceContents {
  placeId: string;
  held: Held;
  /** How the rigid pieces lie; null when no packing of them was found, empty where it is no question. */
  poses: Pose[] | null;
  /** When they do not lie beside each other: keys of those that stand in each other's way. */
  inTheWay: string[];
}
export interface Packing {
  stowed: Stowed[];
  places: PlaceContents[];
  /** Pieces of one subject and the places they lie in. */
  groups: { name: string; keys: string[]; placeIds: string[] }[];
  /** Rules broken, each with what mends it. */
  faults: StowFault[];
  load: LoadCase;
  /** Points in all, a bound from below, and whether nothing better is possible. */
  cost: number;
  bound: number;
  proven: boolean;
  /** Bin of each unit by the key of its host, for whoever searches on. */
  bins: Record<string, number>;
  /** Keys of what has no place and therefore carries nothing. */
  apart: string[];
  /** Points by goal, as the sliders weigh them. */
  parts: Points;
  /** Expected minutes of opening places on the trip. */
  minutes: number;
}

/** What has no place and so does not come along, whatever it hangs on. The one count of it, for every screen. */
export const fitsNowhere = (packing: Pick<Packing, 'stowed'>): Stowed[] =>
  packing.stowed.filter((s) => s.placeId === null);

/**
 * Everything that is said of an assignment.
 * @param where place by unit, −1 where it is loose
 */
export function described(
  c: StowCase,
  where: readonly number[],
  known: { bound: number; proven: boolean; apart: ReadonlySet<string> },
): Packing {
  const { p, input } = c;
  const contents = contentsOf(p, where);
  const held = p.places.map((place, k) => heldIn(p, where, place, at(contents, k)));
  const { faults, load } = stowFaults(c, where);
  const slots = slotNumbers(p, where);
  const pinned = new Set(input.pins.filter((x) => p.places.some((k) => k.id === x.placeId)).map((x) => x.item));
  const order = new Map(input.items.map((item, i) => [item.key, i]));
  const stowed = p.units.flatMap((unit, u) => {
    const k = placeIn(p, where, u);
    const barred = k >= 0 ? [] : looseBecause(p, unit, held, input.rough);
    return itemsOf(unit).map((item): Stowed => ({
      item,
      placeId: k >= 0 ? at(p.places, k).id : null,
      pinned: pinned.has(item.key),
      slot: slots.get(u) ?? null,
      on:
        item === unit.host
          ? null
          : { key: unit.host.key, name: unit.host.name, how: unit.wound.includes(item) ? 'wound' : 'nested' },
      everyday: p.everyday[u] === true,
      faulty: faults.some((f) => f.key === item.key),
      barred: item === unit.host ? barred : [],
    }));
  });
  const placeOfOrder = ({ item }: Stowed) => order.get(item.key) ?? Infinity;
  stowed.sort((a, b) => placeOfOrder(a) - placeOfOrder(b));
  return {
    stowed,
    places: p.places.map((_, k) => contentsAt(c, k, at(contents, k), at(held, k))),
    groups: p.groupNames.map((name, g) => groupAt(p, where, name, g)),
    faults,
    load,
    cost: costOf(p, where) / SCALE,
    bound: known.bound / SCALE,
    proven: known.proven,
    bins: Object.fromEntries(p.units.map((unit, u) => [unit.host.key, at(where, u)])),
    apart: [...known.apart].sort(),
    ...partsOf(c, where),
  };
}

/** What one place holds, and how its rigid pieces lie. */
function contentsAt({ p, memory }: StowCase, k: number, here: readonly number[], held: Held): PlaceContents {
  const place = at(p.places, k);
  // What does not even go in alone is no reason to show nothing of the rest.
  const within = here.map((u) => at(p.units, u)).filter((unit) => goesIn(place, unit));
  const laid = memory.lay(place, within);
  return {
    placeId: place.id,
    held,
    poses: laid?.poses ?? null,
    inTheWay: laid ? [] : memory.stubborn(place, within, true).map((u) => u.host.key),
  };
}

/** The pieces of one subject, and the places they lie in. */
function groupAt(p: StowProblem, where: readonly number[], name: string, g: number): Packing['groups'][number] {
  const mine = p.units.flatMap((unit, u) => (p.group.at(u) === g ? [{ unit, k: placeIn(p, where, u) }] : []));
  return {
    name,
    keys: mine.flatMap(({ unit }) => itemsOf(unit).map((i) => i.key)),
    placeIds: [...new Set(mine.flatMap(({ k }) => (k < 0 ? [] : [at(p.places, k).id])))],
  };
}

/** Why a loose unit goes into none of the places, the least hindered first. */
function looseBecause(p: StowProblem, unit: Unit, held: readonly Held[], rough: boolean): Stowed['barred'] {
  return p.places
    .map((place, k) => {
      const rules = [...standingRules(place, unit), ...sharedRules(place, unit, at(held, k), rough)];
      if (rules.length === 0) rules.push({ rule: 'packing', message: { code: 'stow.not-laid', names: [] } });
      return { placeId: place.id, rules };
    })
    .sort((a, b) => a.rules.length - b.rules.length);
}

/** Slots from the left over all groups: within a group the longest first. */
function slotNumbers(p: StowProblem, where: readonly number[]): Map<number, number> {
  const out = new Map<number, number>();
  const length = (u: number) => at(p.units, u).host.size.length;
  p.bins.forEach((b, bin) => {
    if (b.slot === null) return;
    const first = (at(p.places, b.place).slots ?? []).slice(0, b.slot).reduce((s, g) => s + g.count, 0);
    where
      // What the rider put here against its slots' measures lies in none of them.
      .flatMap((w, u) => (w === bin && mayGo(p, u, bin) ? [u] : []))
      .sort((x, y) => length(y) - length(x) || x - y)
      .slice(0, b.count)
      .forEach((u, i) => out.set(u, first + i));
  });
  return out;
}

/** Points by goal, as the sliders weigh them; and the minutes of opening. */
function partsOf({ p, input }: StowCase, where: readonly number[]): { parts: Required<Points>; minutes: number } {
  const parts: Required<Points> = { fixed: 0, ride: 0, even: 0, soon: 0, everyday: 0, locked: 0, together: 0 };
  let minutes = 0;
  p.units.forEach((unit, u) => {
    const k = placeIn(p, where, u);
    if (k < 0) return;
    const points = placePoints(at(p.places, k), unit, input.bike, p.everyday[u] === true);
    for (const [goal, n] of Object.entries(points) as [keyof Points, number][])
      parts[goal] += goal === 'fixed' ? n : n * input.goals[goal];
    minutes += (points.soon ?? 0) / POINTS.minute;
  });
  const { side, groups } = spreadOf(p, where);
  parts.even = (p.sideCost * Math.abs(side)) / SCALE;
  parts.together = groupsCost(p, groups) / SCALE;
  return { parts, minutes };
}
