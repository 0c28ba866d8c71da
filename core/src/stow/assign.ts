import type { Bike } from '../bike/index.js';
import type { Pin, Place } from './place.js';
import { brokenRules, EMPTY, loaded, placeCost, type BrokenRule, type Load, type StowItem } from './rules.js';

export interface Stowed {
  item: StowItem;
  placeId: string | null;
  pinned: boolean;
  /** Rules that a pinned item breaks where it is, or why a loose one fits nowhere: one reason a place. */
  broken: { placeId: string; rules: BrokenRule[] }[];
}
export interface PlaceLoad {
  placeId: string;
  load: Load;
}
export interface Packing {
  stowed: Stowed[];
  loads: PlaceLoad[];
  /** Middle of the packed kit in mm, null when nothing is stowed. */
  centre: { x: number; y: number; z: number } | null;
  /** Sideways moment, kg·m, left positive. */
  side: number;
}

const sideOf = (stowed: readonly Stowed[], places: ReadonlyMap<string, Place>) =>
  stowed.reduce((sum, s) => sum + (s.placeId ? (s.item.mass / 1000) * (places.get(s.placeId)!.at.y / 1000) : 0), 0);

/** The hardest to place first: bulk and length decide; a stable order by key keeps the answer from jumping about. */
const hardestFirst = (a: StowItem, b: StowItem) =>
  b.volume - a.volume || b.size.length - a.size.length || (a.key < b.key ? -1 : 1);

/**
 * Puts every item into a place that obeys the hard rules, at the least soft cost: pinned items first and as they are, then the hardest
 * to place, then exchanges of single items as long as one lowers the cost. What fits nowhere stays loose with its reason for each place.
 * A rule-led heuristic: it promises the rules, not the least cost.
 */
export function assign(
  items: readonly StowItem[],
  places: readonly Place[],
  pins: readonly Pin[],
  bike: Pick<Bike, 'wheelbase'>,
): Packing {
  const byId = new Map(places.map((p) => [p.id, p]));
  const loads = new Map<string, Load>(places.map((p) => [p.id, EMPTY]));
  const pinOf = new Map(pins.map((p) => [p.item, p.placeId]));
  const stowed: Stowed[] = [];
  let side = 0;
  const put = (item: StowItem, placeId: string, pinned: boolean, broken: BrokenRule[]) => {
    stowed.push({ item, placeId, pinned, broken: broken.length > 0 ? [{ placeId, rules: broken }] : [] });
    loads.set(placeId, loaded(loads.get(placeId)!, item));
    side += (item.mass / 1000) * (byId.get(placeId)!.at.y / 1000);
  };
  const order = [...items].sort(hardestFirst);
  const free: StowItem[] = [];
  for (const item of order) {
    const place = byId.get(pinOf.get(item.key) ?? '');
    if (place) put(item, place.id, true, brokenRules(place, item, loads.get(place.id)!));
    else free.push(item);
  }
  for (const item of free) {
    const tried = places.map((place) => ({
      place,
      rules: brokenRules(place, item, loads.get(place.id)!),
    }));
    const good = tried
      .filter((t) => t.rules.length === 0)
      .map((t) => ({ id: t.place.id, cost: placeCost(t.place, item, bike.wheelbase, side) }))
      .sort((a, b) => a.cost - b.cost || (a.id < b.id ? -1 : 1));
    if (good[0]) put(item, good[0].id, false, []);
    else
      stowed.push({
        item,
        placeId: null,
        pinned: false,
        broken: tried
          .map((t) => ({ placeId: t.place.id, rules: t.rules }))
          .sort((a, b) => a.rules.length - b.rules.length),
      });
  }
  improve(stowed, byId, loads, bike.wheelbase);
  return {
    stowed,
    loads: places.map((p) => ({ placeId: p.id, load: loads.get(p.id)! })),
    centre: centreOf(stowed, byId),
    side: sideOf(stowed, byId),
  };
}

const unload = (load: Load, item: StowItem): Load => ({
  mass: load.mass - item.mass,
  volume: load.volume - item.volume,
  items: load.items - 1,
});

/** Moves single items as long as one lowers the cost; every move keeps the rules. */
function improve(
  stowed: Stowed[],
  places: ReadonlyMap<string, Place>,
  loads: Map<string, Load>,
  wheelbase: number,
): void {
  for (let round = 0; round < 4; round++) {
    let moved = false;
    for (const s of stowed) {
      if (s.pinned) continue;
      const from = s.placeId;
      const current = from ? places.get(from)! : null;
      const rest = sideOf(stowed, places) - (current ? (s.item.mass / 1000) * (current.at.y / 1000) : 0);
      let best = {
        id: from,
        cost: current ? placeCost(current, s.item, wheelbase, rest) : Infinity,
      };
      for (const place of places.values()) {
        if (place.id === from || brokenRules(place, s.item, loads.get(place.id)!).length > 0) continue;
        const cost = placeCost(place, s.item, wheelbase, rest);
        if (cost < best.cost - 1e-9) best = { id: place.id, cost };
      }
      if (best.id === from || best.id === null) continue;
      if (from) loads.set(from, unload(loads.get(from)!, s.item));
      loads.set(best.id, loaded(loads.get(best.id)!, s.item));
      s.placeId = best.id;
      s.broken = [];
      moved = true;
    }
    if (!moved) return;
  }
}

/** Centre of the stowed items: Σ m·r / Σ m (reference section 7). */
function centreOf(stowed: readonly Stowed[], places: ReadonlyMap<string, Place>): Packing['centre'] {
  let mass = 0;
  const sum = { x: 0, y: 0, z: 0 };
  for (const { item, placeId } of stowed) {
    if (!placeId) continue;
    const { at } = places.get(placeId)!;
    mass += item.mass;
    for (const axis of ['x', 'y', 'z'] as const) sum[axis] += item.mass * at[axis];
  }
  return mass > 0 ? { x: sum.x / mass, y: sum.y / mass, z: sum.z / mass } : null;
}
