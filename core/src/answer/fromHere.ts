import type { Solve } from '../ground/milp.js';
import type { GarageDocument } from '../garage/index.js';
import { chosenKit, kitCase, keptOf, type Kit } from '../kit/index.js';
import { stockOf } from '../repairs/supplies/index.js';

/** What is left of a trip with what is left in the bag. */
export interface FromHere {
  /** Share of such trips on which nobody has to come, and hours at risk. */
  home: number;
  atStake: number;
  /** The same with the kit as it was packed. */
  packed: { home: number; atStake: number };
  /** Spares of which there is less than was packed: name, and how many are left. */
  less: { name: string; left: number; packed: number }[];
}

/** An id for a kit that is never stored. */
const NEVER_STORED = 'ffffffff-0000-4000-8000-000000000000';

/**
 * What a trip looks like from one of its legs on: the odds of what is left of it, with the tools of the kit and the spares that are still owned.
 * @param leg number of the first leg that is still to be ridden
 * @throws RangeError where the trip has no such leg
 */
export function fromHere(
  doc: GarageDocument,
  question: { bikeId: string; tripId: string; today: string },
  kit: Kit,
  leg: number,
  solve: Solve,
): FromHere {
  const trip = doc.trips.find((t) => t.id === question.tripId);
  const bike = doc.bikes.find((b) => b.id === question.bikeId);
  if (!trip || !bike || leg < 0 || leg >= trip.legs.length)
    throw new RangeError('that leg is not on this trip: choose another');
  const { owned } = stockOf(doc.supplies, bike, question.today, doc.kinds);
  const packed = keptOf(kit, {
    ...{ id: NEVER_STORED, name: 'as packed', bikeId: bike.id, tripId: trip.id },
    ...{ made: `${question.today}T00:00:00Z`, chosen: 0 },
  });
  const left = {
    ...packed,
    supplies: packed.supplies.flatMap((s) => {
      const n = Math.min(s.quantity, owned.get(s.kind) ?? 0);
      return n > 0 ? [{ ...s, quantity: n, mass: (s.mass * n) / s.quantity }] : [];
    }),
  };
  const withKit = (kept: typeof packed) => {
    const there: GarageDocument = {
      ...doc,
      kits: [...doc.kits, kept],
      trips: doc.trips.map((t) =>
        t.id === trip.id ? { ...t, legs: t.legs.slice(leg), kit: { ...t.kit, use: kept.id } } : t,
      ),
    };
    const plain = { ...question, hint: null, packed: null };
    const { problem } = kitCase(there, plain);
    return chosenKit(there, plain, problem, solve, owned).kit;
  };
  const [now, before] = [withKit(left), withKit(packed)];
  const of = (kind: string) => left.supplies.find((s) => s.kind === kind)?.quantity ?? 0;
  return {
    home: now.home,
    atStake: now.atStake,
    packed: { home: before.home, atStake: before.atStake },
    less: packed.supplies
      .filter((s) => of(s.kind) < s.quantity)
      .map((s) => ({ name: s.name, left: of(s.kind), packed: s.quantity })),
  };
}
