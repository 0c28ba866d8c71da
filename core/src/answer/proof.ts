import type { GarageDocument } from '../garage/index.js';
import {
  checksDue,
  checksFor,
  drillOffers,
  heldUp,
  readiness,
  type Answered,
  type CheckDue,
  type CheckRows,
  type DrillOffer,
  type ProveCase,
  type Readiness,
} from '../prove/index.js';
import { bookOf } from '../repairs/supplies/index.js';
import { appliesTo, quickest, troubleOn } from '../repairs/index.js';
import { darkShare, ridersOf, troublesIn } from '../trip/odds/index.js';

/** A bike with the kit that an answer packed for a trip, and all that was rehearsed with it. */
export function proveCaseOf(
  doc: GarageDocument,
  question: { bikeId: string; tripId: string | null },
  answer: Answered,
  today: string,
): ProveCase {
  const bike = doc.bikes.find((b) => b.id === question.bikeId);
  if (!bike) throw new RangeError('that bike is not in this garage: choose another');
  const trip = doc.trips.find((t) => t.id === question.tripId) ?? null;
  const riders = trip ? ridersOf(doc, trip.id) : new Set(['me']);
  const on = new Map(answer.exposures.map((e) => [e.trouble.id, e.trouble]));
  const own = quickest(doc.drills, riders);
  // What the trip does not ask for can happen all the same.
  const plain = { bike, company: (trip?.companions ?? 0) > 0, dark: trip ? darkShare(trip) : 0, own };
  return {
    troubles: troublesIn(doc)
      .filter((t) => appliesTo(t, bike))
      .map((t) => on.get(t.id) ?? (t.subject === 'service' ? t : troubleOn(t, plain))),
    kit: answer.kit,
    kitUse: answer.kitUse,
    exposures: answer.exposures,
    packing: answer.packing,
    bike,
    trip,
    fasteners: doc.fasteners.filter((f) => f.bikeId === bike.id),
    places: doc.places.filter((p) => p.bikeId === bike.id),
    practice: doc.garage.practice,
    book: bookOf(doc.kinds),
    drills: doc.drills,
    riders,
    today,
  };
}

/** What checks are made from, of a garage and a trip. */
export const checkRows = (doc: GarageDocument, c: Pick<ProveCase, 'trip'>): CheckRows => ({
  supplies: doc.supplies,
  loans: doc.loans,
  gauge: doc.garage.gauge,
  watches: doc.watches,
  reminders: doc.reminders,
  companions: c.trip?.companions ?? 0,
});

/** How ready a bike, its kit and its riders are: checks with where they stand, what is proven, and what to do next. */
export interface ProofTold {
  checks: CheckDue[];
  ready: Readiness;
  /** Of the rider, the best first. */
  offers: DrillOffer[];
}

/** Checks with where they stand, and how ready one is by them. */
function stateOf(doc: GarageDocument, c: ProveCase): Pick<ProofTold, 'checks' | 'ready'> {
  const checks = checksDue(checksFor(c, checkRows(doc, c)), doc.checks, c, doc.watches);
  return { checks, ready: readiness(c, heldUp(checks)) };
}
/** Share of the hours at stake that is proven; null where nothing is at stake. */
export const readyShare = (doc: GarageDocument, c: ProveCase): number | null => stateOf(doc, c).ready.share;

/** All of it for one case; the same for screens and command line. */
export function proofTold(doc: GarageDocument, c: ProveCase, who = 'me'): ProofTold {
  const { checks, ready } = stateOf(doc, c);
  return { checks, ready, offers: drillOffers(c, who, null, ready) };
}
