import { per, trouble, type Trouble } from './trouble.js';
import { way } from './way.js';
import { BY_HAND, CRITICAL, HOT } from './words.js';

/** What comes before any improvised fastening. */
const ASK_WHAT_HANGS =
  'Ask what hangs on it: a brake, an axle, the steering, a wheel or the engine’s mount: then do not ride';
/** The only improvised way of what people’s lives hang on. */
const DO_NOT_RIDE = way(
  'Do not ride: fetch the part',
  'limp',
  120,
  1,
  ['Hide and lock the bike; note the place; take water, papers, light'],
  ['Come back with the right bolt, or with a van'],
  {
    travel: { over: 'help', speed: 'walking' },
    caution: CRITICAL,
  },
);

/** Things shaken loose, lost, or that fail at the mend itself. */
export const LOOSE: Trouble[] = [
  trouble({
    id: 'fastener-lost',
    name: 'Fastener shaken loose or lost',
    subject: 'loose and lost',
    rate: per(0.03, 0.1, 0.25),
    stops: false,
    nuisance: 1.5,
    ways: [
      way(
        'New bolt of its thread',
        'proper',
        18,
        1,
        ['Find the thread: try a bolt by hand, never force it', 'Clean the hole [brush]'],
        ['Bolt, washer and nut in, tighten, paint a mark across <bolt>', 'Look at its neighbours too'],
        { caution: BY_HAND },
      ),
      way(
        'Ties in its place',
        'ride-out',
        10,
        1,
        [ASK_WHAT_HANGS, 'Ties through the hole, pulled tight, two rather than one <cable tie ×2>'],
        [],
        {
          caution: `${CRITICAL} ${HOT}`,
          lasts: { km: 150, kmh: 80 },
          ruin: 'heat, sharp edges, vibration: look at every stop',
        },
      ),
    ],
  }),
  trouble({
    id: 'critical-lost',
    name: 'Bolt of brake, axle, steering, wheel or engine mount lost',
    subject: 'loose and lost',
    rate: per(0.003, 0.01, 0.025),
    ways: [
      way(
        'New bolt of its thread and strength',
        'proper',
        25,
        2,
        [
          'Find what is missing, and look for it on the way back',
          'Clean the hole; turn the bolt in by hand to its end: never force it [brush]',
          'Same length, same thread, strength mark no lower than its neighbours’',
        ],
        [
          'Threadlocker on; bolt and washer in; tighten to the manual’s torque <bolt> <threadlocker>',
          'Try brake, steering and wheel by hand before you ride',
          'Look at all its neighbours; look again at the next stop',
        ],
        { caution: `${CRITICAL} ${BY_HAND}` },
      ),
      DO_NOT_RIDE,
    ],
  }),
  trouble({
    id: 'fastener-loose',
    name: 'Fastener found loose at the evening round',
    subject: 'loose and lost',
    rate: per(0.06, 0.2, 0.5),
    stops: false,
    nuisance: 0.6,
    ways: [
      way(
        'Tighten it',
        'proper',
        6,
        1,
        ['Go round the bike by hand, station by station'],
        ['Tighten, paint a mark, look again next evening'],
        { caution: BY_HAND },
      ),
    ],
  }),
  trouble({
    id: 'head-rounded',
    name: 'Head rounded or seized at a mend',
    subject: 'loose and lost',
    rate: per(0.002, 0.004, 0.012),
    stops: false,
    nuisance: 2,
    ways: [
      way(
        'Up the ladder: soak, strike, grip, file',
        'proper',
        48,
        2,
        [
          'Clean the recess to its ground [brush] [pick]',
          'Penetrating fluid, and ten minutes <penetrating fluid>',
          'The six-point tool, or the next smaller one, driven on [strike]',
          'Locking pliers on what is left of the head, rocked back and forth [grip]',
          'File two flats and turn those [file]',
        ],
        ['New bolt in, by hand first <bolt M6>'],
        {
          holds: 0.8,
          caution:
            'A flame sets fuel and rubber alight: use heat only far from tank, hoses, brakes and seals. A hammer throws splinters of steel: shield your eyes.',
        },
      ),
      way(
        'Grip it with pliers',
        'ride-out',
        20,
        1,
        ['Locking pliers square on the head, rocked back and forth [grip] [clamp]'],
        [],
        { holds: 0.5, caution: 'Locking pliers and files ruin a bolt’s head: fit a new bolt afterwards.' },
      ),
      way(
        'Cut it',
        'ride-out',
        40,
        2,
        [ASK_WHAT_HANGS, 'Saw the head off, pull the part over the stump [saw]'],
        ['A tie through the hole <cable tie ×2>'],
        { holds: 0.7, caution: `${CRITICAL} ${HOT}`, lasts: { km: 150, kmh: 80 } },
      ),
    ],
  }),
  trouble({
    id: 'thread-stripped',
    name: 'Thread stripped',
    subject: 'loose and lost',
    rate: per(0.001, 0.003, 0.006),
    stops: false,
    nuisance: 1.5,
    ways: [
      way(
        'Longer bolt with a nut behind',
        'proper',
        25,
        2,
        ['Look whether there is room behind for a nut'],
        ['Bolt through, nut and washer <bolt M8>'],
        { holds: 0.7, caution: BY_HAND },
      ),
      way(
        'Thread insert',
        'proper',
        60,
        3,
        [
          'Stripped thread cleared, the hole’s size as the set says [mend thread]',
          'Grease on the tap to hold the chips; square on, half a turn forward, a quarter back <grease>',
          'Chips out; wipe the hole <cleaner>',
        ],
        [
          'Insert wound in until it lies a turn below the face; its tang broken off and out <thread insert> [pick]',
          'Bolt in by hand first; tighten to the manual’s torque',
        ],
        {
          holds: 0.85,
          caution: `A crooked thread lets go: where a brake, an axle, the steering or an engine mount hangs on it, a workshop cuts it. ${BY_HAND}`,
          better: [['[drill]', 10]],
        },
      ),
      way(
        'Putty in the thread',
        'ride-out',
        70,
        2,
        [ASK_WHAT_HANGS, 'Clean and degrease hole and bolt <cleaner> [brush]'],
        ['Putty round the bolt, in by hand, an hour’s rest <metal putty>', 'Tighten a little only'],
        { holds: 0.7, caution: `A thread held by putty can let go. ${CRITICAL}`, lasts: { km: 300, kmh: 90 } },
      ),
      way('Tie in its place', 'limp', 10, 1, [ASK_WHAT_HANGS, 'Ties round the part <cable tie ×2>'], [], {
        caution: `${CRITICAL} ${HOT}`,
        lasts: { km: 100, kmh: 60 },
      }),
    ],
  }),
  trouble({
    id: 'bolt-sheared',
    name: 'Bolt sheared in its hole',
    subject: 'loose and lost',
    rate: per(0.001, 0.003, 0.008),
    stops: false,
    nuisance: 2,
    ways: [
      way(
        'Turn the stump out',
        'proper',
        40,
        3,
        [
          'Penetrating fluid, and ten minutes <penetrating fluid>',
          'Punch the stump’s edge round, in the direction that loosens it [punch out] [strike]',
          'Pliers as soon as it stands out [grip]',
        ],
        ['New bolt in with anti-seize, by hand first <bolt M8> <anti-seize>'],
        { holds: 0.5, caution: `A hammer throws splinters of steel: shield your eyes. ${BY_HAND}` },
      ),
      way(
        'Drill it out',
        'proper',
        70,
        3,
        [
          'Punch a mark in the middle of the stump [punch out] [strike]',
          'Thin bit first, square, slowly; then wider, never as wide as the thread [drill] [bore]',
          'Rest of it out with the pick [pick]',
        ],
        ['New bolt in with anti-seize, by hand first <bolt M8> <anti-seize>'],
        { holds: 0.5, caution: `Drilling throws chips: shield your eyes. ${BY_HAND}` },
      ),
      way(
        'Strap the part',
        'ride-out',
        15,
        1,
        [ASK_WHAT_HANGS, 'Wire or ties round the part and its mount, ends twisted and cut <wire> <cable tie ×2> [cut]'],
        [],
        { caution: `${CRITICAL} ${HOT}`, lasts: { km: 150, kmh: 80 } },
      ),
    ],
  }),
  trouble({
    id: 'clip-lost',
    name: 'Split pin, clip or ring lost',
    subject: 'loose and lost',
    rate: per(0.002, 0.006, 0.015),
    stops: false,
    nuisance: 1,
    ways: [
      way(
        'New pin of its size',
        'proper',
        10,
        1,
        ['Look what it holds, and for the rest of the old one: pull it out [grip]'],
        ['Pin through, both ends bent over; a clip snaps into its groove all round <split pin> [grip]'],
        {
          caution: `A ring that springs off hits eyes: shield them, a hand over it. ${BY_HAND}`,
          better: [['[spread rings]', 4]],
        },
      ),
      way(
        'Wire through the hole',
        'ride-out',
        10,
        1,
        [ASK_WHAT_HANGS, 'Wire through, twice, twisted tight, ends cut and bent over <wire> [grip] [cut]'],
        [],
        { caution: CRITICAL, lasts: { km: 200, kmh: 80 }, ruin: 'a part that turns under it: look at every stop' },
      ),
    ],
  }),
  trouble({
    id: 'key-lost',
    name: 'Key lost',
    subject: 'loose and lost',
    rate: per(0.005, 0.005, 0.008),
    ways: [
      way('The spare key', 'proper', 6, 1, ['Ask the one who carries the double'], ['Use it <spare key>'], {
        caution:
          'A spare key in the same pocket is lost with the first: give it to another person or hide it on the bike.',
      }),
      way('Ride back and look for it', 'proper', 90, 1, ['Go back to where it was last used'], [], {
        holds: 0.3,
        when: ['company'],
      }),
    ],
  }),
  trouble({
    id: 'theft',
    name: 'Bike stolen, or its lock forced',
    subject: 'loose and lost',
    rate: per(0.002, 0.0005, 0.0001),
    ways: [
      way(
        'Report it, have it opened',
        'limp',
        120,
        1,
        [
          'Do not follow or stop anybody: go where people are',
          'Police at once: plate, frame number, photographs, where and when; the report’s number for the insurer',
          'Lock or ignition forced and the bike still there: a locksmith or a workshop, no tools of your own on it',
        ],
        ['Others’ keys, papers and phone shared out anew; block the cards that were in the bags'],
        {
          travel: { over: 'help', speed: 'walking' },
          caution: 'Somebody who steals may hurt you: a bike is not worth it. Call for help from a safe place.',
        },
      ),
    ],
  }),
  trouble({
    id: 'exhaust',
    name: 'Exhaust fixing lost',
    subject: 'loose and lost',
    rate: per(0.01, 0.03, 0.06),
    stops: false,
    nuisance: 1,
    ways: [
      way(
        'New bolt',
        'proper',
        24,
        1,
        ['Let it cool', 'Line the silencer up {exhaust fixing}'],
        ['Bolt with two washers, tighten, look again <bolt M8> {exhaust fixing}'],
        {
          caution:
            'An exhaust stays hot for an hour and plastic melts on it: let it cool, and use wire or steel ties only.',
        },
      ),
      way(
        'Steel ties',
        'ride-out',
        10,
        1,
        ['Let it cool', 'Two steel ties round silencer and mount, pulled tight, ends bent away <steel tie ×2> [grip]'],
        [],
        {
          caution: 'Steel ties cut fingers, and what they hold stays hot for an hour: wear gloves.',
          lasts: { km: 500, kmh: 90 },
          ruin: 'vibration: look at every stop',
        },
      ),
      way(
        'Wire twisted round',
        'ride-out',
        15,
        1,
        ['Let it cool', 'Wire round silencer and mount, twisted tight, ends bent away <wire> [grip] [cut]'],
        [],
        {
          caution: 'Plastic melts on an exhaust: use wire or steel ties only.',
          lasts: { km: 300, kmh: 90 },
          ruin: 'vibration: look at every stop',
        },
      ),
    ],
  }),
];
