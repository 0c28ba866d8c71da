import { at, Matrix, Vector } from '../ground/numbers.js';
import { groupCost, type GroupCost, type Priced } from './groupCost.js';
import type { StowProblem } from './stowProblem.js';

/** What no assignment costs less than, and which bins an assignment better than the one known could use. */
export interface StowBound {
  bound: number;
  /** By unit and bin. */
  open: boolean[][];
  /** What the prices ask for where the bound is best: limits may be broken, but a search does well to begin there. */
  wished: number[];
  /** Where the prices ended, for whoever goes on from there. */
  prices: Prices;
}
/** What a gram and a millilitre cost in each place, a slot in each bin, and a gram-metre to the left. */
interface Prices {
  mass: Vector;
  room: Vector;
  count: Vector;
  tilt: number;
}
/** What the rider's own choices leave of each limit, what they cost, and what is still free. */
interface Rest {
  mass: Vector;
  room: Vector;
  count: Vector;
  cost: number;
  side: number;
  /** Places that each group lies in already. */
  begun: Set<number>[];
  free: number[];
  /** Free units by their group; each unit of none by itself, under a key less than 0. */
  groups: Map<number, number[]>;
}
/** Grams, millilitres and gram-metres that weigh alike in a step of the prices. */
const UNIT = 100;
/** A step is made shorter after so many rounds without a better bound. */
const PATIENCE = 8;
const SHORTER = 1.7;
const FIRST_STEP = 1.6;

/**
 * A bound from below. Weight, room, slots and balance are paid for by prices instead of being kept; what then remains falls apart into
 * groups, each of which is settled exactly (`groupCost`). The prices are driven up where the limits are broken (subgradient steps towards the
 * known cost). Conflicts and packings are left out, so the bound holds with them too.
 * @param known cost of the best assignment known
 * @param before what an earlier call came to: its prices are gone on from, what it closed stays closed
 */
export function boundStow(p: StowProblem, known: number, rounds: number, before?: StowBound): StowBound {
  const rest = restOf(p);
  const prices = before ? copied(before.prices) : noPrices(p);
  let best: StowBound = before ?? {
    bound: -Infinity,
    open: p.units.map(() => p.bins.map(() => true)),
    wished: p.units.map((_, u) => (p.fixed.at(u) >= 0 ? p.fixed.at(u) : p.loose)),
    prices: copied(prices),
  };
  best = { ...best, prices: copied(prices) };
  let step = FIRST_STEP;
  let since = 0;
  for (let round = 0; round < rounds; round++) {
    const relaxed = relax(p, rest, prices);
    const { value } = relaxed;
    if (value > best.bound - 1e-6 || round === 0) {
      close(p, relaxed, known - value, best.open);
      since = value > best.bound + 1e-6 ? 0 : since + 1;
      best =
        value > best.bound
          ? { bound: value, open: best.open, wished: relaxed.wished, prices: copied(prices) }
          : { ...best, wished: relaxed.wished };
    } else if (++since >= PATIENCE) {
      step /= SHORTER;
      since = 0;
    }
    if (known - best.bound < 1) break;
    if (!raise(p, rest, prices, relaxed, step * Math.max(1, known - value))) break;
  }
  return best;
}

const noPrices = (p: StowProblem): Prices => ({
  mass: Vector.filled(p.places.length),
  room: Vector.filled(p.places.length),
  count: Vector.filled(p.bins.length),
  tilt: 0,
});
const copied = ({ mass, room, count, tilt }: Prices): Prices => ({
  mass: mass.copy(),
  room: room.copy(),
  count: count.copy(),
  tilt,
});

/** What the rider fixed is a constant, and takes its share of what there is. */
function restOf(p: StowProblem): Rest {
  const left = { mass: p.bears.copy(), room: p.roomIn.copy(), count: Vector.of(p.bins.map((b) => b.count)) };
  const begun = p.groupNames.map(() => new Set<number>());
  const groups = new Map<number, number[]>();
  const free: number[] = [];
  let cost = 0;
  let side = p.sideBefore;
  p.units.forEach((_, u) => {
    const bin = p.fixed.at(u);
    const group = p.group.at(u);
    if (bin < 0) {
      free.push(u);
      const key = group >= 0 ? group : -1 - u;
      groups.set(key, [...(groups.get(key) ?? []), u]);
      return;
    }
    const k = p.placeOf.at(bin);
    cost += Number.isFinite(p.cost.at(u, bin)) ? p.cost.at(u, bin) : 0;
    side += p.mass.at(u) * p.y.at(k);
    left.mass.add(k, -p.mass.at(u));
    left.room.add(k, -p.room.at(u, k));
    left.count.add(bin, -1);
    if (group >= 0) at(begun, group).add(k);
  });
  begun.forEach((places, g) => (cost += p.spread.at(g) * Math.max(0, places.size - 1)));
  const atLeastNone = (v: Vector) => v.map((x) => Math.max(0, x));
  return {
    mass: atLeastNone(left.mass),
    room: atLeastNone(left.room),
    count: atLeastNone(left.count),
    cost,
    side,
    begun,
    free,
    groups,
  };
}

/** The least cost at given prices, what it uses of each limit, and how each group is put. */
interface Relaxed {
  value: number;
  wished: number[];
  used: { mass: Vector; room: Vector; count: Vector };
  side: number;
  priced: Priced;
  parts: { units: number[]; put: GroupCost }[];
}
function relax(p: StowProblem, rest: Rest, prices: Prices): Relaxed {
  const used = noPrices(p);
  let side = rest.side;
  let value = rest.cost + prices.tilt * rest.side;
  for (let k = 0; k < p.places.length; k++) {
    value -= prices.mass.at(k) * rest.mass.at(k);
    if (prices.room.at(k) > 0) value -= prices.room.at(k) * rest.room.at(k);
  }
  for (let b = 0; b < p.bins.length; b++) if (prices.count.at(b) > 0) value -= prices.count.at(b) * rest.count.at(b);
  const priced = pricedUnits(p, rest.free, prices);
  const wished = p.units.map((_, u) => (p.fixed.at(u) >= 0 ? p.fixed.at(u) : p.loose));
  const parts: Relaxed['parts'] = [];
  for (const [key, units] of rest.groups) {
    const put = groupCost(p, key, units, priced, key >= 0 ? at(rest.begun, key) : new Set());
    value += put.least;
    parts.push({ units, put });
    units.forEach((u, i) => {
      const k = at(put.at, i);
      if (k < 0) return;
      const bin = priced.binAt.at(u, k);
      wished[u] = bin;
      used.mass.add(k, p.mass.at(u));
      used.room.add(k, p.room.at(u, k));
      used.count.add(bin, 1);
      side += p.mass.at(u) * p.y.at(k);
    });
  }
  return { value, wished, used, side, priced, parts };
}

/** Costs of the free units with the prices in them. */
function pricedUnits(p: StowProblem, free: readonly number[], prices: Prices): Priced {
  const n = p.units.length;
  const adjusted = new Matrix(n, p.bins.length + 1);
  const cheapest = new Matrix(n, p.places.length, Infinity);
  const binAt = new Matrix(n, p.places.length);
  for (const u of free) {
    const mass = p.mass.at(u);
    for (let b = 0; b < p.bins.length; b++) {
      const k = p.placeOf.at(b);
      const cost =
        p.cost.at(u, b) +
        prices.mass.at(k) * mass +
        prices.room.at(k) * p.room.at(u, k) +
        prices.count.at(b) +
        prices.tilt * mass * p.y.at(k);
      adjusted.set(u, b, cost);
      if (cost < cheapest.at(u, k)) {
        cheapest.set(u, k, cost);
        binAt.set(u, k, b);
      }
    }
    adjusted.set(u, p.loose, p.cost.at(u, p.loose));
  }
  return { adjusted, cheapest, binAt };
}

/** Closes each bin that nothing better than what is known can use. */
function close(p: StowProblem, { parts, priced }: Relaxed, slack: number, open: boolean[][]): void {
  for (const { units, put } of parts)
    units.forEach((u, i) => {
      const mine = at(open, u);
      for (let b = 0; b < p.bins.length; b++) {
        if (!mine[b]) continue;
        const k = p.placeOf.at(b);
        const more = put.forced(i, k) - priced.cheapest.at(u, k) + priced.adjusted.at(u, b) - put.least;
        if (!(more <= slack + 1e-6)) mine[b] = false;
      }
    });
}

/**
 * Raises the prices of what is broken, towards the known cost.
 * @param towards what is wanted of the step, in cost
 * @returns whether anything was broken
 */
function raise(p: StowProblem, rest: Rest, prices: Prices, { used, side }: Relaxed, towards: number): boolean {
  const over = (use: Vector, has: Vector) => use.map((x, i) => (Number.isFinite(has.at(i)) ? x - has.at(i) : 0));
  const mass = over(used.mass, rest.mass);
  const room = over(used.room, rest.room);
  const count = over(used.count, rest.count);
  const counts = (broken: number, price: number) => broken > 0 || price > 0;
  const norm =
    mass.sum((g, k) => (counts(g, prices.mass.at(k)) ? (g / UNIT) ** 2 : 0)) +
    room.sum((g, k) => (counts(g, prices.room.at(k)) ? (g / UNIT) ** 2 : 0)) +
    count.sum((g, b) => (counts(g, prices.count.at(b)) ? g ** 2 : 0)) +
    (side / UNIT) ** 2;
  if (norm < 1e-12) return false;
  const t = towards / norm;
  const raised = (price: number, by: number) => Math.max(0, price + by);
  for (let k = 0; k < p.places.length; k++) {
    prices.mass.set(k, raised(prices.mass.at(k), (t * mass.at(k)) / UNIT / UNIT));
    prices.room.set(k, raised(prices.room.at(k), (t * room.at(k)) / UNIT / UNIT));
  }
  for (let b = 0; b < p.bins.length; b++) prices.count.set(b, raised(prices.count.at(b), t * count.at(b)));
  prices.tilt = Math.max(-p.sideCost, Math.min(p.sideCost, prices.tilt + (t * side) / UNIT / UNIT));
  return true;
}
