import type { Bike } from '@necessaire/core';
import { services } from './services.js';

/** A made-up dual-sport: one cylinder, chain, tubes. */
export const quarrel = (id: string, serviceId: () => string): Bike => ({
  id,
  name: 'Quarrel 450',
  wheelbase: 1485,
  tyreFront: '90/90-21',
  tyreRear: '120/90-18',
  tyres: 'tubed',
  drive: 'chain',
  engine: 'single',
  cooling: 'liquid',
  fuelling: 'injection',
  strokes: 4,
  plugs: 1,
  starter: 'electric',
  wheels: 'spoked',
  brakeFront: 'disc',
  brakeRear: 'disc',
  tank: 9.5,
  seat: 'flat',
  fitted: ['hand guards', 'skid plate', 'radiator guard', 'rear rack', 'device mount'],
  seatHeight: 925,
  mass: 138_000,
  payload: 170_000,
  frontAxle: 66_000,
  centreHeight: 590,
  loadIndexFront: 54,
  loadIndexRear: 65,
  rackLimit: 6000,
  odometer: 18_400,
  consumption: 4.2,
  oilUse: 180,
  weak: [
    { trouble: 'luggage', factor: 2 },
    { trouble: 'clutch-lever', factor: 1.5 },
  ],
  engineHours: 0,
  fit: {
    plug: 'M10, 26.5 mm, 0.8 mm',
    'bulb main': 'two-filament, 35/35 W',
    'bulb tail': '5/21 W',
    fuses: 'small blade, 10 15 20 A',
    chain: '520, 112, clip',
    'chain tool': '525',
    'fuel hose': '8 mm, injection',
    'coolant hose': '19 mm',
    'tube front': '80/100-21, straight',
    'tube rear': '120/90-18, straight',
    valve: 'short',
    'oil filter': '38 × 46 mm, O-ring 40',
    'brake fluid': 'grade 4 on the cap',
    'engine oil': '10W-40, 1.1 L',
    'clutch cable': 'barrel 8, pear 5, 1100 mm',
    'clutch lever': 'short, ball end',
    'power socket': 'ring ends, 10 A',
    'cut-outs': 'side stand, clutch',
  },
  pushStarts: true,
  prevention: [{ id: 'threadlocker', state: 'done' }],
  services: services(serviceId, [
    ['Engine oil', 3000, 365, 0.7, 16_100, 'engine oil, mL', 1100],
    ['Oil filter', 6000, null, 0.8, 16_100, 'oil filter', 1],
    ['Air filter cleaned', 1500, null, 0.35, 17_600, 'air filter', 1],
    ['Chain lubed', 500, null, 0.5, 18_300, 'chain lube, mL', 15],
    ['Chain and sprockets', 14_000, null, 0.6, 9800, 'chain kit', 1],
    ['Brake pads, front', 12_000, null, 0.6, 9000, 'brake pads', 1],
    ['Rear tyre', 6000, null, 0.8, 14_900, 'rear tyre', 1],
    ['Valve clearance', 10_000, null, 1, 10_200, '', 0],
    ['Spark plug', 12_000, null, 1, 10_200, 'spark plug', 1],
    ['Coolant', null, 730, 1, 10_200, 'coolant, mL', 900],
  ]),
  note: 'Second owner. Breaks subframe bolts; clutch lever bent twice.',
});

/** Its fasteners, one entry line each, as the rider says them. `|role` gives a job, `-` leaves out with the reason. */
export const quarrelLines = `
24 axle nut far i10 60nm dirty tried @front-wheel |front axle
8 axle pinch bolt x4 m6 15nm tried @front-wheel |front axle pinch
12 caliper bolt x2 m8 27nm measured @front-wheel
i5 pad pin 10nm sunk 6 well 14 measured @front-wheel |brake pads
5.5 wheel sensor screw 4nm measured @front-wheel
spoke 6 spokes x36 5nm assumed loose @front-wheel |spoke
valve core valve core front clean tried @front-wheel |valve core
12 rim lock nut m8 13nm measured @front-wheel |rim lock
10 hand guard clamp x2 m6 9nm loose accessory measured @cockpit
t30 hand guard end x2 m6 10nm accessory measured @cockpit
i5 clutch perch x2 m6 8nm measured @cockpit
10 clutch lever pivot far 10 m6 8nm tried @cockpit |clutch lever
10 brake lever pivot far 10 m6 8nm measured @cockpit |brake lever
13 mirror stem x2 m8 18nm loose measured @cockpit |mirror
i6 bar clamp x4 m8 24nm proven @cockpit |bars
ph2 lamp cowl screw x4 2nm measured @cockpit
jis2 switch housing x4 1.5nm sunk 12 well 9 assumed @cockpit
3/8in phone mount x2 6nm loose accessory measured @cockpit
i4 fork pinch upper x4 m6 10nm measured @front-end
i6 fork pinch lower x4 m8 15nm measured @front-end |steering
hook 45 steering ring 28nm assumed @front-end
30 steering stem nut 110nm locked assumed @front-end -no roadside mend turns the head
8 fork guard x6 m6 7nm loose measured @front-end
12 front mudguard x4 m8 12nm measured @front-end
10 seat bolt x2 m6 9nm proven @tank-seat |seat
i5 tank bolt x2 m6 9nm sunk 20 well 15 tried @tank-seat |tank
8 side panel x4 m6 6nm loose tried @tank-seat
t25 fuel pump ring x6 5nm assumed @tank-seat
10 radiator guard x4 m6 8nm loose measured @tank-seat |radiator guard
t20 hose clamp x8 3nm measured @tank-seat |hose clamp
7 air box clamp 3nm sunk 30 well 18 measured @tank-seat |air filter
10 battery terminal x2 m6 5nm clean tried @electrics |battery
8 battery tray x2 m6 6nm measured @electrics
ph2 fuse box lid x2 1.5nm measured @electrics |fuse box
8 starter relay x2 m6 5nm assumed @electrics
10 earth strap m6 9nm measured @electrics
jis2 indicator x4 1.5nm measured @electrics
plug 16 spark plug 12nm clean sunk 70 well 24 tried @plug-top |plug
8 cam cover x4 m6 10nm assumed @plug-top -no roadside mend opens it
i6 engine hanger upper x2 m8 33nm measured @plug-top
12 throttle body clamp 4nm sunk 25 well 24 measured @plug-top
17 oil drain 24nm measured @engine |oil drain
8 oil filter cover x2 m6 10nm tried @engine |oil filter
i4 oil screen cover x3 m5 6nm measured @engine
8 skid plate front x2 m6 10nm loose accessory tried @engine
i5 skid plate rear x2 m6 10nm sunk 14 well 16 dirty accessory measured @engine
13 engine bolt lower far 13 m8 40nm rusted assumed @engine
8 clutch cover x8 m6 10nm assumed @engine -inside work, not by the road
12 gear pedal pinch m6 12nm measured @controls |gear pedal
i6 rear brake pedal pivot m8 26nm measured @controls
i8 foot peg mount x2 m10 55nm locked measured @controls |foot peg
10 master cylinder x2 m6 10nm measured @controls
8 bleed nipple front 6nm measured @front-wheel |brake union
8 bleed nipple rear 6nm measured @rear-wheel |brake union
t45 side stand pivot far 14 m10 40nm assumed @controls
12 silencer hanger x2 m8 22nm loose measured @exhaust |exhaust fixing
10 header clamp m6 12nm rusted sunk 40 well 22 measured @exhaust
i5 heat shield x3 m6 7nm loose measured @exhaust
27 axle nut 98nm dirty side only tried @rear-wheel |rear axle
12 chain adjuster x2 10nm tried @rear-wheel |chain adjuster
13 adjuster lock nut x2 16nm thin 8 measured @rear-wheel |chain adjuster
i6 sprocket bolt x6 m8 35nm locked far 12 loose measured @rear-wheel |sprocket
8 chain guide x4 m6 7nm loose measured @rear-wheel
12 rear caliper bracket m8 25nm measured @rear-wheel
valve core valve core rear clean tried @rear-wheel |valve core
i8 chain guard roller x2 m8 20nm assumed @rear-wheel
17 shock upper far 17 m10 52nm assumed @suspension
17 shock linkage far 17 m10 45nm sunk 10 assumed @suspension
14 linkage arm far 14 m10 45nm measured @suspension
hook 68 shock preload ring 40nm assumed @suspension
1/2in rack bolt right x2 24nm loose accessory measured @racks |luggage rack
1/2in rack bolt left x2 24nm loose accessory measured @racks |luggage rack
7/16in rack stay x2 10nm accessory assumed @racks
t40 subframe bolt x2 m8 30nm locked measured @racks |subframe
i4 tail light guard x2 m5 5nm accessory assumed @racks
key 5/32in tool tube strap x2 4nm accessory assumed @racks
`;
