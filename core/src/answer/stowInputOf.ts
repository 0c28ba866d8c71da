import type { GarageDocument } from '../garage/index.js';
import { people } from '../stow/load/index.js';
import type { Kit } from '../kit/index.js';
import type { Exposure } from '../trip/odds/index.js';
import { placesOf, type StowInput } from '../stow/index.js';
import type { Question } from './question.js';
import { stowItems } from './stowItems.js';

/** Whether a trip rides tracks, on which mounts bear less. */
export const ridesTracks = (trip: GarageDocument['trips'][number] | undefined): boolean =>
  trip?.legs.some((l) => l.km.track > 0) ?? false;

/** What is to be stowed on a bike for a trip, and by which wishes. @throws RangeError when the bike is not in the garage */
export function stowInput(
  doc: GarageDocument,
  question: Question,
  kit: Kit,
  exposures: readonly Exposure[],
): StowInput {
  const bike = doc.bikes.find((b) => b.id === question.bikeId);
  if (!bike) throw new RangeError('that bike is not in this garage: choose another');
  const trip = doc.trips.find((t) => t.id === question.tripId);
  return {
    items: stowItems(
      kit,
      exposures,
      doc.pins.filter((p) => p.bikeId === bike.id),
    ),
    places: placesOf(
      doc.places.filter((p) => p.bikeId === bike.id),
      doc.garage.practice.lives,
    ),
    pins: doc.pins.filter((p) => p.bikeId === bike.id),
    bike,
    goals: doc.garage.goals,
    rough: ridesTracks(trip),
    people: people(bike, doc.garage.rider, trip ?? null),
  };
}
