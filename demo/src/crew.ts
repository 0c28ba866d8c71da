import {
  at,
  newCrew,
  newKitQuestion,
  newLeg,
  newPerson,
  newTrip,
  readCompanion,
  templateBike,
  ME,
  type Companion,
  type Crew,
  type Trip,
} from '@necessaire/core';
import type { demoIds } from './ids.js';
import { fastenersFrom, itemsFrom } from './lines.js';

type NextId = ReturnType<typeof demoIds>;

/** Three made-up days on a made-up ridge: the crew falls in two on the second, and a car comes to the last. */
export function tamber(id: string, nextLeg: () => string): Trip {
  const leg = (
    name: string,
    [paved, gravel, track]: [number, number, number],
    helpKm: number,
    workshopKm: number,
    signal: boolean,
  ) => ({ ...newLeg(nextLeg(), name), km: { paved, gravel, track }, helpKm, workshopKm, signal, hours: 6 });
  return {
    ...newTrip(id, 'Three days on the Tamber ridge'),
    legs: [
      leg('Up to the ridge', [90, 110, 20], 9, 55, true),
      leg('Along the ridge, in two parts', [20, 90, 70], 24, 90, false),
      leg('Down to the mill, with the car', [120, 70, 20], 8, 40, true),
    ],
    recovery: 'friend',
    callOut: 2,
    companions: 3,
    kit: { ...newKitQuestion(), ask: 'worth' },
  };
}

/** Oke’s bike: a big twin without tubes, measured now and then. */
const okeLines = `
i19 front axle 65nm measured @front-wheel |front axle
i6 axle pinch x2 m8 18nm measured @front-wheel |front axle pinch
t45 caliper bolt x4 m10 38nm measured @front-wheel
valve core valve core front clean tried @front-wheel |valve core
t30 hand guard x4 m6 8nm loose accessory measured @cockpit
13 mirror stem x2 m10 20nm loose measured @cockpit |mirror
10 clutch lever pivot m6 8nm measured @cockpit |clutch lever
10 brake lever pivot m6 8nm measured @cockpit |brake lever
t30 side panel x6 m6 6nm loose measured @tank-seat
i5 seat bolt x2 m6 8nm measured @tank-seat |seat
ph2 battery terminal x2 m5 4nm clean tried @electrics |battery
10 gear pedal pinch m6 10nm measured @controls |gear pedal
i5 crash bar clamp x4 m8 22nm loose accessory measured @engine
27 rear axle nut 100nm dirty tried @rear-wheel |rear axle
13 chain adjuster x2 m8 16nm measured @rear-wheel |chain adjuster
valve core valve core rear clean tried @rear-wheel |valve core
t30 rack bolt x6 m6 10nm loose accessory measured @racks |luggage rack
`;
const okeTools = `
socket 3/8 10
socket 3/8 13
ratchet 3/8
extension 3/8 75
T30 bit 3/8
T45 bit 3/8
hex key 5
hex key 6
hex key 19
27 combination spanner
electric pump
plug strings x5
reamer
locking pliers
jump leads
head torch
tow strap
first-aid kit
cable ties x15
`;

/** Tal’s bike: an inch-sized cruiser with a shaft. */
const talLines = `
3/4in front axle nut 60nm measured @front-wheel |front axle
5/16in axle pinch x2 18nm measured @front-wheel |front axle pinch
3/16in hex key caliper bolt x4 30nm measured @front-wheel
valve core valve core front clean tried @front-wheel |valve core
9/16in mirror stem x2 14nm loose measured @cockpit |mirror
t27 clutch lever pivot 9nm measured @cockpit |clutch lever
t27 brake lever pivot 9nm measured @cockpit |brake lever
3/16in hex key seat bolt 8nm measured @tank-seat |seat
3/8in battery terminal x2 6nm clean tried @electrics |battery
1/2in crash bar clamp x4 22nm loose measured @engine
7/16in side cover x4 9nm loose measured @tank-seat
1/2in gear pedal pinch 20nm measured @controls |gear pedal
7/8in rear axle nut 90nm dirty tried @rear-wheel |rear axle
valve core valve core rear clean tried @rear-wheel |valve core
1/2in silencer clamp 24nm rusted measured @exhaust |exhaust fixing
t40 bag bracket x4 12nm loose accessory measured @racks |luggage rack
`;
const talTools = `
7/16in combination spanner
1/2in combination spanner
9/16in combination spanner
3/4in combination spanner
7/8in combination spanner
hex key 3/16in
T27 screwdriver
adjustable 250
hand pump
first-aid kit
foil blanket
head torch
cloth tape
wire
`;

/** Four made-up people on unlike bikes; of one of them next to nothing is known. */
export function crewOnTamber(trip: Trip, mine: string, id: NextId): { companions: Companion[]; crew: Crew } {
  const oke: Companion = {
    id: id('person'),
    person: newPerson({ name: 'Oke', mass: 98_000, hand: 2 }),
    bikes: [
      {
        ...templateBike(id('bike'), 'Haldane 900', 'adventure'),
        drive: 'chain',
        fit: { chain: '525, 118, rivet', fuses: 'small blade, 10 15 A', valve: 'short' },
      },
    ],
    ...{ fasteners: [], pieces: [], supplies: [], places: [], kinds: [] },
    from: { by: 'file', garage: 'Oke’s garage', read: '2026-04-20' },
    note: '',
  };
  const tal: Companion = {
    id: id('person'),
    person: newPerson({ name: 'Tal', mass: 84_000, hand: 1, firstAid: true, skills: { people: 3 } }),
    bikes: [
      { ...templateBike(id('bike'), 'Mariner 1200', 'cruiser'), drive: 'shaft', tyres: 'tubed', wheels: 'spoked' },
    ],
    ...{ fasteners: [], pieces: [], supplies: [], places: [], kinds: [] },
    from: { by: 'file', garage: 'Tal’s garage', read: '2026-04-20' },
    note: '',
  };
  const companions = [
    {
      ...oke,
      fasteners: fastenersFrom(okeLines, at(oke.bikes, 0).id, () => id('fastener'), 'Oke'),
      ...itemsFrom(okeTools, () => id('piece')),
    },
    {
      ...tal,
      fasteners: fastenersFrom(talLines, at(tal.bikes, 0).id, () => id('fastener'), 'Tal'),
      ...itemsFrom(talTools, () => id('piece')),
    },
    readCompanion('Bo, trail 200, tubes, anybody, carries 3 kg', () => id('person')).companion,
  ];
  const [first, second, third] = companions.map((c) => c.id) as [string, string, string];
  const [, ridge, down] = trip.legs;
  const crew = newCrew({
    id: id('crew'),
    tripId: trip.id,
    members: [{ who: ME, bikeId: mine }, ...companions.map((c) => ({ who: c.id, bikeId: at(c.bikes, 0).id }))],
    splits: [
      {
        id: id('crew'),
        name: 'The two halves',
        groups: [
          [ME, first],
          [second, third],
        ],
        legs: ridge ? [ridge.id] : [],
      },
    ],
    vehicles: [
      { id: id('crew'), name: 'The car', kind: 'car', legs: down ? [down.id] : [], limit: 200_000, litres: 300 },
    ],
  });
  return { companions, crew };
}
