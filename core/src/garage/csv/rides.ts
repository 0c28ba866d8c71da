import { at, present } from '../../ground/numbers.js';
import { cut } from '../../ground/text.js';
import { TROUBLES } from '../../repairs/index.js';
import { rideSchema, type Ride } from '../../trip/index.js';
import { number, readRows, type Column, type Preview, type Take } from './rows.js';
import { writeCsv } from '../../ground/csv/table.js';

const ground = (on: keyof Ride['km']): Take<Ride> =>
  number((row, value) => (row.km = { ...(row.km ?? { paved: 0, gravel: 0, track: 0 }), [on]: value }), [0, 100_000]);

/** `puncture-tube x2: two patches; mirror`: troubles by key or name, how often, what was used. */
function readMishaps(text: string): { mishaps: Ride['mishaps'] } | { reason: string } {
  const mishaps: Ride['mishaps'] = [];
  for (const part of text
    .split(/[;|\r\n\u2028\u2029]+/u)
    .map((p) => p.trim())
    .filter(Boolean)) {
    const m = present(/^(.+?)(?: ?[x×] ?(\d{1,2}))?(?:: *(.*))?$/iu.exec(part));
    const asked = at(m, 1).trim().toLowerCase();
    const trouble = TROUBLES.find((t) => t.id === asked || t.name.toLowerCase() === asked);
    if (!trouble)
      return { reason: `no such problem "${cut(at(m, 1), 40)}": use its name or key, such as puncture-tube` };
    mishaps.push({
      trouble: trouble.id,
      count: Math.max(1, Math.min(50, Number(m[2] ?? 1))),
      used: cut(m[3] ?? '', 200),
    });
  }
  return { mishaps };
}
const printMishaps = (ride: Ride): string =>
  ride.mishaps
    .map(
      (m) =>
        `${m.trouble}${m.count > 1 ? ` x${m.count}` : ''}${m.used ? `: ${m.used.replace(/[;|\r\n\u2028\u2029]/g, ',')}` : ''}`,
    )
    .join('; ');

const COLUMNS: Column<Ride>[] = [
  {
    title: 'date',
    field: 'date',
    write: (r) => r.date,
    take: (text, row) => {
      if (text === '') return null;
      if (!rideSchema.shape.date.safeParse(text).success) return 'write the date as 2026-05-31';
      row.date = text;
      return null;
    },
  },
  { title: 'paved km', field: 'km.paved', write: (r) => r.km.paved, take: ground('paved') },
  { title: 'gravel km', field: 'km.gravel', write: (r) => r.km.gravel, take: ground('gravel') },
  { title: 'track km', field: 'km.track', write: (r) => r.km.track, take: ground('track') },
  {
    title: 'crossings',
    field: 'crossings',
    write: (r) => r.crossings,
    take: number((row, value) => (row.crossings = value), [0, 500], true),
  },
  {
    title: 'what happened',
    field: 'mishaps',
    write: printMishaps,
    take: (text, row) => {
      const read = readMishaps(text);
      if ('reason' in read) return read.reason;
      row.mishaps = read.mishaps;
      return null;
    },
  },
  {
    title: 'note',
    field: 'note',
    write: (r) => r.note,
    take: (text, row) => {
      row.note = text;
      return null;
    },
  },
  { title: 'id', field: 'id', write: (r) => r.id, take: () => null },
];
export const RIDE_COLUMNS: readonly string[] = COLUMNS.map((c) => c.title);

/** Rides as a CSV table, one a row, in the columns by which they are read. */
export const writeRides = (rides: readonly Ride[]): string =>
  writeCsv(
    RIDE_COLUMNS,
    rides.map((r) => COLUMNS.map((c) => c.write(r))),
  );

/** Reads a table of rides. A line whose `id` is a known ride changes that one; any other is new and belongs to the bike. */
export function readRides(
  text: string,
  bikeId: string,
  known: readonly Ride[],
  nextId: () => string,
): { ok: true; preview: Preview<Ride> } | { ok: false; message: string } {
  return readRows<Ride>(text, {
    columns: COLUMNS,
    schema: rideSchema,
    known,
    lacks: (fields) =>
      fields.has('date')
        ? null
        : 'there is no column "date": the first line must name the columns, such as date, paved km, what happened',
    start: (old) => (old ? { km: old.km } : {}),
    finish(draft, old, cells) {
      if (old) return { ...old, ...draft, id: old.id };
      if (!draft.date) {
        cells.fault('date', 'say the day: 2026-05-31');
        return null;
      }
      const blank: Ride = {
        id: nextId(),
        bike: bikeId,
        date: draft.date,
        km: { paved: 0, gravel: 0, track: 0 },
        crossings: 0,
        mishaps: [],
        note: '',
      };
      return { ...blank, ...draft };
    },
  });
}
