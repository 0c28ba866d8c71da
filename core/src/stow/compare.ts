import type { Packing } from './packing.js';
import type { KeptPacking } from './keptPacking.js';
import type { Place } from './place.js';

/** One piece that lies elsewhere in the other packing, or is in only one of the two. */
export interface Moved {
  key: string;
  name: string;
  from: string | null;
  to: string | null;
  change: 'moved' | 'new' | 'gone';
}
export interface PackingDifference {
  moved: Moved[];
  /** Present less kept: mm higher and further back, grams, kg·m of |side|, grams on the front axle and on the body, minutes. */
  higher: number;
  further: number;
  mass: number;
  side: number;
  front: number;
  back: number;
  minutes: number;
  broken: number;
}

/** The figures of a packing that are written down with it. */
export function packingFigures(packing: Packing): KeptPacking['figures'] {
  const { packed, back } = packing.load;
  return {
    mass: packed.mass,
    centre: packed.centre ?? { x: 0, y: 0, z: 0 },
    front: packed.front,
    rear: packed.rear,
    side: packed.side,
    back,
    minutes: packing.minutes,
    broken: packing.faults.length,
  };
}

/** A packing as it is written down. */
export const keptItems = (packing: Packing, places: readonly Place[]): KeptPacking['items'] =>
  packing.stowed.map(({ item, placeId }) => ({
    key: item.key,
    name: item.name,
    mass: item.mass,
    placeId,
    placeName: places.find((p) => p.id === placeId)?.name ?? '',
  }));

/** What the present packing does otherwise than a kept one. */
export function comparePackings(now: Packing, places: readonly Place[], kept: KeptPacking): PackingDifference {
  const present = new Map(keptItems(now, places).map((i) => [i.key, i]));
  const before = new Map(kept.items.map((i) => [i.key, i]));
  const moved: Moved[] = [];
  for (const [key, i] of present) {
    const was = before.get(key);
    if (!was) moved.push({ key, name: i.name, from: null, to: i.placeName || null, change: 'new' });
    else if (was.placeId !== i.placeId)
      moved.push({ key, name: i.name, from: was.placeName || null, to: i.placeName || null, change: 'moved' });
  }
  for (const [key, i] of before)
    if (!present.has(key)) moved.push({ key, name: i.name, from: i.placeName || null, to: null, change: 'gone' });
  const f = packingFigures(now);
  const k = kept.figures;
  return {
    moved,
    higher: f.centre.z - k.centre.z,
    further: f.centre.x - k.centre.x,
    mass: f.mass - k.mass,
    side: Math.abs(f.side) - Math.abs(k.side),
    front: f.front - k.front,
    back: f.back - k.back,
    minutes: f.minutes - k.minutes,
    broken: f.broken - k.broken,
  };
}
