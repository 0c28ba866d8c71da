import type { Bike } from '../bike/index.js';
import { TERRAINS } from '../ground/terrain.js';
import { dayAfter, type ProveCase } from '../prove/index.js';
import { countsAsTime, drillMinutes, pacesOf, wayKey, type Drill } from '../repairs/index.js';
import { posterior, recordOf } from '../trip/odds/index.js';
import { tripDays, type Ride, type Trip } from '../trip/index.js';
import { pieceKey, spareKey, type Happened } from './happened.js';
import type { Reviewed } from './reviewed.js';

/** What was along on so many trips in a row and never touched may stay at home: it is asked about. Planning value. */
export const IDLE_TRIPS = 3;

/** Rows that a review looks back on. */
export interface ReviewRows {
  bikes: readonly Bike[];
  rides: readonly Ride[];
  drills: readonly Drill[];
  happened: readonly Happened[];
  reviews: readonly Reviewed[];
  /** The date of a moment by the rider’s own clock; by UTC where it is not given. */
  dayOf?: (moment: string) => string;
}
/** First and last day of a trip, ISO dates. */
export interface Days {
  from: string;
  to: string;
}

/** A thing of the kit, and what the trip made of it. */
export interface CarriedThing {
  item: string;
  name: string;
  /** Grams of all that was along of it, and pieces or units. */
  mass: number;
  count: number;
  /** How often it was used, or how many units of it. */
  used: number;
  /** Trips in a row without a touch, this one in them; 0 where it was used. */
  idle: number;
  /** Hours that the kit saves less on such a trip without it. */
  guards: number;
  /** Whether what it guards is worth its grams, as the trip asks of its kit. */
  worthIt: boolean;
}
/** A rate that the trip moved. */
export interface RateMoved {
  trouble: string;
  name: string;
  /** How often it happened on this trip, and how often the planning rates expected it over what was ridden. */
  events: number;
  expected: number;
  /** Factor on the planning rate before and after. */
  before: number;
  after: number;
}
/** A repair by the road: its minutes as planned, as it went, and as they are planned from now on. */
export interface TimeMoved {
  drillId: string;
  trouble: string;
  name: string;
  way: string;
  who: string;
  planned: number;
  took: number;
  next: number;
}
/** Something that was not there when it was needed. */
export interface Missed {
  name: string;
  /** The trouble that it was needed for; empty where it is not known. */
  trouble: string;
}
export interface Review {
  days: Days;
  carried: CarriedThing[];
  /** Things never touched for `IDLE_TRIPS` trips or more, the heaviest for what they guard first. */
  idle: CarriedThing[];
  missed: Missed[];
  rates: RateMoved[];
  times: TimeMoved[];
  /** Spares of the kit of which fewer are owned than it packs. */
  buy: { kind: string; name: string; buy: number }[];
  /** The trip’s own km as a ride, where the log has none of these days; null where it has. */
  ride: Pick<Ride, 'km' | 'crossings'> | null;
}

const dayIn = (rows: Pick<ReviewRows, 'dayOf'>, moment: string): string => rows.dayOf?.(moment) ?? moment.slice(0, 10);
const inside = (date: string, { from, to }: Days): boolean => date >= from && date <= to;
const before = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
const kmOf = (r: Pick<Ride, 'km'>): number => TERRAINS.reduce((s, on) => s + r.km[on], 0);
const doneOn = (rows: Pick<ReviewRows, 'dayOf'>, d: Drill): string => dayIn(rows, d.ended ?? d.started);

/**
 * The days that a review looks back on where nobody says: from the day of leaving, else from the first thing that was written down since the last
 * review of the bike; to the trip’s last day, or today where that is still to come.
 */
export function daysOfTrip(rows: ReviewRows, bikeId: string, trip: Trip | null, today: string): Days {
  const last = rows.reviews.reduce((m, r) => (r.bikeId === bikeId && r.to > m ? r.to : m), '');
  const leaves = trip?.leaves ?? null;
  if (trip && leaves !== null && leaves > last && leaves <= today) {
    const end = dayAfter(leaves, Math.max(0, Math.ceil(tripDays(trip)) - 1));
    return { from: leaves, to: end < today ? end : today };
  }
  const days = [
    ...rows.rides.filter((r) => r.bike === bikeId).map((r) => r.date),
    ...rows.drills.filter((d) => d.bikeId === bikeId && d.real).map((d) => doneOn(rows, d)),
    ...rows.happened.filter((h) => h.bikeId === bikeId).map((h) => dayIn(rows, h.on)),
  ].filter((d) => d > last && d <= today);
  return { from: days.sort(before)[0] ?? today, to: today };
}

/** How often each thing was used on these days: tools by repairs that were needed and by the log, spares by the log. */
function usesOf(rows: ReviewRows, bikeId: string, days: Days): Map<string, number> {
  const uses = new Map<string, number>();
  const add = (item: string, n: number) => void uses.set(item, (uses.get(item) ?? 0) + n);
  for (const d of rows.drills)
    if (d.real && !d.dry && d.bikeId === bikeId && inside(doneOn(rows, d), days))
      // A repair that was broken off before the first step had nothing in the hand yet.
      if (d.state === 'done' || d.step > 0) for (const id of new Set(d.tools)) add(pieceKey(id), 1);
  for (const h of rows.happened)
    if (h.what === 'used' && h.item !== '' && h.bikeId === bikeId && inside(dayIn(rows, h.on), days))
      add(h.item, Math.max(h.units, h.item.startsWith('piece ') ? 1 : 0));
  return uses;
}

/** Trips in a row, the latest first, on which a thing was along and never touched. */
export function idleBefore(reviews: readonly Reviewed[], bikeId: string, item: string, from: string): number {
  const past = reviews
    .filter((r) => r.bikeId === bikeId && r.to < from)
    .sort((a, b) => before(b.to, a.to) || before(b.made, a.made));
  let n = 0;
  for (const r of past) {
    const thing = r.carried.find((x) => x.item === item);
    if (!thing || thing.used > 0) break;
    n++;
  }
  return n;
}

/** Whether hours guarded are worth grams, at the minutes that 100 g have to save. */
const pays = (hours: number, grams: number, knee: number): boolean => hours * 60 * 100 >= knee * grams;

function carriedOf(c: ProveCase, rows: ReviewRows, days: Days, uses: ReadonlyMap<string, number>): CarriedThing[] {
  const knee = c.trip?.kit.knee ?? 0;
  const thing = (item: string, name: string, mass: number, count: number, guards: number): CarriedThing => {
    const used = uses.get(item) ?? 0;
    return {
      ...{ item, name, mass, count, used, guards },
      idle: used > 0 ? 0 : 1 + idleBefore(rows.reviews, c.bike.id, item, days.from),
      worthIt: pays(guards, mass, knee),
    };
  };
  return [
    ...c.kit.pieces.map((p) => thing(pieceKey(p.piece.id), p.piece.name, p.piece.mass * p.count, p.count, p.hours)),
    ...c.kit.spares
      .filter((s) => s.quantity > 0)
      .map((s) => thing(spareKey(s.kind), s.name, s.mass, s.quantity, s.hours)),
  ];
}

/** Factors on the planning rates without these days’ rides, and with them. */
function ratesOf(c: ProveCase, rows: ReviewRows, days: Days, ride: Review['ride']): RateMoved[] {
  const of = (r: Ride) => r.bike === c.bike.id && inside(r.date, days);
  const told = rows.rides.filter(of);
  const asRidden: Ride[] = ride ? [{ ...ride, id: '', bike: c.bike.id, date: days.to, mishaps: [], note: '' }] : [];
  const trip = recordOf([...told, ...asRidden], c.bike, rows.bikes, c.troubles);
  const was = recordOf(
    rows.rides.filter((r) => !of(r)),
    c.bike,
    rows.bikes,
    c.troubles,
  );
  const none = { events: 0, expected: 0 };
  return [...trip]
    .map(([id, now]): RateMoved => {
      const old = was.get(id) ?? none;
      return {
        trouble: id,
        name: c.troubles.find((t) => t.id === id)?.name ?? id,
        ...now,
        before: posterior(old).factor,
        after: posterior({ events: old.events + now.events, expected: old.expected + now.expected }).factor,
      };
    })
    .sort(
      (a, b) => b.events - a.events || Math.abs(Math.log(b.after / b.before)) - Math.abs(Math.log(a.after / a.before)),
    );
}

/** Minutes of the repairs of these days: against their plan, and what is planned for them next time. */
function timesOf(c: ProveCase, rows: ReviewRows, days: Days): TimeMoved[] {
  return rows.drills
    .filter((d) => d.real && d.bikeId === c.bike.id && countsAsTime(d) && inside(doneOn(rows, d), days))
    .map((d) => ({
      drillId: d.id,
      trouble: d.trouble,
      name: c.troubles.find((t) => t.id === d.trouble)?.name ?? d.trouble,
      ...{ way: d.way, who: d.who, planned: d.planned, took: drillMinutes(d) },
      next: d.planned * (pacesOf(rows.drills, d.who).get(wayKey(d.trouble, d.way))?.factor ?? 1),
    }));
}

/** What was needed and not there: said so, or not found in a repair; each once. */
function missedOf(c: ProveCase, rows: ReviewRows, days: Days): Missed[] {
  const out = new Map<string, Missed>();
  const add = (m: Missed) => {
    const known = out.get(m.name.toLowerCase());
    if (!known || known.trouble === '') out.set(m.name.toLowerCase(), m);
  };
  for (const h of rows.happened)
    if (h.what === 'missed' && h.bikeId === c.bike.id && inside(dayIn(rows, h.on), days))
      add({ name: h.name, trouble: h.trouble });
  for (const d of rows.drills)
    if (d.real && d.bikeId === c.bike.id && inside(doneOn(rows, d), days))
      for (const s of d.stuck) if (s.reason === 'missing' && s.item) add({ name: s.item, trouble: d.trouble });
  return [...out.values()];
}

/**
 * Looks back on a trip: what was used, missed and never touched, what it says of rates and minutes, and what to buy.
 * @param c the bike with the kit that was along
 * @param used uses that the rider sets right, by item; they replace what was written down
 */
export function reviewOf(
  c: ProveCase,
  rows: ReviewRows,
  days: Days,
  used: ReadonlyMap<string, number> = new Map(),
): Review {
  const uses = new Map([...usesOf(rows, c.bike.id, days), ...used]);
  const carried = carriedOf(c, rows, days, uses);
  const ridden = rows.rides.filter((r) => r.bike === c.bike.id && inside(r.date, days));
  const sum = (on: (typeof TERRAINS)[number]) => c.trip?.legs.reduce((s, l) => s + l.km[on], 0) ?? 0;
  const own = {
    km: { paved: sum('paved'), gravel: sum('gravel'), track: sum('track') },
    crossings: Math.min(500, c.trip?.legs.reduce((s, l) => s + l.crossings, 0) ?? 0),
  };
  const ride = ridden.every((r) => kmOf(r) === 0) && kmOf(own) > 0 ? own : null;
  return {
    days,
    carried,
    idle: carried
      .filter((t) => t.idle >= IDLE_TRIPS)
      .sort((a, b) => Number(a.worthIt) - Number(b.worthIt) || b.mass - a.mass || before(a.name, b.name)),
    missed: missedOf(c, rows, days),
    rates: ratesOf(c, rows, days, ride),
    times: timesOf(c, rows, days),
    buy: c.kit.spares.filter((s) => s.buy > 0).map((s) => ({ kind: s.kind, name: s.name, buy: s.buy })),
    ride,
  };
}

/** The row that a review leaves: what was along, and what of it was used. */
export const reviewedFrom = (
  c: Pick<ProveCase, 'bike' | 'trip'>,
  r: Pick<Review, 'days' | 'carried' | 'missed'>,
  given: Pick<Reviewed, 'id' | 'made'>,
): Reviewed => ({
  ...given,
  bikeId: c.bike.id,
  tripId: c.trip?.id ?? null,
  name: c.trip?.name ?? 'A ride',
  ...r.days,
  carried: r.carried.map(({ item, name, mass, used }) => ({ item, name, mass, used })),
  missed: r.missed.map((m) => m.name),
});
