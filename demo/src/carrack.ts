import type { Bike } from '@necessaire/core';
import { services } from './services.js';

/** A made-up tourer: flat twin, shaft, tubeless. */
export const carrack = (id: string, serviceId: () => string): Bike => ({
  id,
  name: 'Carrack 1100',
  wheelbase: 1525,
  tyreFront: '110/80-19',
  tyreRear: '150/70-17',
  tyres: 'tubeless',
  drive: 'shaft',
  engine: 'flat twin',
  cooling: 'air',
  fuelling: 'injection',
  strokes: 4,
  plugs: 2,
  starter: 'electric',
  wheels: 'cast',
  brakeFront: 'two discs',
  brakeRear: 'disc',
  tank: 22,
  seat: 'stepped',
  fitted: [
    'hand guards',
    'crash bars',
    'skid plate',
    'rear rack',
    'side racks',
    'screen',
    'centre stand',
    'heated grips',
  ],
  seatHeight: 850,
  mass: 236_000,
  payload: 215_000,
  frontAxle: 118_000,
  centreHeight: null,
  loadIndexFront: 59,
  loadIndexRear: 69,
  rackLimit: 10_000,
  odometer: 61_200,
  consumption: 5.4,
  oilUse: 60,
  weak: [],
  engineHours: 0,
  fit: {
    plug: 'M12, 26.5 mm, 0.9 mm',
    'bulb main': 'two-filament, 60/55 W',
    'bulb tail': '5/21 W',
    fuses: 'large blade, 5 7.5 15 30 A',
    valve: 'short',
    'oil filter': '76 × 70 mm, spin-on',
    'brake fluid': 'grade 4 on the cap',
    'engine oil': '15W-50, 3.8 L',
    'power socket': 'two-pin, 10 A',
    'cut-outs': 'side stand, gear',
  },
  pushStarts: false,
  prevention: [],
  services: services(serviceId, [
    ['Engine oil', 10_000, 365, 0.8, 38_000, 'engine oil, mL', 3800],
    ['Air filter', 20_000, null, 0.4, 30_000, 'air filter', 1],
    ['Rear tyre', 9000, null, 0.8, 36_500, 'rear tyre', 1],
    ['Brake pads, rear', 18_000, null, 0.7, 30_000, 'brake pads', 1],
  ]),
  note: 'Long-distance bike. Boxes on most of the year.',
});

export const carrackLines = `
i22 front axle 50nm dirty measured @front-wheel |front axle
t45 axle pinch x2 m8 19nm measured @front-wheel |front axle pinch
t50 caliper bolt x4 m10 38nm measured @front-wheel
i5 pad retainer x2 10nm measured @front-wheel |brake pads
valve core valve core front clean tried @front-wheel |valve core
t25 wheel sensor m6 8nm assumed @front-wheel
t30 mudguard x4 m6 8nm measured @front-wheel
t25 windscreen x4 m5 4nm loose tried @cockpit
t30 hand guard x4 m6 8nm loose accessory measured @cockpit
t40 bar clamp x4 m8 19nm measured @cockpit |bars
17 mirror stem x2 m10 22nm loose measured @cockpit |mirror
t30 clutch lever pivot far 10 m6 8nm measured @cockpit |clutch lever
t30 brake lever pivot far 10 m6 8nm measured @cockpit |brake lever
ph2 switch housing x4 2nm assumed @cockpit
i4 navigation mount x4 m5 5nm accessory loose measured @cockpit
t40 fork pinch x4 m8 19nm measured @front-end |steering
t30 fork brace x4 m6 10nm assumed @front-end
t50 upper bridge 40nm locked assumed @front-end -no roadside mend turns the head
t25 side fairing x8 m5 5nm loose measured @tank-seat
t30 tank bolt x2 m6 9nm tried @tank-seat |tank
t25 air box lid x4 m5 3nm measured @tank-seat |air filter
10 fuel pump ring x6 m6 5nm assumed @tank-seat
t30 rider seat catch x2 m6 6nm measured @tank-seat |seat
ph2 battery clamp x2 m5 4nm clean tried @electrics |battery
10 battery pole x2 m6 6nm clean tried @electrics
ph2 fuse box x2 1nm measured @electrics |fuse box
ph1 indicator x4 1nm measured @electrics
t20 tail lamp x2 2nm assumed @electrics
plug 14 plug left upper 23nm clean sunk 65 well 22 measured @plug-top |plug
plug 14 plug right upper 23nm clean sunk 80 well 22 measured @plug-top |plug
i5 plug cover x4 m6 8nm measured @plug-top
e10 cylinder guard x6 m8 20nm accessory measured @plug-top
i8 oil drain 32nm measured @engine |oil drain
t45 oil filter guard x3 m8 20nm accessory assumed @engine |oil filter
13 crash bar clamp x4 far 13 m8 22nm loose accessory measured @engine
9/16in crash bar brace x2 24nm loose accessory assumed @engine
i5 alternator cover x6 m6 9nm assumed @engine -workshop job
12 gear pedal pinch m6 12nm measured @controls |gear pedal
t45 foot peg mount x4 m8 30nm locked measured @controls |foot peg
t40 side stand m10 38nm assumed @controls
t30 rear brake reservoir 6nm measured @controls
13 silencer clamp m8 24nm rusted measured @exhaust |exhaust fixing
t40 silencer hanger m8 20nm loose measured @exhaust |exhaust fixing
17 lambda sensor 42nm dirty side only assumed @exhaust
t50 wheel bolt x5 m10 60nm dirty tried @rear-wheel |rear axle
i6 final drive fill 20nm measured @rear-wheel |final drive
t45 rear caliper x2 m8 24nm measured @rear-wheel
valve core valve core rear clean tried @rear-wheel |valve core
19 shock lower far 16 m10 50nm measured @suspension
hook 68 preload ring 40nm assumed @suspension
7/16in box lock plate x4 9nm loose accessory measured @racks
t30 box rack x6 m6 12nm loose accessory measured @racks |luggage rack
t45 subframe bolt x2 m8 25nm measured @racks |subframe
11 bleed nipple x3 7nm measured @front-wheel |brake union
i6 top case plate x4 m8 18nm accessory measured @racks
1/2in auxiliary lamp x2 20nm loose accessory assumed @racks
`;
