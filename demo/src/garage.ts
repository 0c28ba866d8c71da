import {
  at,
  DEFAULT_PRACTICE,
  newGarage,
  newKitQuestion,
  newLeg,
  newPerson,
  newSupply,
  STRANDED,
  placeLibrary,
  usualPlaces,
  type GarageDocument,
  type KitQuestion,
  type Supply,
  type Trip,
} from '@necessaire/core';
import { carrack, carrackLines } from './carrack.js';
import { crewOnTamber, tamber } from './crew.js';
import { drawer } from './drawer.js';
import { demoIds } from './ids.js';
import { fastenersFrom } from './lines.js';
import { leavesAfter, practice } from './practice.js';
import { quarrel, quarrelLines } from './quarrel.js';
import { osselWay } from './way.js';

/** Nine made-up days on a made-up plateau. */
function ossel(id: string, nextLeg: () => string, ask: KitQuestion['ask']): Trip {
  const leg = (
    name: string,
    days: number,
    [paved, gravel, track]: [number, number, number],
    crossings: number,
    helpKm: number,
    signal: boolean,
    workshopKm: number,
  ) => ({
    ...newLeg(nextLeg(), name),
    days,
    km: { paved, gravel, track },
    crossings,
    helpKm,
    signal,
    workshopKm,
    hours: 6.5 * days,
  });
  return {
    id,
    name: 'Nine days on the Ossel plateau',
    legs: [
      leg('Approach to Varn', 1, [240, 30, 0], 0, 4, true, 45),
      leg('Up the Lerrig gorge', 2, [40, 170, 60], 4, 18, false, 120),
      leg('Across the plateau', 3, [0, 260, 190], 9, 46, false, 230),
      leg('Down to Sill lake', 2, [60, 220, 70], 3, 22, false, 140),
      leg('Home by the coast', 1, [300, 0, 0], 0, 5, true, 30),
    ],
    recovery: 'friend',
    callOut: 4,
    coverKm: null,
    speeds: STRANDED,
    companions: 2,
    pillion: 0,
    along: [],
    leaves: null,
    serviceLevel: 0.9,
    factors: { age: 1.1, load: 1.1, care: 0.9 },
    route: osselWay(),
    air: { times: 6, low: 120, high: 200 },
    kit: { ...newKitQuestion(), ask },
    note: '',
  };
}

/**
 * The made-up garage that a first start opens: two bikes, a toolbox, a trip.
 * @param ask what is asked of the trip's kit
 * @param today ISO date from which drills, checks and the day of leaving are counted; null for a rider who practised nothing yet
 */
export function demoGarage(ask: KitQuestion['ask'] = 'worth', today: string | null = null): GarageDocument {
  const id = demoIds();
  const bikes = [quarrel(id('bike'), () => id('service')), carrack(id('bike'), () => id('service'))];
  const nine = ossel(id('trip'), () => id('leg'), ask);
  const three = tamber(id('trip'), () => id('leg'));
  const leaving = (trip: Trip, days: number) => (today === null ? trip : leavesAfter(trip, today, days));
  const { companions, crew } = crewOnTamber(three, at(bikes, 0).id, id);
  const pieces = drawer(() => id('piece'));
  return {
    garage: newGarage({
      name: 'Demo garage',
      rider: newPerson({ name: 'Mirel' }),
      practice: { ...DEFAULT_PRACTICE, pressures: 'ground' },
    }),
    bikes,
    fasteners: [
      ...fastenersFrom(quarrelLines, at(bikes, 0).id, () => id('fastener')),
      ...fastenersFrom(carrackLines, at(bikes, 1).id, () => id('fastener')),
    ],
    kinds: [],
    pieces,
    supplies: (
      [
        ['front tube', 1, { fits: '80/100-21, straight' }],
        ['patch', 6, { bought: '2026-03-02' }],
        ['valve core', 2],
        ['cable tie', 30],
        ['wire', 2],
        ['clutch lever', 1, { condition: 'used, known good', fits: 'short, ball end' }],
        ['fuse', 5],
        ['chain link', 2, { fits: '520, 112, clip' }],
        ['metal putty', 2, { bought: '2026-03-02' }],
        ['plug string', 5],
        ['bolt M6', 8],
        ['dressing', 4],
        ['spare key', 1],
        [
          'cable inner',
          1,
          { fittedOn: at(bikes, 0).id, fits: 'barrel 8, pear 5, 1100 mm', note: 'Lies beside the live one.' },
        ],
      ] as [Supply['kind'], number, Partial<Supply>?][]
    ).map(([kind, quantity, more]) => newSupply({ id: id('supply'), kind, quantity, ...more })),
    // What the made-up rider wrote down of earlier rides.
    rides: (
      [
        ['2025-06-08', [420, 180, 60], 3, [['puncture-tube', 1, 'two patches']]],
        [
          '2025-07-19',
          [300, 520, 240],
          8,
          [
            ['fastener-lost', 2, 'two M6 bolts'],
            ['luggage', 1, 'ties and wire'],
          ],
        ],
        [
          '2025-09-27',
          [160, 90, 130],
          2,
          [
            ['clutch-lever', 1, 'spare lever'],
            ['mirror', 1, ''],
          ],
        ],
        ['2026-04-04', [520, 60, 0], 0, []],
      ] as [string, [number, number, number], number, [string, number, string][]][]
    ).map(([date, [paved, gravel, track], crossings, mishaps]) => ({
      id: id('ride'),
      bike: at(bikes, 0).id,
      date,
      km: { paved, gravel, track },
      crossings,
      mishaps: mishaps.map(([trouble, count, used]) => ({ trouble, count, used })),
      note: '',
    })),
    trips: [leaving(nine, 30), leaving(three, 60)],
    places: bikes.flatMap((bike, i) =>
      [
        ...usualPlaces(bike),
        // The made-up rider of the first bike has a pack on the front mudguard too.
        ...(i === 0 ? placeLibrary(bike).filter((p) => p.name === 'Front mudguard pack') : []),
      ].map((p) => ({ ...p, id: id('place'), bikeId: bike.id })),
    ),
    pins: [],
    mends: [],
    kits: [],
    packings: [],
    companions,
    crews: [crew],
    loans: [],
    reminders: [],
    memories: [],
    happened: [],
    reviews: [],
    ...(today === null ? { drills: [], checks: [], watches: [] } : practice(today, at(bikes, 0), nine, pieces, id)),
  };
}
