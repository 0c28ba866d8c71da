import type { CarrierId, Vehicle } from './crew.js';
import type { Member } from './member.js';

/** Who or what carries: the members in order, then cars, vans, trailers and caches. */
export interface Carrier {
  key: CarrierId;
  name: string;
  /** Grams, and mL; null where the room is not known. */
  limit: number;
  room: number | null;
  member: Member | null;
  vehicle: Vehicle | null;
}
