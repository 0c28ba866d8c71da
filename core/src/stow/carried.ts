import type { Bike } from '../bike/index.js';
import { bareBike, loadOf, type LoadCase, type Weight } from './load/index.js';
import type { Place } from './place.js';

/**
 * The bike bare, with its people, and with all that lies in its places.
 * @param people rider and pillion
 * @param kit grams of the kit in each place, by id
 */
export function loadCase(
  bike: Bike,
  people: readonly Weight[],
  places: readonly Place[],
  kit: ReadonlyMap<string, number>,
): LoadCase {
  const bare = [bareBike(bike)];
  const ridden = [...bare, ...people];
  const inPlace = (p: Place) => p.takenMass + (kit.get(p.id) ?? 0);
  const sum = (list: readonly Place[]) => list.reduce((s, p) => s + inPlace(p), 0);
  const packed = [...ridden, ...places.map((p): Weight => ({ name: p.name, mass: inPlace(p), at: p.at }))];
  return {
    bare: loadOf(bare, bike.wheelbase),
    ridden: loadOf(ridden, bike.wheelbase),
    packed: loadOf(packed, bike.wheelbase),
    rack: sum(places.filter((p) => p.onRack)),
    back: sum(places.filter((p) => p.kind === 'body')),
  };
}
