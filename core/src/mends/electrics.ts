import { per, trouble, type Trouble } from './trouble.js';
import { way } from './way.js';
import { WIRING } from './words.js';

const PUSH = way(
  'Push it off',
  'proper',
  15,
  2,
  ['Second gear, ignition on, clutch in, downhill if there is one'],
  ['Clutch out with weight on the seat; then half an hour at speed'],
  { when: ['pushes'] },
);

/** Battery, charging, fuses and wires, light, ignition. */
export const ELECTRICS: Trouble[] = [
  trouble({
    id: 'battery',
    name: 'Battery flat',
    subject: 'electrics',
    rate: per(0.03, 0.03, 0.03),
    ways: [
      PUSH,
      way(
        'Jump it',
        'proper',
        24,
        1,
        ['Get at the poles {battery}', 'Plus first, minus to bare metal, manual’s order and polarity [jump-start]'],
        ['Start, let it run, minus off first, cover back {battery}'],
        {
          caution:
            'The manual’s order and polarity; no lithium pack that is hot, swollen or wet. Jump currents do not go through a thin accessory lead.',
        },
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
        { when: ['company', 'pushes'], caution: 'Towing: law and skill, short, slow.' },
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
        { holds: 0.5, caution: 'Only the same rating.' },
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
        { caution: 'Not in the dark, not in traffic.' },
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
        caution: 'Local law says whether it may be ridden.',
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
        { caution: 'A defeated side-stand or clutch switch: only to leave danger, removed at once after.' },
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
