import { say } from '../ground/units/index.js';
import type { Bike } from '../bike/index.js';
import type { Solve } from '../ground/milp.js';
import { boundStow } from './bound.js';
import { placePoints, POINTS, type Points } from './cost.js';
import { solveStow } from './exact.js';
import type { Goals } from './goals.js';
import { itemsOf, stowUnits, windings, type StowItem, type Unit } from './item.js';
import { LaidMemory } from './laid.js';
import type { Pose } from './pack/index.js';
import type { Pin, Place } from './place.js';
import { costOf, keepsRules, SCALE, stowProblem, type Cut, type StowProblem } from './stowProblem.js';
import { goesIn, nothingHeld, sharedRules, standingRules, heldWith, type BrokenRule, type Held } from './rules.js';
import { searchStow } from './stowSearch.js';
import { stowFaults, type StowFault } from './brokenRules.js';
import { bareBike, type LoadCase, type Weight } from './load/index.js';

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

/** A packing that a longer search found, with what it proved; taken as it is for the same input, else a place to begin. */
export interface PackingHint {
  /** Of the input that it was found for. */
  key: string;
  bins: Readonly<Record<string, number>>;
  apart: readonly string[];
  bound: number;
  proven: boolean;
}

export interface StowInput {
  items: readonly StowItem[];
  places: readonly Place[];
  pins: readonly Pin[];
  bike: Bike;
  goals: Goals;
  rough: boolean;
  /** Rider and pillion. */
  people: readonly Weight[];
}
/** What decides a packing, as a text: inputs with the same key have the same packing, whatever else they say of bike and people. */
export function stowKey({ items, places, pins, bike, goals, rough }: StowInput): string {
  const lies = places.map(({ name: _name, note: _note, bikeId: _bike, onRack: _rack, ...rest }) => rest);
  const put = pins.map((p) => [p.item, p.placeId]);
  const things = items.map(({ name: _name, ...rest }) => rest);
  return JSON.stringify([things, lies, put, bike.wheelbase, bareBike(bike).at.x, goals, rough]);
}

export interface StowOptions {
  /** Exact solver; without it what the bound does not prove stays unproven. */
  solve?: Solve | null;
  hint?: PackingHint | null;
  memory?: LaidMemory;
  onProgress?: (share: number) => void;
}

const allOpen = (p: StowProblem) => p.units.map(() => p.bins.map(() => true));

/** How often a packing that does not lie in its places is searched again. */
const MOST_CUTS = 40;
/** Rounds of the search from each beginning, and of the prices behind the bound. */
const ROUNDS = 3;
const ROUNDS_OF_PRICES = 30;
const TURNS = 2;

/** The whole problem with the cuts found so far, for tests that look at the search from outside. */
export function stowCase(
  input: StowInput,
  apart: ReadonlySet<string> = withoutPlace(input),
): { problem: StowProblem; units: Unit[] } {
  const units = stowUnits(input.items, input.pins, apart);
  return { units, problem: stowProblem({ ...input, units }) };
}

/** Items that no place takes even by themselves: what would hang on them must not be lost with them. */
function withoutPlace({ items, places }: StowInput): Set<string> {
  return new Set(
    items
      .filter((i) => i.hollow !== null || windings(i) > 0)
      .filter((i) => {
        const alone = stowUnits([i], [])[0]!;
        return places.every((p) => standingRules(p, alone).length > 0);
      })
      .map((i) => i.key),
  );
}

/**
 * Puts every item into a place that obeys the hard rules, at the least soft cost; a carrier that ends up without one lets go of what it carries,
 * and all is looked at again.
 */
export function assign(input: StowInput, options: StowOptions = {}): Packing {
  const { hint } = options;
  const apart = hint && hint.key === stowKey(input) ? new Set(hint.apart) : withoutPlace(input);
  for (;;) {
    const packing = assignOnce(input, apart, options);
    const carriers = packing.stowed.filter(
      (s) => s.placeId === null && s.on === null && packing.stowed.some((g) => g.on?.key === s.item.key),
    );
    if (carriers.length === 0) return packing;
    for (const { item } of carriers) apart.add(item.key);
  }
}

/**
 * Puts every item into a place that obeys the hard rules, at the least soft cost: pinned items as they are, then the best that the search finds,
 * then the proof or, with a solver, the optimum. Sets that do not lie beside each other in a place are cut off and the rest is searched
 * again. What fits nowhere stays loose with its reason for each place.
 */
function assignOnce(input: StowInput, apart: ReadonlySet<string>, options: StowOptions): Packing {
  const memory = options.memory ?? new LaidMemory();
  const { problem: p, units } = stowCase(input, apart);
  const cuts: Cut[] = [];
  const unitsIn = (where: readonly number[], k: number) =>
    units.filter((_, u) => where[u] !== p.loose && p.bins[where[u]!]!.place === k);
  /** Sets that do not go into their place together, as cuts; none when everything lies. Only sets with a unit that may move count. */
  const cutsOf = (where: readonly number[]): Cut[] =>
    p.places.flatMap((place, k): Cut[] => {
      const here = unitsIn(where, k);
      if (memory.lay(place, here) !== null) return [];
      const set = memory.stubborn(place, here, false).map((u) => units.indexOf(u));
      // What the rider pinned together stays, as a broken rule; it is no reason against the others.
      return set.some((u) => p.fixed[u]! < 0) ? [{ place: k, units: set }] : [];
    });
  const laidOut = (found: { where: number[]; cost: number }) => {
    let now = found;
    for (let i = 0; i < MOST_CUTS; i++) {
      const more = cutsOf(now.where);
      if (more.length === 0) return now;
      cuts.push(...more);
      now = searchStow(p, cuts, { rounds: 8, from: now.where });
    }
    return now;
  };
  const { hint } = options;
  const given = hint ? units.map((u) => hint.bins[u.host.key] ?? p.loose) : null;
  if (given && hint!.key === stowKey(input) && keepsRules(p, given) && cutsOf(given).length === 0)
    return described(p, units, input, given, {
      bound: hint!.bound * SCALE,
      proven: hint!.proven,
      memory,
      apart,
    });
  // The prices are driven up in turns with searches from what they wish for: each makes the other better. Whether things lie beside each other is
  // asked of the best alone, since that takes longest.
  let best = searchStow(p, cuts, { rounds: 0 });
  const better = (from: readonly number[]) => {
    const found = searchStow(p, cuts, { rounds: ROUNDS, from });
    if (found.cost < best.cost - 1e-6) best = found;
  };
  if (given) better(given);
  let priced = boundStow(p, best.cost, ROUNDS_OF_PRICES);
  for (let turn = 0; turn < TURNS && best.cost - priced.bound >= 1; turn++) {
    better(priced.wished);
    priced = boundStow(p, best.cost, ROUNDS_OF_PRICES, priced);
  }
  const free = best.cost;
  best = laidOut(best);
  // Bins were closed against a cost that nothing may lie at: they are looked at again for the one that does.
  if (best.cost > free + 1e-6) priced = boundStow(p, best.cost, ROUNDS_OF_PRICES, { ...priced, open: allOpen(p) });
  let proven = best.cost - priced.bound < 1;
  let bound = priced.bound;
  if (!proven && options.solve) {
    for (let i = 0; i < MOST_CUTS; i++) {
      options.onProgress?.(0.2 + (0.8 * i) / MOST_CUTS);
      const solved = solveStow(p, priced.open, cuts, options.solve);
      if (solved === null) break;
      if (solved === 'infeasible') {
        // Nothing better than what is known is left open: it is the best.
        proven = true;
        bound = best.cost;
        break;
      }
      bound = Math.max(bound, Math.min(solved.bound, best.cost));
      const more = cutsOf(solved.where);
      const cost = costOf(p, solved.where);
      if (more.length === 0 && cost < best.cost - 1e-6) best = { where: solved.where, cost };
      if (more.length === 0) {
        proven = solved.proven;
        break;
      }
      cuts.push(...more);
    }
  }
  return described(p, units, input, best.where, { bound: Math.min(bound, best.cost), proven, memory, apart });
}

/** Everything that is said of an assignment. */
function described(
  p: StowProblem,
  units: readonly Unit[],
  input: StowInput,
  where: readonly number[],
  known: { bound: number; proven: boolean; memory: LaidMemory; apart: ReadonlySet<string> },
): Packing {
  const contents = p.places.map((place) => nothingHeld(place));
  const here = p.places.map((): number[] => []);
  where.forEach((bin, u) => {
    if (bin === p.loose) return;
    const { place, slot } = p.bins[bin]!;
    contents[place] = heldWith(p.places[place]!, contents[place]!, units[u]!, slot ?? undefined);
    here[place]!.push(u);
  });
  const places = p.places.map((place, k): PlaceContents => {
    const mine = here[k]!.map((u) => units[u]!);
    // What does not even go in alone is no reason to show nothing of the rest.
    const within = mine.filter((unit) => goesIn(place, unit));
    const laid = known.memory.lay(place, within);
    return {
      placeId: place.id,
      held: contents[k]!,
      poses: laid?.poses ?? null,
      inTheWay: laid ? [] : known.memory.stubborn(place, within, true).map((u) => u.host.key),
    };
  });
  const { faults, load } = stowFaults(p, units, input, where, known.memory);
  const slots = slotNumbers(p, units, where);
  const pinned = new Set(input.pins.filter((x) => p.places.some((k) => k.id === x.placeId)).map((x) => x.item));
  const order = new Map(input.items.map((item, i) => [item.key, i]));
  const stowed = units.flatMap((unit, u) => {
    const bin = where[u]!;
    const k = bin === p.loose ? -1 : p.bins[bin]!.place;
    const barred = k >= 0 ? [] : looseBecause(p, unit, contents, input.rough);
    return itemsOf(unit).map((item): Stowed => ({
      item,
      placeId: k >= 0 ? p.places[k]!.id : null,
      pinned: pinned.has(item.key),
      slot: slots.get(u) ?? null,
      on:
        item === unit.host
          ? null
          : { key: unit.host.key, name: unit.host.name, how: unit.wound.includes(item) ? 'wound' : 'nested' },
      everyday: p.everyday[u]!,
      faulty: faults.some((f) => f.key === item.key),
      barred: item === unit.host ? barred : [],
    }));
  });
  stowed.sort((a, b) => order.get(a.item.key)! - order.get(b.item.key)!);
  const { parts, minutes } = partsOf(p, units, input, where);
  return {
    stowed,
    places,
    groups: p.groupNames.map((name, g) => {
      const mine = units.flatMap((unit, u) => (p.group[u] === g ? [{ unit, bin: where[u]! }] : []));
      return {
        name,
        keys: mine.flatMap(({ unit }) => itemsOf(unit).map((i) => i.key)),
        placeIds: [...new Set(mine.flatMap(({ bin }) => (bin === p.loose ? [] : [p.places[p.bins[bin]!.place]!.id])))],
      };
    }),
    faults,
    load,
    cost: costOf(p, where) / SCALE,
    bound: known.bound / SCALE,
    proven: known.proven,
    bins: Object.fromEntries(units.map((unit, u) => [unit.host.key, where[u]!])),
    apart: [...known.apart].sort(),
    parts,
    minutes,
  };
}

/** Why a loose unit goes into none of the places, the least hindered first. */
function looseBecause(p: StowProblem, unit: Unit, contents: readonly Held[], rough: boolean): Stowed['barred'] {
  return p.places
    .map((place, k) => {
      const rules = [...standingRules(place, unit)];
      rules.push(...sharedRules(place, unit, contents[k]!, rough));
      if (rules.length === 0)
        rules.push({ rule: 'packing', message: say`no way was found to lay it beside what is there` });
      return { placeId: place.id, rules };
    })
    .sort((a, b) => a.rules.length - b.rules.length);
}

/** Slots from the left over all groups: within a group the longest first. */
function slotNumbers(p: StowProblem, units: readonly Unit[], where: readonly number[]): Map<number, number> {
  const out = new Map<number, number>();
  p.bins.forEach((b, bin) => {
    if (b.slot === null) return;
    const first = p.places[b.place]!.slots!.slice(0, b.slot).reduce((s, g) => s + g.count, 0);
    where
      // What the rider put here against its slots' measures lies in none of them.
      .flatMap((w, u) => (w === bin && Number.isFinite(p.cost[u]![bin]!) ? [u] : []))
      .sort((x, y) => units[y]!.host.size.length - units[x]!.host.size.length || x - y)
      .slice(0, b.count)
      .forEach((u, i) => out.set(u, first + i));
  });
  return out;
}

/** Points by goal, as the sliders weigh them; and the minutes of opening. */
function partsOf(p: StowProblem, units: readonly Unit[], input: StowInput, where: readonly number[]) {
  const parts: Required<Points> = { fixed: 0, ride: 0, even: 0, soon: 0, everyday: 0, locked: 0, together: 0 };
  let side = p.sideBefore;
  let minutes = 0;
  const open = p.spread.map(() => new Set<number>());
  where.forEach((bin, u) => {
    if (bin === p.loose) return;
    const k = p.bins[bin]!.place;
    const points = placePoints(p.places[k]!, units[u]!, input.bike, p.everyday[u]!);
    for (const [goal, n] of Object.entries(points) as [keyof Points, number][])
      parts[goal] += goal === 'fixed' ? n : n * input.goals[goal];
    minutes += (points.soon ?? 0) / POINTS.minute;
    side += p.mass[u]! * p.y[k]!;
    if (p.group[u]! >= 0) open[p.group[u]!]!.add(k);
  });
  parts.even = (p.sideCost * Math.abs(side)) / SCALE;
  parts.together = open.reduce((s, set, g) => s + (p.spread[g]! * Math.max(0, set.size - 1)) / SCALE, 0);
  return { parts, minutes };
}

/**
 * Searches a packing on to its end: the optimum with its proof, or the best with its bound.
 * @param packing what the quick search came to, to begin with
 * @returns a hint with which `assign` gives that packing at once
 */
export function searchOn(
  input: StowInput,
  packing: Packing,
  solve: Solve,
  onProgress?: (share: number) => void,
): PackingHint {
  const hint: PackingHint = {
    key: '',
    bins: packing.bins,
    apart: packing.apart,
    bound: packing.bound,
    proven: false,
  };
  const { bins, apart, bound, proven } = assign(input, { solve, hint, ...(onProgress ? { onProgress } : {}) });
  return { key: stowKey(input), bins, apart, bound, proven };
}
