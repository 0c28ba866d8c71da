import { at, Matrix } from '../ground/numbers.js';
import type { StowProblem } from './stowProblem.js';

/** What each unit costs at given prices. */
export interface Priced {
  /** By unit and bin; the last column is "loose". */
  adjusted: Matrix;
  /** By unit and place: the cheapest bin there, and what it costs. */
  cheapest: Matrix;
  binAt: Matrix;
}
/** The cheapest way to put one group. */
export interface GroupCost {
  /** Place of each unit of it, in the order of the units; −1 for loose. */
  at: number[];
  least: number;
  /** The least that the group costs with its `i`-th unit in a place. */
  forced: (i: number, place: number) => number;
}
/** Units of one group as numbers: cost of the `i`-th in a place, loose, and the cheapest of all. */
interface Group {
  units: readonly number[];
  places: number;
  in: (i: number, place: number) => number;
  loose: (i: number) => number;
  any: { least: number; at: number }[];
  sumAny: number;
}
const min = (a: number, b: number) => (a < b ? a : b);

/**
 * The cheapest way to put one group at prices: alone in one place, in two, or in three and more at no less than the cheapest of each.
 * @param key index of the group; less than 0 for a unit of none
 * @param begun places that the rider's own choices opened for the group
 */
export function groupCost(
  p: StowProblem,
  key: number,
  units: readonly number[],
  { cheapest, adjusted }: Priced,
  begun: ReadonlySet<number>,
): GroupCost {
  const loose = units.map((u) => adjusted.at(u, p.loose));
  const any = units.map((u, i) => {
    let least = at(loose, i);
    let place = -1;
    for (let k = 0; k < p.places.length; k++)
      if (cheapest.at(u, k) < least) {
        least = cheapest.at(u, k);
        place = k;
      }
    return { least, at: place };
  });
  const group: Group = {
    units,
    places: p.places.length,
    in: (i, place) => cheapest.at(at(units, i), place),
    loose: (i) => at(loose, i),
    any,
    sumAny: any.reduce((s, a) => s + a.least, 0),
  };
  const more = key >= 0 ? p.spread.at(key) : 0;
  if (more === 0) return eachAlone(group);
  return begun.size > 0 ? besideBegun(group, more, begun) : inOneOrTwo(group, more);
}

/** Nothing holds the units together: each goes where it is cheapest. */
function eachAlone({ any, sumAny, in: cost }: Group): GroupCost {
  return {
    at: any.map((a) => a.at),
    least: sumAny,
    forced: (i, place) => sumAny - at(any, i).least + cost(i, place),
  };
}

/** Places that the rider's own choices opened cost nothing more; each other one does, counted at once for the whole group. */
function besideBegun({ units, any, sumAny, in: cost, loose }: Group, more: number, begun: ReadonlySet<number>) {
  const open = [...begun];
  const inBegun = units.map((_, i) => open.reduce((m, k) => min(m, cost(i, k)), loose(i)));
  const sumBegun = inBegun.reduce((s, a) => s + a, 0);
  const stays = sumBegun <= sumAny + more;
  return {
    at: units.map((_, i) => (stays ? (open.find((k) => cost(i, k) <= at(inBegun, i)) ?? -1) : at(any, i).at)),
    least: min(sumBegun, sumAny + more),
    forced: (i: number, place: number) => {
      const wide = sumAny - at(any, i).least + cost(i, place) + more;
      return begun.has(place) ? min(wide, sumBegun - at(inBegun, i) + cost(i, place)) : wide;
    },
  };
}

/** One place, or two; three and more cost at least the cheapest of each and two further places. */
function inOneOrTwo({ units, places, any, sumAny, in: cost, loose }: Group, more: number): GroupCost {
  const pair = new Matrix(places, places);
  for (let a = 0; a < places; a++)
    for (let b = a; b < places; b++) {
      let sum = a === b ? 0 : more;
      for (let i = 0; i < units.length; i++) sum += min(loose(i), min(cost(i, a), cost(i, b)));
      pair.set(a, b, sum);
      pair.set(b, a, sum);
    }
  const wide = sumAny + 2 * more;
  let least = wide;
  let chosen: [number, number] | null = null;
  for (let a = 0; a < places; a++)
    for (let b = a; b < places; b++)
      if (pair.at(a, b) < least) {
        least = pair.at(a, b);
        chosen = [a, b];
      }
  const noPlace = units.reduce((s, _, i) => s + loose(i), 0);
  return {
    at: units.map((_, i) => {
      if (!chosen) return at(any, i).at;
      const [a, b] = chosen;
      const k = cost(i, a) <= cost(i, b) ? a : b;
      return cost(i, k) < loose(i) ? k : -1;
    }),
    least: min(least, noPlace),
    forced: (i, place) => {
      let out = wide - at(any, i).least + cost(i, place);
      for (let b = 0; b < places; b++) {
        const here = min(loose(i), min(cost(i, place), cost(i, b)));
        out = min(out, pair.at(place, b) - here + cost(i, place));
      }
      return out;
    },
  };
}
