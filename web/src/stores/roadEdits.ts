import {
  newSupply,
  pieceKey,
  rehearsal,
  reviewedFrom,
  spareKey,
  startDrill,
  watchAfterFall,
  type Drill,
  type GarageDocument,
  type Happened,
  type Loan,
  type Must,
  type ProveCase,
  type Rehearsal,
  type Review,
  type Ride,
  type Trip,
} from '@necessaire/core';
import type { RowChange } from './changes';
import { change, endingOf, takeOff, type Ending } from './proveEdits';
import * as texts from '../words/stores/roadEdits';

/** When and where something is written down, and by whom. */
export interface Moment {
  nextId: () => string;
  now: string;
  today: string;
  /** Where, in words; empty where the device did not tell. */
  place: string;
}
type Case = Pick<ProveCase, 'bike' | 'trip' | 'book'>;
/** A thing of the kit as it is picked from a list. */
export interface Thing {
  /** `piece <id>` or `supply <kind>`. */
  item: string;
  name: string;
}

const row = (c: Case, m: Moment, more: Pick<Happened, 'what' | 'name'> & Partial<Happened>): RowChange =>
  change('happened', null, {
    id: m.nextId(),
    bikeId: c.bike.id,
    tripId: c.trip?.id ?? null,
    on: m.now,
    item: '',
    units: 0,
    trouble: '',
    place: m.place.slice(0, 200),
    ...more,
  });

/** Something was used: a spare goes off the stock. */
export function usedRows(doc: GarageDocument, c: Case, thing: Thing, m: Moment, units = 1): RowChange[] {
  const kind = thing.item.startsWith('supply ') ? thing.item.slice('supply '.length) : null;
  return [
    row(c, m, { what: 'used', item: thing.item, name: thing.name, units }),
    ...(kind === null ? [] : takeOff(doc, kind, units)),
  ];
}

/** Something was needed and not there. */
export const missedRows = (c: Case, name: string, trouble: string, m: Moment): RowChange[] => [
  row(c, m, { what: 'missed', name: name.trim().slice(0, 160), trouble }),
];

/** Something was lent on the way: out of every kit until it is back. */
export function lentRows(doc: GarageDocument, thing: Thing, to: string, m: Moment): RowChange[] {
  const [kind, ...rest] = thing.item.split(' ');
  const of = rest.join(' ');
  const stock = doc.supplies.find((s) => s.kind === of && s.quantity > 0);
  const item = kind === 'piece' ? pieceKey(of) : stock ? `spare ${stock.id}` : null;
  if (item === null) return [];
  const loan: Loan = {
    ...{ id: m.nextId(), item, name: thing.name.slice(0, 120), count: 1, to },
    ...{ date: m.today, settled: null, note: '' },
  };
  return [change('loans', null, loan)];
}

/** A fall: into the day’s log, and the bike onto the watch list. */
export function fallRows(c: Case, m: Moment): RowChange[] {
  const watch = watchAfterFall(c.bike, { id: m.nextId(), since: m.today });
  return [row(c, m, { what: 'fall', name: texts.fall }), change('watches', null, watch)];
}

/**
 * A repair that is done already, as the way has it: a repair without a clock, with all that it changes. Its tools count as used, its spares go off the
 * stock, its heads are proven.
 */
export function fixedRows(
  doc: GarageDocument,
  c: ProveCase,
  r: Rehearsal,
  given: Moment & { who: string; dark: boolean; said: string },
): { rows: RowChange[]; ending: Ending } {
  const drill: Drill = {
    ...startDrill(r, {
      ...{ id: given.nextId(), bikeId: c.bike.id, tripId: c.trip?.id ?? null, who: given.who },
      ...{ dark: given.dark, now: given.now, dry: false, real: true },
    }),
    ...{ state: 'done', step: r.steps.length, since: null, ended: given.now, turned: [...r.turned] },
  };
  const used = [...new Map(r.steps.flatMap((s) => s.needs).map((n) => [n.need, n.need])).values()].flatMap((n) =>
    n?.by === 'supply' ? [{ kind: n.kind, units: n.units }] : [],
  );
  const ending = endingOf(doc, c, drill, r, used, { ...given, watch: true });
  return { rows: [change('drills', null, drill), ...ending.rows], ending };
}
/** The way that the kit goes for a trouble, on this bike. */
export const kitWay = (c: ProveCase, trouble: string): Rehearsal | null => {
  const mend = c.kit.mends.find((m) => m.troubleId === trouble && m.bikeId === c.bike.id && m.way !== null);
  return mend ? rehearsal(c, trouble, mend.wayName) : null;
};

/** What of a review is taken over. */
export interface Accepted {
  /** Items that stay at home from now on. */
  home: readonly string[];
  /** Troubles that the kit must allow to fix from now on. */
  musts: readonly string[];
  /** Kinds of spare that were bought again. */
  bought: readonly string[];
  /** The trip’s km as a ride, and on the odometer. */
  km: boolean;
}

const rideWith = (doc: GarageDocument, c: Case, r: Review, m: Moment): RowChange[] => {
  if (!r.ride) return [];
  const before = doc.rides.find((x) => x.bike === c.bike.id && x.date === r.days.to) ?? null;
  const ride: Ride = before
    ? { ...before, ...r.ride }
    : {
        ...{ id: m.nextId(), bike: c.bike.id, date: r.days.to, mishaps: [], note: c.trip?.name ?? '' },
        ...r.ride,
      };
  const { paved, gravel, track } = r.ride.km;
  const bike = doc.bikes.find((b) => b.id === c.bike.id) ?? c.bike;
  const odometer = Math.min(100_000, bike.odometer + paved + gravel + track);
  return [change('rides', before, ride), change('bikes', bike, { ...bike, odometer })];
};

/** A trip that asks its kit for more than it did. */
export function withMusts(trip: Trip, troubles: readonly string[]): Trip {
  const known = new Set(trip.kit.musts.flatMap((x) => (x.by === 'repair' ? [x.trouble] : [])));
  const more = [...new Set(troubles)]
    .filter((t) => !known.has(t))
    .map((trouble): Must => ({ by: 'repair', trouble, grade: trip.kit.grade }));
  return more.length === 0 ? trip : { ...trip, kit: { ...trip.kit, musts: [...trip.kit.musts, ...more].slice(0, 60) } };
}

/** A review taken over: the row of the trip, and what changes in toolbox, ride log, trip and bike; one edit, undone as one. */
export function reviewRows(
  doc: GarageDocument,
  c: ProveCase,
  r: Review,
  accepted: Accepted,
  m: Moment,
  again: string | null = null,
): RowChange[] {
  const before = doc.reviews.find((x) => x.id === again) ?? null;
  const done = reviewedFrom(c, r, { id: before?.id ?? m.nextId(), made: m.now });
  const home = new Set(accepted.home);
  const pieces = doc.pieces
    .filter((p) => home.has(pieceKey(p.id)) && p.mark !== 'never')
    .map((p) => change('pieces', p, { ...p, mark: 'never' }));
  const supplies = doc.supplies
    .filter((s) => home.has(spareKey(s.kind)) && s.mark !== 'never')
    .map((s) => change('supplies', s, { ...s, mark: 'never' }));
  // What was bought lies beside what is left, with a day of its own.
  const bought = r.buy
    .filter((b) => accepted.bought.includes(b.kind))
    .map((b) => {
      const fits = doc.supplies.find((s) => s.kind === b.kind)?.fits ?? '';
      return change(
        'supplies',
        null,
        newSupply({ id: m.nextId(), kind: b.kind, quantity: b.buy, fits, bought: m.today }),
      );
    });
  const kept = doc.kits.find((k) => k.id === c.trip?.kit.use && !k.frozen) ?? null;
  const lighter = kept && {
    ...kept,
    pieces: kept.pieces.filter((p) => !home.has(pieceKey(p.pieceId))),
    supplies: kept.supplies.filter((s) => !home.has(spareKey(s.kind))),
  };
  const trip = doc.trips.find((t) => t.id === c.trip?.id) ?? null;
  const asks = trip && withMusts(trip, accepted.musts);
  return [
    change('reviews', before, done),
    ...pieces,
    ...supplies,
    ...bought,
    ...(kept && lighter && lighter.pieces.length + lighter.supplies.length < kept.pieces.length + kept.supplies.length
      ? [change('kits', kept, lighter)]
      : []),
    ...(trip && asks && asks !== trip ? [change('trips', trip, asks)] : []),
    ...(accepted.km ? rideWith(doc, c, r, m) : []),
  ];
}
