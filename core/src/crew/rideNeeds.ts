import { filling, type Filling } from '../trip/air/index.js';
import { legNeeds } from '../trip/services/index.js';
import type { Trip } from '../trip/index.js';
import type { Member } from './member.js';

/** What one bike and its rider need on the ride beside the kit. */
export interface BikeNeeds {
  /** km that a tank goes on the worst ground of the trip, its reserve left in it; null without legs. */
  range: number | null;
  /** Litres of fuel to carry for the longest way between pumps; null where no such way is known. */
  spareFuel: number | null;
  /** Litres of water on the day that asks most. */
  water: number;
  /** What fills the rear tyre from flat. */
  rear: Filling;
}

/** kPa that a rear tyre is filled to by the road where nothing else is said. Typical value: the manual's figure comes first. */
const ROAD_PRESSURE = 200;

/** Fuel, water and air of each bike: the least range decides where all stop. */
export function rideNeeds(members: readonly Pick<Member, 'bike'>[], trip: Pick<Trip, 'legs' | 'air'>): BikeNeeds[] {
  return members.map(({ bike }) => {
    const legs = trip.legs.map((leg) => legNeeds(bike, leg));
    const known = legs.flatMap((l) => (l.spareFuel === null ? [] : [l.spareFuel]));
    return {
      range: legs.length > 0 ? Math.min(...legs.map((l) => l.range)) : null,
      spareFuel: known.length > 0 ? Math.max(...known) : null,
      water: Math.max(0, ...legs.map((l) => l.water)),
      rear: filling(bike.tyreRear, 0, Math.max(ROAD_PRESSURE, trip.air.high)),
    };
  });
}
