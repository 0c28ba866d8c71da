import { per, trouble, type Trouble } from './trouble.js';
import { way } from './way.js';
import { BRAKES, BY_HAND, FUEL, SLOW } from './words.js';

/** Fuel, air, cooling, oil, water in the engine; brakes. */
export const ENGINE: Trouble[] = [
  trouble({
    id: 'coolant-hose',
    name: 'Coolant hose leaks',
    subject: 'engine and fuel',
    rate: per(0.001, 0.002, 0.004),
    only: { cooling: 'liquid' },
    ways: [
      way('New piece of hose', 'proper', 42, 2, ['Let it cool; clamps off {hose clamp}', 'Cut the bad part out [cut]'], ['Piece and two clamps in <hose piece> {hose clamp}', 'Fill up, run warm, look <coolant>'], { caution: 'Coolant only when cold.' }),
      way('Splice in the hose', 'ride-out', 25, 1, ['Let it cool; cut it through [cut]'], ['Splice in, clamps on <hose splice> <hose clamp ×2> {hose clamp}', 'Fill up <coolant>'], { caution: 'Coolant only when cold.' }),
      way('Self-fusing tape', 'ride-out', 20, 1, ['Let it cool; dry it'], ['Tape stretched round, half over half <self-fusing tape ×2>', 'Cap loose, fill up <coolant>'], { holds: 0.7, caution: `Coolant only when cold. ${SLOW}` }),
    ],
  }),
  trouble({
    id: 'overheating',
    name: 'Overheats: mud, fan or low coolant',
    subject: 'engine and fuel',
    rate: per(0.002, 0.006, 0.03),
    only: { cooling: 'liquid' },
    stops: false,
    nuisance: 1.5,
    ways: [
      way('Wash the radiator, fill up', 'proper', 25, 1, ['Let it cool; mud out from behind [brush]', 'Does the fan turn when its plug is bridged as the manual says?'], ['Fill up <coolant>'], { caution: 'Coolant only when cold.' }),
      way('Rest, and ride where there is wind', 'ride-out', 40, 1, ['Let it cool; water on the fins'], [], { caution: 'Coolant only when cold.' }),
    ],
  }),
  trouble({
    id: 'fuel-hose',
    name: 'Fuel hose leaks',
    subject: 'engine and fuel',
    rate: per(0.001, 0.002, 0.003),
    ways: [
      way('New hose', 'proper', 36, 2, ['Ignition off, cold; tank loose {tank}', 'Old hose off, clips kept [cut]'], ['Hose and clips on, wipe, wait, sniff <fuel hose> {tank}'], { caution: FUEL }),
      way('Cut the end off, push it on again', 'ride-out', 25, 1, ['Ignition off, cold; tank loose {tank}', 'Cut the cracked end off [cut]'], ['Push it on, wire round it <wire> [grip] {tank}'], { holds: 0.6, caution: FUEL }),
    ],
  }),
  trouble({
    id: 'fuel-pump',
    name: 'Fuel pump or filter fails',
    subject: 'engine and fuel',
    rate: per(0.001, 0.002, 0.004),
    only: { fuelling: 'injection' },
    ways: [
      way('New filter', 'proper', 72, 3, ['Does the pump hum? Volts at its plug? [measure current]', 'Ignition off, cold; tank loose, hoses off {tank} [grip]'], ['Filter in its direction, clips on, no leak <fuel filter> [cut] {tank}'], { holds: 0.6, caution: FUEL }),
      way('Spare pump', 'proper', 80, 3, ['Ignition off, cold; tank loose {tank} [grip]'], ['Pump in, hoses on, no leak <fuel pump> {tank}'], { holds: 0.9, caution: FUEL }),
      way('Knock on it, clean its plug', 'limp', 20, 1, ['Ignition on, knock on the tank by the pump, plug off and on'], [], { holds: 0.3, caution: FUEL }),
    ],
  }),
  trouble({
    id: 'carburettor',
    name: 'Carburettor floods or starves',
    subject: 'engine and fuel',
    rate: per(0.004, 0.008, 0.015),
    only: { fuelling: 'carburettor' },
    ways: [
      way('Bowl off, jet blown through', 'proper', 50, 2, ['Tap shut, cold; bowl drained', 'Bowl off, jet out, held against the light [pick]'], ['Blow through, bowl on, tap open, no drip'], { caution: FUEL }),
      way('Knock on the bowl', 'ride-out', 5, 1, ['Tap shut, knock, drain the bowl, tap open'], [], { holds: 0.4, caution: FUEL }),
    ],
  }),
  trouble({
    id: 'bad-fuel',
    name: 'Water or dirt in the fuel',
    subject: 'engine and fuel',
    rate: per(0.001, 0.003, 0.005),
    ways: [
      way('Drain, new filter', 'proper', 60, 2, ['Tank loose, fuel out through a hose into a can {tank} [siphon]'], ['New filter, good fuel in <fuel filter> {tank}'], { holds: 0.8, caution: FUEL }),
      way('Let it settle, drain the bottom', 'ride-out', 60, 2, ['Half an hour’s rest; draw the bottom off [siphon]'], [], { holds: 0.5, caution: FUEL }),
    ],
  }),
  trouble({
    id: 'out-of-fuel',
    name: 'Out of fuel',
    subject: 'engine and fuel',
    rate: per(0.002, 0.004, 0.006),
    ways: [
      way('Siphon from a companion', 'proper', 20, 1, ['Both engines off and cold', 'Hose into the fuller tank [siphon]'], ['Half a litre each; caps shut'], { when: ['company'], caution: FUEL }),
      way('The companion fetches some', 'proper', 90, 1, ['Push the bike into the shade, wait'], ['Fill from the can'], { when: ['company'], caution: FUEL }),
      way('Lay it over for the last drops', 'limp', 10, 1, ['Lean it to the side of the tap; ride gently'], [], { holds: 0.5 }),
    ],
  }),
  trouble({
    id: 'drowned',
    name: 'Engine drowned',
    subject: 'engine and fuel',
    rate: per(0, 0, 0),
    perCrossing: 0.01,
    ways: [
      way('Plug out, blow it dry', 'proper', 60, 2, ['Out of the water, nose up; do not crank', 'Seat and air box open, water out {seat} {air filter}', 'Plug out {plug}'], ['Crank with the plug out, lead held away from the spray', 'Filter wrung out, plug in, start {plug} {seat}'], { caution: 'Plug out before cranking, its lead held away from the spray.' }),
      way('New plug', 'proper', 50, 2, ['Out of the water; seat and air box open {seat}', 'Plug out, crank dry {plug}'], ['New plug in, start <spark plug> {plug}'], { caution: 'Plug out before cranking, its lead held away from the spray.' }),
    ],
  }),
  trouble({
    id: 'plug-fouled',
    name: 'Plug fouled or cap off',
    subject: 'engine and fuel',
    rate: per(0.001, 0.003, 0.005),
    ways: [
      way('New plug', 'proper', 25, 1, ['Lead off, dust blown away, plug out {plug}'], ['New plug by hand first, then tight <spark plug> {plug}']),
      way('Clean it', 'ride-out', 30, 1, ['Plug out {plug}', 'Brush it, gap by feel [brush]'], ['In again {plug}'], { holds: 0.7 }),
    ],
  }),
  trouble({
    id: 'air-filter',
    name: 'Air filter choked by dust or water',
    subject: 'engine and fuel',
    rate: per(0.002, 0.015, 0.04),
    stops: false,
    nuisance: 1,
    ways: [
      way('Fresh filter', 'proper', 20, 1, ['Cover off {air filter}'], ['The oiled one from its bag in <air filter> {air filter}']),
      way('Knock it out', 'ride-out', 20, 1, ['Cover off; knock the dust out away from the box {air filter}'], ['Back in, edge sealed {air filter}']),
    ],
  }),
  trouble({
    id: 'oil-leak',
    name: 'Oil leak at plug, filter or cover',
    subject: 'engine and fuel',
    rate: per(0.002, 0.004, 0.01),
    ways: [
      way('Tighten, seal, top up', 'proper', 40, 2, ['Wipe, look where it comes from', 'Tighten {oil drain} {oil filter}'], ['Seal with a bead where it weeps <liquid gasket>', 'Oil to the mark <engine oil>'], { holds: 0.8, caution: 'Oil on the rear tyre or the disc: wipe both before riding.' }),
      way('Top up and look every 20 km', 'ride-out', 15, 1, ['Tighten {oil drain}'], ['Oil to the mark <engine oil>'], { caution: 'No oil, no engine.' }),
    ],
  }),
  trouble({
    id: 'brake-line',
    name: 'Brake line leaks',
    subject: 'brakes',
    rate: per(0.0002, 0.0005, 0.002),
    byFall: true,
    ways: [
      way('Union tight, fill and bleed', 'proper', 50, 3, ['Union tight {brake union}', 'Lid off, fluid of the cap’s grade <brake fluid>'], ['Bleed until the lever is hard, wipe all {brake union}'], { holds: 0.5, caution: `${BRAKES} Brake fluid: the grade on the cap, sealed bottle only.` }),
      way('Clamp it, ride on the other brake', 'limp', 15, 2, ['Fold and clamp the line above the leak [clamp]'], ['Walking pace, the other brake only'], { caution: 'A clamped brake line means a brake missing: slowly, to the nearest road. With any doubt do not ride.' }),
    ],
  }),
  trouble({
    id: 'brake-soft',
    name: 'Brake soft or boiled',
    subject: 'brakes',
    rate: per(0.0005, 0.002, 0.006),
    ways: [
      way('Cool, bleed', 'proper', 45, 3, ['Half an hour’s rest'], ['Bleed with fresh fluid <brake fluid> {brake union}'], { caution: `${BRAKES} The grade on the cap, sealed bottle only.` }),
      way('Cool, ride gently', 'limp', 40, 1, ['Half an hour’s rest; try it at walking pace'], [], { caution: BRAKES }),
    ],
  }),
  trouble({
    id: 'pads',
    name: 'Brake pads worn out',
    subject: 'brakes',
    rate: per(0.0005, 0.002, 0.008),
    ways: [
      way('New pads', 'proper', 36, 2, ['Pads’ pin or caliper off {brake pads}', 'Pistons back, slowly [pry]'], ['Pads in, pin in, pump the lever before riding off <brake pads> {brake pads}'], { caution: `${BRAKES} Pump the lever before riding off. ${BY_HAND}` }),
      way('Ride on the other brake', 'limp', 10, 1, ['Caliper tied clear or left; walking pace'], [], { caution: BRAKES }),
    ],
  }),
];
