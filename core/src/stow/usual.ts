import type { Bike } from '../bike/index.js';
import { tyreMeasures } from '../bike/index.js';
import type { Place } from './place.js';

const usual = (
  given: Pick<Place, 'name' | 'kind' | 'inside' | 'limit' | 'at' | 'tier'> & Partial<Place>,
): Omit<Place, 'id' | 'bikeId'> => ({
  fill: 0.65,
  taken: 0,
  stays: true,
  lockable: false,
  dry: true,
  hot: false,
  wiring: false,
  slots: null,
  note: '',
  ...given,
});

/** A place to begin with, over the rear of the seat; the rider names and measures it. */
export const newPlace = (id: string, bike: Bike): Place => ({
  ...usual({
    name: 'New place',
    kind: 'box',
    inside: { length: 200, width: 120, height: 80 },
    limit: 1500,
    at: { x: bike.wheelbase * 0.8, y: 0, z: bike.seatHeight },
    tier: 'one zip',
  }),
  id,
  bikeId: bike.id,
});

/** Usual places to start from on any bike, set by its wheelbase, seat and tyres. Planning values: measure your own. */
export function usualPlaces(bike: Bike): Omit<Place, 'id' | 'bikeId'>[] {
  const { wheelbase: w, seatHeight } = bike;
  const front = tyreMeasures(bike.tyreFront).radius;
  return [
    usual({
      name: 'Tool roll under the seat',
      kind: 'roll',
      inside: { length: 260, width: 420, height: 40 },
      limit: 1500,
      at: { x: w * 0.72, y: 0, z: seatHeight - 90 },
      tier: 'under straps or seat',
      wiring: true,
      slots: { count: 16, width: 40, length: 240 },
    }),
    usual({
      name: 'Tool tube on the frame',
      kind: 'tube',
      inside: { length: 330, width: 95, height: 95 },
      limit: 2000,
      at: { x: w * 0.42, y: 150, z: front + 130 },
      tier: 'one zip',
    }),
    usual({
      name: 'Low frame, tied',
      kind: 'tie-on',
      inside: { length: 420, width: 120, height: 60 },
      limit: 1200,
      at: { x: w * 0.5, y: -140, z: front + 40 },
      tier: 'under straps or seat',
      dry: false,
    }),
    usual({
      name: 'Tank bag',
      kind: 'box',
      inside: { length: 240, width: 160, height: 90 },
      limit: 2000,
      at: { x: w * 0.4, y: 0, z: seatHeight + 170 },
      tier: 'in the saddle',
      stays: false,
    }),
    usual({
      name: 'Tail bag',
      kind: 'box',
      inside: { length: 420, width: 260, height: 200 },
      limit: 8000,
      taken: 6,
      at: { x: w * 1.02, y: 0, z: seatHeight + 110 },
      tier: 'under straps or seat',
      stays: false,
    }),
    usual({
      name: "Rider's bum bag",
      kind: 'body',
      inside: { length: 240, width: 140, height: 70 },
      limit: 2500,
      at: { x: w * 0.66, y: 0, z: seatHeight + 200 },
      tier: 'in the saddle',
      stays: false,
    }),
  ];
}
