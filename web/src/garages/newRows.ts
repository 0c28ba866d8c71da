import { placeLibrary, type Bike } from '@necessaire/core';
import type { RowChange } from '../stores/changes';

/** A new bike with the places that its rider says there are, as one edit. */
export function newBikeRows(bike: Bike, placeNames: readonly string[]): RowChange[] {
  return [{ table: 'bikes', id: bike.id, before: null, after: bike }, ...newPlaceRows(bike, placeNames)];
}
/** Places of the library by their names, as new rows of a bike. */
export function newPlaceRows(bike: Bike, placeNames: readonly string[]): RowChange[] {
  return placeLibrary(bike)
    .filter((p) => placeNames.includes(p.name))
    .map((p) => {
      const id = crypto.randomUUID();
      return { table: 'places', id, before: null, after: { ...p, id, bikeId: bike.id } };
    });
}
