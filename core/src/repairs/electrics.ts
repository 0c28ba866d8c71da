import { per, trouble, type Trouble } from './trouble.js';
import { STRAP_ON } from './steps.js';
import { way } from './way.js';
import { JUMPING, PLUG_HOT, SPARKS, TOWING, WIRING } from './words.js';

const PUSH = way(
  'Push it off',
  'proper',
  15,
  2,
  [
    'Ignition on, stop switch to run, second gear, clutch pulled; downhill where you can',
    'Run beside it and jump on',
    'Let the clutch out as your weight falls on the seat; pull it again as the engine fires',
  ],
  ['Ride for half an hour before you switch it off'],
  {
    when: ['pushes'],
    caution:
      'A bike that fires while you push runs away: a clear, level way, a hand at clutch and brake, nobody in front.',
  },
);

/** The starter's work done by leg or arm. */
const KICK = way(
  'Kick it over',
  'proper',
  10,
  1,
  ['Neutral; choke as for a cold start', 'Kick through from the top of the stroke'],
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
  ['Neutral; choke as for a cold start', 'Pull the cord with a straight back'],
  ['Let it run at a fast idle until the battery has taken some charge'],
  {
    only: { byHand: 'cord' },
    caution: 'A cord pulls back when the engine kicks: neutral first, and do not wind it round the hand.',
  },
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
        [
          'Check this bike’s battery: not leaking, not swollen, not frozen, and of the pack’s voltage',
          'Ignition off: uncover the battery’s terminals {battery}',
          'Put the positive clamp on the positive terminal first [jump-start]',
          'Put the negative clamp last, on bare metal of the engine, away from the battery',
        ],
        [
          'Switch the pack on and start, five seconds at a time',
          'Take the negative clamp off first, then the positive one',
          'Cover the terminals {battery}',
        ],
        { caution: JUMPING },
      ),
      way(
        'Jump it from a companion’s bike',
        'proper',
        30,
        1,
        [
          'Bring the other bike close, not touching: same voltage, engine and ignition off',
          'Check this battery: not leaking, not swollen, not frozen',
          'Uncover the terminals {battery}',
          'Clamp the positive terminal of this battery, then the positive terminal of the other [jump leads]',
          'Clamp the negative terminal of the other, then bare metal of this engine, away from the battery',
        ],
        [
          'Start this bike; leave the other’s engine off',
          'Take the clamps off in the reverse order, negative first',
          'Cover the terminals {battery}',
        ],
        { when: ['company'], caution: JUMPING },
      ),
      way(
        'Be towed to start',
        'proper',
        30,
        3,
        [...STRAP_ON, 'Ignition on, second gear, clutch pulled'],
        ['While it rolls: let the strap go, then let the clutch out', 'Pull the clutch as the engine fires'],
        {
          when: ['company', 'pushes'],
          caution: `${TOWING} A bike that fires on the strap runs into the other: clutch in at once, and let go.`,
        },
      ),
    ],
  }),
  trouble({
    id: 'battery-terminal',
    name: 'Battery terminal loose or corroded',
    subject: 'electrics',
    rate: per(0.005, 0.015, 0.03),
    ways: [
      way(
        'Clean and tighten',
        'proper',
        15,
        1,
        [
          'Ignition off: take the negative lead off first, then the positive one {battery}',
          'Scrape leads and terminals to bright metal [file]',
        ],
        ['Put the positive lead on first, then the negative one; tighten both {battery}'],
        { caution: WIRING },
      ),
      way(
        'Tighten it',
        'ride-out',
        10,
        1,
        [
          'Ignition off: tighten the negative terminal, then the positive one; the tool must not touch metal beside it {battery}',
        ],
        [],
        {
          holds: 0.8,
          caution: WIRING,
        },
      ),
    ],
  }),
  trouble({
    id: 'fuse',
    name: 'Fuse blown or wire chafed',
    subject: 'electrics',
    rate: per(0.01, 0.02, 0.03),
    ways: [
      way(
        'Find the chafe, repair it, fit the same fuse',
        'proper',
        42,
        2,
        [
          'Ignition off: disconnect the battery’s negative lead {battery}',
          'Open the fuse box and find the blown fuse {fuse box}',
          'Follow its wire along lock, bars, steering head and seat; measure where it breaks [measure current]',
          'Cut the wire back to bright copper [cut]',
        ],
        [
          'Splice a piece of cable in and tape it <cable> <self-fusing tape>',
          'Tie it clear of the edge that rubbed it <cable tie ×2>',
          'Put in a fuse of the same rating and shape <fuse ×2> {fuse box}',
          'Connect the negative lead {battery}',
          'Ignition on: the fuse must stay whole',
        ],
        { caution: `${WIRING} A fuse in the wrong holder sits loose and burns.`, better: [['[pick]', 5]] },
      ),
      way(
        'Same fuse, look what blows it',
        'ride-out',
        15,
        1,
        ['Ignition off: open the fuse box and find the blown fuse {fuse box}'],
        [
          'Put in a fuse of the same rating; leave off what blew it <fuse ×2> {fuse box}',
          'If it blows again: leave it out',
        ],
        { holds: 0.6, caution: WIRING, lasts: { km: 300, kmh: 90 } },
      ),
      way(
        'Borrow a fuse of the same rating',
        'ride-out',
        15,
        1,
        [
          'Ignition off: take a fuse of the same rating from what can wait, such as heated grips or a charger {fuse box}',
        ],
        ['Put it in; leave off what blew the first {fuse box}', 'If it blows again: leave it out'],
        {
          holds: 0.5,
          lasts: { km: 300, kmh: 90 },
          caution: 'A stronger fuse lets wires burn: fit one of the same rating only.',
        },
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
        'Measure, then repair the connector',
        'proper',
        60,
        3,
        [
          'Uncover the battery’s terminals {battery}',
          'In neutral, engine at speed: measure the volts at the terminals [measure current]',
          'Engine off: disconnect the battery’s negative lead {battery}',
          'Unplug regulator and generator and look for brown pins',
        ],
        [
          'Clean the pins [file]',
          'Cut a burnt pin out; splice and tape its wire <cable> <self-fusing tape> [cut]',
          'Connect the negative lead {battery}',
          'Measure again: 13.5 to 14.8 volts with the engine at speed [measure current]',
        ],
        { holds: 0.4, caution: WIRING },
      ),
      way(
        'New regulator',
        'proper',
        50,
        2,
        [
          'In neutral, engine at speed: measure the volts at the terminals [measure current]',
          'Engine off: disconnect the battery’s negative lead {battery}',
          'Let the old regulator cool, unplug it, take it off',
        ],
        [
          'Fit the new regulator on bare metal and plug it in <regulator>',
          'Connect the negative lead {battery}',
          'Measure again: 13.5 to 14.8 volts with the engine at speed [measure current]',
        ],
        { holds: 0.7, caution: WIRING },
      ),
      way(
        'Ride on the battery',
        'limp',
        20,
        1,
        ['Switch off heated grips and all else; lamps only where and when the law lets you'],
        ['Charge it at each stop'],
        {
          lasts: { km: 80, kmh: 70 },
          caution: 'The lamps go out when the battery is empty: do not ride in the dark or in traffic.',
        },
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
      way(
        'New bulb',
        'proper',
        18,
        1,
        ['Ignition off: let the lamp cool', 'Take off its plug and rubber and push the spring aside'],
        ['Hold the new bulb by its foot, not by its glass, and fit it <bulb>', 'Try low beam and high beam'],
        { caution: 'A bulb that just burned is hot enough to blister: let it cool.' },
      ),
      way('Torch tied on, ride in daylight', 'limp', 10, 1, ['Tie a torch to the bars <cable tie ×2> [light]'], [], {
        caution: 'Riding without a proper lamp may be forbidden: check local law, and ride by daylight.',
      }),
      way(
        'Ride by daylight behind a companion',
        'ride-out',
        5,
        1,
        ['Ride in the middle of the group, by daylight'],
        [],
        {
          when: ['company'],
        },
      ),
    ],
  }),
  trouble({
    id: 'bulb-tail',
    name: 'Tail or brake lamp blown',
    subject: 'electrics',
    rate: per(0.008, 0.012, 0.016),
    stops: false,
    nuisance: 1,
    ways: [
      way(
        'New bulb',
        'proper',
        12,
        1,
        ['Ignition off: let the lamp cool', 'Take its lens off'],
        [
          'Push the new bulb in and turn it <tail bulb>',
          'Wipe the lens dry inside and put it on',
          'Try the tail lamp, and the brake lamp with both brakes',
        ],
        { caution: 'A bulb that just burned is hot enough to blister: let it cool.' },
      ),
      way(
        'Ride by daylight in front of a companion',
        'ride-out',
        5,
        1,
        ['Have somebody with lamps ride behind you, by daylight'],
        [],
        {
          when: ['company'],
          lasts: { km: 200, kmh: 90 },
        },
      ),
      way(
        'Torch tied on behind',
        'limp',
        10,
        1,
        ['Tie a torch with a red cloth to the rack, its beam in nobody’s eyes <cable tie ×2> [light]'],
        [],
        {
          caution: 'Riding without a proper lamp may be forbidden: check local law, and ride by daylight.',
          lasts: { km: 50, kmh: 50 },
        },
      ),
    ],
  }),
  trouble({
    id: 'coil',
    name: 'Ignition coil, lead or sensor fails',
    subject: 'electrics',
    rate: per(0.001, 0.002, 0.003),
    ways: [
      way(
        'Find it, dry it, repair the lead',
        'proper',
        60,
        3,
        [
          'Screw the plug out and close its hole with a rag {plug}',
          'Wipe up fuel and air the place for some minutes',
          'Put a good plug in the cap, its thread on bare engine metal well away from the hole, held with dry, insulated pliers: a spark? [grip]',
          'Ignition off: measure the coil and look at its plug [measure current]',
        ],
        [
          'Ignition off: cut the lead back to sound copper, and dry everything [cut]',
          'Put the plug in by hand, tighten it, press the cap on {plug}',
        ],
        {
          holds: 0.5,
          caution: `${SPARKS} Ignition volts knock you down: hands off lead and cap while the engine turns. ${PLUG_HOT}`,
        },
      ),
      way(
        'New coil',
        'proper',
        40,
        2,
        ['Ignition off: take the seat off {seat}', 'Unplug the old coil and take it off'],
        ['Fit the new coil; press lead and cap on until they sit <coil>', 'Put the seat on {seat}'],
        {
          holds: 0.7,
          caution: WIRING,
        },
      ),
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
        'ride-out',
        25,
        1,
        ['Engine off: brush the mud out of the switch [brush]'],
        [
          'Work it ten times, and tie it straight <cable tie ×2>',
          'Try it: stand down in gear, and the engine must stop',
        ],
        {
          holds: 0.7,
          lasts: { km: 500, kmh: 90 },
          caution: 'A side-stand that is down when you ride throws you: look at it each time.',
        },
      ),
      way(
        'Bridge it as the manual says',
        'ride-out',
        25,
        2,
        ['Ignition off: unplug the switch', 'Bridge only the two pins that the manual names <cable> [cut]'],
        ['Tape the bridge, and tape a note to the bars <self-fusing tape>'],
        {
          lasts: { km: 30, kmh: 60 },
          caution:
            'A bridged side-stand or clutch switch can throw you: use it only to leave danger, and remove it at once after.',
        },
      ),
    ],
  }),
  trouble({
    id: 'wet-electrics',
    name: 'Cuts out when wet',
    subject: 'electrics',
    rate: per(0.002, 0.004, 0.008),
    perCrossing: 0.01,
    stops: false,
    nuisance: 1,
    ways: [
      way(
        'Dry plugs and connectors',
        'proper',
        30,
        2,
        [
          'Ignition off: take the seat off {seat}',
          'Pull the connectors apart one by one and shake the water out; never open two that could be swapped',
          'Pull the plug’s cap off; wipe it inside, and wipe the plug’s neck',
        ],
        [
          'Push each together until it clicks',
          'Wind tape round what got wet <self-fusing tape>',
          'Put the seat on {seat}',
        ],
        { holds: 0.8, caution: WIRING },
      ),
      way(
        'Let it stand in sun and wind',
        'ride-out',
        60,
        1,
        [
          'Ignition off: pull the plug’s cap and the connectors that you can reach apart, and wipe them',
          'Let them dry for an hour, then push each together until it clicks',
        ],
        [],
        {
          holds: 0.6,
          caution: WIRING,
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
        'Clean the relay’s contacts',
        'proper',
        30,
        2,
        [
          'Neutral: press the button. Does the relay click? Measure the volts behind it [measure current]',
          'Ignition off: disconnect the battery’s negative lead {battery}',
          'Take the leads off the relay, scrape them to bright metal, put them on again [file]',
        ],
        ['Connect the negative lead {battery}', 'Neutral: tap the starter while somebody presses the button [strike]'],
        { holds: 0.5, caution: WIRING },
      ),
      way(
        'Spare relay',
        'proper',
        25,
        2,
        ['Ignition off: disconnect the battery’s negative lead {battery}', 'Take leads and plug off the old relay'],
        ['Fit the new relay and tighten its leads <relay>', 'Connect the negative lead {battery}'],
        {
          holds: 0.5,
          caution: WIRING,
        },
      ),
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
          'Ignition off, plug’s cap off',
          'Take the housing off and hold the drum against its spring [grip]',
          'Pull the old cord out, and wind the spring as far as the manual says',
        ],
        [
          'Knot the new cord in and let the drum draw it up slowly <starter cord>',
          'Tie the handle on, and put the housing and the cap back',
        ],
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
        [
          'Ignition off, plug’s cap off',
          'Pull the torn end out and hold the drum; knot it to the rest or to a boot lace [grip]',
        ],
        ['Put the cap on, pull gently, and keep the engine running until you are home'],
        {
          holds: 0.7,
          caution:
            'The spring in a cord starter flies out and cuts: hold the drum all the time and turn your face away.',
          lasts: { km: 300, kmh: 90 },
        },
      ),
      PUSH,
    ],
  }),
  trouble({
    id: 'kick-lever',
    name: 'Kick lever slips or hangs',
    subject: 'electrics',
    rate: per(0.001, 0.002, 0.006),
    only: { byHand: 'kick' },
    stops: false,
    nuisance: 1.5,
    ways: [
      way(
        'Off, clean the spline, tight again',
        'proper',
        20,
        1,
        [
          'Ignition off, neutral',
          'Mark how the lever sits, take the pinch bolt out, pull the lever off {kick lever}',
          'Brush both splines clean and look for missing teeth [brush]',
        ],
        [
          'Put it on at its mark and tighten the bolt {kick lever}',
          'Push it through by hand: it must spring back by itself',
        ],
        { holds: 0.6, caution: 'A kick lever can kick back: wear boots, and keep the knee bent.' },
      ),
      way(
        'Tie it up, start without it',
        'ride-out',
        10,
        1,
        ['Fold the lever and tie it clear of boot and brake <cable tie ×2>'],
        ['Push-start it; keep the engine running, and stop only where the bike rolls off by itself'],
        { when: ['pushes'], lasts: { km: 300, kmh: 90 }, ruin: 'a tie that opens: look at every stop' },
      ),
    ],
  }),
  trouble({
    id: 'cylinder-dead',
    name: 'One cylinder does not fire',
    subject: 'electrics',
    rate: per(0.002, 0.003, 0.004),
    only: { cylinders: 'several' },
    ways: [
      way(
        'Swap with a cylinder that fires',
        'proper',
        60,
        2,
        [
          'Run the engine for a minute, switch it off, and let a drop of water fall on each exhaust pipe near the engine: where it does not hiss, the cylinder is dead',
          'Let it cool, ignition off; take tank or panel off where they are in the way {tank?}',
          'Swap its cap or coil with a neighbour’s',
          'Run it again: if the fault moved along, cap or coil is at fault; repair or replace it',
          'If the fault stayed: let it cool, screw the plug out and a new one in, by hand first {plug} <spark plug>',
        ],
        [
          'Press all caps on until they click, and put panels and tank on {tank?}',
          'Ride a short way and listen; check it again at the next stop',
        ],
        {
          holds: 0.6,
          caution: `An exhaust burns skin: do not touch it to find the cold one. Ignition volts knock you down: hands off caps and leads while the engine turns. ${PLUG_HOT}`,
          better: [['[read codes]', 15]],
        },
      ),
      way(
        'Ride out on the others',
        'ride-out',
        15,
        2,
        [
          '(injection) Ignition off: unplug the dead cylinder’s injector as the manual says; leave its spark plug in',
          '(carburettor) Check that no fuel drips',
        ],
        [
          'Ride at low revs with gentle throttle, no further than the next workshop',
          'Stop on bare ground: no grass under a hot exhaust',
        ],
        {
          holds: 0.8,
          caution:
            'Unburnt fuel sets an exhaust glowing: where it smells of fuel or glows, stop and let it cool away from grass.',
          lasts: { km: 100, kmh: 60 },
          ruin: 'load and hills',
        },
      ),
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
      way(
        'Spare lead',
        'proper',
        12,
        1,
        ['Try the lead in another socket: is the lead dead, or the socket?'],
        ['Plug the spare lead in <charging lead>'],
      ),
      way(
        'From the jump pack',
        'ride-out',
        10,
        1,
        ['Connect the phone to the jump pack by its own lead [jump-start]'],
        [],
        {
          caution: 'A pack that is hot, swollen or wet can burn: leave it alone, and keep enough in it for the bike.',
        },
      ),
      way(
        'The paper note of the way',
        'ride-out',
        10,
        1,
        ['Read the route off a companion’s screen and write it down'],
        [],
        {
          when: ['company'],
        },
      ),
    ],
  }),
];
