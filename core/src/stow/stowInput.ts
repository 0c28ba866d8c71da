import type { Bike } from '../bike/index.js';
import type { Goals } from './goals.js';
import type { StowItem } from './item.js';
import { bareBike, type Weight } from './load/index.js';
import type { Pin, Place } from './place.js';

/** What is asked of a packing. */
export interface StowInput {
  items: readonly StowItem[];
  places: readonly Place[];
  pins: readonly Pin[];
  bike: Bike;
  goals: Goals;
  rough: boolean;
  /** Rider and pillion. */
  people: readonly Weight[];
}
/** What decides a packing, as a text: inputs with the same key have the same packing, whatever else they say of bike and people. */
export function stowKey({ items, places, pins, bike, goals, rough }: StowInput): string {
  const lies = places.map(({ name: _name, note: _note, bikeId: _bike, onRack: _rack, ...rest }) => rest);
  const put = pins.map((p) => [p.item, p.placeId]);
  const things = items.map(({ name: _name, ...rest }) => rest);
  return JSON.stringify([things, lies, put, bike.wheelbase, bareBike(bike).at.x, goals, rough]);
}
