import { per, trouble, type Trouble } from './trouble.js';
import { way } from './way.js';
import { BY_HAND, LIFT, NO_FUEL_NEAR_HEAT, PRESSURE, WALKING_PACE, home } from './words.js';

/** A wheel out: pinch bolts first, the axle broken loose while the bike stands on its wheels, spacers kept in order. */
const STAND = 'Stop on firm ground, engine off, in gear';
const ASIDE = 'Lay spacers and nut down in their order on a rag';
const NO_BRAKE = 'Leave the brake lever and pedal alone while the wheel is out; a clean slip of wood between the pads';
const FRONT_OUT = [
  STAND,
  'Slacken the pinch bolts {front axle pinch?}',
  'Break the axle loose, the bike on its wheels {front axle}',
  'Raise the front: a prop, a log, or the bike laid on its side',
  'Draw the axle, take the wheel out',
  ASIDE,
  NO_BRAKE,
];
const REAR_OUT = [
  STAND,
  'Break the axle loose, the bike on its wheels {rear axle}',
  '(chain) Slacken the adjusters {chain adjuster?}',
  'Raise the rear: a prop under peg or plate, a log, or the bike laid on its side',
  '(chain) Push the wheel forward, lift the chain off',
  '(belt) Push the wheel forward, lift the belt off, do not kink it',
  'Draw the axle, take the wheel out',
  '(shaft) Pull the wheel off the splines of the drive',
  ASIDE,
  NO_BRAKE,
];
const PUMP = 'Pump the brake lever until it is hard, before the wheel turns on the ground';
const LOOK_AGAIN = 'Paint a mark across nut and axle; look at it at the next stop';
const FRONT_IN = [
  'Disc between the pads, wheel in, spacers in line while the axle goes through',
  'Tighten the axle {front axle}',
  'Lower the bike, push the fork down a few times, then tighten the pinch bolts {front axle pinch?}',
  PUMP,
  LOOK_AGAIN,
];
const REAR_IN = [
  'Disc between the pads, wheel in, spacers in line while the axle goes through',
  '(shaft) Grease the splines, wheel onto them <grease>',
  '(chain) Chain on; set its play, both sides equal by their marks {chain adjuster?}',
  '(belt) Belt on; set its play, both sides equal by their marks {chain adjuster?}',
  'Tighten the axle {rear axle}',
  'Pump the brake pedal until it is hard, before the wheel turns on the ground',
  LOOK_AGAIN,
];
/** Either wheel may be flat: what the kit needs is what both need. */
const EITHER_OUT = [
  STAND,
  'Front wheel: slacken the pinch bolts {front axle pinch?}',
  'Break the axle loose, the bike on its wheels {rear axle} {front axle}',
  '(chain) Rear wheel: slacken the adjusters {chain adjuster?}',
  'Raise the wheel: a prop under peg or plate, a log, or the bike laid on its side',
  '(chain) Rear wheel: push it forward, lift the chain off',
  '(belt) Rear wheel: push it forward, lift the belt off, do not kink it',
  'Draw the axle, take the wheel out',
  '(shaft) Rear wheel: pull it off the splines of the drive',
  ASIDE,
  NO_BRAKE,
];
const EITHER_IN = [
  'Disc between the pads, wheel in, spacers in line while the axle goes through',
  '(chain) Rear wheel: chain on; set its play, both sides equal by their marks {chain adjuster?}',
  'Tighten the axle {rear axle} {front axle}',
  'Front wheel: push the fork down a few times, then tighten the pinch bolts {front axle pinch?}',
  PUMP,
  LOOK_AGAIN,
];
const TYRE_OFF = [
  'Unscrew the valve’s nut, draw the core {valve core?}',
  '(tubed) Slacken the rim lock’s nut to its end, push the lock in {rim lock?}',
  'Push the bead off the rim all round, both sides; kneel on it, or lever it down [lever tyre ×2]',
  'Wet the bead; a piece of cloth or plastic under the levers keeps the rim whole',
  'Opposite the valve, knee on the tyre: bead into the rim’s well, lift one side over with short bites [lever tyre ×2]',
];
const TUBE_ON = [
  'Look at the rim strip: it covers every spoke end',
  'Valve through its hole, its nut two turns on; a little air in the tube so that it does not fold',
  'Bead into the rim’s well opposite the valve, the last bite at the valve; never pinch the tube [lever tyre ×2]',
  'Screw the core in {valve core?}',
  'Pump up until the line on the tyre’s side runs even all round the rim [inflate]',
  '(tubed) Tighten the rim lock’s nut {rim lock?}',
  'Set the ground’s pressure; cap on [inflate]',
];
const FIND_IT = 'Find the hole: pump, listen, wet it, mark it; feel the inside of the tyre for what made it [inflate]';

const TIED = way(
  'Ties round tyre and rim',
  'limp',
  15,
  1,
  ['(spoked) Pull ties tight round tyre and rim between the spokes, so that the tyre stays on <cable tie ×8>'],
  ['Ride at walking pace; look at the ties at every stop'],
  {
    only: { wheels: 'spoked' },
    travel: WALKING_PACE,
    caution: `Ties on a rim slip: ride at walking pace, and keep them clear of the brake. ${home('A tied tyre')}`,
    ruin: 'speed, stones, a brake disc that cuts a tie',
  },
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
    ruin: 'speed; a tyre that comes off the rim and jams the wheel',
  },
);
const FIND_PLUG = [
  'Find the hole, mark it; leave what sits in it until all is at hand',
  'Look where it sits: only a hole in the tread, no wider than a pencil, is plugged; one in the shoulder or side is not',
  'Pull out what made it [grip]',
  'Rough the hole, in and out along its direction [ream]',
];
const PLUGGED = `A plug holds in the tread only, never in the side of a tyre. ${home('A plugged tyre')} Sealant and plugs that are glued do not like each other: wipe the hole dry first.`;

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
        [...EITHER_OUT, ...TYRE_OFF, 'Draw the tube out', FIND_IT],
        [
          'Rough a place wider than the patch, wipe it',
          'Glue thin; wait until it is dry to the touch; press the patch on from its middle <patch ×2>',
          ...TUBE_ON,
          ...EITHER_IN,
        ],
        {
          holds: 0.95,
          caution: `${BY_HAND} ${LIFT} ${PRESSURE} A patch can lift when the tyre runs hot: look at the pressure at every stop of the first day.`,
          ruin: 'heat, low pressure, what made the hole left in the tyre',
        },
      ),
      way(
        'Fit a front tube, in the rear too',
        'ride-out',
        50,
        2,
        [...EITHER_OUT, ...TYRE_OFF, 'Draw the tube out; feel the inside of the tyre for what made the hole'],
        ['Put the tube in <front tube>', ...TUBE_ON, ...EITHER_IN],
        {
          caution: `${BY_HAND} ${LIFT} ${PRESSURE} ${home('A tube of another size')}`,
          lasts: { km: 300, kmh: 80 },
          ruin: 'heat: a tube that is stretched tears long',
        },
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
        [...FRONT_OUT, ...TYRE_OFF, 'Draw the tube out; feel the inside of the tyre for what tore it'],
        ['Put the tube in <front tube>', ...TUBE_ON, ...FRONT_IN],
        { caution: `${BY_HAND} ${LIFT} ${PRESSURE}` },
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
        [...REAR_OUT, ...TYRE_OFF, 'Draw the tube out; feel the inside of the tyre for what tore it'],
        ['Put the tube in <rear tube>', ...TUBE_ON, ...REAR_IN.filter((s) => !s.startsWith('(shaft)'))],
        { caution: `${BY_HAND} ${LIFT} ${PRESSURE}` },
      ),
      way(
        'Fit a front tube in the rear',
        'ride-out',
        72,
        2,
        [...REAR_OUT, ...TYRE_OFF, 'Draw the tube out; feel the inside of the tyre for what tore it'],
        [
          'Put the front tube in, little air first <front tube>',
          ...TUBE_ON,
          ...REAR_IN.filter((s) => !s.startsWith('(shaft)')),
        ],
        {
          caution: `${BY_HAND} ${LIFT} ${PRESSURE} ${home('A front tube in the rear wheel')}`,
          lasts: { km: 300, kmh: 80 },
          ruin: 'heat: a tube that is stretched tears long',
        },
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
        FIND_PLUG,
        [
          'String through the needle’s eye, both ends even; push it in until two finger-widths stand out <plug string>',
          'Pull the needle straight out; cut the ends off above the tread [cut]',
          'Pump up; wet it: no bubbles; look at it at the next stop [inflate]',
        ],
        { holds: 0.93, caution: PLUGGED, lasts: { km: 150, kmh: 80 }, ruin: 'speed, heat, a full load' },
      ),
      way(
        'Plug it with a pin plug',
        'ride-out',
        25,
        1,
        FIND_PLUG,
        [
          'Drive the pin plug in to its stop, cut it off above the tread <pin plug> [cut]',
          'Pump up; wet it: no bubbles; look at it at the next stop [inflate]',
        ],
        {
          holds: 0.85,
          caution: `A pin plug closes small holes only. ${PLUGGED}`,
          lasts: { km: 150, kmh: 80 },
          ruin: 'speed, heat, a hole wider than the pin',
        },
      ),
      way(
        'Tube in the tubeless tyre',
        'ride-out',
        80,
        3,
        [...EITHER_OUT, ...TYRE_OFF, 'Unscrew the tubeless valve [grip]', 'Take out what made the hole'],
        ['Put the tube in <front tube>', ...TUBE_ON, ...EITHER_IN],
        {
          caution: `A tube in a tubeless tyre runs hot. ${home('Such a tube')} ${BY_HAND} ${LIFT} ${PRESSURE}`,
          lasts: { km: 300, kmh: 80 },
          ruin: 'heat; a plug or thorn that is left inside',
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
        ['Wet valve, bead and tread: find where it bubbles'],
        ['Pump up; note the pressure and look at the next stop [inflate]'],
        { lasts: { km: 200, kmh: 70 }, ruin: 'riding on after it went soft', caution: PRESSURE },
      ),
      way('Ride slowly to the next pump', 'limp', 30, 1, ['Low speed, luggage off that wheel']),
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
        ['Screw the old core out {valve core}'],
        ['Screw the new core in, finger-tight and a touch <valve core> {valve core}', 'Pump up; wet it [inflate]'],
      ),
      way(
        'Tighten it, spit test',
        'ride-out',
        10,
        1,
        ['Turn the core in, a touch {valve core}'],
        ['Pump up; a metal cap with a seal closes what is left [inflate]'],
        { holds: 0.5, lasts: { km: 200, kmh: 90 } },
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
        [
          ...EITHER_OUT,
          ...TYRE_OFF,
          'Rim bent: knock its lip back, a piece of wood between, little by little [strike]',
          'Look for cracks: a cracked rim is not ridden',
        ],
        ['Boot over the cut, the tube back in <tyre boot>', ...TUBE_ON, ...EITHER_IN],
        {
          only: { tyres: 'tubed' },
          holds: 0.8,
          caution: `A cut through the side of a tyre can burst: ride slowly and with little load. ${home('A booted tyre')} ${BY_HAND} ${LIFT} ${PRESSURE}`,
          lasts: { km: 100, kmh: 60 },
          ruin: 'speed, load, stones',
        },
      ),
      way(
        'Boot inside, a tube in',
        'ride-out',
        100,
        3,
        [
          ...EITHER_OUT,
          ...TYRE_OFF,
          'Rim bent: knock its lip back, a piece of wood between, little by little [strike]',
          'Look for cracks: a cracked rim is not ridden',
          'Unscrew the tubeless valve [grip]',
        ],
        ['Boot over the cut, tube in <tyre boot> <front tube>', ...TUBE_ON, ...EITHER_IN],
        {
          only: { tyres: 'tubeless' },
          holds: 0.8,
          caution: `A cut through the side of a tyre can burst: ride slowly and with little load. ${home('A booted tyre')} ${BY_HAND} ${LIFT} ${PRESSURE}`,
          lasts: { km: 100, kmh: 60 },
          ruin: 'speed, load, stones',
        },
      ),
      way(
        'Strap the cut, ties round the rim',
        'limp',
        40,
        1,
        ['Cloth tape over the cut, ties round tyre and rim between the spokes <cloth tape> <cable tie ×8>'],
        ['Walking pace; look at the ties at every stop'],
        {
          only: { wheels: 'spoked' },
          travel: WALKING_PACE,
          caution: `Ties on a rim slip: ride at walking pace, and keep them clear of the brake. ${home('A tied tyre')}`,
        },
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
        ['Clean rim and bead, wet both with soapy water', 'Screw the core out {valve core?}'],
        [
          'A strap tight round the tread, hands away from rim and strap [haul]',
          'A burst of gas through the head, gloves on <gas cartridge ×2> [gas air]',
          'Strap off; screw the core in; refill with air {valve core?} [inflate]',
        ],
        {
          holds: 0.85,
          caution: `${PRESSURE} Gas freezes the skin and seeps out of the tyre within a day: wear gloves, and refill with air. Most sealants turn to lumps in the cold gas: pump such a tyre with air.`,
        },
      ),
      way(
        'Strap round the tread, pump fast',
        'proper',
        60,
        2,
        [
          'Clean rim and bead, wet both with soapy water',
          'Screw the core out {valve core?}',
          'A strap round the tread, tightened until the beads touch the rim [haul]',
        ],
        [
          'Pump until it seats; strap off as it begins to hold [inflate]',
          'Screw the core in, pump again {valve core?}',
        ],
        { holds: 0.5, caution: PRESSURE },
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
          'Turn the wheel past a tie on fork or swing arm: the rim runs even <cable tie>',
        ],
        { caution: 'A wheel with loose spokes can break: look at all of them at every stop.' },
      ),
      way(
        'Tighten the neighbours',
        'ride-out',
        20,
        2,
        ['Tape the broken one to its neighbour <cloth tape>'],
        ['Quarter turns on both sides, even sound {spoke}'],
        {
          caution: 'A wheel with loose spokes can break: look at all of them at every stop.',
          lasts: { km: 150, kmh: 70 },
          ruin: 'jumps, stones, a second spoke gone beside it',
        },
      ),
      way('Tape it away and ride gently', 'limp', 10, 1, ['Tape the broken spoke to its neighbour <cloth tape>'], [], {
        lasts: { km: 50, kmh: 40 },
      }),
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
        [
          ...EITHER_OUT,
          'Lever the seal out [pry]',
          'Push the spacer aside, drive the bearing out from behind, round and round [punch out] [strike]',
          'Look at the seat in the hub: it is smooth and tight',
        ],
        [
          'Drive the new one in on its outer ring only, until the tone changes <wheel bearing> [strike]',
          'Grease and press the seal in <grease>',
          ...EITHER_IN,
        ],
        { holds: 0.8, caution: `${BY_HAND} ${LIFT} A hammer throws splinters of steel: shield your eyes.` },
      ),
      way(
        'Pack it with grease, ride slowly',
        'limp',
        80,
        3,
        [...EITHER_OUT, 'Lever the seal out [pry]', 'Wipe the worst out with a rag; pack it with grease <grease ×2>'],
        EITHER_IN,
        {
          holds: 0.6,
          travel: WALKING_PACE,
          caution: `A worn-out bearing can lock the wheel: ride at walking pace. ${BY_HAND} ${LIFT} ${NO_FUEL_NEAR_HEAT}`,
          ruin: 'speed; water that washes the grease out',
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
        'New nut, washers for a spacer',
        'ride-out',
        40,
        2,
        [
          STAND,
          'Look what is missing, and for it on the way back',
          'Raise the wheel: nobody under it',
          'Spacer gone: make up its whole width with washers, so that nothing moves sideways',
        ],
        [
          'New nut on, tight <axle nut> {rear axle}',
          'Spin the wheel: it runs free and the disc between its pads',
          PUMP,
        ],
        {
          holds: 0.8,
          caution: `An axle is never held by wire or ties: without a nut and its spacers do not ride. ${home('An axle on washers')} ${BY_HAND} ${LIFT}`,
          lasts: { km: 50, kmh: 40 },
          ruin: 'a nut that works loose: look every few minutes',
        },
      ),
      way(
        'Do not ride: walk out, fetch it later',
        'limp',
        120,
        1,
        ['Hide and lock the bike; note the place; take water, papers, light'],
        ['Come back with the part, or with a van'],
        { travel: { over: 'help', speed: 'walking' }, caution: 'A wheel that is not held throws you: do not ride it.' },
      ),
    ],
  }),
];
