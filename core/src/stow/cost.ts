import { bareBike } from './load/index.js';
import type { Bike } from '../bike/index.js';
import type { Goal, Goals } from './goals.js';
import type { Unit } from './item.js';
import { openingMinutes, type Place } from './place.js';

/**
 * Points of each goal, each for what it stands for at a slider of 1. Planning values, made so that a kilogram half a metre higher weighs like a
 * kilogram a quarter metre to one side, or like five minutes of opening.
 */
export const POINTS = {
  /** A kg a metre up; a kg a metre from the middle of the bike; a kg a metre behind the rear axle, on top; a kg on the body, and anything there. */
  high: 5,
  away: 2,
  behind: 6,
  body: 3,
  onBody: 0.5,
  /** A kg·m to one side. */
  side: 10,
  /** A minute of opening, expected. */
  minute: 0.5,
  /** A piece of the everyday part that leaves with the luggage; a dear one where nothing locks. */
  leaves: 2,
  unlocked: 3,
  /** Each place more than one for one subject, and more for each use of it that is expected. */
  spread: 0.3,
  spreadUse: 0.5,
  /** Anything but stiff tools where it gets wet: a bag has to be found for it. Counts whatever the sliders say. */
  wet: 0.3,
  /** Stiff things side by side in a box or tube: they rattle and rub unless wrapped. */
  rattle: 0.25,
} as const;

/** Points of one unit in one place, by goal; `fixed` counts whatever the sliders say. Before the sliders. */
export type Points = Partial<Record<Goal | 'fixed', number>>;

/** What a unit costs in a place by itself: everything but balance and what lies together. */
export function placePoints(place: Place, unit: Unit, bike: Bike, everyday: boolean): Points {
  const kg = unit.mass / 1000;
  const { x, z } = place.at;
  const middle = bareBike(bike).at.x;
  const body = place.kind === 'body';
  const behind = Math.max(0, x - bike.wheelbase) / 1000;
  return {
    ride:
      (kg * (POINTS.high * z + POINTS.away * Math.abs(x - middle))) / 1000 +
      kg * POINTS.behind * behind +
      (body ? kg * POINTS.body + POINTS.onBody : 0),
    soon: POINTS.minute * unit.uses * openingMinutes(place),
    everyday: everyday && !place.stays ? POINTS.leaves : 0,
    locked: unit.traits.has('dear') && !place.lockable ? POINTS.unlocked : 0,
    fixed:
      (!place.dry && !unit.traits.has('hard') ? POINTS.wet : 0) +
      (unit.traits.has('hard') && (place.kind === 'box' || place.kind === 'tube') ? POINTS.rattle : 0),
  };
}

/**
 * Points for one more place that pieces of one subject lie in.
 * @param uses expected on the trip
 * @returns points
 */
export const spreadPoints = (uses: number): number => POINTS.spread + POINTS.spreadUse * uses;

/**
 * Points by goal as the sliders weigh them, what is fixed among them.
 * @returns points in all
 */
export const weighted = (points: Points, goals: Goals): number =>
  (points.fixed ?? 0) +
  (['ride', 'soon', 'everyday', 'locked', 'even', 'together'] as const).reduce(
    (s, goal) => s + goals[goal] * (points[goal] ?? 0),
    0,
  );

/** Grams of what is used most for its weight that make the everyday part: the second of the nested kits. Planning value. */
export const EVERYDAY_MASS = 1800;

/** The everyday part: the units used most for their weight, up to a mass. What is never expected to be used is none of it. */
export function everydayPart(units: readonly Unit[], most = EVERYDAY_MASS): Set<Unit> {
  const ranked = [...units]
    .filter((u) => u.uses > 0.01)
    .sort((a, b) => b.uses / (b.mass + 1) - a.uses / (a.mass + 1) || (a.host.key < b.host.key ? -1 : 1));
  const out = new Set<Unit>();
  let mass = 0;
  for (const unit of ranked) {
    if (mass + unit.mass > most) continue;
    mass += unit.mass;
    out.add(unit);
  }
  return out;
}
