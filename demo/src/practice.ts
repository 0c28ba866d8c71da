import type { Bike, CheckDone, Drill, GarageDocument, Piece, Reviewed, Trip, Watch } from '@necessaire/core';
import type { demoIds } from './ids.js';

/** ISO date so many days from another. */
const day = (today: string, days: number): string =>
  new Date(Date.parse(today) + days * 86_400_000).toISOString().slice(0, 10);

/** Tools that were along on both weekends. */
const ALONG: readonly string[] = [
  'Combination spanner 12',
  'Combination spanner 27',
  'Plain bar ⅜ in, 250 mm',
  'Adapter ⅜ in to ¼ in',
  'Socket ¼ in, 8',
  'Socket ¼ in, 10',
  'Bit T20',
  'Bit PH2',
  'Bit inside hex 4',
  'Adjustable spanner 250 mm, light alloy',
];

/** What the made-up rider practised and looked at before the long trip, counted from the day on which the demo is made. */
export function practice(
  today: string,
  bike: Bike,
  trip: Trip,
  pieces: readonly Piece[],
  id: ReturnType<typeof demoIds>,
): Pick<GarageDocument, 'drills' | 'checks' | 'watches' | 'reviews'> {
  const drill = (
    ago: number,
    trouble: string,
    way: string,
    planned: number,
    minutes: readonly number[],
    more: Partial<Drill> = {},
  ): Drill => {
    const started = `${day(today, -ago)}T09:00:00.000Z`;
    return {
      id: id('drill'),
      bikeId: bike.id,
      tripId: trip.id,
      trouble,
      way,
      wheel: null,
      who: 'me',
      started,
      ended: `${day(today, -ago)}T11:00:00.000Z`,
      state: 'done',
      real: false,
      dry: false,
      dark: false,
      planned,
      step: minutes.length,
      since: null,
      seconds: minutes.map((m) => Math.round(m * 60)),
      stuck: [],
      tools: [],
      turned: [],
      note: '',
      ...more,
    };
  };
  const check = (ago: number, key: string, result: CheckDone['result'] = 'ok', note = ''): CheckDone => ({
    id: id('check'),
    bikeId: bike.id,
    tripId: trip.id,
    check: key,
    on: `${day(today, -ago)}T18:00:00.000Z`,
    km: bike.odometer,
    who: 'me',
    result,
    note,
  });
  /** A weekend of spring that was looked back on: what was along, and what of it was used. */
  const weekend = (ago: number, name: string, used: readonly string[], missed: readonly string[] = []): Reviewed => ({
    id: id('review'),
    bikeId: bike.id,
    tripId: null,
    name,
    from: day(today, -ago),
    to: day(today, 1 - ago),
    made: `${day(today, 2 - ago)}T19:00:00.000Z`,
    carried: pieces
      .filter((p) => ALONG.includes(p.name))
      .map((p) => ({
        item: `piece ${p.id}`,
        name: p.name,
        mass: p.mass * p.count,
        used: used.includes(p.name) ? 1 : 0,
      })),
    missed: [...missed],
  });
  const watch: Watch = {
    id: id('watch'),
    bikeId: bike.id,
    name: 'Front wheel out and in',
    why: 'Patch the tube: front axle turned',
    caution: 'Check by hand every fastener that you turned before you ride.',
    station: 'front-wheel',
    from: 'drill',
    since: day(today, -9),
    atKm: Math.max(0, bike.odometer - 18),
    everyKm: 50,
    lastsKm: null,
    lastsKmh: null,
    looked: [],
    closed: null,
  };
  return {
    reviews: [
      weekend(40, 'Two days round Sill lake', ['Combination spanner 27', 'Plain bar ⅜ in, 250 mm']),
      weekend(26, 'A weekend in the Lerrig hills', ['Combination spanner 12'], ['Second pair of gloves']),
    ],
    drills: [
      drill(48, 'puncture-tube', 'Patch the tube', 50, [6, 17, 24, 11, 16, 10], { wheel: 'front' }),
      drill(9, 'puncture-tube', 'Patch the tube', 50, [4, 12, 15, 9, 9, 8], { wheel: 'front' }),
      drill(9, 'clutch-lever', 'New lever', 24, [3, 8, 6, 4]),
      drill(8, 'drowned', 'New plug', 50, [5, 9], {
        state: 'given up',
        stuck: [{ step: 1, reason: 'cannot reach', item: 'Spark plug' }],
      }),
    ],
    checks: [
      check(9, 'tube front tube'),
      check(9, 'glue'),
      check(8, 'battery', 'found', '12.3 V in the morning: charged, look again'),
      check(8, 'bearings'),
      check(8, 'levers'),
    ],
    watches: [watch],
  };
}

/** The day of leaving, so many days after the demo is made. */
export const leavesAfter = (trip: Trip, today: string, days: number): Trip => ({ ...trip, leaves: day(today, days) });
