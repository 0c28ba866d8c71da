import { MOST_OF_COMPANION, newPerson, type Companion } from '../crew/index.js';
import type { GarageDocument } from '../garage/index.js';

/** What a companion's own file says, before it becomes theirs here. */
export interface Theirs {
  companion: Companion;
  /** What would not fit into one companion and was left away, by table. */
  left: Partial<Record<keyof typeof MOST_OF_COMPANION, number>>;
}

/**
 * A companion from a garage file of theirs, kept apart from the rider's own: every row gets an id of its own, since two garages that began as copies
 * of one another share ids.
 * @param given.read ISO date
 */
export function companionFrom(doc: GarageDocument, given: { nextId: () => string; read: string; id?: string }): Theirs {
  const ids = new Map<string, string>();
  const again = (id: string) => {
    const known = ids.get(id) ?? given.nextId();
    ids.set(id, known);
    return known;
  };
  const left: Theirs['left'] = {};
  const most = <T>(table: keyof typeof MOST_OF_COMPANION, rows: readonly T[]): T[] => {
    const over = rows.length - MOST_OF_COMPANION[table];
    if (over > 0) left[table] = over;
    return rows.slice(0, MOST_OF_COMPANION[table]);
  };
  const bikes = most('bikes', doc.bikes);
  const has = new Set(bikes.map((b) => b.id));
  return {
    left,
    companion: {
      id: given.id ?? given.nextId(),
      person: newPerson({ ...doc.garage.rider, name: doc.garage.rider.name || doc.garage.name }),
      bikes: bikes.map((b) => ({
        ...b,
        id: again(b.id),
        services: b.services.map((s) => ({ ...s, id: given.nextId() })),
      })),
      fasteners: most(
        'fasteners',
        doc.fasteners.filter((f) => has.has(f.bikeId)),
      ).map((f) => ({ ...f, id: again(f.id), bikeId: again(f.bikeId) })),
      pieces: most('pieces', doc.pieces).map((p) => ({
        ...p,
        id: again(p.id),
        onlyBike: p.onlyBike === null ? null : again(p.onlyBike),
      })),
      supplies: most('supplies', doc.supplies).map((s) => ({
        ...s,
        id: again(s.id),
        fittedOn: s.fittedOn === null ? null : again(s.fittedOn),
      })),
      places: most(
        'places',
        doc.places.filter((p) => has.has(p.bikeId)),
      ).map((p) => ({ ...p, id: again(p.id), bikeId: again(p.bikeId) })),
      kinds: most('kinds', doc.kinds).map((k) => ({ ...k, id: again(k.id) })),
      from: { by: 'file', garage: doc.garage.name.slice(0, 120), read: given.read },
      note: '',
    },
  };
}
