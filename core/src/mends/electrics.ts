import { per, trouble, type Trouble } from './trouble.js';
import { way } from './way.js';
import { JUMPING, TOWING, WIRING } from './words.js';

const PUSH = way(
  'Push it off',
  'proper',
  15,
  2,
  ['Second gear, ignition on, clutch in, downhill if there is one'],
  ['Clutch out with weight on the seat; then half an hour at speed'],
  { when: ['pushes'] },
);

/** The starter's work done by leg or arm. */
const KICK = way(
  'Kick it over',
  'proper',
  10,
  1,
  ['Neutral, choke as for a cold start, kick through from the top of the stroke'],
  ['Let it run at a fast idle until the battery has taken some charge'],
  {
    only: { byHand: 'kick' },
    caution: 'A kick lever can kick back: wear boots, and keep the knee bent.',
  },
);
const CORD = way(
  'Pull the cord',
  'proper',
  10,
  1,
  ['Neutral, choke as for a cold start, pull the cord with a straight back'],
  ['Let it run at a fast idle until the battery has taken some charge'],
  { only: { byHand: 'cord' } },
);

/** Battery, charging, fuses and wires, light, ignition. */
export const ELECTRICS: Trouble[] = [
  trouble({
    id: 'battery',
    name: 'Battery flat',
    subject: 'electrics',
    rate: per(0.03, 0.03, 0.03),
    ways: [
      KICK,
      CORD,
      PUSH,
      way(
        'Jump it with a pack',
        'proper',
        24,
        1,
        ['Get at the poles {battery}', 'Plus first, minus to bare metal, manual’s order and polarity [jump-start]'],
        ['Start, let it run, minus off first, cover back {battery}'],
        { caution: JUMPING },
      ),
      way(
        'Jump it from a companion’s bike',
        'proper',
        30,
        1,
        [
          'The other bike close, its engine off, the same voltage',
          'Get at the poles {battery}',
          'Plus to plus, minus last and to bare metal away from the battery [jump leads]',
        ],
        ['Start, let it run, minus off first, cover back {battery}'],
        { when: ['company'], caution: JUMPING },
      ),
      way(
        'Swap batteries with a companion, start, swap back',
        'proper',
        60,
        3,
        ['Both batteries out {battery}'],
        ['Start with the good one, swap while it runs only if the manual allows it {battery}'],
        { when: ['company'], holds: 0.5, caution: WIRING },
      ),
      way(
        'Be towed to start',
        'proper',
        30,
        3,
        ['Strap wound round the bars, never tied [tow]'],
        ['Second gear, clutch out when rolling'],
        { when: ['company', 'pushes'], caution: TOWING },
      ),
    ],
  }),
  trouble({
    id: 'battery-terminal',
    name: 'Battery pole loose or corroded',
    subject: 'electrics',
    rate: per(0.005, 0.015, 0.03),
    ways: [
      way(
        'Clean and tighten',
        'proper',
        15,
        1,
        ['Get at the poles, minus off first {battery}', 'Scrape both to bright metal [file]'],
        ['Plus first, both tight {battery}'],
        { caution: WIRING },
      ),
      way('Tighten it', 'ride-out', 10, 1, ['Both poles tight {battery}'], [], { holds: 0.8, caution: WIRING }),
    ],
  }),
  trouble({
    id: 'fuse',
    name: 'Fuse blown or wire chafed',
    subject: 'electrics',
    rate: per(0.01, 0.02, 0.03),
    ways: [
      way(
        'Find the chafe, mend it, same fuse',
        'proper',
        42,
        2,
        [
          'Lid off, find the blown one {fuse box}',
          'Follow its wire: lock, bars, steering head, seat [measure current]',
          'Cut back to bright copper [cut]',
        ],
        [
          'Splice, tape, tie clear of the edge <cable> <self-fusing tape> <cable tie ×2>',
          'Fuse of the same rating <fuse ×2> {fuse box}',
        ],
        { caution: `${WIRING} A fuse in the wrong holder sits loose and burns.` },
      ),
      way(
        'Same fuse, look what blows it',
        'ride-out',
        15,
        1,
        ['Lid off, find the blown one {fuse box}'],
        ['Fuse of the same rating; leave off what blows it <fuse ×2> {fuse box}'],
        { holds: 0.6, caution: WIRING },
      ),
      way(
        'Borrow a fuse of the same rating',
        'ride-out',
        15,
        1,
        ['Take it from what is not needed: horn, heated grips {fuse box}'],
        [],
        { holds: 0.5, caution: 'A stronger fuse lets wires burn: fit one of the same rating only.' },
      ),
    ],
  }),
  trouble({
    id: 'charging',
    name: 'Charging fault',
    subject: 'electrics',
    rate: per(0.002, 0.003, 0.003),
    ways: [
      way(
        'Measure, mend the connector',
        'proper',
        60,
        3,
        [
          'Volts at the poles, engine at speed [measure current] {battery}',
          'Unplug regulator and generator, look for brown pins',
        ],
        ['Clean the pins, splice a burnt one out <cable> [cut]'],
        { holds: 0.4, caution: WIRING },
      ),
      way(
        'New regulator',
        'proper',
        50,
        2,
        ['Volts at the poles, engine at speed [measure current]'],
        ['Regulator on, plugged, on bare metal <regulator>'],
        { holds: 0.7, caution: WIRING },
      ),
      way(
        'Ride on the battery',
        'limp',
        20,
        1,
        ['Lamps and heat off where the law lets you; fuse of the lamp out {fuse box}'],
        ['Charge at each stop'],
        { caution: 'The lamps go out when the battery is empty: do not ride in the dark or in traffic.' },
      ),
    ],
  }),
  trouble({
    id: 'bulb',
    name: 'Bulb blown',
    subject: 'electrics',
    rate: per(0.01, 0.015, 0.02),
    stops: false,
    nuisance: 2,
    ways: [
      way('New bulb', 'proper', 18, 1, ['Cowl off, do not touch the glass'], ['Bulb in, try dip and main <bulb>']),
      way('Torch tied on, ride in daylight', 'limp', 10, 1, ['Torch on the bars <cable tie ×2> [light]'], [], {
        caution: 'Riding without a proper lamp may be forbidden: check local law, and ride by daylight.',
      }),
      way('Ride by daylight behind a companion', 'ride-out', 5, 1, ['In the middle of the group, by daylight'], [], {
        when: ['company'],
      }),
    ],
  }),
  trouble({
    id: 'coil',
    name: 'Ignition coil, lead or sensor fails',
    subject: 'electrics',
    rate: per(0.001, 0.002, 0.003),
    ways: [
      way(
        'Find it, dry it, mend the lead',
        'proper',
        60,
        3,
        [
          'Spark against the engine, lead held with dry pliers [grip] {plug}',
          'Measure the coil, look at its plug [measure current]',
        ],
        ['Cut the lead back, cap on, dry all [cut] {plug}'],
        { holds: 0.5, caution: WIRING },
      ),
      way('New coil', 'proper', 40, 2, ['Unplug the old one {plug}'], ['New coil on <coil> {plug}'], {
        holds: 0.7,
        caution: WIRING,
      }),
    ],
  }),
  trouble({
    id: 'switch',
    name: 'Side-stand or clutch switch stops the engine',
    subject: 'electrics',
    rate: per(0.001, 0.003, 0.006),
    ways: [
      way(
        'Clean it and tie it in place',
        'proper',
        25,
        1,
        ['Mud out of the switch [brush]'],
        ['Work it ten times, tie it straight <cable tie ×2>'],
        { holds: 0.7 },
      ),
      way(
        'Bridge it as the manual says',
        'ride-out',
        25,
        2,
        ['Unplug it; bridge only the two pins that the manual names <cable> [cut]'],
        ['Tape it, a note on the bars <self-fusing tape>'],
        {
          caution:
            'A bridged side-stand or clutch switch can throw you: use it only to leave danger, and remove it at once after.',
        },
      ),
    ],
  }),
  trouble({
    id: 'starter',
    name: 'Starter or relay fails',
    subject: 'electrics',
    rate: per(0.001, 0.002, 0.004),
    only: {},
    ways: [
      KICK,
      PUSH,
      way(
        'Clean the relay’s poles',
        'proper',
        30,
        2,
        ['Relay clicks? Volts behind it? [measure current]', 'Poles off, bright, on again [file]'],
        ['Tap the starter while pressing the button [strike]'],
        { holds: 0.5, caution: WIRING },
      ),
      way('Spare relay', 'proper', 20, 1, ['Unplug the old one'], ['New one in <relay>'], { holds: 0.5 }),
    ],
  }),
  trouble({
    id: 'starter-cord',
    name: 'Starter cord torn',
    subject: 'electrics',
    rate: per(0.002, 0.003, 0.004),
    only: { byHand: 'cord' },
    ways: [
      way(
        'New cord on the drum',
        'proper',
        40,
        2,
        [
          'Housing off, hold the drum against its spring [grip]',
          'Old cord out, wind the spring as far as the book says',
        ],
        ['New cord knotted in, let the drum draw it up slowly, handle on <starter cord>'],
        {
          caution:
            'The spring in a cord starter flies out and cuts: hold the drum all the time and turn your face away.',
        },
      ),
      way(
        'Knot what is left',
        'ride-out',
        20,
        1,
        ['Pull the torn end out, knot it to the rest or to a lace [grip]'],
        ['Pull it gently, then keep the engine running until home'],
        { holds: 0.7 },
      ),
      PUSH,
    ],
  }),
  trouble({
    id: 'device-dead',
    name: 'Phone or navigator without power',
    subject: 'electrics',
    rate: per(0.01, 0.012, 0.015),
    stops: false,
    nuisance: 0.8,
    ways: [
      way('Spare lead', 'proper', 12, 1, ['Look whether socket or lead is dead'], ['The spare lead <charging lead>']),
      way('The paper note of the way', 'ride-out', 10, 1, ['Read the way off another’s screen, write it down'], [], {
        when: ['company'],
      }),
    ],
  }),
];
