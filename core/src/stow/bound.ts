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
interface Prices {
  mass: Float64Array;
  room: Float64Array;
  count: Float64Array;
  tilt: number;
}

/**
 * A bound from below. Weight, room, slots and balance are paid for by prices instead of being kept; what then remains falls apart into
 * groups, each of which is settled exactly: alone in one place, in two, or in three and more at no less than the cheapest of each. The prices
 * are driven up where the limits are broken (subgradient steps towards the known cost). Conflicts and packings are left out, so the
 * bound holds with them too.
 * @param known cost of the best assignment known
 * @param before what an earlier call came to: its prices are gone on from, what it closed stays closed
 */
export function boundStow(p: StowProblem, known: number, rounds: number, before?: StowBound): StowBound {
  const from = before?.prices;
  const K = p.places.length;
  const n = p.units.length;
  const free = p.units.flatMap((_, u) => (p.fixed[u]! < 0 ? [u] : []));
  // What the rider fixed is a constant, and takes its share of what there is.
  const left = { mass: [...p.bears], room: [...p.roomIn], count: p.bins.map((b) => b.count) };
  let fixedCost = 0;
  let fixedSide = p.sideBefore;
  const fixedGroup = p.spread.map(() => new Set<number>());
  p.fixed.forEach((bin, u) => {
    if (bin < 0) return;
    const k = p.bins[bin]!.place;
    fixedCost += Number.isFinite(p.cost[u]![bin]!) ? p.cost[u]![bin]! : 0;
    fixedSide += p.mass[u]! * p.y[k]!;
    left.mass[k]! -= p.mass[u]!;
    left.room[k]! -= p.room[u]![k]!;
    left.count[bin]! -= 1;
    if (p.group[u]! >= 0) fixedGroup[p.group[u]!]!.add(k);
  });
  fixedGroup.forEach((begun, g) => (fixedCost += p.spread[g]! * Math.max(0, begun.size - 1)));
  const room = left.room.map((r) => Math.max(0, r));
  const mass = left.mass.map((m) => Math.max(0, m));
  const count = left.count.map((c) => Math.max(0, c));
  const groups = new Map<number, number[]>();
  for (const u of free) {
    const key = p.group[u]! >= 0 ? p.group[u]! : -1 - u;
    groups.set(key, [...(groups.get(key) ?? []), u]);
  }

  const priceMass = from ? from.mass.slice() : new Float64Array(K);
  const priceRoom = from ? from.room.slice() : new Float64Array(K);
  const priceCount = from ? from.count.slice() : new Float64Array(p.bins.length);
  let tilt = from?.tilt ?? 0;
  const prices = (): Prices => ({ mass: priceMass.slice(), room: priceRoom.slice(), count: priceCount.slice(), tilt });
  let best = {
    value: before?.bound ?? -Infinity,
    open: before?.open ?? p.units.map(() => p.bins.map(() => true)),
    wished: before?.wished ?? p.fixed.map((bin) => (bin >= 0 ? bin : p.loose)),
    prices: prices(),
  };
  let step = 1.6;
  let since = 0;
  const adjusted = Array.from({ length: n }, () => new Float64Array(p.bins.length + 1));
  const cheapest = Array.from({ length: n }, () => new Float64Array(K));
  const binAt = Array.from({ length: n }, () => new Int32Array(K));

  for (let round = 0; round < rounds; round++) {
    const useMass = new Float64Array(K);
    const useRoom = new Float64Array(K);
    const useCount = new Float64Array(p.bins.length);
    let side = fixedSide;
    let value = fixedCost + tilt * fixedSide;
    for (let k = 0; k < K; k++) {
      value -= priceMass[k]! * mass[k]!;
      if (priceRoom[k]! > 0) value -= priceRoom[k]! * room[k]!;
    }
    for (let b = 0; b < p.bins.length; b++) if (priceCount[b]! > 0) value -= priceCount[b]! * count[b]!;
    for (const u of free) {
      cheapest[u]!.fill(Infinity);
      for (let b = 0; b < p.bins.length; b++) {
        const k = p.bins[b]!.place;
        const a =
          p.cost[u]![b]! +
          priceMass[k]! * p.mass[u]! +
          priceRoom[k]! * p.room[u]![k]! +
          priceCount[b]! +
          tilt * p.mass[u]! * p.y[k]!;
        adjusted[u]![b] = a;
        if (a < cheapest[u]![k]!) {
          cheapest[u]![k] = a;
          binAt[u]![k] = b;
        }
      }
      adjusted[u]![p.loose] = p.cost[u]![p.loose]!;
    }
    const wished = p.fixed.map((bin) => (bin >= 0 ? bin : p.loose));
    const parts: { units: number[]; least: number; forced: (u: number, k: number) => number }[] = [];
    for (const [key, units] of groups) {
      const part = settle(p, key, units, cheapest, adjusted, key >= 0 ? fixedGroup[key]! : new Set());
      value += part.least;
      parts.push({ units, least: part.least, forced: part.forced });
      units.forEach((u, i) => {
        const k = part.at[i]!;
        if (k < 0) return;
        wished[u] = binAt[u]![k]!;
        useMass[k]! += p.mass[u]!;
        useRoom[k]! += p.room[u]![k]!;
        useCount[binAt[u]![k]!]! += 1;
        side += p.mass[u]! * p.y[k]!;
      });
    }
    if (value > best.value - 1e-6 || round === 0) {
      const slack = known - value;
      const open = best.open;
      for (const { units, least, forced } of parts)
        for (const u of units)
          for (let b = 0; b < p.bins.length; b++) {
            if (!open[u]![b]) continue;
            const k = p.bins[b]!.place;
            const more = forced(u, k) - cheapest[u]![k]! + adjusted[u]![b]! - least;
            if (!(more <= slack + 1e-6)) open[u]![b] = false;
          }
      since = value > best.value + 1e-6 ? 0 : since + 1;
      best = value > best.value ? { value, open, wished, prices: prices() } : { ...best, open, wished };
    } else if (++since >= 8) {
      step /= 1.7;
      since = 0;
    }
    if (known - best.value < 1) break;
    // Towards the known cost, along what is broken.
    const gm = useMass.map((m, k) => m - mass[k]!);
    const gr = useRoom.map((r, k) => (Number.isFinite(room[k]!) ? r - room[k]! : 0));
    const gc = useCount.map((c, b) => (Number.isFinite(count[b]!) ? c - count[b]! : 0));
    const scaled = (g: number, unit: number) => g / unit;
    let norm = 0;
    const M = 100;
    const R = 100;
    const S = 100;
    gm.forEach((g, k) => (norm += g > 0 || priceMass[k]! > 0 ? scaled(g, M) ** 2 : 0));
    gr.forEach((g, k) => (norm += g > 0 || priceRoom[k]! > 0 ? scaled(g, R) ** 2 : 0));
    gc.forEach((g, b) => (norm += g > 0 || priceCount[b]! > 0 ? g ** 2 : 0));
    norm += (side / S) ** 2;
    if (norm < 1e-12) break;
    const t = (step * Math.max(1, known - value)) / norm;
    for (let k = 0; k < K; k++) {
      priceMass[k] = Math.max(0, priceMass[k]! + (t * gm[k]!) / M / M);
      priceRoom[k] = Math.max(0, priceRoom[k]! + (t * gr[k]!) / R / R);
    }
    for (let b = 0; b < p.bins.length; b++) priceCount[b] = Math.max(0, priceCount[b]! + t * gc[b]!);
    tilt = Math.max(-p.sideCost, Math.min(p.sideCost, tilt + (t * side) / S / S));
  }
  return { bound: best.value, open: best.open, wished: best.wished, prices: best.prices };
}

/** The cheapest way to put one group, at prices: units' places (−1 loose), its cost, and its least cost when one unit is in a given place. */
function settle(
  p: StowProblem,
  key: number,
  units: readonly number[],
  cheapest: readonly Float64Array[],
  adjusted: readonly Float64Array[],
  begun: ReadonlySet<number>,
): { at: number[]; least: number; forced: (u: number, k: number) => number } {
  const K = p.places.length;
  const more = key >= 0 ? p.spread[key]! : 0;
  const loose = (u: number) => adjusted[u]![p.loose]!;
  const min = (a: number, b: number) => (a < b ? a : b);
  // Cheapest of each unit anywhere.
  const any = units.map((u) => {
    let least = loose(u);
    let at = -1;
    for (let k = 0; k < K; k++)
      if (cheapest[u]![k]! < least) {
        least = cheapest[u]![k]!;
        at = k;
      }
    return { least, at };
  });
  const sumAny = any.reduce((s, a) => s + a.least, 0);
  if (key < 0 || more === 0) {
    return {
      at: any.map((a) => a.at),
      least: sumAny,
      forced: (u, k) => sumAny - any[units.indexOf(u)]!.least + cheapest[u]![k]!,
    };
  }
  if (begun.size > 0) {
    // Places that the rider's own choices opened cost nothing more; each other one does, counted at once for the whole group.
    const inBegun = units.map((u) => [...begun].reduce((m, k) => min(m, cheapest[u]![k]!), loose(u)));
    const sumBegun = inBegun.reduce((s, a) => s + a, 0);
    const least = min(sumBegun, sumAny + more);
    const stays = sumBegun <= sumAny + more;
    return {
      at: units.map((u, i) => (stays ? ([...begun].find((k) => cheapest[u]![k]! <= inBegun[i]!) ?? -1) : any[i]!.at)),
      least,
      forced: (u, k) => {
        const i = units.indexOf(u);
        const wide = sumAny - any[i]!.least + cheapest[u]![k]! + more;
        return begun.has(k) ? min(wide, sumBegun - inBegun[i]! + cheapest[u]![k]!) : wide;
      },
    };
  }
  // One place, or two; three and more cost at least the cheapest of each and two further places.
  const pair = new Float64Array(K * K);
  for (let a = 0; a < K; a++)
    for (let b = a; b < K; b++) {
      let sum = a === b ? 0 : more;
      for (const u of units) sum += min(loose(u), min(cheapest[u]![a]!, cheapest[u]![b]!));
      pair[a * K + b] = pair[b * K + a] = sum;
    }
  const wide = sumAny + 2 * more;
  let least = wide;
  let chosen: [number, number] | null = null;
  for (let a = 0; a < K; a++)
    for (let b = a; b < K; b++)
      if (pair[a * K + b]! < least) {
        least = pair[a * K + b]!;
        chosen = [a, b];
      }
  const noPlace = units.reduce((s, u) => s + loose(u), 0);
  least = min(least, noPlace);
  return {
    at: units.map((u, i) => {
      if (!chosen) return any[i]!.at;
      const [a, b] = chosen;
      const k = cheapest[u]![a]! <= cheapest[u]![b]! ? a : b;
      return cheapest[u]![k]! < loose(u) ? k : -1;
    }),
    least,
    forced: (u, k) => {
      const i = units.indexOf(u);
      let out = wide - any[i]!.least + cheapest[u]![k]!;
      for (let b = 0; b < K; b++) {
        const here = min(loose(u), min(cheapest[u]![k]!, cheapest[u]![b]!));
        out = min(out, pair[k * K + b]! - here + cheapest[u]![k]!);
      }
      return out;
    },
  };
}
