import {
  baseWay,
  cannotDo,
  cannotReach,
  countsAsTime,
  daysBetween,
  doesNotFit,
  drillMinutes,
  liesIn,
  ME,
  missing,
  needsOf,
  rehearsal,
  spareKey,
  tooWeak,
  troublesIn,
  turnedIn,
  watchFor,
  type AccessSeen,
  type Bike,
  type CheckDone,
  type Drill,
  type Garage,
  type GarageDocument,
  type ProveCase,
  type Rehearsal,
  type Ride,
  type Row,
  type TableName,
  type Watch,
} from '@necessaire/core';
import type { RowChange } from './changes';
import * as texts from '../words/stores/proveEdits';

/** What somebody says who is stuck, with what it takes to make a fact of it. */
export type Said =
  /** A tool by `piece <id>`, a spare by the id of its row as `spare <id>`. */
  | { reason: 'missing'; item: string; name: string }
  | { reason: 'does not fit'; fastenerId: string; tool: string }
  | { reason: 'too weak'; pieceId: string }
  | { reason: 'cannot reach'; fastenerId: string; end: 'near' | 'far'; seen: AccessSeen }
  | { reason: 'do not know how' }
  | { reason: 'wrong place'; item: string; placeId: string };

/** Rows, and the garage's own fields, that a fact changes; what it is called; empty where nothing can be written. */
export interface Fact {
  label: string;
  says: string;
  rows: RowChange[];
  garage?: Garage;
}

export const change = (table: TableName, before: Row | null, after: Row): RowChange => ({
  table,
  id: after.id,
  before,
  after,
});
const NOTHING: Fact = { label: '', says: '', rows: [] };

/** Who did it, by name. */
export const nameOf = (doc: GarageDocument, who: string): string =>
  who === ME ? doc.garage.rider.name : (doc.companions.find((c) => c.id === who)?.person.name ?? '');

/** What being stuck changes: each reason becomes the fact that it is. */
export function factOf(
  doc: GarageDocument,
  drill: Drill,
  r: Pick<Rehearsal, 'trouble' | 'way'>,
  said: Said,
  given: { nextId: () => string; now: string; today: string },
): Fact {
  const shown = { who: nameOf(doc, drill.who), when: given.now, drill: r.trouble.name };
  switch (said.reason) {
    case 'missing': {
      const row = missing(said, { id: given.nextId(), on: given.today, drill: r.trouble.name });
      return {
        label: texts.isMissing(said.name),
        says: texts.isMissingFromYourKits(said.name),
        rows: [change('loans', null, row)],
      };
    }
    case 'does not fit': {
      const f = doc.fasteners.find((x) => x.id === said.fastenerId);
      if (!f) return NOTHING;
      return {
        label: texts.doesNotFit(said.tool, f.name),
        says: texts.theSizeOfIsAssumed(f.name),
        rows: [change('fasteners', f, doesNotFit(f, said.tool, shown))],
      };
    }
    case 'too weak': {
      const p = doc.pieces.find((x) => x.id === said.pieceId);
      if (!p) return NOTHING;
      return {
        label: texts.isBroken(p.name),
        says: texts.countsAsBrokenKitsAre(p.name),
        rows: [change('pieces', p, tooWeak(p))],
      };
    }
    case 'cannot reach': {
      const f = doc.fasteners.find((x) => x.id === said.fastenerId);
      if (!f) return NOTHING;
      return {
        label: texts.whatIsFreeAt(f.name),
        says: texts.isLookedAtAnewWith(f.name),
        rows: [change('fasteners', f, cannotReach(f, said.end, said.seen))],
      };
    }
    case 'wrong place': {
      const before = doc.pins.find((p) => p.bikeId === drill.bikeId && p.item === said.item) ?? null;
      const row = liesIn(said.item, said.placeId, { id: before?.id ?? given.nextId(), bikeId: drill.bikeId });
      const place = doc.places.find((p) => p.id === said.placeId)?.name ?? '';
      return { label: texts.whereItLies, says: texts.itLiesInFromNow(place), rows: [change('pins', before, row)] };
    }
    case 'do not know how': {
      const { subject } = r.trouble;
      const says = texts.skillInIsSetLower(subject);
      if (drill.who === ME) {
        const rider = cannotDo(doc.garage.rider, subject, r.way.skill);
        return rider === doc.garage.rider
          ? NOTHING
          : { label: texts.skillIn(subject), says, rows: [], garage: { ...doc.garage, rider } };
      }
      const c = doc.companions.find((x) => x.id === drill.who);
      const person = c && cannotDo(c.person, subject, r.way.skill);
      return c && person && person !== c.person
        ? { label: texts.skillIn(subject), says, rows: [change('companions', c, { ...c, person })] }
        : NOTHING;
    }
  }
}

/** What a finished drill leaves behind. */
export interface Ending {
  rows: RowChange[];
  /** Names of heads that are proven now. */
  proven: string[];
  watch: Watch | null;
  /** Spares taken off the stock: name and number. */
  used: { name: string; units: number }[];
}

/** Takes units off the rows of a kind, the oldest first. */
export function takeOff(doc: GarageDocument, kind: string, units: number): RowChange[] {
  const rows = doc.supplies
    .filter((s) => (kind === 'bolt' ? s.kind.startsWith('bolt ') : s.kind === kind) && s.fittedOn === null)
    .sort((a, b) => ((a.bought ?? '9') < (b.bought ?? '9') ? -1 : 1));
  const out: RowChange[] = [];
  let left = units;
  for (const row of rows) {
    const taken = Math.min(left, row.quantity);
    if (taken <= 0) continue;
    left -= taken;
    out.push(change('supplies', row, { ...row, quantity: row.quantity - taken }));
  }
  return out;
}

/**
 * What a drill that is done changes: heads that were turned are proven, what was used up goes off the stock, and what is to be looked at again goes
 * on the watch list.
 * @param used kinds that were really used up, and units
 */
export function endingOf(
  doc: GarageDocument,
  c: Pick<ProveCase, 'bike' | 'book'>,
  drill: Drill,
  r: Pick<Rehearsal, 'trouble' | 'way'>,
  used: readonly { kind: string; units: number }[],
  given: { nextId: () => string; now: string; today: string; watch: boolean; said?: string; place?: string },
): Ending {
  if (drill.state !== 'done' || drill.dry) return { rows: [], proven: [], watch: null, used: [] };
  const shown = { who: nameOf(doc, drill.who), when: given.now, drill: r.trouble.name };
  const heads = doc.fasteners.filter((f) => drill.turned.includes(f.id));
  const stuckOn = new Set(drill.stuck.filter((s) => s.reason === 'does not fit').map((s) => s.item));
  // A head that its tool did not fit was not shown to turn with it.
  const turned = heads.filter((f) => !stuckOn.has(f.name));
  const watch = given.watch
    ? watchFor(c.bike, r.trouble, r.way, {
        id: given.nextId(),
        from: drill.real ? 'road' : 'drill',
        since: given.today,
        fasteners: doc.fasteners,
        turned: drill.turned,
      })
    : null;
  return {
    proven: turned.map((f) => f.name),
    watch,
    used: used.map((u) => ({ name: c.book.of(u.kind).name, units: u.units })),
    rows: [
      ...turned.map((f) => change('fasteners', f, turnedIn(f, shown))),
      ...used.flatMap((u) => takeOff(doc, u.kind, u.units)),
      ...(watch ? [change('watches', null, watch)] : []),
      ...(drill.real
        ? [
            ...used.map((u) =>
              change('happened', null, {
                id: given.nextId(),
                bikeId: c.bike.id,
                tripId: drill.tripId,
                on: given.now,
                what: 'used',
                item: spareKey(u.kind),
                name: c.book.of(u.kind).name,
                units: u.units,
                trouble: drill.trouble,
                place: given.place ?? '',
              }),
            ),
            loggedMishap(
              doc,
              c.bike.id,
              {
                trouble: drill.trouble,
                used: used.map((u) => `${u.units} ${c.book.of(u.kind).name}`).join(', '),
                said: given.said ?? '',
              },
              { id: given.nextId(), today: given.today },
            ),
          ]
        : []),
    ],
  };
}

/** A mishap written into the ride log of its day: the day's ride of that bike gets it, or a new one is begun. */
export function loggedMishap(
  doc: GarageDocument,
  bikeId: string,
  mishap: { trouble: string; used: string; said?: string },
  given: { id: string; today: string },
): RowChange {
  const before = doc.rides.find((r) => r.bike === bikeId && r.date === given.today) ?? null;
  const ride: Ride = before ?? {
    ...{
      id: given.id,
      bike: bikeId,
      date: given.today,
      km: { paved: 0, gravel: 0, track: 0 },
      crossings: 0,
      mishaps: [],
    },
    note: '',
  };
  const known = ride.mishaps.find((m) => m.trouble === mishap.trouble);
  const mishaps = known
    ? ride.mishaps.map((m) => (m === known ? { ...m, count: m.count + 1 } : m))
    : [...ride.mishaps, { trouble: mishap.trouble, count: 1, used: mishap.used.slice(0, 200) }];
  // When and where, in words: one line an event.
  const note = [ride.note, mishap.said].filter(Boolean).join('\n').slice(0, 2000);
  return change('rides', before, { ...ride, mishaps, note });
}

/** Days that a logged ride may be back for its repairs to be watched still. */
const LOG_DAYS = 30;

/**
 * What a mishap written into the ride log puts on the watch list: by the way that the kit goes for it, with the heads that it turns; null where the
 * ride is long past, was on another bike, or nothing is to be looked at again.
 */
export function watchOfLog(
  doc: GarageDocument,
  bike: Bike,
  ride: Pick<Ride, 'bike' | 'date'>,
  mishap: { trouble: string; way: string | null },
  given: { id: string; today: string },
): Watch | null {
  const trouble = troublesIn(doc).find((t) => t.id === mishap.trouble);
  if (!trouble || ride.bike !== bike.id || daysBetween(ride.date, given.today) > LOG_DAYS) return null;
  const way = (mishap.way !== null && baseWay(trouble, mishap.way)) || trouble.ways[0];
  if (!way) return null;
  const fasteners = doc.fasteners.filter((f) => f.bikeId === bike.id && f.leftOut === null);
  const roles = new Set(needsOf(way, bike).heads.map((h) => h.role));
  return watchFor(bike, trouble, way, {
    id: given.id,
    from: 'log',
    since: ride.date,
    fasteners,
    turned: fasteners.filter((f) => f.role !== null && roles.has(f.role)).map((f) => f.id),
  });
}

/** A check gone through. */
export const checked = (
  c: Pick<ProveCase, 'bike' | 'trip'>,
  key: string,
  result: CheckDone['result'],
  note: string,
  given: { id: string; now: string; who: string },
): CheckDone => ({
  id: given.id,
  bikeId: c.bike.id,
  tripId: c.trip?.id ?? null,
  check: key,
  on: given.now,
  km: c.bike.odometer,
  who: given.who,
  result,
  note: note.trim().slice(0, 300),
});

/** Times of a way by somebody, the first first, in minutes. */
export const timesOf = (drills: readonly Drill[], of: Pick<Drill, 'trouble' | 'way' | 'who'>): number[] =>
  drills
    .filter((d) => countsAsTime(d) && d.trouble === of.trouble && d.way === of.way && d.who === of.who)
    .sort((a, b) => (a.started < b.started ? -1 : 1))
    .map(drillMinutes);

/** The rehearsal of a drill that was begun: by the way as the kit goes it now, else by its own name. */
export function rehearsalOf(c: ProveCase, drill: Pick<Drill, 'trouble' | 'way' | 'wheel'>): Rehearsal | null {
  const trouble = c.troubles.find((t) => t.id === drill.trouble);
  const mend = c.kit.mends.find((m) => m.troubleId === drill.trouble && m.bikeId === c.bike.id && m.way !== null);
  const helped = mend && mend.wayName.startsWith(`${drill.way}, with `) ? mend.wayName : drill.way;
  const go = (way: string) => rehearsal(c, drill.trouble, way, drill.wheel);
  return trouble ? (go(helped) ?? go(drill.way)) : null;
}
