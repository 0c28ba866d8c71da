import type { Bike } from '../../bike/index.js';
import { dueOn } from '../services/index.js';
import type { TripRows } from '../rows.js';
import { appliesTo, paced, quickest, TROUBLES, withOwn, withRates, type Trouble } from '../../repairs/index.js';
import type { Trip } from '../index.js';
import { byStake, certain, exposures, type Exposure } from './exposure.js';
import { recordOf } from './record.js';

/** Everything that can go wrong in a garage's eyes: what is known, what its rider wrote, at the rates that the rider knows. */
export const troublesIn = (doc: Pick<TripRows, 'mends' | 'garage'>): readonly Trouble[] =>
  withRates(withOwn(TROUBLES, doc.mends), doc.garage.rates);

/** Work that falls due while riding: its count is sure. What is overdue is done before leaving. */
function services(bike: Bike, trip: Trip, troubles: readonly Trouble[], today: string | null): Exposure[] {
  // Without a date only km and hours of the engine count.
  const last = bike.services
    .map((s) => s.lastDate ?? '')
    .sort()
    .at(-1);
  const due = dueOn(bike, trip, today ?? (last || '2000-01-01'));
  return troubles.flatMap((trouble) => {
    const words = trouble.service;
    if (!words || !appliesTo(trouble, bike)) return [];
    const mine = due.filter((d) => words.some((w) => `${d.service.name} ${d.service.uses}`.toLowerCase().includes(w)));
    const times = mine.reduce((s, d) => s + Math.max(0, d.times - (d.overdue ? 1 : 0)), 0);
    return times > 0
      ? [
          certain(trouble, times, {
            code: 'count.due',
            services: mine.map((d) => ({ name: d.service.name, due: d.formula })),
          }),
        ]
      : [];
  });
}

/** Who rides a trip, as drills name them: the rider, and the crew where there is one. */
export const ridersOf = (doc: Pick<TripRows, 'crews'>, tripId: string): ReadonlySet<string> =>
  new Set(['me', ...(doc.crews ?? []).filter((c) => c.tripId === tripId).flatMap((c) => c.members.map((m) => m.who))]);

/** All troubles of a bike on a trip of a garage, the rider's own record in them, and what falls due on it; none without a trip. */
export function exposuresIn(
  doc: TripRows,
  { bikeId, tripId, today = null }: { bikeId: string; tripId: string | null; today?: string | null },
): Exposure[] {
  const bike = doc.bikes.find((b) => b.id === bikeId);
  const trip = doc.trips.find((t) => t.id === tripId);
  if (!bike || !trip) return [];
  const troubles = troublesIn(doc);
  const rides = doc.othersRide?.has(bike.id) ? [] : doc.rides;
  const pace = quickest(doc.drills, ridersOf(doc, trip.id));
  const airing = troubles.find((t) => t.id === 'pressures');
  const aired = doc.garage.practice.pressures === 'once' ? 0 : trip.air.times;
  return [
    ...exposures(bike, trip, recordOf(rides, bike, doc.bikes, troubles), troubles, pace),
    ...services(
      bike,
      trip,
      troubles.map((t) => paced(t, pace)),
      today,
    ),
    ...(airing && aired > 0
      ? [
          certain(paced(airing, pace), aired, {
            code: 'count.aired',
            times: aired,
            low: trip.air.low,
            high: trip.air.high,
          }),
        ]
      : []),
  ].sort(byStake);
}
