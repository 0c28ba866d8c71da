import type { Bike } from '../../bike/index.js';
import type { Trip } from '../../trip/index.js';
import type { Rider } from './rider.js';

/** A point on the bike in mm: x from the front axle rearwards, y left positive, z up from the ground. */
export interface At {
  x: number;
  y: number;
  z: number;
}
/** Something that has weight, grams, and where its middle is. */
export interface Weight {
  name: string;
  mass: number;
  at: At;
}
/** What a set of weights does to a bike. */
export interface Load {
  /** Grams. */
  mass: number;
  centre: At | null;
  /** Grams on each axle; the front's may be negative, which lifts the wheel. */
  front: number;
  rear: number;
  /** Σ m·y in kg·m, left positive. */
  side: number;
}

/** Share of a bare bike's weight on its front wheel, and height of its middle as a share of the seat's. Planning values. */
export const FRONT_SHARE = 0.48;
export const CENTRE_SHARE = 0.64;
/** Where rider and pillion sit along the wheelbase, and how far above the seat their middles are, mm. Planning values. */
const RIDER = { along: 0.62, above: 190 };
const PILLION = { along: 0.88, above: 230 };

/** The bare bike as one weight: its middle lies behind the front axle by the share of the rear wheel. */
export function bareBike(bike: Bike): Weight {
  const front = Math.min(bike.frontAxle ?? bike.mass * FRONT_SHARE, bike.mass);
  const rearShare = bike.mass > 0 ? 1 - front / bike.mass : 0.5;
  return {
    name: bike.name,
    mass: bike.mass,
    at: { x: bike.wheelbase * rearShare, y: 0, z: bike.centreHeight ?? bike.seatHeight * CENTRE_SHARE },
  };
}

/**
 * Where the rider's middle is.
 * @returns mm behind the front axle, to the left, above the ground
 */
export const riderAt = (bike: Pick<Bike, 'wheelbase' | 'seatHeight'>): At => ({
  x: bike.wheelbase * RIDER.along,
  y: 0,
  z: bike.seatHeight + RIDER.above,
});

/** Whoever sits on the bike: the rider, and the pillion of a trip that has one. */
export function people(bike: Bike, rider: Rider, trip: Pick<Trip, 'pillion'> | null): Weight[] {
  const list = [{ name: 'Rider', mass: rider.mass, at: riderAt(bike) }];
  if (trip && trip.pillion > 0)
    list.push({
      name: 'Pillion',
      mass: trip.pillion,
      at: { x: bike.wheelbase * PILLION.along, y: 0, z: bike.seatHeight + PILLION.above },
    });
  return list;
}

/**
 * Centre Σ m·r / Σ m, rear axle load Σ m·x / wheelbase, front = Σ m − rear, side moment Σ m·y (docs/model.md, section 7).
 * @param weights grams and mm
 * @param wheelbase mm
 */
export function loadOf(weights: readonly Weight[], wheelbase: number): Load {
  let mass = 0;
  const sum: At = { x: 0, y: 0, z: 0 };
  for (const w of weights) {
    mass += w.mass;
    for (const axis of ['x', 'y', 'z'] as const) sum[axis] += w.mass * w.at[axis];
  }
  const rear = sum.x / wheelbase;
  return {
    mass,
    centre: mass > 0 ? { x: sum.x / mass, y: sum.y / mass, z: sum.z / mass } : null,
    front: mass - rear,
    rear,
    side: sum.y / 1e6,
  };
}

/**
 * Share of the weight on the front axle, 0 to 1.
 * @example frontShare({ mass: 200, front: 90 }) // 0.45
 */
export const frontShare = (load: Pick<Load, 'mass' | 'front'>): number => (load.mass > 0 ? load.front / load.mass : 0);
