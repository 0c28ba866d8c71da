import type { Drill, OwnMend, OwnRates } from '../repairs/index.js';
import type { OwnKind, Supply } from '../repairs/supplies/index.js';
import type { ToolboxRows } from '../toolbox/rows.js';
import type { Ride } from './ride.js';
import type { Trip } from './trip.js';

/** What the risks of a trip are read from: the toolbox's rows, spares and their kinds, repairs of one's own, trips and logged rides. */
export interface TripRows extends ToolboxRows {
  supplies: Supply[];
  kinds: OwnKind[];
  mends: OwnMend[];
  trips: Trip[];
  rides: Ride[];
  /** Repairs that were rehearsed or done, and so how long they take. */
  drills: Drill[];
  /** Who rides which trip; nobody else where it is left out. */
  crews?: readonly { tripId: string; members: readonly { who: string }[] }[];
  /** Bikes that somebody else rides: the rider's own record says nothing of them. None where nothing is said. */
  othersRide?: ReadonlySet<string>;
  garage: ToolboxRows['garage'] & { rates: OwnRates };
}
