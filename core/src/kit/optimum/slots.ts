import { at, figureAt } from '../../ground/numbers.js';
import { gradeMeets } from '../../repairs/index.js';
import type { Ask, AskWay, KitProblem } from './kitProblem.js';

/**
 * What so many mends by one way use up, beyond what sits on the bike already.
 * @param mends how many, from 0
 * @param of what one unit counts
 */
export function packedOfMends(
  ask: Ask,
  way: AskWay,
  mends: number,
  of: (supply: AskWay['supplies'][number]) => number,
): number {
  return way.supplies.reduce(
    (s, supply) => s + Math.max(0, supply.units * mends - (ask.fitted.get(supply.kind) ?? 0)) * of(supply),
    0,
  );
}

/**
 * Grams of what so many mends by one way use up, beyond what sits on the bike already.
 * @param mends how many, from 0
 * @returns g
 */
export const massOfMends = (ask: Ask, way: AskWay, mends: number): number =>
  packedOfMends(ask, way, mends, (s) => s.grams);

/** One more mend of one trouble, and what it may be done by: each option with its grams and what it is expected to save. */
export interface Slot {
  ask: number;
  /** Which mend of this trouble, from 0. */
  mend: number;
  /** Saved by what weighs nothing, or by what is demanded whatever it weighs. */
  base: number;
  baseWay: number;
  /** Grams of what is demanded; nought where the base weighs nothing. */
  baseMass: number;
  /** What weighs more than the base and saves more: grams and savings in all, the base's among them. */
  options: { way: number; mass: number; gain: number }[];
}

/** Mends that can be had with certain tools, and what of it is saved without stocks. */
export interface Stockable {
  slots: Slot[];
  /** Saved by what weighs nothing or is demanded. */
  free: number;
  /** Grams of what is demanded. */
  mass: number;
  /** Whether every demand can be met with these tools. */
  met: boolean;
}

/**
 * The mends of one trouble, and what of it is saved by what weighs nothing.
 * @param a number of the ask
 * @param available by way: whether the tools for it are there
 */
export function slotsOfAsk(ask: Ask, a: number, available: readonly boolean[]): Stockable {
  const slots: Slot[] = [];
  const must = ask.must;
  let endless = 0;
  let any = false;
  ask.ways.forEach((w, i) => {
    if (!available[i]) return;
    any = true;
    if (w.supplies.length === 0 && w.gain > endless) endless = w.gain;
  });
  if (!any) return { slots, free: 0, mass: 0, met: must === null };
  let free = ask.rest * endless;
  let demanded = 0;
  let met = true;
  // A demand is met by the first mend, however seldom the trouble comes.
  const mends = must !== null && ask.tails.length === 0 ? [0] : ask.tails;
  mends.forEach((p, j) => {
    let base = 0;
    let baseWay = -1;
    const options: Slot['options'] = [];
    ask.ways.forEach((w, i) => {
      if (!available[i]) return;
      const mass =
        w.supplies.length === 0
          ? 0
          : ask.fitted.size === 0
            ? w.mass
            : massOfMends(ask, w, j + 1) - massOfMends(ask, w, j);
      const gain = p * w.gain;
      if (mass > 0) options.push({ way: i, mass, gain });
      else if (gain > base) {
        base = gain;
        baseWay = i;
      }
    });
    let baseMass = 0;
    if (must !== null && j === 0) {
      // The lightest way of the grade is there in any case; of equal ones the better.
      const allowed = ask.ways
        .map((w, i) => ({ i, mass: options.find((o) => o.way === i)?.mass ?? 0, gain: p * w.gain }))
        .filter(({ i }) => at(available, i) && gradeMeets(at(ask.ways, i).grade, must))
        .sort((x, y) => x.mass - y.mass || y.gain - x.gain);
      const least = allowed[0];
      if (!least) met = false;
      else {
        baseMass = least.mass;
        demanded += least.mass;
        base = Math.max(base, least.gain);
        baseWay = least.i;
      }
    }
    const worth = options
      .filter((o) => o.gain > base + 1e-12 && o.mass > baseMass)
      // A demand is still met when something better stands in for it.
      .filter((o) => baseMass === 0 || must === null || gradeMeets(at(ask.ways, o.way).grade, must))
      .sort((x, y) => x.mass - y.mass || y.gain - x.gain)
      .filter((o, k, all) => all.slice(0, k).every((x) => x.gain < o.gain));
    free += base;
    if (worth.length > 0 || baseWay >= 0) slots.push({ ask: a, mend: j, base, baseWay, baseMass, options: worth });
  });
  return { slots, free, mass: demanded, met };
}

/**
 * The mends that a kit with certain ways can be stocked for. A later mend is less likely than an earlier one, so that each counts by itself.
 * @param available for each ask, which of its ways the tools allow
 */
export function slotsOf(problem: KitProblem, available: readonly (readonly boolean[])[]): Stockable {
  const all: Stockable = { slots: [], free: 0, mass: 0, met: true };
  problem.asks.forEach((ask, a) => {
    const mine = slotsOfAsk(ask, a, at(available, a));
    all.free += mine.free;
    all.mass += mine.mass;
    all.met &&= mine.met;
    all.slots.push(...mine.slots);
  });
  return all;
}

/** The mends that are demanded, as far as nothing better was taken for them. */
export const demandedMends = (slots: readonly Slot[], taken: readonly StockedMend[] = []): StockedMend[] =>
  slots
    .filter((s) => s.baseMass > 0 && !taken.some((t) => t.ask === s.ask && t.mend === s.mend))
    .map((s) => ({ ask: s.ask, mend: s.mend, way: s.baseWay }));

/**
 * What stocks of so many grams can save at most, for every whole gram up to a limit; `best[m]` is beyond what weighs nothing.
 * @param most g
 * @returns by whole gram, 0 to `most`
 */
export function stockCurve(slots: readonly Slot[], most: number): Float64Array {
  const best = new Float64Array(most + 1);
  for (const s of slots) takeSlot(best, s, null);
  return best;
}

/** Adds one slot: each option or none. Downwards, so that a slot is used once. */
function takeSlot(best: Float64Array, s: Slot, choice: Int8Array | null): void {
  if (s.options.length === 0) return;
  // Beyond the base's own grams, which are weighed with the tools.
  const least = Math.ceil(at(s.options, 0).mass - s.baseMass);
  for (let m = best.length - 1; m >= least; m--) {
    let value = figureAt(best, m);
    let taken = -1;
    for (let o = 0; o < s.options.length; o++) {
      const { mass, gain } = at(s.options, o);
      const from = m - Math.ceil(mass - s.baseMass);
      if (from < 0) break;
      const with_ = figureAt(best, from) + gain - s.base;
      if (with_ > value + 1e-12) {
        value = with_;
        taken = o;
      }
    }
    best[m] = value;
    if (choice) choice[m] = taken;
  }
}

/** A mend that a kit is stocked for. */
export interface StockedMend {
  ask: number;
  mend: number;
  way: number;
}

/**
 * The mends behind one limit of the curve.
 * @param limits g
 */
export function stockedAt(slots: readonly Slot[], limits: readonly number[]): StockedMend[][] {
  const most = Math.max(0, ...limits);
  const best = new Float64Array(most + 1);
  const choices = slots.map((s) => {
    const choice = new Int8Array(most + 1).fill(-1);
    takeSlot(best, s, choice);
    return choice;
  });
  return limits.map((limit) => {
    const out: StockedMend[] = [];
    let m = limit;
    for (let i = slots.length - 1; i >= 0; i--) {
      const o = at(at(choices, i), m);
      if (o < 0) continue;
      const option = at(at(slots, i).options, o);
      out.push({ ask: at(slots, i).ask, mend: at(slots, i).mend, way: option.way });
      m -= Math.ceil(option.mass - at(slots, i).baseMass);
    }
    return [...out.reverse(), ...demandedMends(slots, out)];
  });
}
