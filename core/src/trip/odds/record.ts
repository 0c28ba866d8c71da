import { TERRAINS } from '../../ground/terrain.js';
import type { Bike } from '../../bike/index.js';
import { type Ride } from '../index.js';
import { appliesTo, TROUBLES, type Trouble } from '../../repairs/index.js';

/** Weight of the planning rates in a rider's own record: prior Gamma(κ, κ) on the factor (docs/model.md, section 5). */
export const KAPPA = 2;

/** What the record says of one trouble: how often it happened, and how often the planning rates expected it over what was ridden. */
export interface Experience {
  events: number;
  expected: number;
}
/** By trouble; a rider without rides has none. */
export type OwnRecord = ReadonlyMap<string, Experience>;

/** Expected count of a trouble over a ride by the planning rates. */
const expectedOn = (trouble: Trouble, ride: Ride): number =>
  TERRAINS.reduce((s, on) => s + (trouble.rate[on] * ride.km[on]) / 1000, 0) +
  (trouble.perCrossing ?? 0) * ride.crossings;

/**
 * The rider's record over all rides: of a bike's troubles those that it can have. Rides of other bikes count too, for troubles that both can
 * have: it is the rider's record, on the ground that the rider chooses.
 */
export function recordOf(
  rides: readonly Ride[],
  bike: Bike,
  bikes: readonly Bike[],
  troubles: readonly Trouble[] = TROUBLES,
): OwnRecord {
  const byId = new Map(bikes.map((b) => [b.id, b]));
  const record = new Map<string, Experience>();
  if (rides.length === 0) return record;
  for (const trouble of troubles) {
    if (trouble.subject === 'service' || !appliesTo(trouble, bike)) continue;
    let [events, expected] = [0, 0];
    for (const ride of rides) {
      const ridden = ride.bike === null ? undefined : byId.get(ride.bike);
      if (ridden && !appliesTo(trouble, ridden)) continue;
      expected += expectedOn(trouble, ride);
      for (const m of ride.mishaps) if (m.trouble === trouble.id) events += m.count;
    }
    if (expected > 0 || events > 0) record.set(trouble.id, { events, expected });
  }
  return record;
}

/**
 * Factor on a planning rate after the record: posterior mean (κ+n)/(κ+E), and its shape κ+n.
 * @returns the factor, without a unit, and the shape of its gamma law
 * @example posterior({ events: 3, expected: 1 }) // { factor: 1.667, shape: 5 }
 */
export const posterior = ({ events, expected }: Experience): { factor: number; shape: number } => ({
  factor: (KAPPA + events) / (KAPPA + expected),
  shape: KAPPA + events,
});

/**
 * Spread of the factor: its standard deviation, √(κ+n)/(κ+E).
 * @returns 0 or more, as the factor
 * @example posteriorSpread({ events: 3, expected: 1 }) // 0.745
 */
export const posteriorSpread = ({ events, expected }: Experience): number =>
  Math.sqrt(KAPPA + events) / (KAPPA + expected);
