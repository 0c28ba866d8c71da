import { per, trouble, type Trouble } from './trouble.js';
import { LEAVE_IT } from './steps.js';
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
  LEAVE_IT,
  ['Come back with the right bolt or with a van'],
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
        ['Find a bolt of its thread: turn it in by hand, never force it', 'Clean the hole [brush]'],
        [
          'Fit bolt, washer and nut, and tighten <bolt>',
          'Paint a mark across head and part',
          'Check its neighbours too',
        ],
        { caution: BY_HAND },
      ),
      way(
        'Ties in its place',
        'ride-out',
        10,
        1,
        [ASK_WHAT_HANGS, 'Pull two ties through the hole, tight <cable tie ×2>'],
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
    name: 'Bolt of brake, axle, steering or engine lost',
    subject: 'loose and lost',
    rate: per(0.003, 0.01, 0.025),
    ways: [
      way(
        'New bolt of its thread and strength',
        'proper',
        25,
        2,
        [
          'See what is missing, and look for it on the way that you came',
          'Clean the hole [brush]',
          'Turn the bolt in by hand to its end; never force it',
          'Compare it with its neighbours: same length, same thread, and no lower number on its head',
        ],
        [
          'Put threadlocker on the thread, fit bolt and washer, and tighten to the manual’s torque <bolt> <threadlocker>',
          'Try brake, steering and wheel by hand before you ride',
          'Check all its neighbours, and check it again at the next stop',
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
        ['Go round the bike and try each fastener by hand'],
        ['Tighten it and paint a mark across; check it again the next evening'],
        { caution: BY_HAND },
      ),
    ],
  }),
  trouble({
    id: 'head-rounded',
    name: 'Head rounded or seized during a repair',
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
          'Clean the recess to its bottom [brush] [pick]',
          'Apply penetrating fluid, and wait ten minutes <penetrating fluid>',
          'Drive the six-point tool on, or the next smaller one, and turn [strike]',
          'If it slips: set locking pliers on what is left of the head, and rock it back and forth [grip]',
          'If they slip: file two flats on the head and turn it by those [file]',
        ],
        ['Turn a new bolt in, by hand first <bolt M6>'],
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
        ['Set locking pliers square on the head, and rock it back and forth [grip] [clamp]'],
        [],
        { holds: 0.5, caution: 'Locking pliers and files ruin a bolt’s head: fit a new bolt afterwards.' },
      ),
      way(
        'Cut it',
        'ride-out',
        40,
        2,
        [ASK_WHAT_HANGS, 'Saw the head off and pull the part off over the stump [saw]'],
        ['Put two ties through the hole, tight <cable tie ×2>'],
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
        ['Check that there is room behind for a nut'],
        ['Push a longer bolt through, fit washer and nut, and tighten <bolt M8>'],
        { holds: 0.7, caution: BY_HAND },
      ),
      way(
        'Thread insert',
        'proper',
        60,
        3,
        [
          'Clear the stripped thread out, to the size that the thread kit names [mend thread]',
          'Grease the tap so that it holds the chips <grease>',
          'Cut the thread: hold the tap square, half a turn forward, a quarter turn back [mend thread]',
          'Clear the chips out and wipe the hole <cleaner>',
        ],
        [
          'Wind the insert in until it lies one turn below the face <thread insert>',
          'Break its tang off and take it out of the hole [pick]',
          'Turn the bolt in by hand first; then tighten to the manual’s torque',
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
        ['Put putty round the bolt, turn it in by hand, and wait an hour <metal putty>', 'Tighten it a little only'],
        { holds: 0.7, caution: `A thread held by putty can let go. ${CRITICAL}`, lasts: { km: 300, kmh: 90 } },
      ),
      way(
        'Tie in its place',
        'limp',
        10,
        1,
        [ASK_WHAT_HANGS, 'Pull ties round the part and its mount, tight <cable tie ×2>'],
        [],
        {
          caution: `${CRITICAL} ${HOT}`,
          lasts: { km: 100, kmh: 60 },
        },
      ),
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
          'Apply penetrating fluid, and wait ten minutes <penetrating fluid>',
          'Punch the stump’s edge round, in the direction that loosens it [punch out] [strike]',
          'Turn it out with pliers as soon as it stands out of the hole [grip]',
        ],
        ['Turn a new bolt in with anti-seize paste, by hand first <bolt M8> <anti-seize>'],
        { holds: 0.5, caution: `A hammer throws splinters of steel: shield your eyes. ${BY_HAND}` },
      ),
      way(
        'Drill it out',
        'proper',
        70,
        3,
        [
          'Punch a mark in the middle of the stump [punch out] [strike]',
          'Drill with a thin bit first, square and slowly; then wider, never as wide as the thread [drill] [bore]',
          'Pick the rest out of the thread [pick]',
        ],
        ['Turn a new bolt in with anti-seize paste, by hand first <bolt M8> <anti-seize>'],
        { holds: 0.5, caution: `Drilling throws chips: shield your eyes. ${BY_HAND}` },
      ),
      way(
        'Strap the part',
        'ride-out',
        15,
        1,
        [
          ASK_WHAT_HANGS,
          'Pull ties round the part and its mount, then wire; twist and cut its ends <wire> <cable tie ×2> [cut]',
        ],
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
        ['See what it holds, and pull out what is left of the old one [grip]'],
        ['Push a pin through and bend both ends over; press a clip into its groove all round <split pin> [grip]'],
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
        [
          ASK_WHAT_HANGS,
          'Pull wire through twice and twist it tight <wire> [grip]',
          'Cut its ends and bend them over [cut]',
        ],
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
      way(
        'The spare key',
        'proper',
        6,
        1,
        ['Ask whoever carries the spare key'],
        ['Use it, and give it back to somebody else than you <spare key>'],
        {
          caution:
            'A spare key in the same pocket is lost with the first: give it to another person or hide it on the bike.',
        },
      ),
      way(
        'Ride back and look for it',
        'proper',
        90,
        1,
        [
          'Search pockets, bags and the ground round the bike',
          'Have a companion ride you back to where it was last used',
        ],
        [],
        {
          holds: 0.3,
          when: ['company'],
        },
      ),
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
          'Call the police at once: number plate, frame number, photographs, where and when',
          'Write down the report’s number for the insurer',
          'If the bike is still there with its lock forced: have a locksmith or a workshop see to it, without tools of your own',
        ],
        ['Block the cards that were in the bags', 'Share out the keys, papers and phones that are left'],
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
        ['Let it cool', 'Loosen what still holds the silencer and line it up {exhaust fixing}'],
        ['Fit the bolt with two washers and tighten it <bolt M8> {exhaust fixing}', 'Check it again at the next stop'],
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
        [
          'Let it cool',
          'Pull two steel ties round silencer and mount, tight, and bend their ends away <steel tie ×2> [grip]',
        ],
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
        [
          'Let it cool',
          'Wind wire round silencer and mount and twist it tight <wire> [grip]',
          'Cut its ends and bend them away [cut]',
        ],
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
