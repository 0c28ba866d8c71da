import type { GarageDocument } from '../garage/index.js';
import { exposures, type Exposure } from './exposure.js';
import { recordOf } from './record.js';

/** All troubles of a bike on a trip of a garage, the rider's own record in them; none without a trip. */
export function exposuresIn(
  doc: GarageDocument,
  { bikeId, tripId }: { bikeId: string; tripId: string | null },
): Exposure[] {
  const bike = doc.bikes.find((b) => b.id === bikeId);
  const trip = doc.trips.find((t) => t.id === tripId);
  return bike && trip ? exposures(bike, trip, recordOf(doc.rides, bike, doc.bikes)) : [];
}
