import { per, trouble, type Trouble } from './trouble.js';
import { way } from './way.js';
import { BY_HAND, LIFT, PRESSURE, WALKING_PACE, home } from './words.js';

/** Taking a wheel out: broken loose on its wheels, then raised, its spacers kept in order. */
const OUT = [
  'Stop on firm ground, gear in, engine off',
  'Break the axle loose before raising the bike {rear axle} {front axle}',
  'Slacken pinch bolts and adjusters {front axle pinch?} {chain adjuster?}',
  'Raise the wheel: a prop under peg or plate, a log, or the bike laid on its side',
  'Draw the axle, lift the chain off and lay spacers down in their order on a rag',
];
const BACK = [
  'Lift the wheel in, spacers in line while the axle goes through {rear axle} {front axle}',
  'Set the chain’s play and measure both sides equal {chain adjuster?}',
  'Tighten axle, then pinch bolts, pump the brake, mark and look again after some km {front axle pinch?}',
];
const TYRE_OFF = [
  'Valve core out; push the bead off all round, opposite the valve first',
  'Wet the bead, protect the rim, lift one side over with short bites [lever tyre ×2]',
];
const TYRE_ON = [
  'Draw the valve through, a little air in the tube, core in',
  'Bead into the rim’s well opposite, last bite at the valve, never pinch the tube [lever tyre ×2]',
  'Seat the bead and pump up to the ground’s pressure [inflate]',
];
const TIED = way(
  'Ties round tyre and rim',
  'limp',
  15,
  1,
  ['Pull ties tight round tyre and rim between the spokes, so that the tyre stays on <cable tie ×8>'],
  ['Ride at walking pace; look at the ties every km'],
  { travel: WALKING_PACE, caution: `Ties on a rim slip: ride at walking pace. ${home('A tied tyre')}` },
);
const WALK_FLAT = way(
  'Ride on the flat, walking pace',
  'limp',
  5,
  1,
  ['Stand, weight off the flat wheel, walking pace on soft ground'],
  [],
  {
    travel: WALKING_PACE,
    caution: `Riding on a flat ruins the tyre and maybe the rim: go at walking pace and have both looked at.`,
  },
);
const RE_STRING = [
  'Find it and mark it; leave what sits in it until all is at hand',
  'Draw it out; rough the hole along its direction [ream]',
];

export const WHEELS: Trouble[] = [
  trouble({
    id: 'puncture-tube',
    name: 'Puncture, tubed',
    subject: 'wheels',
    rate: per(0.0425, 0.102, 0.255),
    only: { tyres: 'tubed' },
    ways: [
      way(
        'Patch the tube',
        'proper',
        60,
        2,
        [...OUT, ...TYRE_OFF, 'Find the hole, feel the tyre inside for what made it'],
        ['Rough, glue, let it dry, press the patch on <patch ×2>', ...TYRE_ON, ...BACK],
        { holds: 0.95, caution: `${home('A patched tube')} ${BY_HAND} ${LIFT}` },
      ),
      way(
        'Fit a front tube, in the rear too',
        'ride-out',
        50,
        2,
        [...OUT, ...TYRE_OFF, 'Feel the tyre inside for what made it'],
        ['Put the tube in <front tube>', ...TYRE_ON, ...BACK],
        { caution: `${home('A tube of another size')} ${BY_HAND}` },
      ),
      TIED,
      WALK_FLAT,
    ],
  }),
  trouble({
    id: 'tube-torn-front',
    name: 'Front tube torn beyond patching',
    subject: 'wheels',
    rate: per(0.003, 0.0072, 0.018),
    only: { tyres: 'tubed' },
    ways: [
      way(
        'Fit a new tube',
        'proper',
        60,
        2,
        [
          'Break the axle loose before raising {front axle} {front axle pinch?}',
          'Raise the front, wheel out',
          ...TYRE_OFF,
        ],
        [
          'Put the tube in <front tube>',
          ...TYRE_ON,
          'Wheel in, tighten axle, then pinch bolts {front axle} {front axle pinch?}',
        ],
        { caution: `${BY_HAND} ${LIFT}` },
      ),
      TIED,
      WALK_FLAT,
    ],
  }),
  trouble({
    id: 'tube-torn-rear',
    name: 'Rear tube torn beyond patching',
    subject: 'wheels',
    rate: per(0.0045, 0.0108, 0.027),
    only: { tyres: 'tubed' },
    ways: [
      way(
        'Fit a new tube',
        'proper',
        72,
        2,
        [
          'Break the axle loose before raising {rear axle}',
          'Slacken the adjusters, raise, wheel out {chain adjuster?}',
          ...TYRE_OFF,
        ],
        [
          'Put the tube in <rear tube>',
          ...TYRE_ON,
          'Wheel in; set the chain, both sides equal; tighten {rear axle} {chain adjuster?}',
        ],
        { caution: `${BY_HAND} ${LIFT}` },
      ),
      way(
        'Fit a front tube in the rear',
        'ride-out',
        72,
        2,
        [
          'Break the axle loose before raising {rear axle}',
          'Slacken the adjusters, raise, wheel out {chain adjuster?}',
          ...TYRE_OFF,
        ],
        [
          'Put the front tube in, little air first <front tube>',
          ...TYRE_ON,
          'Wheel in; set the chain, both sides equal; tighten {rear axle} {chain adjuster?}',
        ],
        { caution: `${home('A front tube in the rear wheel')} ${BY_HAND}` },
      ),
      TIED,
      WALK_FLAT,
    ],
  }),
  trouble({
    id: 'puncture-tubeless',
    name: 'Puncture, tubeless',
    subject: 'wheels',
    rate: per(0.02, 0.08, 0.15),
    only: { tyres: 'tubeless' },
    ways: [
      way(
        'Plug it with strings',
        'ride-out',
        30,
        1,
        RE_STRING,
        [
          'Push the string in, leave two finger-widths, cut it off <plug string>',
          'Pump up, spit on it, look again after 20 km [inflate]',
        ],
        {
          holds: 0.93,
          caution: `${home('A plugged tyre')}`,
        },
      ),
      way(
        'Plug it with a pin plug',
        'ride-out',
        25,
        1,
        RE_STRING,
        ['Drive the pin plug in to its stop, cut it off <pin plug>', 'Pump up, look again after 20 km [inflate]'],
        {
          holds: 0.85,
          caution: `A pin plug closes small holes only. ${home('A plugged tyre')}`,
        },
      ),
      way(
        'Tube in the tubeless tyre',
        'ride-out',
        80,
        3,
        [...OUT, ...TYRE_OFF, 'Take the tubeless valve out'],
        ['Put the tube in <front tube>', ...TYRE_ON, ...BACK],
        {
          caution: `A tube in a tubeless tyre runs hot. ${home('Such a tube')} ${BY_HAND}`,
        },
      ),
      WALK_FLAT,
    ],
  }),
  trouble({
    id: 'slow-leak',
    name: 'Slow leak',
    subject: 'wheels',
    rate: per(0.01, 0.03, 0.05),
    stops: false,
    nuisance: 1,
    ways: [
      way(
        'Pump it up at each stop',
        'ride-out',
        15,
        1,
        ['Spit or soapy water: find where it bubbles'],
        ['Pump up; note the pressure and look at the next stop [inflate]'],
      ),
      way('Ride slowly to the next pump', 'limp', 30, 1, ['Low speed, no luggage weight on that wheel']),
    ],
  }),
  trouble({
    id: 'valve-core',
    name: 'Valve core leaks',
    subject: 'wheels',
    rate: per(0.005, 0.01, 0.02),
    ways: [
      way(
        'New core',
        'proper',
        18,
        1,
        ['Draw the old core {valve core}'],
        ['Screw the new core in <valve core> {valve core}', 'Pump up [inflate]'],
      ),
      way(
        'Tighten it, spit test',
        'ride-out',
        10,
        1,
        ['Turn the core in, a touch {valve core}'],
        ['Pump up; a metal cap with a seal closes what is left [inflate]'],
        { holds: 0.5 },
      ),
    ],
  }),
  trouble({
    id: 'tyre-torn',
    name: 'Tyre torn or rim bent',
    subject: 'wheels',
    rate: per(0.002, 0.008, 0.03),
    byFall: true,
    ways: [
      way(
        'Boot inside',
        'ride-out',
        90,
        3,
        [...OUT, ...TYRE_OFF, 'Knock the rim’s lip back with a stone and a piece of wood between'],
        ['Boot over the cut, the tube back in <tyre boot>', ...TYRE_ON, ...BACK],
        {
          only: { tyres: 'tubed' },
          holds: 0.8,
          caution: `${home('A booted tyre')} ${BY_HAND}`,
        },
      ),
      way(
        'Boot inside, a tube in',
        'ride-out',
        100,
        3,
        [...OUT, ...TYRE_OFF, 'Knock the rim’s lip back; take the tubeless valve out'],
        ['Boot over the cut, tube in <tyre boot> <front tube>', ...TYRE_ON, ...BACK],
        {
          only: { tyres: 'tubeless' },
          holds: 0.8,
          caution: `${home('A booted tyre')} ${BY_HAND}`,
        },
      ),
      way(
        'Strap the cut, ties round the rim',
        'limp',
        40,
        1,
        ['Cloth tape over the cut, ties round tyre and rim <cloth tape> <cable tie ×8>'],
        ['Walking pace'],
        { travel: WALKING_PACE, caution: `Ties on a rim slip: ride at walking pace. ${home('A tied tyre')}` },
      ),
      WALK_FLAT,
    ],
  }),
  trouble({
    id: 'bead',
    name: 'Bead off the rim',
    subject: 'wheels',
    rate: per(0.0005, 0.002, 0.012),
    only: { tyres: 'tubeless' },
    ways: [
      way(
        'Seat it with cartridges',
        'proper',
        48,
        2,
        ['Clean rim and bead, wet both; core out'],
        ['A strap tight round the tread, a burst of gas <gas cartridge ×2>', 'Core in, refill with air [inflate]'],
        {
          holds: 0.85,
          caution: `${PRESSURE} Gas freezes the skin and seeps out of the tyre within a day: wear gloves, and refill with air.`,
        },
      ),
      way(
        'Strap round the tread, pump fast',
        'proper',
        60,
        2,
        ['Clean rim and bead, wet both; core out', 'A strap round the tread, tightened until the beads touch [haul]'],
        ['Pump until it seats, core in, pump again [inflate]'],
        {
          holds: 0.5,
          caution: PRESSURE,
        },
      ),
      WALK_FLAT,
    ],
  }),
  trouble({
    id: 'spokes',
    name: 'Spokes loose or broken',
    subject: 'wheels',
    rate: per(0.005, 0.02, 0.05),
    only: { wheels: 'spoked' },
    stops: false,
    nuisance: 1,
    ways: [
      way(
        'New spoke, tune by sound',
        'proper',
        36,
        3,
        ['Unscrew what is left of it {spoke}'],
        [
          'Thread the new one, tighten to its neighbours’ sound <spoke ×2> {spoke}',
          'Look at the run of the rim against a tie on the fork',
        ],
      ),
      way(
        'Tighten the neighbours',
        'ride-out',
        20,
        2,
        ['Tape the broken one to its neighbour <cloth tape>'],
        ['Quarter turns on both sides, even sound {spoke}'],
      ),
      way('Tape it away and ride gently', 'limp', 10, 1, ['Tape the broken spoke to its neighbour <cloth tape>']),
    ],
  }),
  trouble({
    id: 'wheel-bearing',
    name: 'Wheel bearing gone',
    subject: 'wheels',
    rate: per(0.002, 0.004, 0.006),
    ways: [
      way(
        'New bearing',
        'proper',
        120,
        3,
        [...OUT, 'Seal out, drive the bearing out from behind [punch out] [strike]'],
        ['Drive the new one in on its outer ring, seal in <wheel bearing> [strike]', ...BACK],
        {
          holds: 0.8,
          caution: `${BY_HAND} ${LIFT}`,
        },
      ),
      way(
        'Pack it with grease, ride slowly',
        'limp',
        80,
        3,
        [...OUT, 'Seal out, wash it with fuel, pack with grease'],
        BACK,
        {
          holds: 0.6,
          travel: WALKING_PACE,
          caution: `A worn-out bearing can lock the wheel: ride at walking pace. ${BY_HAND}`,
        },
      ),
    ],
  }),
  trouble({
    id: 'spacer-lost',
    name: 'Wheel spacer or axle nut lost',
    subject: 'wheels',
    rate: per(0.0005, 0.002, 0.004),
    ways: [
      way(
        'Washers in its place, new nut',
        'ride-out',
        40,
        2,
        ['Break loose, raise, look what is missing {rear axle}'],
        ['Make up the width with washers, nut on <axle nut> {rear axle}'],
        { holds: 0.8, caution: `${home('An axle on washers')} ${BY_HAND}` },
      ),
      way(
        'Wire the axle in',
        'limp',
        30,
        2,
        ['Axle in, wire round both ends so that it cannot wander <wire ×2> [cut]'],
        ['Walking pace; look every km'],
        { travel: WALKING_PACE, caution: `A wired axle can work loose: ride at walking pace. ${BY_HAND}` },
      ),
    ],
  }),
];
