import { at, last, present, under } from '../../ground/numbers.js';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Kit, RiddenWay } from '../index.js';
import type { CountLaw, Exposure } from '../../trip/odds/index.js';
import { strandedHours, type Trip } from '../../trip/index.js';

/** A kit as far as mending goes: what of each stock there is, and by which ways its tools mend each trouble. */
export interface Means {
  name: string;
  /** Units of each supply. */
  stock: ReadonlyMap<string, number>;
  /** By the key of the trouble, the best first; the first whose stock is left is gone. */
  ways: ReadonlyMap<string, readonly RiddenWay[]>;
}

/** One trouble of one bike, as often as its law says, spread over the legs as its exposure says. */
export interface Ridden {
  key: string;
  exposure: Exposure;
  law: CountLaw;
}
/** Troubles of one bike, each by its own id. */
export const asRidden = (exposures: readonly Exposure[]): Ridden[] =>
  exposures.map((e) => ({ key: e.trouble.id, exposure: e, law: e.law }));

/** What many trips came to. */
export interface Simulated {
  name: string;
  runs: number;
  /** Share of trips without being fetched, and its standard error. */
  home: number;
  homeError: number;
  /** Share of trips on which so many hours were lost at once that a night was spent out. */
  nightOut: number;
  /** Mean hours lost, and those that 50, 90 and 99 % of trips stay within. */
  hours: number;
  hoursError: number;
  quantiles: { half: number; nine: number; most: number };
  /** Trips by hours lost: none, up to one, three, eight, a day, more. */
  spread: number[];
}
/** Upper ends of the spread's classes, hours; the last is open. */
export const SPREAD = [0, 1, 3, 8, 24, Infinity] as const;
/** Hours stranded at once from which the night is spent out. Planning value. */
export const NIGHT_FROM = 8;

/** Means from what the kit says of each trouble. */
export function meansOf(name: string, kit: Pick<Kit, 'mends' | 'spares'>): Means {
  return {
    name,
    stock: new Map(kit.spares.map((s) => [s.kind, s.quantity])),
    ways: new Map(kit.mends.map((m) => [m.key, m.ways])),
  };
}
/** Nothing with you and nothing done. */
export const NO_MEANS: Means = { name: 'nothing', stock: new Map(), ways: new Map() };

interface Source {
  id: string;
  mean: number;
  shape: number | null;
  stops: boolean;
  nuisance: number;
  /** Cumulative shares and hours stranded by leg. */
  legs: { upTo: number; stranded: number }[];
}

/** Random numbers in [0, 1), and counts from them. */
class Chance {
  private readonly rng;
  constructor(seed: number) {
    this.rng = xoroshiro128plus(seed);
  }
  uniform(): number {
    return (this.rng.next() >>> 0) / 2 ** 32;
  }
  /** Poisson by inversion; means of a trip are small. */
  poisson(mean: number): number {
    let k = 0;
    // Sums of two halves are Poisson as well, and keep e^−mean from vanishing.
    for (let left = mean; left > 0; left -= 300) {
      const part = Math.min(left, 300);
      let p = Math.exp(-part);
      let sum = p;
      const u = this.uniform();
      let n = 0;
      while (u > sum && n < 5000) {
        n++;
        p *= part / n;
        sum += p;
      }
      k += n;
    }
    return k;
  }
  normal(): number {
    return Math.sqrt(-2 * Math.log(1 - this.uniform())) * Math.cos(2 * Math.PI * this.uniform());
  }
  /** Gamma of mean 1 and a shape (Marsaglia and Tsang). */
  gamma(shape: number): number {
    const boost = shape < 1 ? (1 - this.uniform()) ** (1 / shape) : 1;
    const d = (shape < 1 ? shape + 1 : shape) - 1 / 3;
    const c = 1 / Math.sqrt(9 * d);
    for (;;) {
      const x = this.normal();
      const v = (1 + c * x) ** 3;
      if (v > 0 && Math.log(1 - this.uniform()) < 0.5 * x * x + d - d * v + d * Math.log(v))
        return (boost * d * v) / shape;
    }
  }
}

/** Walker's alias table: draws an index by weight in one step. */
function aliasTable(weights: readonly number[]): { odds: Float64Array; other: Int32Array } {
  const n = weights.length;
  const total = weights.reduce((a, b) => a + b, 0);
  const odds = Float64Array.from(weights, (w) => (w * n) / total);
  const other = Int32Array.from({ length: n }, (_, i) => i);
  const small: number[] = [];
  const large: number[] = [];
  odds.forEach((o, i) => (o < 1 ? small : large).push(i));
  while (small.length > 0 && large.length > 0) {
    const [s, l] = [present(small.pop()), present(large.pop())];
    other[s] = l;
    odds[l] = at(odds, l) - (1 - at(odds, s));
    (at(odds, l) < 1 ? small : large).push(l);
  }
  for (const i of [...small, ...large]) odds[i] = 1;
  return { odds, other };
}

/** A way of one kit for one source, with its supplies by number; −1 for one that no kit has. */
interface WayHere {
  hours: number;
  worth: number;
  home: boolean;
  holds: number;
  supplies: { kind: number; units: number }[];
}
/** A trouble that befell a trip: where, and the luck of the mend. */
interface Drawn {
  source: Source;
  stranded: number;
  luck: number;
}

/** What can go wrong on a trip, with the share of each leg in it. */
function sourcesOf(trip: Trip, ridden: readonly Ridden[]): Source[] {
  const stranded = trip.legs.map((l) => strandedHours(l, trip).total);
  // What is sure to come is spread over the days.
  const days = trip.legs.reduce((s, l) => s + l.days, 0);
  const evenly = trip.legs.map((l) => (days > 0 ? l.days / days : 1 / trip.legs.length));
  return ridden
    .filter((r) => r.law.mean > 0)
    .map(({ key, exposure: e, law }): Source => {
      let upTo = 0;
      return {
        id: key,
        mean: law.mean,
        shape: law.shape,
        stops: e.trouble.stops,
        nuisance: e.trouble.nuisance,
        legs: (e.byLeg.length > 0 ? e.byLeg : evenly).map((share, i) => ({
          upTo: (upTo += share),
          stranded: at(stranded, i),
        })),
      };
    });
}

/** Draws the troubles of one trip after another, in random order. */
class TripDraws {
  /** Troubles of a fixed mean come out of one draw; those with a record of their own have a mean that differs from trip to trip. */
  private readonly fixed: Source[];
  private readonly own: { source: Source; shape: number }[];
  private readonly totalMean: number;
  private readonly table: ReturnType<typeof aliasTable>;
  constructor(
    sources: readonly Source[],
    private readonly chance: Chance,
  ) {
    this.fixed = sources.filter((s) => s.shape === null);
    this.own = sources.flatMap((s) => (s.shape === null ? [] : [{ source: s, shape: s.shape }]));
    this.totalMean = this.fixed.reduce((s, x) => s + x.mean, 0);
    this.table = aliasTable(this.fixed.map((s) => s.mean));
  }
  next(): Drawn[] {
    const { chance } = this;
    return this.events().map((source) => {
      const where = chance.uniform();
      const leg = source.legs.find((l) => where <= l.upTo) ?? last(source.legs);
      return { source, stranded: leg.stranded, luck: chance.uniform() };
    });
  }
  private events(): Source[] {
    const { chance, fixed, table } = this;
    const events: Source[] = [];
    for (let n = chance.poisson(this.totalMean); n > 0; n--) {
      const i = Math.floor(chance.uniform() * fixed.length);
      events.push(at(fixed, chance.uniform() < at(table.odds, i) ? i : at(table.other, i)));
    }
    const before = events.length;
    for (const { source, shape } of this.own)
      // A shape of 0 says that the count is sure.
      for (let n = shape === 0 ? source.mean : chance.poisson(source.mean * chance.gamma(shape)); n > 0; n--)
        events.push(source);
    if (events.length > before) this.shuffle(events);
    return events;
  }
  private shuffle(events: Source[]): void {
    for (let i = events.length - 1; i > 0; i--) {
      const j = Math.floor(this.chance.uniform() * (i + 1));
      [events[i], events[j]] = [at(events, j), at(events, i)];
    }
  }
}

/** One kit on its trips: what it has at the start of each, and what came of them. */
class KitRidden {
  private readonly start: Float64Array;
  private readonly left: Float64Array;
  private readonly hours: Float64Array;
  private readonly spread = SPREAD.map(() => 0);
  private home = 0;
  private night = 0;
  constructor(
    private readonly kit: Means,
    private readonly ways: ReadonlyMap<Source, readonly WayHere[]>,
    kinds: readonly string[],
    runs: number,
  ) {
    this.start = Float64Array.from(kinds, (kind) => kit.stock.get(kind) ?? 0);
    this.left = this.start.slice();
    this.hours = new Float64Array(runs);
  }
  /** Rides one trip: each mend uses up what it takes and holds or does not; what is not mended costs the hours stranded there. */
  ride(trip: number, drawn: readonly Drawn[]): void {
    const { left } = this;
    if (drawn.length > 0) left.set(this.start);
    let [home, night, hours] = [true, false, 0];
    for (const { source, stranded, luck } of drawn) {
      const lost = source.stops ? stranded : source.nuisance;
      const way = under(this.ways, source).find(
        (w) => w.hours < lost && w.supplies.every((u) => u.kind >= 0 && at(left, u.kind) >= u.units),
      );
      if (way) for (const u of way.supplies) left[u.kind] = at(left, u.kind) - u.units;
      if (way && luck < way.holds) {
        // Its worth is a share of the hours that would be lost here.
        hours += lost - way.worth * (lost - way.hours);
        if (!way.home && source.stops) home = false;
        continue;
      }
      hours += lost + (way?.hours ?? 0);
      if (!source.stops) continue;
      home = false;
      if (stranded >= NIGHT_FROM) night = true;
    }
    if (home) this.home++;
    if (night) this.night++;
    this.hours[trip] = hours;
    const bin = SPREAD.findIndex((top) => hours <= top);
    this.spread[bin] = at(this.spread, bin) + 1;
  }
  /** What came of the first trips. */
  result(done: number): Simulated {
    const n = Math.max(1, done);
    const hours = this.hours.subarray(0, done);
    const mean = hours.reduce((a, b) => a + b, 0) / n;
    const square = hours.reduce((a, b) => a + (b - mean) ** 2, 0) / n;
    const sorted = hours.slice().sort();
    const quantile = (q: number) => sorted[Math.min(done - 1, Math.floor(q * done))] ?? 0;
    const home = this.home / n;
    return {
      name: this.kit.name,
      runs: done,
      home,
      homeError: Math.sqrt((home * (1 - home)) / n),
      nightOut: this.night / n,
      hours: mean,
      hoursError: Math.sqrt(square / n),
      quantiles: { half: quantile(0.5), nine: quantile(0.9), most: quantile(0.99) },
      spread: this.spread.map((c) => c / n),
    };
  }
}

/** Trips between two words about how far it is. */
const TOLD_EVERY = 5000;

/**
 * Rides a trip many times over: troubles fall where the legs put them, in random order; each mend uses up what it takes and holds or does not;
 * what cannot be mended costs the hours stranded there. The same seed gives the same trips, for every kit.
 * @param runs trips
 * @param mendsHold whether every mend holds; else each as often as its planning value says
 * @param onProgress told the share done; returning false stops it, and what was ridden so far is given back
 */
export function simulate(
  trip: Trip,
  ridden: readonly Ridden[],
  kits: readonly Means[],
  runs: number,
  seed: number,
  mendsHold = false,
  onProgress: (share: number) => boolean | void = () => true,
): Simulated[] {
  const kinds = [...new Set(kits.flatMap((k) => [...k.stock.keys()]))];
  const numberOf = new Map(kinds.map((kind, i) => [kind, i]));
  const sources = sourcesOf(trip, ridden);
  const waysOf = (kit: Means, source: Source) =>
    (kit.ways.get(source.id) ?? []).map((w): WayHere => ({
      hours: w.hours,
      worth: w.worth,
      home: w.home,
      holds: mendsHold ? 1 : w.holds,
      supplies: w.supplies.map((u) => ({ kind: numberOf.get(u.kind) ?? -1, units: u.units })),
    }));
  const all = kits.map((kit) => new KitRidden(kit, new Map(sources.map((s) => [s, waysOf(kit, s)])), kinds, runs));
  const draws = new TripDraws(sources, new Chance(seed));
  let done = 0;
  for (; done < runs; done++) {
    if (done % TOLD_EVERY === 0 && onProgress(done / runs) === false) break;
    const drawn = draws.next();
    for (const kit of all) kit.ride(done, drawn);
  }
  onProgress(1);
  return all.map((kit) => kit.result(done));
}
