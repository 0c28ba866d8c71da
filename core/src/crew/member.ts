import type { Bike, Fastener } from '../bike/index.js';
import type { OwnKind, Supply } from '../repairs/supplies/index.js';
import { bears, usableVolume, type Place } from '../stow/place.js';
import type { Piece } from '../toolbox/tools/index.js';
import { atHand } from '../toolbox/loan.js';
import type { Trip } from '../trip/index.js';
import { ME, type CarrierId, type Crew } from './crew.js';
import type { Person } from './person.js';
import type { CrewRows } from './rows.js';

/** Somebody of the crew with the bike that they ride and what they own. */
export interface Member {
  key: CarrierId;
  name: string;
  person: Person;
  bike: Bike;
  fasteners: Fastener[];
  pieces: Piece[];
  supplies: Supply[];
  places: Place[];
  kinds: OwnKind[];
  /** What they may carry of the kit: grams, and mL; null where nobody knows the room. */
  limit: number;
  room: number | null;
  /** Where the limit comes from. */
  limitBy: 'given' | 'payload' | 'places' | 'typical';
}

/** Grams that somebody carries on a bike of which no place is known. Planning value. */
export const USUAL_LIMIT = 8000;

/** Whether a place lies on the bike. */
const onBike = (p: Place): boolean => p.kind !== 'body';

/**
 * What somebody may carry of the kit: as they say, else what the places bear, and in no case more than the maker's payload leaves beside the people
 * and what lies in the places anyway.
 */
export function carryLimit(
  bike: Bike,
  person: Person,
  places: readonly Place[],
  trip: Pick<Trip, 'pillion' | 'legs'> | null,
): Pick<Member, 'limit' | 'room' | 'limitBy'> {
  const rough = trip?.legs.some((l) => l.km.track > 0) ?? false;
  const mine = places.filter(onBike);
  const taken = places.reduce((s, p) => s + p.takenMass, 0);
  const left = Math.max(0, bike.payload - person.mass - (trip?.pillion ?? 0) - taken);
  const borne = mine.length > 0 ? mine.reduce((s, p) => s + bears(p, rough), 0) : USUAL_LIMIT;
  const wanted = person.mayCarry ?? borne;
  const by = person.mayCarry !== null ? 'given' : mine.length > 0 ? 'places' : 'typical';
  const room = mine.length > 0 ? mine.reduce((s, p) => s + usableVolume(p), 0) + person.bodyLitres * 1000 : null;
  return {
    limit: Math.min(wanted + person.onBody, left),
    room,
    limitBy: left < wanted + person.onBody ? 'payload' : by,
  };
}

/** The people of a crew, the rider first as they are listed; whoever is gone from the garage, or has no bike any more, is left away. */
export function membersOf(doc: CrewRows, crew: Crew): Member[] {
  const trip = doc.trips.find((t) => t.id === crew.tripId) ?? null;
  const mine = atHand(doc);
  return crew.members.flatMap(({ who, bikeId }): Member[] => {
    if (who === ME) {
      const bike = doc.bikes.find((b) => b.id === bikeId) ?? doc.bikes[0];
      if (!bike) return [];
      const places = doc.places.filter((p) => p.bikeId === bike.id);
      return [
        {
          key: ME,
          name: doc.garage.rider.name || 'You',
          person: doc.garage.rider,
          bike,
          fasteners: doc.fasteners.filter((f) => f.bikeId === bike.id),
          pieces: mine.pieces.filter((p) => p.onlyBike === null || p.onlyBike === bike.id),
          supplies: mine.supplies,
          places,
          kinds: doc.kinds,
          ...carryLimit(bike, doc.garage.rider, places, trip),
        },
      ];
    }
    const c = doc.companions.find((x) => x.id === who);
    const bike = c?.bikes.find((b) => b.id === bikeId) ?? c?.bikes[0];
    if (!c || !bike) return [];
    const places = c.places.filter((p) => p.bikeId === bike.id);
    const alone = trip && { ...trip, pillion: 0 };
    return [
      {
        key: c.id,
        name: c.person.name || 'Companion',
        person: c.person,
        bike,
        fasteners: c.fasteners.filter((f) => f.bikeId === bike.id),
        pieces: c.pieces.filter((p) => p.onlyBike === null || p.onlyBike === bike.id),
        supplies: c.supplies,
        places,
        kinds: c.kinds,
        ...carryLimit(bike, c.person, places, alone),
      },
    ];
  });
}
