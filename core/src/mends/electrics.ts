import { per, trouble, type Trouble } from './trouble.js';
import { way } from './way.js';
import { JUMPING, PLUG_HOT, SPARKS, TOWING, WIRING } from './words.js';

const PUSH = way(
  'Push it off',
  'proper',
  15,
  2,
  [
    'Ignition on, stop switch to run, second gear, clutch in, downhill if there is one',
    'Run beside it, jump on; clutch out with weight on the seat; clutch in as it fires',
  ],
  ['Half an hour at speed before it is switched off'],
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
          'Battery of this bike: not leaking, not swollen, not frozen; its voltage is the pack’s',
          'Ignition off; get at the poles {battery}',
          'Plus clamp to the plus pole first [jump-start]',
          'Minus clamp last, to bare metal of the engine, away from the battery',
        ],
        ['Pack on, start, five seconds at a time', 'Minus off first, then plus; cover back {battery}'],
        { caution: JUMPING },
      ),
      way(
        'Jump it from a companion’s bike',
        'proper',
        30,
        1,
        [
          'The other bike close, not touching; the same voltage; its engine off, its ignition off',
          'This battery: not leaking, not swollen, not frozen; get at the poles {battery}',
          'Plus of this battery, then plus of the other [jump leads]',
          'Minus of the other, then bare metal of this engine, away from the battery',
        ],
        [
          'Start this bike; the other’s engine stays off',
          'Clamps off in the reverse order, minus first; cover back {battery}',
        ],
        { when: ['company'], caution: JUMPING },
      ),
      way(
        'Be towed to start',
        'proper',
        30,
        3,
        [
          'Strap from the other’s rear frame to this bike’s foot peg: one turn round the peg, the end under the boot [tow]',
          'Ignition on, second gear, clutch in',
        ],
        ['When rolling: foot off the strap, clutch out; clutch in as it fires'],
        {
          when: ['company', 'pushes'],
          caution: `${TOWING} A bike that fires on the strap runs into the other: clutch in at once, and let go.`,
        },
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
        ['Ignition off; minus off first, then plus {battery}', 'Scrape both to bright metal [file]'],
        ['Plus on first, then minus; both tight {battery}'],
        { caution: WIRING },
      ),
      way(
        'Tighten it',
        'ride-out',
        10,
        1,
        ['Ignition off; both poles tight, the tool never from plus to metal {battery}'],
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
        'Find the chafe, mend it, same fuse',
        'proper',
        42,
        2,
        [
          'Ignition off, minus off the battery; lid off, find the blown one {fuse box} {battery}',
          'Follow its wire: lock, bars, steering head, seat [measure current]',
          'Cut back to bright copper [cut]',
        ],
        [
          'Splice, tape, tie clear of the edge <cable> <self-fusing tape> <cable tie ×2>',
          'Fuse of the same rating and shape <fuse ×2> {fuse box}',
          'Minus on; ignition on: it stays whole {battery}',
        ],
        { caution: `${WIRING} A fuse in the wrong holder sits loose and burns.`, better: [['[pick]', 5]] },
      ),
      way(
        'Same fuse, look what blows it',
        'ride-out',
        15,
        1,
        ['Ignition off; lid off, find the blown one {fuse box}'],
        ['Fuse of the same rating; leave off what blows it <fuse ×2> {fuse box}'],
        { holds: 0.6, caution: WIRING, lasts: { km: 300, kmh: 90 } },
      ),
      way(
        'Borrow a fuse of the same rating',
        'ride-out',
        15,
        1,
        ['Ignition off; take one of the same rating from what can wait: heated grips, charger {fuse box}'],
        ['Put it in; leave off what blew it {fuse box}'],
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
        'Measure, mend the connector',
        'proper',
        60,
        3,
        [
          'Volts at the poles, engine at speed [measure current] {battery}',
          'Engine off, minus off; unplug regulator and generator, look for brown pins {battery}',
        ],
        [
          'Clean the pins; cut a burnt one out, splice, tape <cable> <self-fusing tape> [cut] [file]',
          'Minus on; measure again {battery} [measure current]',
        ],
        { holds: 0.4, caution: WIRING },
      ),
      way(
        'New regulator',
        'proper',
        50,
        2,
        [
          'Volts at the poles, engine at speed [measure current]',
          'Engine off, minus off; the old one unplugged; it is hot {battery}',
        ],
        ['Regulator on, plugged, on bare metal <regulator>', 'Minus on; measure again {battery} [measure current]'],
        { holds: 0.7, caution: WIRING },
      ),
      way(
        'Ride on the battery',
        'limp',
        20,
        1,
        ['Heated grips and all else off; lamps only where and when the law lets you'],
        ['Charge at each stop'],
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
        ['Ignition off, let the lamp cool; its rubber and plug off, spring aside'],
        ['Bulb in by its foot, glass untouched <bulb>', 'Try dip and main'],
        { caution: 'A bulb that just burned is hot enough to blister: let it cool.' },
      ),
      way('Torch tied on, ride in daylight', 'limp', 10, 1, ['Torch on the bars <cable tie ×2> [light]'], [], {
        caution: 'Riding without a proper lamp may be forbidden: check local law, and ride by daylight.',
      }),
      way('Ride by daylight behind a companion', 'ride-out', 5, 1, ['In the middle of the group, by daylight'], [], {
        when: ['company'],
      }),
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
        ['Ignition off, let the lamp cool; its lens off'],
        ['Bulb in, a push and a turn; lens on, dry inside <tail bulb>', 'Try tail and brake lamp by both brakes'],
        { caution: 'A bulb that just burned is hot enough to blister: let it cool.' },
      ),
      way(
        'Ride by daylight in front of a companion',
        'ride-out',
        5,
        1,
        ['Somebody with lamps behind, by daylight'],
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
        ['Torch with a red cloth on the rack, no beam into others’ eyes <cable tie ×2> [light]'],
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
        'Find it, dry it, mend the lead',
        'proper',
        60,
        3,
        [
          'Plug out, its hole closed with a rag; wipe up fuel, air the place for some minutes {plug}',
          'A good plug in the cap, its thread on bare engine metal well away from the hole, held with dry, insulated pliers: a spark? [grip]',
          'Ignition off; measure the coil, look at its plug [measure current]',
        ],
        ['Ignition off: cut the lead back, cap on, dry all [cut] {plug}'],
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
        ['Ignition off; seat or tank off as it needs; unplug the old one {seat}'],
        ['New coil on, lead and cap seated <coil> {seat}'],
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
        ['Engine off; mud out of the switch [brush]'],
        ['Work it ten times, tie it straight <cable tie ×2>', 'Stand down in gear: the engine stops, as it should'],
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
        ['Ignition off; unplug it; bridge only the two pins that the manual names <cable> [cut]'],
        ['Tape it, a note on the bars <self-fusing tape>'],
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
          'Ignition off; seat off {seat}',
          'Connectors apart one by one: shake the water out, wipe, air; never two that could be swapped',
          'Plug cap off: wipe it inside, and the plug’s neck',
        ],
        ['Back together until each clicks; tape round what got wet <self-fusing tape>', 'Seat on {seat}'],
        { holds: 0.8, caution: WIRING },
      ),
      way(
        'Let it stand in sun and wind',
        'ride-out',
        60,
        1,
        ['Ignition off; cap and connectors that one can reach apart, wiped'],
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
        'Clean the relay’s poles',
        'proper',
        30,
        2,
        [
          'Neutral. The relay clicks? Volts behind it? [measure current]',
          'Ignition off, minus off; relay’s poles off, bright, on again {battery} [file]',
        ],
        ['Minus on; tap the starter while somebody presses the button {battery} [strike]'],
        { holds: 0.5, caution: WIRING },
      ),
      way(
        'Spare relay',
        'proper',
        25,
        2,
        ['Ignition off, minus off; poles and plug of the old one off {battery}'],
        ['New one in, poles tight; minus on <relay> {battery}'],
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
        ['Ignition off; pull the torn end out, hold the drum, knot it to the rest or to a lace [grip]'],
        ['Pull it gently, then keep the engine running until home'],
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
          'Ignition off, neutral; pinch bolt out, mark the spline, lever off {kick lever}',
          'Spline clean on both; look for teeth that are gone [brush]',
        ],
        ['On at its mark, bolt tight {kick lever}', 'It springs back by itself; push it through by hand first'],
        { holds: 0.6, caution: 'A kick lever can kick back: wear boots, and keep the knee bent.' },
      ),
      way(
        'Tie it up, start without it',
        'ride-out',
        10,
        1,
        ['Lever folded and tied clear of boot and brake <cable tie ×2>'],
        ['Keep the engine running; stop only where the bike rolls off by itself'],
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
          'Engine off; water drop near each exhaust pipe’s start after a minute’s run: the one where it does not hiss is dead',
          'Ignition off, engine cool: tank or panel off as it needs; its cap or coil changed over with a neighbour’s {tank?}',
          'The fault moved with it: cap or coil; it stayed: plug out, looked at, a new one in {plug} <spark plug>',
        ],
        [
          'All caps on until they click; panels and tank on {tank?}',
          'Ride a kilometre, listen; look again at the next stop',
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
          'Ignition off: the dead cylinder’s injector unplugged as the manual says, its plug left in',
          'Carburettor: look that no fuel drips; ride no further than the next workshop',
        ],
        ['Low revs, gentle throttle; no grass under a hot exhaust'],
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
      way('Spare lead', 'proper', 12, 1, ['Look whether socket or lead is dead'], ['The spare lead <charging lead>']),
      way('From the jump pack', 'ride-out', 10, 1, ['Pack to phone by its own lead [jump-start]'], [], {
        caution: 'A pack that is hot, swollen or wet can burn: leave it alone, and keep enough in it for the bike.',
      }),
      way('The paper note of the way', 'ride-out', 10, 1, ['Read the way off another’s screen, write it down'], [], {
        when: ['company'],
      }),
    ],
  }),
];
