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

/** What of a bike says where its places sit, mm. */
interface Frame {
  bike: Bike;
  /** Wheelbase, height of the seat, radii of the wheels. */
  w: number;
  seat: number;
  front: number;
  rear: number;
}
/** A place of the library; where it sits follows from the bike. */
type LibraryPlace = Omit<Given, 'at' | 'onRack'> & {
  at: (frame: Frame) => Place['at'];
  onRack?: (frame: Frame) => boolean;
};

/** A place that a bike has on either side: stated for the left one. */
const bothSides = (left: string, right: string, place: Omit<LibraryPlace, 'name'>): LibraryPlace[] => [
  { ...place, name: left },
  {
    ...place,
    name: right,
    at: (frame) => {
      const at = place.at(frame);
      return { ...at, y: -at.y };
    },
  },
];

/** All places that riders use, as they come on a middling bike. Measures, limits and where they sit are planning values: measure your own. */
const LIBRARY: readonly LibraryPlace[] = [
  {
    name: 'Tool roll under the seat',
    kind: 'roll',
    inside: [260, 750, 40],
    limit: 2000,
    at: ({ w, seat }) => ({ x: w * 0.72, y: 0, z: seat - 90 }),
    tier: 'under straps or seat',
    wiring: true,
    slots: USUAL_SLOTS,
  },
  {
    name: 'Under the seat',
    kind: 'box',
    inside: [200, 130, 60],
    limit: 1500,
    at: ({ w, seat }) => ({ x: w * 0.84, y: 0, z: seat - 70 }),
    tier: 'under straps or seat',
    lockable: true,
    wiring: true,
    wrapped: true,
    note: 'Tools in a towel or a soft roll, so that nothing rubs on wires.',
  },
  {
    name: 'Behind a side panel',
    kind: 'box',
    inside: [160, 90, 45],
    limit: 700,
    at: ({ w, seat }) => ({ x: w * 0.74, y: 150, z: seat - 200 }),
    tier: 'under straps or seat',
    wiring: true,
    wrapped: true,
    note: 'Tools in a towel or a soft roll, so that nothing rubs on wires.',
  },
  {
    name: 'Tool tube on the frame',
    kind: 'tube',
    inside: [330, 95, 95],
    limit: 2000,
    at: ({ w, front }) => ({ x: w * 0.42, y: 150, z: front + 130 }),
    tier: 'one zip',
  },
  {
    name: 'Low frame, tied',
    kind: 'tie-on',
    inside: [420, 120, 60],
    limit: 1200,
    at: ({ w, front }) => ({ x: w * 0.5, y: -140, z: front + 40 }),
    tier: 'under straps or seat',
    dry: false,
    note: 'Ties wear through: look at them each evening.',
  },
  {
    name: 'Cut-out in the skid plate',
    kind: 'box',
    inside: [180, 150, 55],
    limit: 1000,
    at: ({ w, front }) => ({ x: w * 0.36, y: 0, z: front - 30 }),
    tier: 'under straps or seat',
    dry: false,
    hot: true,
  },
  {
    name: 'Fork leg, tied',
    kind: 'tie-on',
    inside: [300, 40, 30],
    limit: 200,
    at: ({ w, front }) => ({ x: w * 0.08, y: 110, z: front + 180 }),
    tier: 'in the saddle',
    dry: false,
  },
  {
    name: 'Hollow steering stem',
    kind: 'tube',
    inside: [180, 22, 22],
    limit: 250,
    at: ({ w, seat }) => ({ x: w * 0.16, y: 0, z: seat + 60 }),
    tier: 'one zip',
  },
  {
    name: 'Handlebar bag',
    kind: 'box',
    inside: [170, 90, 70],
    limit: 600,
    roughLimit: 400,
    at: ({ w, seat }) => ({ x: w * 0.14, y: 0, z: seat + 240 }),
    tier: 'in the saddle',
    stays: false,
  },
  {
    name: 'Front mudguard pack',
    kind: 'box',
    inside: [230, 130, 65],
    limit: 1000,
    roughLimit: 800,
    at: ({ w, front }) => ({ x: w * 0.02, y: 0, z: front + 390 }),
    tier: 'under straps or seat',
    dry: false,
  },
  {
    name: 'Rear mudguard bag',
    kind: 'box',
    inside: [220, 130, 60],
    limit: 1000,
    roughLimit: 700,
    at: ({ w, seat }) => ({ x: w * 1.1, y: 0, z: seat - 20 }),
    tier: 'one zip',
    dry: false,
  },
  ...bothSides('Crash bar bag, left', 'Crash bar bag, right', {
    kind: 'box',
    inside: [250, 110, 120],
    limit: 2500,
    roughLimit: 2000,
    at: ({ w, front }) => ({ x: w * 0.26, y: 270, z: front + 130 }),
    tier: 'one zip',
  }),
  {
    name: 'Tank bag',
    kind: 'box',
    inside: [240, 160, 110],
    limit: 2000,
    at: ({ w, seat }) => ({ x: w * 0.4, y: 0, z: seat + 170 }),
    tier: 'in the saddle',
    stays: false,
  },
  {
    name: 'Tail bag',
    kind: 'box',
    inside: [420, 260, 200],
    limit: 8000,
    taken: 6,
    takenMass: 2000,
    onRack: ({ bike }) => bike.fitted.includes('rear rack'),
    at: ({ w, seat }) => ({ x: w * 1.02, y: 0, z: seat + 110 }),
    tier: 'under straps or seat',
    stays: false,
  },
  {
    name: 'Rear rack, tied',
    kind: 'tie-on',
    inside: [400, 250, 120],
    limit: 5000,
    roughLimit: 3500,
    onRack: () => true,
    at: ({ w, seat }) => ({ x: w * 1.12, y: 0, z: seat + 60 }),
    tier: 'under straps or seat',
    stays: false,
    dry: false,
  },
  {
    name: 'Top box',
    kind: 'box',
    inside: [420, 360, 280],
    limit: 5000,
    taken: 10,
    takenMass: 2500,
    onRack: () => true,
    at: ({ w, seat }) => ({ x: w * 1.2, y: 0, z: seat + 210 }),
    tier: 'one zip',
    stays: false,
    lockable: true,
  },
  ...bothSides('Left pannier', 'Right pannier', {
    kind: 'box',
    inside: [400, 220, 340],
    limit: 10_000,
    roughLimit: 7000,
    taken: 14,
    takenMass: 3500,
    at: ({ w, rear }) => ({ x: w * 0.98, y: 330, z: rear + 290 }),
    tier: 'unload everything',
    stays: false,
    lockable: true,
  }),
  {
    name: 'Jacket pocket',
    kind: 'body',
    inside: [150, 100, 25],
    limit: 400,
    at: ({ w, seat }) => ({ x: w * 0.6, y: 60, z: seat + 260 }),
    tier: 'in the saddle',
    stays: false,
  },
  {
    name: "Rider's bum bag",
    kind: 'body',
    inside: [240, 140, 70],
    limit: 2500,
    at: ({ w, seat }) => ({ x: w * 0.66, y: 0, z: seat + 200 }),
    tier: 'in the saddle',
    stays: false,
    wrapped: true,
    note: 'Tools in a soft roll towards the back: nothing hard against the spine.',
  },
  {
    name: 'Backpack with water',
    kind: 'body',
    inside: [420, 250, 120],
    limit: 6000,
    taken: 4,
    takenMass: 3000,
    at: ({ w, seat }) => ({ x: w * 0.7, y: 0, z: seat + 330 }),
    tier: 'one zip',
    stays: false,
    wrapped: true,
    note: 'Tools in a soft roll, low and away from the spine.',
  },
];

/** The library for one bike. */
export function placeLibrary(bike: Bike): PlaceModel[] {
  const frame: Frame = {
    bike,
    w: bike.wheelbase,
    seat: bike.seatHeight,
    front: tyreMeasures(bike.tyreFront).radius,
    rear: tyreMeasures(bike.tyreRear).radius,
  };
  return LIBRARY.map(({ at, onRack, ...place }) =>
    model({ ...place, at: at(frame), onRack: onRack?.(frame) ?? false }),
  );
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
