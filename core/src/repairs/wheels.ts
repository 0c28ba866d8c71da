import { per, trouble, type Trouble } from './trouble.js';
import { LEAVE_IT } from './steps.js';
import { way } from './way.js';
import { BY_HAND, CORE, LIFT, NO_FUEL_NEAR_HEAT, PRESSURE, WALKING_PACE, home } from './words.js';

/** A wheel out: pinch bolts first, the axle broken loose while the bike stands on its wheels, spacers kept in order. */
const STAND = 'Stop on firm, level ground; switch the engine off and leave it in gear';
const ASIDE = 'Lay the spacers and the nut on a rag, in the order they came off';
const NO_BRAKE =
  'Leave the brake lever and pedal alone while the wheel is out; push a clean slip of wood between the pads';
/** A drum's plate is held by its stay and worked by rod or cable: both come off before the wheel. */
const FRONT_DRUM = '(front drum) Undo the front brake’s cable and the stay of its plate {brake stay?}';
const REAR_DRUM = '(rear drum) Undo the rear brake’s rod or cable and the stay of its plate {brake stay?}';
const FRONT_DRUM_ON =
  '(front drum) Fix the stay of the front brake’s plate, hook the cable in, set its play {brake stay?}';
const REAR_DRUM_ON =
  '(rear drum) Fix the stay of the rear brake’s plate, put its rod or cable on, set its play {brake stay?}';
const FRONT_OUT = [
  STAND,
  FRONT_DRUM,
  'Slacken the pinch bolts {front axle pinch?}',
  'Break the axle loose while the bike stands on its wheels {front axle}',
  'Raise the front wheel: use a prop or a log, or lay the bike on its side',
  'Pull the axle out and take the wheel out; mind the wheel sensor and its lead',
  ASIDE,
  NO_BRAKE,
];
const REAR_OUT = [
  STAND,
  REAR_DRUM,
  'Break the axle loose while the bike stands on its wheels {rear axle}',
  '(chain) Slacken the adjusters {chain adjuster?}',
  'Raise the rear wheel: put a prop under the foot peg, use a log, or lay the bike on its side',
  '(chain) Push the wheel forward and lift the chain off',
  '(belt) Push the wheel forward and lift the belt off without kinking it',
  'Pull the axle out and take the wheel out; mind the wheel sensor and its lead',
  '(shaft) Pull the wheel off the splines of the final drive',
  ASIDE,
  NO_BRAKE,
];
const PUMP = 'Pump the brake lever and pedal until both are hard, before the bike moves';
const LOOK_AGAIN = 'Paint a mark across nut and axle, and check it at the next stop';
const FRONT_IN = [
  'Guide the disc between the pads, hold wheel and spacers in line, push the axle through',
  'Tighten the axle {front axle}',
  'Lower the bike and push the fork down a few times; then tighten the pinch bolts {front axle pinch?}',
  FRONT_DRUM_ON,
  PUMP,
  LOOK_AGAIN,
];
const REAR_IN = [
  '(shaft) Push the wheel onto the splines of the final drive',
  'Guide the disc between the pads, hold wheel and spacers in line, push the axle through',
  '(chain) Lay the chain on; set its play with both adjusters at the same mark {chain adjuster?}',
  '(belt) Lay the belt on; set its play with both adjusters at the same mark {chain adjuster?}',
  'Tighten the axle {rear axle}',
  REAR_DRUM_ON,
  'Pump the brake pedal until it is hard, before the bike moves',
  LOOK_AGAIN,
];
/** Either wheel may be flat: what the kit needs is what both need. */
const EITHER_OUT = [
  STAND,
  FRONT_DRUM,
  REAR_DRUM,
  'Front wheel: slacken the pinch bolts {front axle pinch?}',
  'Break the axle loose while the bike stands on its wheels {rear axle} {front axle}',
  '(chain) Rear wheel: slacken the adjusters {chain adjuster?}',
  'Raise the wheel: put a prop under the foot peg, use a log, or lay the bike on its side',
  '(chain) Rear wheel: push it forward and lift the chain off',
  '(belt) Rear wheel: push it forward and lift the belt off without kinking it',
  'Pull the axle out and take the wheel out; mind the wheel sensor and its lead',
  '(shaft) Rear wheel: pull it off the splines of the final drive',
  ASIDE,
  NO_BRAKE,
];
const EITHER_IN = [
  '(shaft) Rear wheel: push it onto the splines of the final drive',
  'Guide the disc between the pads, hold wheel and spacers in line, push the axle through',
  '(chain) Rear wheel: lay the chain on; set its play with both adjusters at the same mark {chain adjuster?}',
  'Tighten the axle {rear axle} {front axle}',
  'Front wheel: lower the bike and push the fork down a few times; then tighten the pinch bolts {front axle pinch?}',
  FRONT_DRUM_ON,
  REAR_DRUM_ON,
  PUMP,
  LOOK_AGAIN,
];
const TYRE_OFF = [
  'Let all the air out: press the pin in the valve',
  'Unscrew the valve’s core and the valve’s nut {valve core?}',
  '(tubed) Slacken the rim lock’s nut to the end of its thread and push the lock in {rim lock?}',
  'Push the tyre’s edge off the rim all round, on both sides: kneel on it, or lever it down [lever tyre ×2]',
  'If the edge will not move: lay the wheel with its disc upwards, set another bike’s side-stand on the tyre beside the rim, and have somebody hold that bike',
  'Wet the tyre’s edge; lay cloth or plastic under the levers to spare the rim',
  'Kneel on the tyre opposite the valve so that its edge lies in the deepest part of the rim',
  'Beginning at the valve, lift one side over the rim in short bites [lever tyre ×2]',
];
const TUBE_ON = [
  '(spoked) Check the rim strip: it must cover every spoke end',
  'Screw the core in and blow a little air into the tube, so that it does not fold {valve core?} [inflate]',
  'Push the valve through its hole and turn its nut on by two turns, no more',
  '(tubed) Push the rim lock up into the tyre, so that the tyre’s edge goes under it',
  'Press the tyre’s edge into the deepest part of the rim opposite the valve; lever the last bite over at the valve, without pinching the tube [lever tyre ×2]',
  'Push the valve in and let it spring back: the tube must not be caught under the tyre’s edge',
  'Pump up until the line on the tyre’s side runs at the same height all round the rim [inflate]',
  '(tubed) Tighten the rim lock’s nut {rim lock?}',
  'Set the pressure for the ground ahead and screw the valve’s cap on [inflate]',
];
const FIND_IT =
  'Find the hole: pump, listen, wet the tube, mark the place; then feel inside the tyre for what made it [inflate]';

const TIED = way(
  'Ties round tyre and rim',
  'limp',
  15,
  1,
  ['(spoked) Pull ties tight round tyre and rim between the spokes, so that the tyre stays on <cable tie ×8>'],
  ['Ride at walking pace and check the ties at every stop'],
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
  ['Keep your weight off the flat wheel and ride at walking pace, on soft ground where you can'],
  [],
  {
    travel: WALKING_PACE,
    caution: `Riding on a flat ruins the tyre and maybe the rim: go at walking pace and have both looked at.`,
    ruin: 'speed; a tyre that comes off the rim and jams the wheel',
  },
);
const FIND_PLUG = [
  'Find the hole and mark it; leave the nail or thorn in until everything is ready',
  'Look where it sits: plug a hole in the tread only, no wider than a pencil; never one in the shoulder or the side',
  'Pull the nail or thorn out [grip]',
  'Rough the hole: push the reamer in and out along the direction of the hole [ream]',
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
        [...EITHER_OUT, ...TYRE_OFF, 'Pull the tube out and screw its core in again {valve core?}', FIND_IT],
        [
          'Roughen a place wider than the patch and wipe it',
          'Spread the glue thin and wait until it is dry to the touch',
          'Press the patch on from its middle outwards <patch ×2>',
          ...TUBE_ON,
          ...EITHER_IN,
        ],
        {
          holds: 0.95,
          caution: `${BY_HAND} ${LIFT} ${PRESSURE} A patch can lift when the tyre runs hot: look at the pressure at every stop of the first day.`,
          ruin: 'heat, low pressure, what made the hole left in the tyre',
          second: 10,
          better: [
            ['[electric air]', 8],
            ['[prop]', 6],
            ['[lay out]', 3],
          ],
        },
      ),
      way(
        'Fit a front tube, in the rear too',
        'ride-out',
        50,
        2,
        [...EITHER_OUT, ...TYRE_OFF, 'Pull the tube out and feel inside the tyre for what made the hole'],
        ['Put the tube in <front tube>', ...TUBE_ON, ...EITHER_IN],
        {
          caution: `${BY_HAND} ${LIFT} ${PRESSURE} ${home('A tube of another size')}`,
          lasts: { km: 300, kmh: 80 },
          ruin: 'heat: a tube that is stretched tears long',
          second: 10,
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
        [...FRONT_OUT, ...TYRE_OFF, 'Pull the tube out and feel inside the tyre for what tore it'],
        ['Put the tube in <front tube>', ...TUBE_ON, ...FRONT_IN],
        { caution: `${BY_HAND} ${LIFT} ${PRESSURE}`, second: 10, better: [['[pull valve]', 5]] },
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
        [...REAR_OUT, ...TYRE_OFF, 'Pull the tube out and feel inside the tyre for what tore it'],
        ['Put the tube in <rear tube>', ...TUBE_ON, ...REAR_IN],
        { caution: `${BY_HAND} ${LIFT} ${PRESSURE}`, second: 12, better: [['[pull valve]', 6]] },
      ),
      way(
        'Fit a front tube in the rear',
        'ride-out',
        72,
        2,
        [...REAR_OUT, ...TYRE_OFF, 'Pull the tube out and feel inside the tyre for what tore it'],
        ['Put the front tube in with little air, so that it lies evenly <front tube>', ...TUBE_ON, ...REAR_IN],
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
          'Thread the string through the needle’s eye, both ends equally long',
          'Push it into the hole until two finger-widths stand out <plug string>',
          'Pull the needle straight out with a jerk',
          'Cut the ends off a little above the tread [cut]',
          'Pump up and wet the plug: no bubbles may come [inflate]',
          'Check it at the next stop',
        ],
        {
          holds: 0.93,
          caution: PLUGGED,
          lasts: { km: 150, kmh: 80 },
          ruin: 'speed, heat, a full load',
          better: [['[electric air]', 8]],
        },
      ),
      way(
        'Plug it with a pin plug',
        'ride-out',
        25,
        1,
        FIND_PLUG,
        [
          'Push the pin plug in as far as it goes <pin plug>',
          'Cut the rest off a little above the tread [cut]',
          'Pump up and wet the plug: no bubbles may come [inflate]',
          'Check it at the next stop',
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
        [
          ...EITHER_OUT,
          ...TYRE_OFF,
          'Unscrew the tubeless valve [grip]',
          'Pull the nail or thorn out, and feel inside the tyre for another',
        ],
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
        ['Wet the valve, the tyre’s edge and the tread, and look where it bubbles'],
        ['Pump up, note the pressure, and check it at the next stop [inflate]'],
        { lasts: { km: 200, kmh: 70 }, ruin: 'riding on after it went soft', caution: PRESSURE },
      ),
      way('Ride slowly to the next pump', 'limp', 30, 1, ['Move luggage away from that wheel and ride slowly']),
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
        ['Let the air out: press the pin in the valve', 'Screw the old core out, your face away from it {valve core}'],
        [
          'Screw the new core in until it sits, then a touch more <valve core> {valve core}',
          'Pump up and wet the valve: no bubbles may come [inflate]',
        ],
        { caution: CORE },
      ),
      way(
        'Tighten it, spit test',
        'ride-out',
        10,
        1,
        ['Turn the core in by a touch {valve core}'],
        [
          'Pump up and put some spit on the valve: no bubble may grow [inflate]',
          'Screw a metal cap with a seal on: it holds what still leaks',
        ],
        { holds: 0.5, lasts: { km: 200, kmh: 90 }, caution: CORE },
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
          'If the rim is bent: knock its lip back little by little, with a piece of wood between [strike]',
          'Look for cracks: do not ride on a cracked rim',
        ],
        ['Lay the boot inside over the cut and put the tube back in <tyre boot>', ...TUBE_ON, ...EITHER_IN],
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
          'If the rim is bent: knock its lip back little by little, with a piece of wood between [strike]',
          'Look for cracks: do not ride on a cracked rim',
          'Unscrew the tubeless valve [grip]',
        ],
        ['Lay the boot inside over the cut and put the tube in <tyre boot> <front tube>', ...TUBE_ON, ...EITHER_IN],
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
        [
          'Tape over the cut from outside <cloth tape>',
          'Pull ties round tyre and rim between the spokes, tight <cable tie ×8>',
        ],
        ['Ride at walking pace and check the ties at every stop'],
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
        [
          'Clean the rim and the tyre’s edge and wet both with soapy water <tyre soap>',
          'Screw the core out {valve core?}',
        ],
        [
          'Pull a strap tight round the tread; then keep your hands away from rim and strap [haul]',
          'Let a burst of gas in through the cartridge’s head, gloves on <gas cartridge ×2> [gas air]',
          'Take the strap off and screw the core in {valve core?}',
          'Refill with air to the pressure that the ground wants [inflate]',
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
          'Clean the rim and the tyre’s edge and wet both with soapy water <tyre soap>',
          'Screw the core out {valve core?}',
          'Tighten a strap round the tread until the tyre’s edges touch the rim [haul]',
        ],
        [
          'Pump until it seats; take the strap off as soon as it begins to hold [inflate]',
          'Screw the core in and pump again {valve core?}',
        ],
        { holds: 0.5, caution: PRESSURE, second: 10 },
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
        ['Unscrew the broken spoke from its nipple {spoke}'],
        [
          'Check its length against the old one: a spoke that stands through its nipple pierces the tube',
          'Thread the new spoke in and tighten it until it sounds like its neighbours <spoke ×2> {spoke}',
          'Fix a tie on fork or swing arm, its end at the rim, and turn the wheel: the rim must run evenly past it <cable tie>',
        ],
        { caution: 'A wheel with loose spokes can break: look at all of them at every stop.' },
      ),
      way(
        'Tighten the neighbours',
        'ride-out',
        20,
        2,
        ['Tape the broken one to its neighbour <cloth tape>'],
        ['Tighten the neighbours on both sides by quarter turns until they sound alike {spoke}'],
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
    id: 'rim-strip',
    name: 'Tube pierced by a spoke end',
    subject: 'wheels',
    rate: per(0.001, 0.002, 0.006),
    only: { wheels: 'spoked', tyres: 'tubed' },
    ways: [
      way(
        'New rim strip, patch the tube',
        'proper',
        70,
        2,
        [
          ...EITHER_OUT,
          ...TYRE_OFF,
          'Pull the tube out and screw its core in again {valve core?}',
          FIND_IT,
          'File the spoke end flush with its nipple [file]',
        ],
        [
          'Lay the new strip into the rim, its hole over the valve’s hole <rim strip>',
          'Roughen a place wider than the patch and wipe it',
          'Spread the glue thin and wait until it is dry to the touch',
          'Press the patch on from its middle outwards <patch ×2>',
          ...TUBE_ON,
          ...EITHER_IN,
        ],
        { holds: 0.95, caution: `${BY_HAND} ${LIFT} ${PRESSURE}`, second: 10 },
      ),
      way(
        'Cloth tape over the spoke ends',
        'ride-out',
        70,
        2,
        [...EITHER_OUT, ...TYRE_OFF, 'Pull the tube out and screw its core in again {valve core?}', FIND_IT],
        [
          'Wipe the inside of the rim dry',
          'Lay tape round it twice, smoothly, and cut the valve’s hole free <cloth tape ×4> [cut]',
          'Roughen a place wider than the patch and wipe it',
          'Spread the glue thin and wait until it is dry to the touch',
          'Press the patch on from its middle outwards <patch ×2>',
          ...TUBE_ON,
          ...EITHER_IN,
        ],
        {
          holds: 0.85,
          caution: `${BY_HAND} ${LIFT} ${PRESSURE} ${home('A taped rim')}`,
          lasts: { km: 500, kmh: 90 },
          ruin: 'water and heat under the tape',
          second: 10,
        },
      ),
      WALK_FLAT,
    ],
  }),
  trouble({
    id: 'wheel-true',
    name: 'Wheel out of true',
    subject: 'wheels',
    rate: per(0.001, 0.004, 0.012),
    only: { wheels: 'spoked' },
    byFall: true,
    stops: false,
    nuisance: 1,
    ways: [
      way(
        'True it against a tie',
        'ride-out',
        45,
        3,
        [
          'Raise the wheel with a prop or a log',
          'Fix a tie on fork or swing arm, its end just clear of the rim <cable tie>',
          'Turn the wheel and mark where the rim touches it',
        ],
        [
          'There: slacken the spokes on the side that touches by a quarter turn, and tighten those of the other side by a quarter turn {spoke}',
          'Repeat, never more than a quarter turn at a time, until the rim runs true within the thickness of a coin',
          'Tap all the spokes: none may sound dull',
          'Try the brake',
        ],
        {
          caution: `${LIFT} A wheel with loose spokes can break: look at all of them at every stop. A cracked rim is not ridden.`,
          lasts: { km: 300, kmh: 80 },
          ruin: 'stones, jumps, load',
          better: [['[prop]', 6]],
        },
      ),
      way(
        'Ride slowly as it is',
        'limp',
        5,
        1,
        ['Spin the wheel: if it touches fork, swing arm or brake, do not ride'],
        [],
        {
          caution: 'A wheel that touches can lock: if in doubt do not ride.',
          lasts: { km: 60, kmh: 40 },
        },
      ),
    ],
  }),
  trouble({
    id: 'trailer-flat',
    name: 'Flat on a trailer',
    subject: 'wheels',
    stops: false,
    nuisance: 1.5,
    ways: [
      way(
        'Change to its spare wheel',
        'proper',
        30,
        1,
        [
          'Get off the road, switch the hazard lights on, set the warning triangle up, and send everybody behind the barrier',
          'Leave the trailer hitched and the bikes tied on; chock its other wheel on both sides',
          'Loosen the wheel’s nuts by a turn with the car’s own wrench',
          'Set the car’s jack under the axle, never under the floor, and raise the wheel',
        ],
        [
          'Put the spare wheel on and turn the nuts on crosswise',
          'Lower the trailer, tighten the nuts crosswise, and check them after a few minutes’ driving',
        ],
        {
          caution: `${LIFT} Beside a road people are run over: reflective vest on, and call for help where the shoulder is narrow.`,
        },
      ),
      way(
        'Plug it and pump it up',
        'ride-out',
        30,
        1,
        ['Get off the road, switch the hazard lights on, set the warning triangle up', ...FIND_PLUG],
        [
          'Thread the string through the needle’s eye and push it into the hole until two finger-widths stand out <plug string>',
          'Pull the needle straight out with a jerk, and cut the ends off [cut]',
          'Pump up to the pressure that the tyre’s side names [inflate]',
        ],
        { holds: 0.85, caution: PLUGGED, lasts: { km: 100, kmh: 60 }, ruin: 'speed and a full load' },
      ),
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
          'Push the inner spacer aside and drive the bearing out from behind, a little at each side in turn [punch out] [strike]',
          'Check its seat in the hub: it must be smooth',
        ],
        [
          'Lay the old bearing on the new one and drive the new one in on its outer ring only, until the tone changes <wheel bearing> [strike]',
          'Grease and press the seal in <grease>',
          ...EITHER_IN,
        ],
        {
          holds: 0.8,
          caution: `${BY_HAND} ${LIFT} A hammer throws splinters of steel: shield your eyes.`,
          second: 15,
          better: [['[prop]', 6]],
        },
      ),
      way(
        'Pack it with grease, ride slowly',
        'limp',
        80,
        3,
        [
          ...EITHER_OUT,
          'Lever the seal out [pry]',
          'Wipe the dirt out with a rag and pack the bearing with grease <grease ×2>',
        ],
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
          'See what is missing, and look for it on the way that you came',
          'Raise the wheel with a prop or a log',
          'If a spacer is gone: make up its whole width with washers, so that nothing moves sideways',
        ],
        [
          'Screw the new nut on and tighten it <axle nut> {rear axle}',
          'Spin the wheel: it must run free, with the disc between its pads',
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
        LEAVE_IT,
        ['Come back with the part or with a van'],
        { travel: { over: 'help', speed: 'walking' }, caution: 'A wheel that is not held throws you: do not ride it.' },
      ),
    ],
  }),
];
