import type { Bike } from '../bike/index.js';
import { tyreMeasures } from '../bike/index.js';
import type { Place } from './place.js';

/** A place without a bike: what the library offers. */
export type PlaceModel = Omit<Place, 'id' | 'bikeId'>;
type Given = Pick<Place, 'name' | 'kind' | 'limit' | 'at' | 'tier'> & { inside: [number, number, number] } & Partial<
    Omit<Place, 'inside'>
  >;
const model = ({ inside: [length, width, height], ...given }: Given): PlaceModel => ({
  inside: { length, width, height },
  fill: 0.65,
  taken: 0,
  takenMass: 0,
  roughLimit: null,
  onRack: false,
  opening: null,
  stays: true,
  lockable: false,
  dry: true,
  hot: false,
  wiring: false,
  wrapped: false,
  slots: null,
  note: '',
  ...given,
});

/** A place to begin with, over the rear of the seat; the rider names and measures it. */
export const newPlace = (id: string, bike: Bike): Place => ({
  ...model({
    name: 'New place',
    kind: 'box',
    inside: [200, 120, 80],
    limit: 1500,
    at: { x: bike.wheelbase * 0.8, y: 0, z: bike.seatHeight },
    tier: 'one zip',
  }),
  id,
  bikeId: bike.id,
});

/** Slots of a usual roll: narrow ones for keys and small spanners, wide ones for ratchets and pliers. */
export const USUAL_SLOTS = [
  { count: 6, width: 26, length: 240 },
  { count: 8, width: 40, length: 240 },
  { count: 3, width: 60, length: 240 },
];

/** All places that riders use, as they come on a middling bike. Measures, limits and where they sit are planning values: measure your own. */
export function placeLibrary(bike: Bike): PlaceModel[] {
  const { wheelbase: w, seatHeight: seat } = bike;
  const front = tyreMeasures(bike.tyreFront).radius;
  const rear = tyreMeasures(bike.tyreRear).radius;
  const pannier = (side: 1 | -1) =>
    model({
      name: side > 0 ? 'Left pannier' : 'Right pannier',
      kind: 'box',
      inside: [400, 220, 340],
      limit: 10_000,
      roughLimit: 7000,
      taken: 14,
      takenMass: 3500,
      at: { x: w * 0.98, y: side * 330, z: rear + 290 },
      tier: 'unload everything',
      stays: false,
      lockable: true,
    });
  const crashBag = (side: 1 | -1) =>
    model({
      name: side > 0 ? 'Crash bar bag, left' : 'Crash bar bag, right',
      kind: 'box',
      inside: [250, 110, 120],
      limit: 2500,
      roughLimit: 2000,
      at: { x: w * 0.26, y: side * 270, z: front + 130 },
      tier: 'one zip',
    });
  return [
    model({
      name: 'Tool roll under the seat',
      kind: 'roll',
      inside: [260, 750, 40],
      limit: 2000,
      at: { x: w * 0.72, y: 0, z: seat - 90 },
      tier: 'under straps or seat',
      wiring: true,
      slots: USUAL_SLOTS,
    }),
    model({
      name: 'Under the seat',
      kind: 'box',
      inside: [200, 130, 60],
      limit: 1500,
      at: { x: w * 0.84, y: 0, z: seat - 70 },
      tier: 'under straps or seat',
      lockable: true,
      wiring: true,
      wrapped: true,
      note: 'Tools in a towel or a soft roll, so that nothing rubs on wires.',
    }),
    model({
      name: 'Behind a side panel',
      kind: 'box',
      inside: [160, 90, 45],
      limit: 700,
      at: { x: w * 0.74, y: 150, z: seat - 200 },
      tier: 'under straps or seat',
      wiring: true,
      wrapped: true,
      note: 'Tools in a towel or a soft roll, so that nothing rubs on wires.',
    }),
    model({
      name: 'Tool tube on the frame',
      kind: 'tube',
      inside: [330, 95, 95],
      limit: 2000,
      at: { x: w * 0.42, y: 150, z: front + 130 },
      tier: 'one zip',
    }),
    model({
      name: 'Low frame, tied',
      kind: 'tie-on',
      inside: [420, 120, 60],
      limit: 1200,
      at: { x: w * 0.5, y: -140, z: front + 40 },
      tier: 'under straps or seat',
      dry: false,
      note: 'Ties wear through: look at them each evening.',
    }),
    model({
      name: 'Cut-out in the skid plate',
      kind: 'box',
      inside: [180, 150, 55],
      limit: 1000,
      at: { x: w * 0.36, y: 0, z: front - 30 },
      tier: 'under straps or seat',
      dry: false,
      hot: true,
    }),
    model({
      name: 'Fork leg, tied',
      kind: 'tie-on',
      inside: [300, 40, 30],
      limit: 200,
      at: { x: w * 0.08, y: 110, z: front + 180 },
      tier: 'in the saddle',
      dry: false,
    }),
    model({
      name: 'Hollow steering stem',
      kind: 'tube',
      inside: [180, 22, 22],
      limit: 250,
      at: { x: w * 0.16, y: 0, z: seat + 60 },
      tier: 'one zip',
    }),
    model({
      name: 'Handlebar bag',
      kind: 'box',
      inside: [170, 90, 70],
      limit: 600,
      roughLimit: 400,
      at: { x: w * 0.14, y: 0, z: seat + 240 },
      tier: 'in the saddle',
      stays: false,
    }),
    model({
      name: 'Front mudguard pack',
      kind: 'box',
      inside: [230, 130, 65],
      limit: 1000,
      roughLimit: 800,
      at: { x: w * 0.02, y: 0, z: front + 390 },
      tier: 'under straps or seat',
      dry: false,
    }),
    model({
      name: 'Rear mudguard bag',
      kind: 'box',
      inside: [220, 130, 60],
      limit: 1000,
      roughLimit: 700,
      at: { x: w * 1.1, y: 0, z: seat - 20 },
      tier: 'one zip',
      dry: false,
    }),
    crashBag(1),
    crashBag(-1),
    model({
      name: 'Tank bag',
      kind: 'box',
      inside: [240, 160, 110],
      limit: 2000,
      at: { x: w * 0.4, y: 0, z: seat + 170 },
      tier: 'in the saddle',
      stays: false,
    }),
    model({
      name: 'Tail bag',
      kind: 'box',
      inside: [420, 260, 200],
      limit: 8000,
      taken: 6,
      takenMass: 2000,
      onRack: bike.fitted.includes('rear rack'),
      at: { x: w * 1.02, y: 0, z: seat + 110 },
      tier: 'under straps or seat',
      stays: false,
    }),
    model({
      name: 'Rear rack, tied',
      kind: 'tie-on',
      inside: [400, 250, 120],
      limit: 5000,
      roughLimit: 3500,
      onRack: true,
      at: { x: w * 1.12, y: 0, z: seat + 60 },
      tier: 'under straps or seat',
      stays: false,
      dry: false,
    }),
    model({
      name: 'Top box',
      kind: 'box',
      inside: [420, 360, 280],
      limit: 5000,
      taken: 10,
      takenMass: 2500,
      onRack: true,
      at: { x: w * 1.2, y: 0, z: seat + 210 },
      tier: 'one zip',
      stays: false,
      lockable: true,
    }),
    pannier(1),
    pannier(-1),
    model({
      name: 'Jacket pocket',
      kind: 'body',
      inside: [150, 100, 25],
      limit: 400,
      at: { x: w * 0.6, y: 60, z: seat + 260 },
      tier: 'in the saddle',
      stays: false,
    }),
    model({
      name: "Rider's bum bag",
      kind: 'body',
      inside: [240, 140, 70],
      limit: 2500,
      at: { x: w * 0.66, y: 0, z: seat + 200 },
      tier: 'in the saddle',
      stays: false,
      wrapped: true,
      note: 'Tools in a soft roll towards the back: nothing hard against the spine.',
    }),
    model({
      name: 'Backpack with water',
      kind: 'body',
      inside: [420, 250, 120],
      limit: 6000,
      taken: 4,
      takenMass: 3000,
      at: { x: w * 0.7, y: 0, z: seat + 330 },
      tier: 'one zip',
      stays: false,
      wrapped: true,
      note: 'Tools in a soft roll, low and away from the spine.',
    }),
  ];
}

const START = ['Tool roll under the seat', 'Tool tube on the frame', 'Low frame, tied', 'Tank bag', 'Tail bag'];
/** The usual places that a new bike starts with: those that nearly every one has, and those that go with what is fitted to it. */
export function usualPlaces(bike: Bike): PlaceModel[] {
  const names = new Set([
    ...START,
    "Rider's bum bag",
    ...(bike.fitted.includes('crash bars') ? ['Crash bar bag, left', 'Crash bar bag, right'] : []),
    ...(bike.fitted.includes('side racks') ? ['Left pannier', 'Right pannier'] : []),
  ]);
  return placeLibrary(bike).filter((p) => names.has(p.name));
}
